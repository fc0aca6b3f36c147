import type { DoughForecast } from '../forecast/forecast';
import type { Verdict } from '../learning/verdicts';
import type { RisePhase } from '../process/route';
import type { DoughRecord } from '../record/dough';
import type { FloorEvent } from '../record/events';
import type { AlarmTaken } from '../shopfloor/alarms';
import type { Instant } from '../time/local';

/** With what somebody looks at a dough: eyes, a thermometer, a hand that presses or bends. */
export const SENSES = ['eye', 'thermometer', 'hand'] as const;
export type Sense = (typeof SENSES)[number];

/** What was found: how a rise looks, how warm it is at its core, how a dough or butter yields, what colour a bake has. */
export type Found =
  | { sense: 'eye'; of: 'rise'; phase: RisePhase; verdict: Verdict; isDry?: boolean }
  | { sense: 'eye'; of: 'bake'; colour: 'pale' | 'right' | 'dark' }
  | { sense: 'thermometer'; celsius: number }
  | { sense: 'hand'; check: 'spring'; answer: 'good' | 'springs' }
  | { sense: 'hand'; check: 'bend'; answer: 'good' | 'snaps' | 'smears' };

/** One look in a practice night. */
export interface NightLook {
  at: Instant;
  doughId: number;
  stepKey: string;
  found: Found;
}

/** What somebody did in a practice night. */
export interface NightRecord {
  /** What the night's clock shows. */
  at: Instant;
  events: FloorEvent[];
  looks: NightLook[];
  taken: AlarmTaken[];
}

/** A dough of a night with its forecast. */
export interface NightDough {
  record: DoughRecord;
  forecast: DoughForecast;
}
