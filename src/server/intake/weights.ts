import Joi from 'joi';
import { write } from '../db/rows';
import { taken } from './device';

const weightSchema = Joi.object<{ id: string; grams: number }>({
  id: Joi.string().guid().required(),
  grams: Joi.number().min(0).max(200_000).required(),
});

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
