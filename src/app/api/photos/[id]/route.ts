import { wordsHere } from '@/server/reader';
import { coded } from '@/core/codes/coded';
import Joi from 'joi';
import { check } from '@/server/commands/check';
import { clientId, doughId } from '@/server/commands/schemas';
import { pool } from '@/server/db/pool';
import { changing, no, reading } from '@/server/door';
import { limitedBody } from '@/server/http';
import { keepPhoto, LARGEST_PHOTO } from '@/server/photos';
import { photoBytes, type PhotoOf } from '@/server/store/photos';

const schema = Joi.object<PhotoOf>({
  id: clientId,
  doughId,
  stepKey: Joi.string().max(80).allow(null).required(),
  at: Joi.number().integer().positive().allow(null).required(),
});

type Params = { params: Promise<{ id: string }> };

/** Keeps a photo: its bytes are the body, what it shows and when it was taken are in the address:
 * `?dough=3&step=5.1.bake&at=1795057800000`. */
export function PUT(request: Request, { params }: Params): Promise<Response> {
  return changing(request, 'PUT /api/photos', async ({ person }) => {
    const bytes = await limitedBody(request, LARGEST_PHOTO);
    if (!bytes) return no(413, coded('refusals.thisPhotoIsLargerThan1'), 'photo');
    const asked = new URL(request.url).searchParams;
    const of = check(schema, {
      id: (await params).id,
      doughId: Number(asked.get('dough')),
      stepKey: asked.get('step'),
      at: asked.has('at') ? Number(asked.get('at')) : null,
    });
    return { ok: true, result: await keepPhoto(person, of, bytes) };
  });
}

/** A photo, as a picture and nothing else. */
export function GET(_: Request, { params }: Params): Promise<Response> {
  return reading('GET /api/photos', async () => {
    const photo = await photoBytes(pool(), (await params).id);
    if (!photo) return new Response((await wordsHere())('refusals.noSuchPhoto'), { status: 404 });
    return new Response(new Uint8Array(photo.bytes), {
      headers: { 'content-type': photo.type, 'content-security-policy': "default-src 'none'" },
    });
  });
}
