import Joi from 'joi';
import { beginSession, endSession, restSession } from '@/server/auth/session';
import { signIn } from '@/server/auth/pin';
import { check } from '@/server/commands/check';
import { Refusal } from '@/server/commands/command';
import { refused } from '@/server/commands/run';
import { pool } from '@/server/db/pool';
import { fromOwnPage, jsonBody } from '@/server/http';

const schema = Joi.object<{ personId: number; pin: string }>({
  personId: Joi.number().integer().positive().required().messages({ '*': 'Who are you?' }),
  pin: Joi.string()
    .pattern(/^\d{4,8}$/)
    .required()
    .messages({ '*': 'A PIN has 4 to 8 digits.' }),
});

/** Signs in. */
export async function POST(request: Request): Promise<Response> {
  const no = (status: number, refusal: Refusal) => Response.json(refused(status, refusal), { status });
  if (!fromOwnPage(request)) return no(403, new Refusal('This came from another site and was not done.'));
  try {
    const { personId, pin } = check(schema, await jsonBody(request));
    const answer = await signIn(pool(), personId, pin);
    if ('refusal' in answer) return no(422, new Refusal(answer.refusal, 'pin'));
    await beginSession(answer.person.id);
    return Response.json({ ok: true, result: { role: answer.person.role } });
  } catch (error) {
    if (error instanceof Refusal) return no(422, error);
    throw error;
  }
}

/** Nobody has touched this device for long: it shows, and records nothing until somebody gives a PIN. */
export async function PUT(request: Request): Promise<Response> {
  if (!fromOwnPage(request)) return Response.json({ ok: false }, { status: 403 });
  await restSession();
  return Response.json({ ok: true, result: null });
}

/** Signs out on this device. */
export async function DELETE(request: Request): Promise<Response> {
  if (!fromOwnPage(request)) return Response.json({ ok: false }, { status: 403 });
  await endSession();
  return Response.json({ ok: true, result: null });
}
