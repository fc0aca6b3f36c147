import type { Board } from '@/core/wire/board';
import { COOLING_RULES, type CoolingRule } from '@/core/climate/cooling';
import type { SilentProbe } from '@/core/shopfloor/alarms';
import { type Excursion, excursions } from '@/core/climate/excursions';
import { MINUTE } from '@/core/time/local';
import { REMEMBERED } from './alarms-taken';
import { troublesNow } from './exceptions';
import { houseSettings } from './house';
import { type PlaceReadings } from './newest-readings';
import { type Db, rowsOf } from '../db/rows';

/** What the alarms of the floor are worked out from, beside the doughs and what the freezer gives. */
export type Calls = Omit<Board['calls'], 'thaws'>;

/** Hours for which readings of places are looked at. */
const LOOKED_BACK = 6;

const before = (now: number, hours: number) => new Date(now - hours * 60 * MINUTE);

/** The rule for cooling cooked fillings that the house follows, by its number. */
export function coolingRuleOf(number: number): CoolingRule {
  return COOLING_RULES[number - 1] ?? (COOLING_RULES[0] as CoolingRule);
}

/** Leads, alarms taken, and places that are too warm or too cold, or of which nobody hears any more. */
export async function calls(db: Db, now: number, newest: readonly PlaceReadings[]): Promise<Calls> {
  const [settings, troubles, taken] = await Promise.all([
    houseSettings(db),
    troublesNow(db, now),
    rowsOf<{ alarm: string; personId: number; at: Date }>(
      db,
      'SELECT alarm, person_id AS personId, at FROM alarm_taken WHERE at > ?',
      [before(now, REMEMBERED)],
    ),
  ]);
  const limited = newest.filter(({ limits: { low, high } }) => low !== null || high !== null);
  return {
    leads: {
      ...{ preheat: settings.preheatLead, wash: settings.washLead, butter: settings.butterLead },
      ...{ levain: settings.levainLead, thaw: settings.thawLead },
    },
    coolingRule: coolingRuleOf(settings.coolingRule),
    troubles,
    quiet: settings.catchUpAfter,
    taken: taken.map(({ at, ...row }) => ({ ...row, at: at.getTime() })),
    silent: silentOf(limited, now, { probe: settings.probeHolds, typed: settings.typedHolds }),
    excursions: await excursionsOf(db, now, limited),
  };
}

/** Places that are outside their limits now, and for how long: only of these the log is read. */
async function excursionsOf(db: Db, now: number, limited: readonly PlaceReadings[]): Promise<Excursion[]> {
  const outside = limited.filter((one) => {
    // Of food that must stay cold the newest counts, whoever has typed what.
    const celsius = [one.probe, one.typed].reduce(
      (a, b) => (b && b.at > (a?.at ?? 0) ? b : a),
      null,
    )?.celsius;
    const { low, high } = one.limits;
    return celsius !== undefined && ((high !== null && celsius > high) || (low !== null && celsius < low));
  });
  if (outside.length === 0) return [];
  const readings = await rowsOf<{ place: string; celsius: number; at: Date }>(
    db,
    `SELECT place, AVG(celsius) AS celsius, MIN(at) AS at FROM place_reading
     WHERE place IN (?) AND NOT doubted AND at > ? AND at <= ? GROUP BY place, UNIX_TIMESTAMP(at) DIV 60`,
    [outside.map(({ place }) => place.id), before(now, LOOKED_BACK), new Date(now)],
  );
  return excursions(
    outside.map(({ limits }) => limits),
    readings.map(({ at, ...reading }) => ({ ...reading, at: at.getTime() })),
  );
}

/** A probe that was silent for longer than this was taken away, hours. */
const GIVEN_UP = 7 * 24;

/** Places whose probe has said nothing for longer than it is believed, and nobody else either. */
function silentOf(
  limited: readonly PlaceReadings[],
  now: number,
  holds: { probe: number; typed: number },
): SilentProbe[] {
  const older = (at: number, hours: number) => at < now - hours * 60 * MINUTE;
  return limited.flatMap(({ place: { label }, probe, typed }) => {
    if (!probe || older(probe.at, GIVEN_UP) || !older(probe.at, holds.probe)) return [];
    return typed && !older(typed.at, holds.typed) ? [] : [{ label, since: probe.at }];
  });
}
