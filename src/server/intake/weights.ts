import Joi from 'joi';
import { noteChange } from '../store/changes';
import { insertOnce } from '../db/rows';
import { taken } from './device';

const weightSchema = Joi.object<{ id: string; grams: number }>({
  id: Joi.string().guid().required(),
  grams: Joi.number().min(0).max(200_000).required(),
});

/** POST of a weight: `{ id, grams }`, as somebody presses "send" on the scale. The same id twice is one. */
export function takeWeight(request: Request): Promise<Response> {
  return taken(request, 'scale', weightSchema, async (db, device, { id, grams }, now) => {
    const kept = await insertOnce(db, 'scale_reading', { id, device_id: device, at: new Date(now), grams });
    if (kept) await noteChange(db, { command: 'weight' });
    return { kept: Number(kept) };
  });
}
