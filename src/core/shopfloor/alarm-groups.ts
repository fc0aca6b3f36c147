import { coded } from '../codes/coded';
import { MINUTE } from '../time/local';
import type { AlarmKind } from './alarm-kinds';
import type { Alarm } from './alarms';

/** Alarms of one cause that come together: said once, answered once. */
export interface AlarmGroup extends Alarm {
  /** All of them, the first one among them. */
  all: readonly Alarm[];
}

/** By what is lost while one waits: a bake burns in minutes, a proof in a quarter of an hour, what is fetched can be fetched later. */
const ORDER: readonly AlarmKind[] = [
  ...(['out', 'turn-trays', 'look', 'place', 'cooling', 'ready', 'alive'] as const),
  ...(['preheat', 'wash', 'butter', 'levain', 'thaw', 'silent'] as const),
];

/** Kinds that are one errand for several doughs. */
const ERRANDS: readonly AlarmKind[] = ['preheat', 'wash', 'butter', 'turn-trays', 'look'];

/** Errands of one kind that are due within so many minutes are done at one go. */
const AT_ONE_GO = 15;

/**
 * Puts alarms into the order in which they matter, and what is one errand into one line that names all its doughs.
 *
 * @param open - alarms that nobody has answered
 *
 * @example
 * groupAlarms([wash(1, '05:10'), wash(2, '05:12')]); // one line: "Mix egg wash for Crescent 1 and Crescent 2, 05:10"
 */
export function groupAlarms(open: readonly Alarm[]): AlarmGroup[] {
  const groups: { all: Alarm[] }[] = [];
  const ordered = [...open].sort((a, b) => ORDER.indexOf(a.kind) - ORDER.indexOf(b.kind) || a.at - b.at);
  for (const alarm of ordered) {
    const group = groups.find(({ all: [first] }) => first && belongsTo(first, alarm));
    if (group) group.all.push(alarm);
    else groups.push({ all: [alarm] });
  }
  return groups.flatMap(({ all }) => {
    const [first] = all;
    return first ? [{ ...first, all, message: messageOf(first, all) }] : [];
  });
}

function belongsTo(first: Alarm, alarm: Alarm): boolean {
  const { celsius } = alarm.message.values;
  return (
    first.kind === alarm.kind &&
    ERRANDS.includes(alarm.kind) &&
    first.message.code === alarm.message.code &&
    // Two ovens at two temperatures are two errands.
    JSON.stringify(first.message.values.celsius) === JSON.stringify(celsius) &&
    alarm.at - first.at <= AT_ONE_GO * MINUTE
  );
}

function messageOf({ message }: Alarm, all: readonly Alarm[]): Alarm['message'] {
  if (all.length === 1) return message;
  const names = all.flatMap(({ message: { values } }) => {
    const { name } = values;
    return typeof name === 'string' || (typeof name === 'object' && 'code' in name) ? [name] : [];
  });
  return coded(message.code, { ...message.values, name: [...new Set(names)] });
}
