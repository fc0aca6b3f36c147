import type { Say } from '@/words/say';
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
  say: Say,
  isButter: boolean,
  soft: number | null,
): { word: string; then: string; data: HandCheck }[] {
  const data = (check: HandCheck['check'], answer: HandCheck['answer'], minutes: number): HandCheck => ({
    ...{ kind: 'checked', check, answer, minutes },
  });
  if (isButter) {
    const chill = Math.max(5, Math.round(soft ?? 15));
    return [
      { word: say('bench.bends'), then: say('bench.dentsUnderAFingerLock'), data: data('bend', 'good', 0) },
      { word: say('bench.snaps'), then: say('bench.tooCold5MinMore'), data: data('bend', 'snaps', 5) },
      {
        word: say('bench.smears'),
        then: say('bench.tooWarmMinInThe', { chill }),
        data: data('bend', 'smears', chill),
      },
    ];
  }
  return [
    {
      word: say('bench.stays'),
      then: say('bench.aDentStaysNothingSprings'),
      data: data('spring', 'good', 0),
    },
    {
      word: say('bench.springsBack'),
      then: say('bench.restIt15MinMore'),
      data: data('spring', 'springs', 15),
    },
    {
      word: say('bench.butterShows'),
      then: say('bench.stop20MinInThe'),
      data: data('spring', 'butter-shows', 20),
    },
  ];
}

/** An answer as a message selects it, whose choices have no hyphens: `butterShows`. */
const choiceOf = (answer: HandCheck['answer']): string =>
  answer.replace(/-(\w)/, (_, letter: string) => letter.toUpperCase());

/** `Bend: snaps, again in 5 min`. */
export const checkWords = (say: Say, { check, answer, minutes }: HandCheck): string =>
  say('bench.checkFound', { check, answer: choiceOf(answer), minutes });
