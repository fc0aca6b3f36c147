import Joi from 'joi';
import { looksOn } from '@/core/floor/rights';
import { signedIn } from '@/server/auth/session';
import { check } from '@/server/commands/check';
import { Refusal } from '@/server/commands/command';
import { refused } from '@/server/commands/run';
import { clientId, doughId } from '@/server/commands/schemas';
import { pool } from '@/server/db/pool';
import { fromOwnPage, limitedBody } from '@/server/http';
import { keepPhoto, LARGEST_PHOTO, photoBytes, type PhotoOf } from '@/server/photos';

const schema = Joi.object<PhotoOf>({
  id: clientId,
  doughId,
  stepKey: Joi.string().max(80).allow(null).required(),
});

type Params = { params: Promise<{ id: string }> };

const no = (status: number, message: string) =>
  Response.json(refused(status, new Refusal(message, 'photo')), { status });

/** Keeps a photo: its bytes are the body, what it shows is in the address: `?dough=3&step=5.1.bake`. */
export async function PUT(request: Request, { params }: Params): Promise<Response> {
  if (!fromOwnPage(request)) return no(403, 'This came from another site and was not done.');
  const person = await signedIn();
  if (!person) return no(401, 'You are signed out. Sign in and take it again.');
  // As good as signed out: a photo that waits on the tablet goes on waiting.
  if (looksOn(person.role)) return no(401, 'Somebody has to sign in first; the photo was not kept.');
  const bytes = await limitedBody(request, LARGEST_PHOTO);
  if (!bytes) return no(413, 'This photo is larger than 1.5 MB and was not kept.');
  const asked = new URL(request.url).searchParams;
  try {
    const of = check(schema, {
      id: (await params).id,
      doughId: Number(asked.get('dough')),
      stepKey: asked.get('step'),
    });
    return Response.json({ ok: true, result: await keepPhoto(person, of, bytes) });
  } catch (error) {
    if (error instanceof Refusal) return no(422, error.message);
    throw error;
  }
}

/** A photo, as a picture and nothing else. */
export async function GET(_: Request, { params }: Params): Promise<Response> {
  if (!(await signedIn())) return new Response('Sign in first.', { status: 401 });
  const photo = await photoBytes(pool(), (await params).id);
  if (!photo) return new Response('There is no such photo.', { status: 404 });
  return new Response(new Uint8Array(photo.bytes), {
    headers: {
      'content-type': photo.type,
      'cache-control': 'private, max-age=31536000, immutable',
      'x-content-type-options': 'nosniff',
      'content-security-policy': "default-src 'none'",
    },
  });
}
