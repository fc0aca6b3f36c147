import { fromNow } from '@/words/from-now';
import type { Say } from '@/words/say';
import type { DoughForecast } from '@/core/forecast/forecast';
import type { AgendaItem } from '@/core/shopfloor/agenda';
import type { DoughRecord, OutputRecord } from '@/core/record/dough';
import { isHandsOn } from '@/core/record/state';
import { minutesBehind } from '@/core/forecast/times';
import { countTurns, turnMessage } from '@/core/record/turns';
import { duration } from '@/core/units/format';

/** `120 butter crescent`, `40 raisin snail to freeze`, `dough for 24 butter crescent to keep cold` */
export function outputWord(
  say: Say,
  { pieces, product, way }: Pick<OutputRecord, 'pieces' | 'product' | 'way'>,
) {
  const words = say('common.somePieces', { pieces, product: say.inLine(product) });
  return way === undefined ? words : say('steps.onItsWay', { way: way.replaceAll('-', '_'), words });
}

/** All outputs of a dough: `120 butter crescent, 40 raisin snail to freeze`. */
export const outputWords = (say: Say, { outputs }: Pick<DoughRecord, 'outputs'>): string =>
  outputs.map((output) => outputWord(say, output)).join(', ');

/** `finished`, `late 12 min`, `turn 1 of 3 done`, or nothing worth saying. */
export function stateWords(say: Say, dough: DoughForecast, now: number): string {
  if (dough.state.finished) return say('steps.finished');
  const behind = minutesBehind(dough, now);
  if (behind > 0) return say('steps.lateBy', { duration: duration(behind) });
  const turns = countTurns(dough.steps, dough.state, dough.lamination?.blocks);
  return turns && (turns.done > 0 || turns.running !== null) && turns.done < turns.of
    ? say.coded(turnMessage(turns))
    : '';
}

/** `in 25 min`, or `12 min late` for what should have begun. */
export function whenWords(say: Say, { inMinutes }: Pick<AgendaItem, 'inMinutes'>): string {
  return inMinutes < 0
    ? say('steps.lateBy', { duration: duration(-inMinutes) })
    : say.coded(fromNow(inMinutes));
}

/** `40 min later`, `2 h earlier` */
export function shiftWords(say: Say, from: number, to: number): string {
  const minutes = Math.round((to - from) / 60_000);
  return say('steps.earlierLater', { duration: duration(Math.abs(minutes)), isMinutes: minutes < 0 });
}

/** Steps that a planner can take in the hand: hands-on work that nobody has begun, in the order of the plan. */
export function movable({ steps, state }: DoughForecast): DoughForecast['steps'] {
  return steps
    .filter((step) => isHandsOn(step) && state.steps.get(step.key)?.status === 'open')
    .sort((a, b) => a.plannedStart - b.plannedStart);
}

/** Whether a dough's name or one of its products has this in it. */
export function matches(
  dough: Pick<DoughForecast, 'name'>,
  outputs: readonly OutputRecord[],
  text: string,
): boolean {
  const wanted = text.trim().toLowerCase();
  return [dough.name, ...outputs.map(({ product }) => product)].some((name) =>
    name.toLowerCase().includes(wanted),
  );
}
