import { describe, expect, it } from 'vitest';
import { type Findable, type FoundKind, foundBest } from './found';

const DAY = 24 * 3_600_000;
const thing = (kind: FoundKind, name: string, detail = '', at: number | null = null): Findable => ({
  ...{ kind, name, detail, at, href: `/${name}` },
});
const HOUSE = [
  thing('dough', 'Crescent 38', 'Butter crescent, Chocolate roll', 0),
  thing('batch', 'Crescent 3', 'Butter crescent', -30 * DAY),
  thing('product', 'Butter crescent', 'Crescent dough'),
  thing('product', 'Brioche à tête'),
  thing('person', 'Jonas', 'nights'),
  thing('page', 'Proof watch'),
  thing('page', 'Products'),
];
const names = (text: string) => foundBest(HOUSE, text, 0).map(({ name }) => name);

describe('what is looked for', () => {
  it('is the thing of that very name before those that only begin so', () => {
    expect(names('crescent 3')).toEqual(['Crescent 3', 'Crescent 38']);
  });

  it('is found by the beginnings of its words, in any order', () => {
    expect(names('38 cres')).toEqual(['Crescent 38']);
    expect(names('pro')).toEqual(['Products', 'Proof watch']);
  });

  it('is found without its accents, and by letters within a word last', () => {
    expect(names('a tete')).toEqual(['Brioche à tête']);
    expect(names('escent')).toEqual(['Crescent 38', 'Crescent 3', 'Butter crescent']);
  });

  it('is found by what is made of it', () => {
    expect(names('chocolate')).toEqual(['Crescent 38']);
  });

  it('is nothing where nothing is typed, or a word fits nowhere', () => {
    expect(names('  ')).toEqual([]);
    expect(names('crescent xyz')).toEqual([]);
  });

  it('lists the dough nearest to now first, and no more than a screen holds', () => {
    const many = Array.from({ length: 40 }, (_, day) =>
      thing('batch', `Danish ${day}`, '', -day * DAY),
    ).reverse();
    const found = foundBest(many, 'danish', 0);
    expect(found[0]?.name).toBe('Danish 0');
    expect(found).toHaveLength(6);
    const product = thing('product', 'Poppy danish');
    expect(foundBest([...many, product], 'danish', 0)).toContain(product);
  });
});
