import { describe, expect, it } from 'vitest';
import { crescentDough } from '../../../test-support/crescent';
import { usualScheme } from '../../../test-support/laminated';
import { MISHAPS } from '../double/mishaps';
import { playedBatch } from '../double/played-batch';
import type { PieceSpec, ProductRoute, RouteStep } from '../process/route';
import type { Filling } from '../shaping/filling';
import { CAUSE_IDS, type CauseId } from './causes';
import { type RemediedProduct, remedied, remedyFor, remedyWords } from './remedy';
import { batchTrace } from './trace';

const wait = (shortest: number, best: number, longest: number) => ({
  ...{ shortest, best, longest, shortCost: 1, longCost: 1 },
});
const step = (id: RouteStep['kind'], more: Partial<RouteStep>): RouteStep => ({
  ...{ id, kind: id, label: id, around: 20, settling: 30 },
  ...more,
});

const ROUTE: ProductRoute = {
  dough: {
    steps: [step('mix', {}), step('retard', { wait: wait(480, 720, 900) })],
    links: [{ from: 'mix', to: 'retard', min: 0 }],
  },
  output: {
    steps: [
      step('shape', { check: 'Even lengths.' }),
      step('proof', {
        around: 28,
        wait: wait(90, 120, 150),
        holds: [{ machine: 'proofer', amount: 1, per: 'tray', setting: 28 }],
      }),
      step('wash', {}),
      step('bake', { wait: wait(16, 18, 22) }),
    ],
    links: [],
  },
  fork: { from: 'retard', to: 'shape', min: 0 },
};
const JAM: Filling = {
  ...{ name: 'plum jam', grams: 20, per: 'piece', limit: 30, bareEdge: 1, moment: 'laid', where: 'middle' },
};
const PIECE: PieceSpec = { grams: 60, perTray: 10, scrap: 0.1, fillings: [JAM] };
const PRODUCT: RemediedProduct = {
  route: ROUTE,
  piece: PIECE,
  rises: { proof: { yeast: 'bakers', celsius: 26, minutes: 120, early: 0.85, late: 1.2 } },
};

const traceOf = (cause: CauseId) => {
  const { record, heard } = playedBatch(crescentDough(), MISHAPS[cause], 3);
  return batchTrace(record, 5, heard);
};
const remedyOf = (cause: CauseId, product = PRODUCT) => remedyFor(cause, traceOf(cause), product);
const after = (cause: CauseId) => {
  const remedy = remedyOf(cause);
  return remedy && remedied(PRODUCT, remedy, String);
};
const stepOf = (product: RemediedProduct | null, id: string) =>
  [...(product?.route.dough.steps ?? []), ...(product?.route.output.steps ?? [])].find(
    (one) => one.id === id,
  );

