import { COOLING_RULES, type CoolingRule } from '../climate/cooling';
import type { Excursion } from '../climate/excursions';
import type { OvenDecks } from '../bakery/decks';
import type { Machine, PlaceOfKind } from '../bakery/machines';
import type { Person } from '../bakery/people';
import type { RollingHouse } from '../bakery/rolling';
import type { DoughRecord } from '../record/dough';
import type { AlarmTaken, Leads, SilentProbe, Thaw } from '../shopfloor/alarms';
import { probeReadings, type Conditions } from '../forecast/conditions';
import type { Today } from '../forecast/windows';
import type { Instant } from '../time/local';
import type { Presence } from '../time/shifts';
import type { Trouble } from './trouble';

/** What a signed-in screen starts from. */
export interface Board {
  house: { name: string; zone: string };
  people: Person[];
  machines: Machine[];
  presences: Presence[];
  rolling: RollingHouse;
  /** What the scale last said, where it said so just now. */
  scale: { grams: number; at: Instant } | null;
  /** Latest reading of each place. */
  places: { place: string; label: string; celsius: number; humidity: number | null; at: Instant }[];
  /** Temperatures of the places as the house reckons with them today. */
  today: Today;
  /** Places that a dough can be in, in the house's order. */
  rooms: readonly PlaceOfKind[];
  /** The decks of each oven. */
  decks: OvenDecks;
  /** Core probes that can be in a dough, and what each last said. */
  coreProbes: { id: string; label: string; celsius: number | null; at: Instant }[];
  doughs: DoughRecord[];
  /** What alarms are worked out from beside the doughs. */
  calls: {
    leads: Leads;
    taken: AlarmTaken[];
    excursions: Excursion[];
    thaws: Thaw[];
    silent: SilentProbe[];
    coolingRule: CoolingRule;
    /** Minutes without a record after which it is asked what was done. */
    quiet: number;
    /** Machines that are out and people who cannot work, now. */
    troubles: Trouble[];
  };
}

/** For a page that shows no alarms. */
export const NO_CALLS: Board['calls'] = {
  leads: { preheat: 0, wash: 0, butter: 0, levain: 0, thaw: 0 },
  taken: [],
  excursions: [],
  thaws: [],
  silent: [],
  coolingRule: COOLING_RULES[0] as CoolingRule,
  quiet: 720,
  troubles: [],
};

/** How long a finished dough is still of use to the floor, hours: for its count, an undo, a handover. */
const KEPT = 14;

/** A board without the doughs that the floor has done with: every screen of it folds and draws all that it is sent. */
export function withoutOver(board: Board, now: Instant): Board {
  const since = now - KEPT * 3_600_000;
  return {
    ...board,
    doughs: board.doughs.filter(({ finished }) => finished === undefined || finished > since),
  };
}

/** What forecasts depend on beside the doughs. */
export function conditionsOf({ today, coreProbes, decks, machines }: Board): Conditions {
  return { places: today, probes: probeReadings(coreProbes), decks, machines };
}
