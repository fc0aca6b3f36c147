import type { DoughRecord } from '@/core/record/dough';
import type { FloorEvent, FloorEventKind } from '@/core/record/events';

/** What each kind of event is called. */
export const EVENT_WORDS: Record<FloorEventKind, string> = {
  start: 'started',
  finish: 'done',
  skip: 'skipped',
  temperature: 'temperature',
  note: 'note',
  undo: 'undo',
  verdict: 'proof judged',
  alive: 'looked at',
  conditions: 'temperatures at the bowl',
  mix: 'actual amounts',
  turn: 'folds',
  check: 'checked',
  weigh: 'pieces weighed',
  scrap: 'trimmings',
  count: 'counted',
  marks: 'marks',
  take: 'taken on',
  needle: 'core probe',
  move: 'moved',
  deck: 'deck',
};

/**
 * What a tap is, for whoever has to confirm it or reads why it was refused.
 *
 * @example
 * aboutTap(event, dough); // 'Crescent 39, Mix: started'
 */
export function aboutTap(
  { kind, stepKey, celsius, text }: Pick<FloorEvent, 'kind' | 'stepKey' | 'celsius' | 'text'>,
  dough: Pick<DoughRecord, 'name' | 'steps'> | undefined,
): string {
  const step = dough?.steps.find(({ key }) => key === stepKey);
  const where = [dough?.name, step?.label].filter((part) => part !== undefined).join(', ');
  const what = celsius === null ? EVENT_WORDS[kind] : `${celsius} °C`;
  const said = text === null ? what : `${what} “${text.slice(0, 60)}”`;
  return where === '' ? said : `${where}: ${said}`;
}
