import type { AlarmKind } from './alarm-kinds';

/** What an alarm sounds like, by what it asks for: who hears it knows where to run before reading it. */
export const ALARM_SOUNDS = ['oven', 'cold', 'rise', 'fetch'] as const;
export type AlarmSound = (typeof ALARM_SOUNDS)[number];

/** One tone: its pitch, when it begins after the alarm does, and how long it lasts. */
export interface Tone {
  hertz: number;
  /** s */
  at: number;
  /** s */
  lasts: number;
}

const SOUND_OF: Record<AlarmKind, AlarmSound> = {
  ...({ out: 'oven', 'turn-trays': 'oven', look: 'oven' } as const),
  ...({ place: 'cold', cooling: 'cold', silent: 'cold' } as const),
  ...({ ready: 'rise', alive: 'rise' } as const),
  ...({ preheat: 'fetch', wash: 'fetch', butter: 'fetch', levain: 'fetch', thaw: 'fetch' } as const),
};

/**
 * The sound of an alarm.
 *
 * @example
 * soundOf('turn-trays'); // 'oven'
 */
export const soundOf = (kind: AlarmKind): AlarmSound => SOUND_OF[kind];

const row = (hertz: readonly number[], every: number, lasts: number): Tone[] =>
  hertz.map((one, nth) => ({ hertz: one, at: nth * every, lasts }));

/**
 * The tones of each sound. They differ in number, direction and pace and not in pitch alone, so that they are told apart
 * beside a mixer and by ears that hear high tones badly: all lie between 300 and 1500 Hz.
 */
export const TONES: Record<AlarmSound, readonly Tone[]> = {
  // Something burns: five quick ones on one high pitch.
  oven: row([1320, 1320, 1320, 1320, 1320], 0.13, 0.09),
  // Cold is lost: two long ones, falling.
  cold: row([520, 350], 0.55, 0.5),
  // A dough is ready: two, rising.
  rise: row([660, 990], 0.28, 0.25),
  // Something is fetched or mixed: one, soft and long.
  fetch: row([590], 0, 0.7),
};

/** How often a sound comes again while nobody answers, s: what burns sooner than what is fetched. */
export const AGAIN: Record<AlarmSound, number> = { oven: 8, cold: 20, rise: 20, fetch: 40 };
