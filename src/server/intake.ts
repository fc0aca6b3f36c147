import Joi from 'joi';
import { tokenHash } from './auth/token';
import { rowsOf, transaction, write, type Db } from './db/rows';
import { pool } from './db/pool';
import { jsonBody } from './http';
import { houseNow } from './queries/clock';

/** What devices send: readings of probes, weights of a scale. */
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

const weightSchema = Joi.object<{ id: string; grams: number }>({
  id: Joi.string().guid().required(),
  grams: Joi.number().min(0).max(200_000).required(),
});

/** The device that a request's bearer token belongs to, or null. */
async function deviceOf(db: Db, request: Request, kind: 'probes' | 'scale'): Promise<string | null> {
  const token = /^Bearer (\S{8,200})$/.exec(request.headers.get('authorization') ?? '')?.[1];
  if (!token) return null;
  const [row] = await rowsOf<{ id: string }>(db, 'SELECT id FROM device WHERE token_hash = ? AND kind = ?', [
    ...[tokenHash(token), kind],
  ]);
  return row?.id ?? null;
}

const refuse = (status: number, message: string) => Response.json({ ok: false, message }, { status });

/** Checks token and body, and hands both on. */
async function taken<T>(
  request: Request,
  kind: 'probes' | 'scale',
  schema: Joi.ObjectSchema<T>,
  keep: (db: Db, device: string, body: T, now: number) => Promise<unknown>,
): Promise<Response> {
  const device = await deviceOf(pool(), request, kind);
  if (!device) return refuse(401, 'This device has no right token.');
  const raw = await jsonBody(request);
  const { value, error } = schema.validate(raw ?? {}) as { value: T; error?: Error };
  if (error) return refuse(400, `That could not be read: ${error.message}.`);
  const result = await transaction(pool(), async (db) => keep(db, device, value, await houseNow(db)));
  return Response.json({ ok: true, result });
}

/** Why a reading is not believed: what sensors say when they are broken, or what cannot be true of the place. */
function doubtOf(
  celsius: number,
  { label, lowest, highest }: { label: string; lowest: number; highest: number },
): string | null {
  const shown = `${Math.round(celsius * 10) / 10} °C`;
  if (celsius === 85 || celsius <= -55 || celsius >= 327)
    return `The probe said ${shown}, as a broken one does; not believed.`;
  if (celsius < lowest || celsius > highest)
    return `The probe said ${shown}, which cannot be true of ${label.toLowerCase()}; not believed.`;
  return null;
}

/** How far a probe's clock may be ahead, and how old a reading may be that is still taken, ms. */
const AHEAD = 5 * 60_000;
const OLDEST = 31 * 24 * 3_600_000;
/** Screens are told of readings when one has moved by so much, °C, or when so long nothing was told, ms. */
const MOVED = 1;
const TOLD_EVERY = 60_000;

/**
 * POST of probe readings: `{ readings: [{ place, celsius, humidity?, at? }] }`, in any order. The same reading twice is
 * one; readings of unknown places, from beyond now or from more than a month ago are counted and not kept.
 */
export function takeReadings(request: Request): Promise<Response> {
  return taken(request, 'probes', readingsSchema, async (db, _, { readings }, now) => {
    const places = await rowsOf<KnownPlace>(
      db,
      `SELECT id, label, lowest, highest,
         (SELECT celsius FROM place_reading WHERE place = place.id ORDER BY at DESC LIMIT 1) AS last FROM place`,
    );
    const known = new Map(places.map((place) => [place.id, place]));
    const rows: (string | number | Date | null)[][] = [];
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
        rows.push([place, new Date(Math.min(at, now)), shown, humidity ?? null, doubt]);
        moved ||= doubt !== null || where.last === null || Math.abs(shown - where.last) >= MOVED;
      }
    }
    if (rows.length > 0) {
      await write(db, 'INSERT IGNORE INTO place_reading (place, at, celsius, humidity, doubt) VALUES ?', [
        rows,
      ]);
      await tellReadings(db, moved);
    }
    return { kept: rows.length, ...left };
  });
}

interface KnownPlace {
  id: string;
  label: string;
  lowest: number;
  highest: number;
  /** The newest reading, believed or not. */
  last: number | null;
}

/** Ten probes that say the same every ten seconds would keep all screens busy for nothing. */
async function tellReadings(db: Db, moved: boolean): Promise<void> {
  const at = new Date();
  const [lately] = moved
    ? []
    : await rowsOf<{ id: number }>(
        db,
        "SELECT id FROM change_feed WHERE command = 'readings' AND at > ? ORDER BY id DESC LIMIT 1",
        [new Date(at.getTime() - TOLD_EVERY)],
      );
  if (!lately) await write(db, "INSERT INTO change_feed (at, command) VALUES (?, 'readings')", [at]);
}

/** POST of a weight: `{ id, grams }`, as somebody presses "send" on the scale. The same id twice is one. */
export function takeWeight(request: Request): Promise<Response> {
  return taken(request, 'scale', weightSchema, async (db, device, { id, grams }, now) => {
    const { touched } = await write(
      db,
      'INSERT IGNORE INTO scale_reading (id, device_id, at, grams) VALUES (?, ?, ?, ?)',
      [...[id, device, new Date(now), grams]],
    );
    if (touched > 0)
      await write(db, "INSERT INTO change_feed (at, command) VALUES (?, 'weight')", [new Date()]);
    return { kept: touched };
  });
}

/** The last weight that a scale has sent within some minutes of `now`; null where there is none. */
export async function lastWeight(
  db: Db,
  now: number,
): Promise<{ id: string; grams: number; at: number } | null> {
  const [row] = await rowsOf<{ id: string; grams: number; at: Date }>(
    db,
    'SELECT id, grams, at FROM scale_reading WHERE at > ? AND at <= ? ORDER BY at DESC LIMIT 1',
    [new Date(now - 10 * 60_000), new Date(now)],
  );
  return row ? { ...row, at: row.at.getTime() } : null;
}
