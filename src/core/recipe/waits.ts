import type { StepKind } from '../process/route';
import type { Range } from './reading';
import type { Act } from './words/recipe-words';

/** How far the work has come where a sentence stands. */
export type Phase = 'start' | 'dough' | 'laminating' | 'cut' | 'shaped' | 'baked';

/** What the work has come to after a step. */
export const PHASE_AFTER: Partial<Record<StepKind, Phase>> = {
  ...{ mix: 'dough', knead: 'dough', bulk: 'dough', 'lock-in': 'laminating', turn: 'laminating' },
  ...{ divide: 'cut', shape: 'shaped', proof: 'shaped', bake: 'baked' },
};

/** Words for waits: of several in one clause, they say together what it is. */
export const WAITS: ReadonlySet<Act> = new Set([
  ...(['bulk', 'proof', 'rise', 'rest', 'cold', 'retard', 'freezer', 'freeze', 'thaw', 'cool'] as const),
]);

/** From where a cold wait is a retard and no longer only to be firm, minutes. */
export const RETARD_FROM = 240;
/** A rest at room temperature that is so long is a rise, minutes. */
const RISE_FROM = 45;
const WARM_RISE_FROM = 25;
/** So short a stay in the freezer chills and does not freeze, minutes. */
const CHILLS_UP_TO = 90;
const COLD_UP_TO = 10;
const FROZEN_BELOW = -4;

interface Wait {
  acts: readonly Act[];
  minutes: Range | null;
  /** Around the dough, °C. */
  celsius: number | null;
  phase: Phase;
  making: 'levain' | 'sponge' | null;
  /** At room temperature, though no degrees are given. */
  isRoom: boolean;
  /** Something is done with the hands in the same clause. */
  hasHands: boolean;
}

/** Which wait it is, from the words for it, how long and cold it is, and how far the work has come; null for none. */
export function waitKind(wait: Wait): { kind: StepKind; isCold: boolean } | null {
  const { acts, minutes, celsius, phase, making, hasHands } = wait;
  const is = (...any: Act[]) => any.some((act) => acts.includes(act));
  const isCold = is('cold', 'retard', 'freezer') || (celsius !== null && celsius <= COLD_UP_TO);
  const warm = (kind: StepKind) => ({ kind, isCold: false });
  const cold = (kind: StepKind) => ({ kind, isCold: true });
  if (is('thaw')) return { kind: 'thaw', isCold };
  if (is('freeze')) return cold('freeze');
  if (is('freezer') || (celsius !== null && celsius < FROZEN_BELOW))
    return minutes === null || minutes[0] > CHILLS_UP_TO ? cold('freeze') : cold('rest');
  if (is('cool') && !isCold && phase === 'baked') return warm('cool');
  if (minutes === null && !is('bulk', 'proof', 'rise', 'retard')) {
    // "Cover and chill": said without a time, it still is to be done.
    return is('cold') && !hasHands && phase !== 'start' ? cold('rest') : null;
  }
  if (making !== null && !isCold) return warm(making);
  if (isCold) return cold(coldKind(wait, is));
  if (is('bulk')) return warm('bulk');
  const isBefore = phase === 'dough' || phase === 'start';
  if (is('proof')) return warm('proof');
  if (is('rise') || (acts.length === 0 && celsius !== null && celsius >= 18))
    return warm(isBefore ? 'bulk' : 'proof');
  // What stands in the warm so long after kneading rises, whatever it is called.
  if (wait.isRoom && phase === 'dough' && minutes !== null && minutes[0] >= WARM_RISE_FROM)
    return warm('bulk');
  if (phase === 'baked') return is('rest') ? warm('cool') : null;
  // Shaped pieces that stand so long rise.
  if (is('rest') && phase === 'shaped' && minutes !== null && minutes[0] > RISE_FROM) return warm('proof');
  if (is('rest'))
    return warm(phase === 'dough' && minutes !== null && minutes[0] >= RISE_FROM ? 'bulk' : 'rest');
  return null;
}

function coldKind({ minutes, phase }: Wait, is: (...any: Act[]) => boolean): StepKind {
  if (phase === 'laminating') return 'rest';
  const isLong = minutes !== null && minutes[0] >= RETARD_FROM;
  if (phase === 'cut' || phase === 'shaped')
    return is('proof', 'rise') ? 'proof' : isLong ? 'retard' : 'rest';
  return is('retard') || isLong ? 'retard' : 'rest';
}
