import { wordsIn } from '@/words/compile';
import type { Language } from '@/words/message';
import type Joi from 'joi';
import { pool } from '../db/pool';
import { type Db, transaction } from '../db/rows';
import type { PoolConnection } from 'mysql2/promise';
import { jsonBody } from '../http';
import { houseNow } from '../store/clock';
import { deviceByToken } from '../store/devices';

/** What devices are answered in: nobody is signed in at a probe, and whoever sets one up reads a manual. */
export const TO_DEVICES: Language = 'en';

/** The device that a request's bearer token belongs to, or null. */
export async function deviceOf(db: Db, request: Request, kind: 'probes' | 'scale'): Promise<string | null> {
  const token = /^Bearer (\S{8,200})$/.exec(request.headers.get('authorization') ?? '')?.[1];
  if (!token) return null;
  const row = await deviceByToken(db, token, kind);
  return row?.id ?? null;
}

/** A refusal in a sentence. */
export const refuse = (status: number, message: string) => Response.json({ ok: false, message }, { status });

/** Checks token and body, and hands both on. */
export async function taken<T>(
  request: Request,
  kind: 'probes' | 'scale',
  schema: Joi.ObjectSchema<T>,
  keep: (db: PoolConnection, device: string, body: T, now: number) => Promise<unknown>,
): Promise<Response> {
  const device = await deviceOf(pool(), request, kind);
  if (!device) return refuse(401, wordsIn(TO_DEVICES)('refusals.thisDeviceHasNoRightToken'));
  const raw = await jsonBody(request);
  const { value, error } = schema.validate(raw ?? {}) as { value: T; error?: Error };
  if (error) return refuse(400, wordsIn(TO_DEVICES)('refusals.couldNotBeRead', { fault: error.message }));
  const result = await transaction(pool(), async (db) => keep(db, device, value, await houseNow(db)));
  return Response.json({ ok: true, result });
}
