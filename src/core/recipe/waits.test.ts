import { describe, expect, it } from 'vitest';
import { type Phase, waitKind } from './waits';
import type { Act } from './words/recipe-words';

const wait = (acts: Act[], phase: Phase, minutes: number | null, more: object = {}) =>
  waitKind({
    ...{ acts, phase, minutes: minutes === null ? null : [minutes, minutes] },
    ...{ celsius: null, making: null, hasHands: false, isRoom: false },
    ...more,
  })?.kind ?? null;

describe('which wait it is', () => {
  it.each([
    ['a rise of the dough', wait(['rise'], 'dough', 60), 'bulk'],
    ['a rise of shaped pieces', wait(['rise'], 'shaped', 60), 'proof'],
    ['an hour in the fridge before lamination', wait(['cold'], 'dough', 60), 'rest'],
    ['a night in the fridge before lamination', wait(['cold'], 'dough', 600), 'retard'],
    ['a night in the fridge between turns', wait(['cold'], 'laminating', 600), 'rest'],
    ['a night in the fridge of shaped pieces', wait(['cold'], 'shaped', 600), 'retard'],
    ['the same where they are to rise', wait(['cold', 'rise'], 'shaped', 600), 'proof'],
    ['20 min in the freezer', wait(['freezer'], 'laminating', 20), 'rest'],
    ['a day in the freezer', wait(['freezer'], 'shaped', 1440), 'freeze'],
    ['12 h at 4 °C, and no word for it', wait([], 'dough', 720, { celsius: 4 }), 'retard'],
    ['1 h at 24 °C, and no word for it', wait([], 'dough', 60, { celsius: 24 }), 'bulk'],
    ['10 h of a levain', wait(['rest'], 'start', 600, { making: 'levain' }), 'levain'],
    ['20 min on the bench', wait(['rest'], 'dough', 20), 'rest'],
    ['half an hour at room temperature', wait(['rest'], 'dough', 30, { isRoom: true }), 'bulk'],
    ['a rest on the rack', wait(['rest'], 'baked', 20), 'cool'],
    ['cold butter, and no time', wait(['cold'], 'dough', null, { hasHands: true }), null],
    ['a time with no word at all', wait([], 'dough', 20), null],
  ])('%s', (_, kind, wanted) => expect(kind).toBe(wanted));
});
