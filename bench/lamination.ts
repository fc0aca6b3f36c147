import { arrange, type Wanted } from '@/core/cutting/arrange';
import { butterWindow } from '@/core/lamination/butter-window';
import { section } from '@/core/lamination/drawing';
import { layersIn, pileOf, type Operation } from '@/core/lamination/stack';

/** A piece of work with what it may take. */
export interface Measured {
  what: string;
  wanted: string;
  work: () => unknown;
}

const TEN_BOOKS: Operation[] = ['envelope', ...Array<Operation>(10).fill('book')];
const air = (celsius: number, film: number) => ({ celsius, top: film, bottom: film });
const MIXED: Wanted[] = [
  { size: { shape: 'triangle', base: 11, height: 27 }, most: 36 },
  { size: { shape: 'rectangle', base: 8, height: 15 }, most: 30 },
];

/** Layers, butter and cuts: what a baker waits for while typing. */
export const LAMINATION: Measured[] = [
  {
    what: 'ten book folds: layers and their section',
    wanted: '16 ms',
    work: () => {
      const pile = pileOf(TEN_BOOKS, 0.26);
      return [layersIn(pile, 4), section(pile, 0, 1, 300), section(pile, 0.4, 0.40002, 300)];
    },
  },
  {
    what: 'butter block: pliable from when to when',
    wanted: '',
    work: () =>
      butterWindow({ mm: 10, history: [], start: 4, fat: 'butter-82', room: air(21, 9), cold: air(4, 10) }),
  },
  { what: 'two shapes on one sheet (in a worker)', wanted: '', work: () => arrange(164, 56, MIXED) },
];
