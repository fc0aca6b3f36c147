import { describe, expect, it } from 'vitest';
import { did, MIN } from '../../../test-support/floor';
import { laminatedProduct, usualScheme } from '../../../test-support/laminated';
import { CUTTING, ROLLING } from '../../../test-support/rolling';
import { blockWeights } from '../cutting/dough-size';
import { expandDough } from '../process/expand';
import type { OutputRecord } from '../record/dough';
import { cutShort, sheetsOfDough } from './cut-sheets';
import { shortMessage } from '../schedule/drift';
import type { FloorEvent } from '../record/events';
import { foldDough } from '../record/state';
import { inEnglish } from '../../../test-support/words';

const PIECES = 120;
const scheme = usualScheme('Three letter folds');
const product = {
  ...laminatedProduct(scheme),
  ...{ name: 'Butter crescent', mixed: 0.78, scheme: { versionId: 1, name: 'Three letter folds', scheme } },
  piece: {
    ...{ grams: 62, perTray: 15, scrap: 0.04 },
    cut: { size: { shape: 'triangle' as const, base: 11, height: 27 }, mm: 3.9 },
  },
};
const sizes = { ovenTrays: 9, bowlKg: 40, carriers: [], cutting: CUTTING };
const OUTPUT: OutputRecord = {
  ...{ id: 5, product: product.name, pieces: PIECES, dueAt: 3000 * MIN, freshFor: 150 },
  ...{ piece: product.piece, allergens: [] },
};

/** A dough for 120 crescents of which so large a share was mixed. */
function mixed(share: number, events: FloorEvent[] = []) {
  const { steps, links, kg, cut } = expandDough([{ id: 5, product, pieces: PIECES }], sizes);
  if (!cut) throw new Error('It can be cut.');
  const lamination = {
    ...{
      scheme: product.scheme,
      blocks: cut.blocks,
      mm: 3.9,
      wide: cut.wide,
      scrap: 0.04,
      fat: 'butter-82' as const,
    },
    weights: blockWeights((share * kg * 1000) / cut.blocks, 0.78, scheme),
  };
  const timed = steps.map((step, i) => ({
    ...step,
    ...{ plannedStart: i * 60 * MIN, plannedEnd: (i + 1) * 60 * MIN },
  }));
  return {
    ...{ id: 1, name: 'Crescent 1', steps: timed, lamination },
    state: foldDough({ steps, links }, events),
  };
}

describe('the sheets of a dough', () => {
  it('give every piece that it was made for', () => {
    expect(cutShort(mixed(1), [OUTPUT], ROLLING)).toEqual([]);
  });

  it('of a dough that was mixed too small give fewer, and say how thin a sheet would give them all', () => {
    const dough = mixed(0.9);
    const [short] = cutShort(dough, [OUTPUT], ROLLING);
    expect(short?.missing).toBeGreaterThan(0);
    expect(short?.thinner).toBeLessThan(3.9);
    const thinner = { ...dough.lamination, mm: short?.thinner ?? 0 };
    expect(cutShort({ ...dough, lamination: thinner }, [OUTPUT], ROLLING)).toEqual([]);
    expect(inEnglish(short && shortMessage(short))).toMatch(
      /^\d+ of 120 cannot be cut \(butter crescent\)\. Roll to 3\.\d mm to get them all/,
    );
  });

  it('give more of a dough that was mixed too large', () => {
    const [planned, more] = [mixed(1), mixed(1.1)].map((dough) => sheetsOfDough(dough, ROLLING));
    expect(more?.length).toBeGreaterThan(planned?.length ?? 0);
    expect(cutShort(mixed(1.1), [OUTPUT], ROLLING)).toEqual([]);
  });

  it('are not asked about any more once they are cut', () => {
    const cut = [did('start', 'sheet', 500), did('finish', 'sheet', 520)];
    expect(cutShort(mixed(0.8, cut), [OUTPUT], ROLLING)).toEqual([]);
  });
});
