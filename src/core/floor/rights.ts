import type { Person } from './board';
import type { FloorEvent } from './events';

/** What a helper may record: that something was begun or is done, how warm it is, how much came of it, and a note. */
const TICKS: readonly FloorEvent['kind'][] = [
  'take',
  'start',
  'finish',
  'undo',
  'temperature',
  'note',
  'count',
  'weigh',
  'needle',
  'move',
  'deck',
];

/** Tells whether somebody of this role may record such an event. */
export function mayRecord(role: Person['role'], kind: FloorEvent['kind']): boolean {
  if (role === 'viewer') return false;
  return role !== 'helper' || TICKS.includes(kind);
}

/** Tells whether the person of this role only looks on: a screen on the wall, or a tablet that nobody has touched for long. */
export const looksOn = (role: Person['role']): boolean => role === 'viewer';

/**
 * Who is at a tablet that nobody has touched for long: nobody. Their number is nobody's either, so that what somebody has
 * recorded and still waits on the tablet is sent when they are back, and not refused in the meantime.
 */
export function resting(person: Person): Person {
  return { ...person, id: 0, name: 'Nobody', role: 'viewer' };
}
