import type { CauseId } from '../diagnosis/causes';
import type { HandCheck } from '../record/events';
import type { FaultId } from '../record/marks';

/** What goes wrong in a simulated batch, and what it does to it. */
export interface Mishap {
  /** How many times as long as it should a wait is left, by the route's id of the step. */
  waits?: Readonly<Record<string, number>>;
  /** How far from what it should be a place is, °C, by the kind of step that waits in it. */
  places?: Readonly<Record<string, number>>;
  /** How many times as long as it should work at the block takes, in so much warmer a room, °C. */
  bench?: { times: number; warmer: number };
  /** The dough came out of the mixer so much warmer than meant, °C. */
  mixedWarmer?: number;
  /** The dough stood out before the lock-in: so much warmer, °C. */
  doughWarmer?: number;
  /** The proof was ended at this share of its rise. */
  proofedTo?: number;
  /** How many times as long as its formula says everything rises: another flour, another yeast. */
  slower?: number;
  /** Nothing rises: the yeast is dead, or was scalded by liquid of so many °C. */
  yeast?: 'dead' | { liquid: number };
  /** Folds more than the scheme has, all in the second turn. */
  foldsMore?: number;
  humidity?: number;
  /** The oven against its setting, °C, and the bake's length against what it should be. */
  oven?: number;
  baked?: number;
  /** Pieces against what they should weigh, and how much one differs from another, as shares. */
  weights?: { times: number; spread: number };
  /** What somebody finds who looks. */
  look?: Pick<HandCheck, 'check' | 'answer'>;
}

/** What a mishap shows as: the fault that it is known for, and what else with how much chance. */
interface KnownMishap extends Mishap {
  also?: Partial<Record<FaultId, number>>;
}

const found = (check: HandCheck['check'], answer: HandCheck['answer']): KnownMishap => ({
  look: { check, answer },
});

/** One mishap for every cause that a record can have. Numbers are as far off as bakeries see them, not as far as can be. */
export const MISHAPS: Readonly<Record<CauseId, KnownMishap>> = {
  'butter-cold': {
    waits: { temper: 0.2 },
    look: { check: 'bend', answer: 'snaps' },
    also: { hollow: 0.25, tears: 0.15 },
  },
  'butter-stiffer': { waits: { temper: 0.6 }, doughWarmer: 12, also: { flakes: 0.2 } },
  'butter-warm': {
    bench: { times: 2.5, warmer: 6 },
    look: { check: 'bend', answer: 'smears' },
    also: { 'bread-like': 0.3 },
  },
  'rest-short': { waits: { 'rest-2': 0.25 }, also: { uneven: 0.15 } },
  'flour-strong': {},
  'liquid-hot': { yeast: { liquid: 42 } },
  'yeast-weak': { yeast: 'dead' },
  'too-cold': { places: { proof: -15 } },
  underproofed: { proofedTo: 0.6 },
  'proof-hot': { places: { proof: 6 } },
  overproofed: { proofedTo: 1.55 },
  'too-many-turns': { foldsMore: 1 },
  'flour-between': found('flour', 'floury'),
  'rolled-loose': found('roll', 'loose'),
  'brushed-hard': found('wash', 'heavy'),
  uncovered: found('cover', 'uncovered'),
  'proofer-dry': { humidity: 46 },
  'seam-up': found('roll', 'open-seam'),
  'rolled-tight': found('roll', 'tight'),
  overfilled: found('fill', 'overfilled'),
  unsealed: found('fill', 'unsealed'),
  'wash-missed': found('wash', 'missed'),
  'hot-spot': found('spots', 'hot-spot'),
  'oven-cool': { oven: -22 },
  'bake-short': { baked: 0.7 },
  'pieces-big': { weights: { times: 1.2, spread: 0.05 } },
  'sheet-uneven': { weights: { times: 1, spread: 0.22 } },
  'sheet-shrank': {
    waits: { 'rest-3': 0.25 },
    weights: { times: 1, spread: 0.18 },
    look: { check: 'sheet', answer: 'shrank' },
  },
  'retard-warm': { places: { retard: 6 } },
  'retard-long': { waits: { retard: 1.7 } },
};

/** Which mishaps bakers know behind each fault. */
export const BEHIND: Readonly<Record<FaultId, readonly CauseId[]>> = {
  flakes: ['butter-cold'],
  tears: ['butter-stiffer'],
  oozes: ['butter-warm'],
  springs: ['rest-short'],
  'no-rise': ['yeast-weak', 'liquid-hot', 'too-cold'],
  'butter-pool': ['underproofed', 'proof-hot'],
  'bread-like': ['too-many-turns', 'butter-warm'],
  hollow: ['butter-cold', 'flour-between', 'rolled-loose'],
  flat: ['overproofed', 'brushed-hard'],
  skin: ['uncovered', 'proofer-dry'],
  unrolled: ['seam-up', 'rolled-tight'],
  leaked: ['overfilled', 'unsealed'],
  patchy: ['wash-missed', 'hot-spot'],
  pale: ['oven-cool', 'bake-short', 'pieces-big'],
  uneven: ['sheet-uneven', 'sheet-shrank'],
  sour: ['retard-warm', 'retard-long'],
};