describe('what a cause asks to be changed of the product', () => {
  it('a proof that was ended too early is ready later, and the other way round', () => {
    expect(after('underproofed')?.rises?.proof).toMatchObject({ early: 0.9, late: 1.2, minutes: 120 });
    expect(after('overproofed')?.rises?.proof).toMatchObject({ early: 0.85, late: 1.1 });
  });

  it('a proof that is set too warm is set down, with what is around the dough', () => {
    const proof = stepOf(after('proof-hot'), 'proof');
    expect(proof?.around).toBe(26);
    expect(proof?.holds?.[0]?.setting).toBe(26);
    // Set right, it was the proofer that ran away.
    const cool = {
      ...PRODUCT,
      route: remedied(PRODUCT, { kind: 'setting', stepId: 'proof', label: 'proof', from: 28, to: 26 }, String)
        .route,
    };
    expect(remedyOf('proof-hot', cool)).toBeNull();
  });

  it('a bake that was as long as written and pale gets longer; one that was cut short does not', () => {
    expect(stepOf(after('oven-cool'), 'bake')?.wait).toEqual(wait(18, 20, 24));
    expect(remedyOf('bake-short')).toBeNull();
  });

  it('a retard beyond what the product allows is no fault of the product', () => {
    expect(remedyOf('retard-long')).toBeNull();
    const { retard, ...trace } = traceOf('retard-long');
    if (!retard) throw new Error('It was retarded.');
    const within = remedyFor(
      'retard-long',
      { ...trace, retard: { ...retard, minutes: 880, longest: 900 } },
      PRODUCT,
    );
    expect(within).toMatchObject({ kind: 'window', part: 'longest', from: 900, to: 810 });
  });

  it('rests that were kept and were not enough get longer in the scheme, for all that is laminated by it', () => {
    const scheme = usualScheme('Three letter folds');
    const laminated = { ...PRODUCT, scheme: { name: '3-3-3', scheme, others: ['Snail'] } };
    const remedy = remedyFor('flour-strong', traceOf('flour-strong'), laminated);
    expect(remedy).toMatchObject({ kind: 'scheme', part: 'rests', from: 45, to: 60, others: ['Snail'] });
    const after = remedy && remedied(laminated, remedy, String).scheme?.scheme.turns;
    expect(after?.map(({ rest }) => rest)).toEqual([60, 60, 60]);
    // A shift that cut them short has no need of longer ones.
    expect(remedyFor('rest-short', traceOf('rest-short'), laminated)).toBeNull();
    expect(remedyOf('flour-strong')).toBeNull();
  });

  it('butter that was tempered as written and was stiff tempers longer; one that was hurried does not', () => {
    const scheme = usualScheme('Three letter folds');
    const laminated = { ...PRODUCT, scheme: { name: '3-3-3', scheme, others: [] } };
    const remedy = remedyFor('butter-stiffer', traceOf('flour-strong'), laminated);
    expect(remedy).toMatchObject({ kind: 'scheme', part: 'temper', from: 15, to: 20 });
    expect(remedy && remedied(laminated, remedy, String).scheme?.scheme.temper).toBe(20);
    expect(remedyFor('butter-cold', traceOf('butter-cold'), laminated)).toBeNull();
    const longest = { ...laminated, scheme: { ...laminated.scheme, scheme: { ...scheme, temper: 120 } } };
    expect(remedyFor('butter-stiffer', traceOf('flour-strong'), longest)).toBeNull();
  });

  it('too much filling becomes less', () => {
    expect(remedyOf('overfilled')).toMatchObject({ kind: 'filling', from: 20, to: 18 });
    const { fillings } = after('overfilled')?.piece ?? {};
    expect(fillings?.[0]?.grams).toBe(18);
    const spread = {
      ...PRODUCT,
      piece: { ...PIECE, fillings: [{ ...JAM, per: 'area' as const, grams: 0.08 }] },
    };
    expect(remedyOf('overfilled', spread)).toMatchObject({ from: 0.08, to: 0.072 });
  });

  it('what only a hand does right is put where the hand is, once', () => {
    const remedy = remedyOf('rolled-loose');
    if (!remedy) throw new Error('There is a remedy.');
    const say = (words: unknown) => (typeof words === 'string' ? words : 'Roll with light tension.');
    const once = remedied(PRODUCT, remedy, say);
    expect(stepOf(once, 'shape')?.check).toBe('Even lengths. Roll with light tension.');
    expect(remedied(once, remedy, say)).toEqual(once);
  });

  it('nothing else of the product is touched, and what there is can be said', () => {
    const changed = CAUSE_IDS.flatMap((cause) => remedyOf(cause) ?? []);
    expect(changed.length).toBeGreaterThan(10);
    for (const remedy of changed) {
      const next = remedied(PRODUCT, remedy, (words) => (typeof words === 'string' ? words : words.code));
      expect(next).not.toEqual(PRODUCT);
      expect(next.route.dough.links).toEqual(ROUTE.dough.links);
      expect(next.route.output.steps.map(({ id }) => id)).toEqual(ROUTE.output.steps.map(({ id }) => id));
      expect(remedyWords(remedy).code).toMatch(/^causes\.remedy/);
    }
  });
});
