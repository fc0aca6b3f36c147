import { type Alarm, alarms } from '@/core/shopfloor/alarms';
import { conditionsOf } from '@/core/wire/board';
import { forecastDough } from '@/core/forecast/forecast';
import { sharedBoard } from './shared-board';
import { type Db } from '../db/rows';

/** Days back from which doughs can ring, and by how much a tablet may hear it before the server, minutes. */
const DAYS_BACK = 1;
const AHEAD = 2;

/** The alarms of the floor that ring now, taken or not. */
export async function ringing(db: Db, now: number): Promise<Alarm[]> {
  const board = await sharedBoard(db, now, DAYS_BACK);
  const { doughs, calls, house, machines } = board;
  const conditions = conditionsOf(board);
  const forecasts = doughs.map((dough) => forecastDough(dough, conditions, now));
  return alarms(forecasts, now, { ...calls, machines, zone: house.zone, ahead: AHEAD });
}
