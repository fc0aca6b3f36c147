import type { Say } from '@/words/say';
import { coded } from '@/core/codes/coded';
import type { DoughRecord } from '@/core/record/dough';
import type { FloorEvent, FloorEventKind } from '@/core/record/events';

/** What each kind of event is called. */
export const eventWords = (say: Say): Record<FloorEventKind, string> => ({
  start: say('live.started'),
  finish: say('live.done'),
  skip: say('live.skipped'),
  temperature: say('live.temperature'),
  note: say('live.note'),
  undo: say('live.undone'),
  verdict: say('live.proofJudged'),
  alive: say('live.lookedAt'),
  conditions: say('live.temperaturesAtTheBowl'),
  mix: say('live.actualAmounts'),
  turn: say('live.folds'),
  check: say('live.lookedAt'),
  weigh: say('live.piecesWeighed'),
  scrap: say('live.trimmings'),
  count: say('live.counted'),
  marks: say('live.marks'),
  take: say('live.takenOn'),
  probe: say('live.coreProbe'),
  move: say('live.moved'),
  deck: say('live.decks'),
  lost: say('live.lost'),
  close: say('live.closed'),
  bag: say('live.frozen'),
});

/**
 * What a tap is, for whoever has to confirm it or reads why it was refused.
 *
 * @example
 * aboutTap(event, dough); // 'Crescent 39, Mix: started'
 */
export function aboutTap(
  say: Say,
  { kind, stepKey, celsius, text }: Pick<FloorEvent, 'kind' | 'stepKey' | 'celsius' | 'text'>,
  dough: Pick<DoughRecord, 'name' | 'steps'> | undefined,
): string {
  const step = dough?.steps.find(({ key }) => key === stepKey);
  const where = [dough?.name, step && say.coded(step.label)].filter((part) => part !== undefined).join(', ');
  const what =
    celsius === null ? eventWords(say)[kind] : say.coded(coded('live.measured', { celsius: { celsius } }));
  const said = text === null ? what : `${what} “${text.slice(0, 60)}”`;
  return where === '' ? said : `${where}: ${said}`;
}
