import type { Settings } from '@/core/bakery/settings';
import type { Cardinal } from '@/core/ferment/rate';
import { learnLevain, minutesAt } from '@/core/learning/levain';
import { learnFromReadings, type Learnt } from '@/core/learning/readings';
import { learnFromVerdicts, type Verdict, type WaitVerdict } from '@/core/learning/verdicts';
import type { ProductSpec, Rise, RisePhase } from '@/core/process/route';
import { houseSettings } from './house';
import { type Db, rowsOf } from '../db/rows';

export type EvidenceKind = 'reference' | 'rise' | 'factor' | 'bake';

/** One thing the house has learnt from. */
export interface Evidence {
  id: number;
  kind: EvidenceKind;
  subject: string;
  value: number;
  verdict: Verdict | null;
  /** How long it really was, and how warm in the mean, °C: of a rise, where that was kept. */
  minutes: number | null;
  celsius: number | null;
  dough: string | null;
  at: number;
  declined: boolean;
}

/** How many of the newest count for one subject: flour and yeast change with the seasons. */
const NEWEST = 40;

/** How many of the newest are looked at for one subject: those that count, and what was declined among them. */
const LOOKED_AT = 2 * NEWEST;

/** The newest evidence of each subject that was not undone, the oldest first; `declined` ones are among them. */
export async function evidence(
  db: Db,
  kind: EvidenceKind,
  subjects?: readonly string[],
): Promise<Evidence[]> {
  const wanted = subjects ?? (await subjectsOf(db, kind));
  if (wanted.length === 0) return [];
  // The newest of each subject, some steps into an index each: sorting all that a year has brought takes far longer.
  const newest = wanted.map(
    () => `(SELECT id, kind, subject, value, verdict, minutes, celsius, dough_id, at FROM evidence
      WHERE kind = ? AND subject = ? AND NOT undone ORDER BY at DESC, id DESC LIMIT ${LOOKED_AT})`,
  );
  const rows = await rowsOf<Omit<Evidence, 'at' | 'declined'> & { at: Date; declined: number }>(
    db,
    `SELECT e.id, e.kind, e.subject, e.value, e.verdict, e.minutes, e.celsius, d.name AS dough, e.at,
       COALESCE((SELECT w.declined FROM evidence_word w WHERE w.evidence_id = e.id ORDER BY w.id DESC LIMIT 1), 0) AS declined
     FROM (${newest.join(' UNION ALL ')}) e LEFT JOIN dough d ON d.id = e.dough_id
     ORDER BY e.at, e.id`,
    wanted.flatMap((subject) => [kind, subject]),
  );
  return rows.map((row) => ({ ...row, at: row.at.getTime(), declined: row.declined === 1 }));
}

/** What there is evidence of this kind for. */
async function subjectsOf(db: Db, kind: EvidenceKind): Promise<string[]> {
  const rows = await rowsOf<{ subject: string }>(db, 'SELECT DISTINCT subject FROM evidence WHERE kind = ?', [
    kind,
  ]);
  return rows.map(({ subject }) => subject);
}

const counting = (all: readonly Evidence[], subject: string) =>
  all.filter((one) => one.subject === subject && !one.declined).slice(-NEWEST);

export const referenceSubject = (productId: number, phase: RisePhase) => `${productId}/${phase}`;
export const mixSubject = (mixer: string, formulaId: number) => `${mixer}/${formulaId}`;

/** What is known of a product's reference time in a phase: before and after its evidence. */
export function learntReference(rise: Rise, all: readonly Evidence[], subject: string): Learnt {
  const { cardinal, celsius: reference } = rise;
  const judged = counting(all, subject).flatMap(({ value, minutes, celsius, verdict }) => {
    if (!verdict) return [];
    // Looked at before anything was learnt of how its levain goes: it is reckoned anew by what is known now.
    const again = cardinal && minutes !== null && celsius !== null;
    return [{ minutes: again ? minutesAt(cardinal, minutes, celsius, reference) : value, verdict }];
  });
  return learnFromVerdicts(rise.minutes, judged);
}

/** The judged waits behind a reference time, the oldest first, minutes at its reference temperature. */
export const judgedWaits = (all: readonly Evidence[], subject: string): WaitVerdict[] =>
  counting(all, subject).flatMap(({ value, verdict }) => (verdict ? [{ minutes: value, verdict }] : []));

/**
 * How fast the levain of this house is at each temperature: as it is set, and as rises of all its products have looked. Only of
 * levain it is kept how long a rise was and how warm.
 */
export function learntLevain(
  { levainLowest, levainBest, levainHighest }: Settings,
  all: readonly Evidence[],
): Cardinal {
  const sets = [...new Set(all.map(({ subject }) => subject))].map((subject) =>
    counting(all, subject).flatMap(({ minutes, celsius, verdict }) =>
      verdict && minutes !== null && celsius !== null ? [{ minutes, celsius, verdict }] : [],
    ),
  );
  return learnLevain({ lowest: levainLowest, best: levainBest, highest: levainHighest }, sets);
}

/** A product whose rises take the times that this house has learnt. */
export function withLearnt<P extends ProductSpec & { productId: number }>(
  product: P,
  all: readonly Evidence[],
  levain: Cardinal,
): P {
  const rises = Object.entries(product.rises ?? {}) as [RisePhase, Rise][];
  const learnt = rises.map(([phase, set]) => {
    const rise: Rise = set.yeast === 'levain' ? { ...set, cardinal: levain } : set;
    const subject = referenceSubject(product.productId, phase);
    const any = all.some((one) => one.subject === subject && !one.declined);
    return [phase, any ? { ...rise, minutes: learntReference(rise, all, subject).mean } : rise] as const;
  });
  return { ...product, rises: Object.fromEntries(learnt) };
}

/** Rise and friction factor of a formula in a mixer, with what they rest on. */
export async function learntMixing(
  db: Db,
  subject: string,
  usual: number | null = null,
): Promise<{ rise: Learnt & { evidence: Evidence[] }; factor: Learnt & { evidence: Evidence[] } }> {
  const [settings, rises, factors] = await Promise.all([
    houseSettings(db),
    evidence(db, 'rise', [subject]),
    evidence(db, 'factor', [subject]),
  ]);
  const learn = (name: 'mixingRise' | 'frictionFactor', all: Evidence[]) => {
    const own = counting(all, subject);
    const begin = name === 'mixingRise' ? (usual ?? settings[name]) : settings[name];
    const start = { mean: begin, spread: settings[`${name}Spread`] };
    // A factor takes up the errors of three or four thermometers, a rise that of one.
    const noise = settings.thermometerError * (name === 'frictionFactor' ? 3 : 1);
    return {
      ...learnFromReadings(
        start,
        own.map((one) => one.value),
        noise,
      ),
      evidence: all,
    };
  };
  return { rise: learn('mixingRise', rises), factor: learn('frictionFactor', factors) };
}
