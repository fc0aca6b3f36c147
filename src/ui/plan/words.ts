import type { AgendaItem, FloorDough } from '@/core/floor/agenda';
import type { BoardDough } from '@/core/floor/board';
import { minutesBehind } from '@/core/floor/times';
import { countTurns, turnWords } from '@/core/floor/turns';
import { duration, fromNow } from '@/core/units/format';

/** `120 butter crescent, 40 raisin snail` */
export function outputWords({ outputs }: Pick<BoardDough, 'outputs'>): string {
  return outputs.map(({ pieces, product }) => `${pieces} ${product.toLowerCase()}`).join(', ');
}

/** `finished`, `late 12 min`, `turn 1 of 3 done`, or nothing worth saying. */
export function stateWords(dough: FloorDough, now: number): string {
  if (dough.state.finished) return 'finished';
  const behind = minutesBehind(dough, now);
  if (behind > 0) return `late ${duration(behind)}`;
  const turns = countTurns(dough.steps, dough.state, dough.lamination?.blocks);
  return turns && (turns.done > 0 || turns.running !== null) && turns.done < turns.of ? turnWords(turns) : '';
}

/** `in 25 min`, or `12 min late` for what should have begun. */
export function whenWords({ inMinutes }: Pick<AgendaItem, 'inMinutes'>): string {
  return inMinutes < 0 ? `late ${duration(-inMinutes)}` : fromNow(inMinutes);
}
