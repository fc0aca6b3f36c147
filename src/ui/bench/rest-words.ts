import type { DoughForecast } from '@/core/forecast/forecast';
import type { HandCheck } from '@/core/record/events';

/** A block comes from the sheeter at about this, °C, where nobody measured it. */
const ROLLED = 14;

/** The last temperature that was measured in the dough before a rest, °C. */
export function lastMeasured(dough: DoughForecast, rest: DoughForecast['steps'][number]): number {
  const before = dough.steps.slice(
    0,
    dough.steps.findIndex(({ key }) => key === rest.key),
  );
  const measured = before
    .filter(({ step }) => step.branch === undefined && (step.kind === 'turn' || step.kind === 'lock-in'))
    .flatMap(({ key }) => dough.state.steps.get(key)?.temperatures ?? []);
  return measured.at(-1)?.celsius ?? ROLLED;
}

/** Answers to the check by hand, each with what it means and when to look again. `soft`: minutes of cold that it needs. */
export function restCheckButtons(
  isButter: boolean,
  soft: number | null,
): { word: string; then: string; data: HandCheck }[] {
  const data = (check: HandCheck['check'], answer: HandCheck['answer'], minutes: number): HandCheck => ({
    ...{ kind: 'checked', check, answer, minutes },
  });
  if (isButter) {
    const chill = Math.max(5, Math.round(soft ?? 15));
    return [
      { word: 'Bends', then: 'dents under a finger: lock it in', data: data('bend', 'good', 0) },
      { word: 'Snaps', then: 'too cold: 5 min more, or pound it', data: data('bend', 'snaps', 5) },
      { word: 'Smears', then: `too warm: ${chill} min in the cold`, data: data('bend', 'smears', chill) },
    ];
  }
  return [
    { word: 'Stays', then: 'a dent stays, nothing springs back', data: data('spring', 'good', 0) },
    { word: 'Springs back', then: 'rest it 15 min more', data: data('spring', 'springs', 15) },
    {
      word: 'Butter shows',
      then: 'stop; 20 min in the cold, dust the spot',
      data: data('spring', 'butter-shows', 20),
    },
  ];
}

const ANSWERS: Record<HandCheck['answer'], string> = {
  good: 'good',
  snaps: 'snaps',
  smears: 'smears',
  springs: 'springs back',
  'butter-shows': 'butter shows',
  longer: 'a little longer',
  tears: 'tears',
};

const CHECKS: Record<HandCheck['check'], string> = {
  bend: 'bend',
  spring: 'press',
  bake: 'bake',
  window: 'window',
};

/** `bend: snaps, again in 5 min`. */
export function checkWords({ check, answer, minutes }: HandCheck): string {
  const again = minutes > 0 ? `, again in ${minutes} min` : '';
  return `${CHECKS[check]}: ${ANSWERS[answer]}${again}`;
}
