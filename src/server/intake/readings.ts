import Joi from 'joi';
import { pool } from '../db/pool';
import type { PoolConnection } from 'mysql2/promise';
import { noteChange } from '../store/changes';
import { forgetDays } from '../store/place-hours';
import { houseNow } from '../store/clock';
import { demoWishes } from '../store/demo-wishes';
import { TO_DEVICES, deviceOf, refuse, taken } from './device';
import { coded } from '@/core/codes/coded';
import { asText } from '@/words/as-text';
import { wordsIn } from '@/words/compile';
import { boundsOfPlaces, insertReadings, lastReadingsChange, type NewReading } from '../store/readings';

/** What a probe says of a place, or a core probe of the dough that it is in. */
export interface ProbeReading {
  place: string;
  celsius: number;
  humidity?: number;
  /** When it was measured, ms; left out, now. */
  at?: number;
}

const readingsSchema = Joi.object<{ readings: ProbeReading[] }>({
  readings: Joi.array()
    .items(
      Joi.object({
        place: Joi.string().max(40).required(),
        celsius: Joi.number().required(),
        humidity: Joi.number(),
        at: Joi.number().integer(),
      }),
    )
    .min(1)
    .max(500)
    .required(),
});

/** Why a reading is not believed: what sensors say when they are broken, or what cannot be true of the place. */
function doubtOf(
  celsius: number,
  { label, lowest, highest }: { label: string; lowest: number; highest: number },
): string | null {
  if (celsius === 85 || celsius <= -55 || celsius >= 327)
    return asText(coded('rooms.asABrokenProbe', { celsius: { celsius } }));
  if (celsius < lowest || celsius > highest)
    return asText(coded('rooms.cannotBeTrueOf', { celsius: { celsius }, place: { inLine: label } }));
  return null;
}

/** How far a probe's clock may be ahead, and how old a reading may be that is still taken, ms. */
const AHEAD = 5 * 60_000;
const DAY = 24 * 3_600_000;
const OLDEST = 31 * DAY;
/** Screens are told of readings at once when one has moved by so much, °C. */
const MOVED = 1;

/**
 * POST of probe readings: `{ readings: [{ place, celsius, humidity?, at? }] }`, in any order. The same reading twice is
 * one; readings of unknown places, from beyond now or from more than a month ago are counted and not kept.
 */
export function takeReadings(request: Request): Promise<Response> {
  return taken(request, 'probes', readingsSchema, async (db, _, { readings }, now) => {
    const places = await boundsOfPlaces(db);
    const known = new Map(places.map((place) => [place.id, place]));
    const rows: NewReading[] = [];
    const left = { unknown: 0, ahead: 0, old: 0 };
    let moved = false;
    for (const { place, celsius, humidity, at = now } of readings) {
      const where = known.get(place);
      if (!where) left.unknown++;
      else if (at > now + AHEAD) left.ahead++;
      else if (at < now - OLDEST) left.old++;
      else {
        const shown = Math.max(-99, Math.min(999, celsius));
        const doubt = doubtOf(celsius, where);
        rows.push({
          place,
          at: new Date(Math.min(at, now)),
          celsius: shown,
          humidity: humidity ?? null,
          doubt,
        });
        moved ||= doubt !== null || where.last === null || Math.abs(shown - where.last) >= MOVED;
      }
    }
    if (rows.length > 0) {
      // The same reading twice is one: the first stays.
      await insertReadings(db, rows);
      const today = Math.floor(now / DAY) * DAY;
      await forgetDays(
        db,
        readings.flatMap(({ place, at = now }) =>
          known.has(place) && at < today && at >= now - OLDEST ? [{ place, at }] : [],
        ),
      );
      await tellReadings(db, moved);
    }
    return { kept: rows.length, ...left, now };
  });
}

/** Ten probes that say the same every ten seconds would keep all screens busy for nothing. */
async function tellReadings(db: PoolConnection, moved: boolean): Promise<void> {
  const at = new Date();
  const [lately] = moved ? [] : await lastReadingsChange(db, at);
  if (!lately) await noteChange(db, { command: 'readings' });
}

/** GET of the house's time, for gateways without a clock: `{ now }`, ms. */
export async function tellTime(request: Request): Promise<Response> {
  const device = await deviceOf(pool(), request, 'probes');
  if (!device) return refuse(401, wordsIn(TO_DEVICES)('refusals.thisDeviceHasNoRightToken'));
  const now = await houseNow(pool());
  const wishes = await demoWishes(pool(), now);
  return Response.json({ ok: true, result: { now, ...(wishes?.door ? { door: wishes.door } : {}) } });
}
