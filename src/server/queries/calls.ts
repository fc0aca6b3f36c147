import type { AlarmTaken, Leads } from '@/core/floor/alarms';
import { COOLING_RULES, type CoolingRule } from '@/core/floor/cooling';
import { excursions, type Excursion, type PlaceLimits } from '@/core/floor/excursions';
import { MINUTE } from '@/core/time/local';
import { rowsOf, type Db } from '../db/rows';
import { houseValues } from './house';

/** What the alarms of the floor are worked out from, beside the doughs. */
export interface Calls {
  leads: Leads;
  taken: AlarmTaken[];
  excursions: Excursion[];
  coolingRule: CoolingRule;
}

/** Hours for which a taken alarm is remembered, and for which readings of places are looked at. */
const REMEMBERED = 24;
const LOOKED_BACK = 6;

const before = (now: number, hours: number) => new Date(now - hours * 60 * MINUTE);

/** The rule for cooling cooked fillings that the house follows, by its number. */
export function coolingRuleOf(number: number): CoolingRule {
  return COOLING_RULES[number - 1] ?? (COOLING_RULES[0] as CoolingRule);
}

/** Leads, alarms taken, and places that are too warm or too cold. */
export async function calls(db: Db, now: number): Promise<Calls> {
  const [value, taken, limits, readings] = await Promise.all([
    houseValues(db),
    rowsOf<{ alarm: string; personId: number; at: Date }>(
      db,
      'SELECT alarm, person_id AS personId, at FROM alarm_taken WHERE at > ?',
      [before(now, REMEMBERED)],
    ),
    rowsOf<PlaceLimits>(
      db,
      `SELECT id AS place, label, alarm_low AS low, alarm_high AS high, alarm_minutes AS minutes FROM place
       WHERE alarm_low IS NOT NULL OR alarm_high IS NOT NULL`,
    ),
    rowsOf<{ place: string; celsius: number; at: Date }>(
      db,
      `SELECT r.place, AVG(r.celsius) AS celsius, MIN(r.at) AS at FROM place_reading r JOIN place ON place.id = r.place
       WHERE r.doubt IS NULL AND r.at > ? AND r.at <= ? AND (alarm_low IS NOT NULL OR alarm_high IS NOT NULL)
       GROUP BY r.place, UNIX_TIMESTAMP(r.at) DIV 60`,
      [before(now, LOOKED_BACK), new Date(now)],
    ),
  ]);
  return {
    leads: { preheat: value('preheat_lead'), wash: value('wash_lead'), butter: value('butter_lead') },
    coolingRule: coolingRuleOf(value('cooling_rule')),
    taken: taken.map(({ at, ...row }) => ({ ...row, at: at.getTime() })),
    excursions: excursions(
      limits,
      readings.map(({ at, ...reading }) => ({ ...reading, at: at.getTime() })),
    ),
  };
}
