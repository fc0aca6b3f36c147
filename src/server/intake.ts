import Joi from 'joi';
import { tokenHash } from './auth/token';
import { rowsOf, transaction, write, type Db } from './db/rows';
import { pool } from './db/pool';
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
  const raw: unknown = await request.json().catch(() => undefined);
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

/** POST of probe readings: `{ readings: [{ place, celsius, humidity?, at? }] }`. The same reading twice is one. */
export function takeReadings(request: Request): Promise<Response> {
  return taken(request, 'probes', readingsSchema, async (db, _, { readings }, now) => {
    const places = await rowsOf<{ id: string; label: string; lowest: number; highest: number }>(
      db,
      'SELECT id, label, lowest, highest FROM place',
    );
    const known = new Map(places.map((place) => [place.id, place]));
    const rows = readings.flatMap(({ place, celsius, humidity, at }) => {
      const where = known.get(place);
      if (!where) return [];
      return [
        [
          place,
          new Date(Math.min(at ?? now, now)),
          Math.max(-99, Math.min(999, celsius)),
          humidity ?? null,
          doubtOf(celsius, where),
        ],
      ];
    });
    if (rows.length > 0) {
      await write(db, 'INSERT IGNORE INTO place_reading (place, at, celsius, humidity, doubt) VALUES ?', [
        rows,
      ]);
      await write(db, "INSERT INTO change_feed (at, command) VALUES (?, 'readings')", [new Date()]);
    }
    return { kept: rows.length, unknown: readings.length - rows.length };
  });
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
