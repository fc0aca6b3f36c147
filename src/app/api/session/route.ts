import { coded } from '@/core/codes/coded';
import { asText } from '@/words/as-text';
import Joi from 'joi';
import { REFUSED, SIGNED_OUT } from '@/core/wire/answer';
import { signIn } from '@/server/auth/pin';
import { beginSession, endSession, restSession, whoIsHere } from '@/server/auth/session';
import { tabletHere } from '@/server/auth/tablet';
import { check } from '@/server/commands/check';
import { no, reply, unbroken } from '@/server/door';
import { jsonBody } from '@/server/http';
import { readsHere } from '@/server/reader';
import { pool } from '@/server/db/pool';

const schema = Joi.object<{ personId: number; pin: string }>({
  personId: Joi.number()
    .integer()
    .positive()
    .required()
    .messages({ '*': asText(coded('refusals.whoAreYou')) }),
  pin: Joi.string()
    .pattern(/^\d{4,8}$/)
    .required()
    .messages({ '*': asText(coded('refusals.aPINHas4To8')) }),
});

/** Who is signed in here: a page asks when its feed broke off. */
export async function GET(): Promise<Response> {
  const here = await whoIsHere();
  if (!here) return reply(no(SIGNED_OUT, coded('refusals.youAreSignedOut')), undefined);
  return reply({ ok: true, result: { personId: here.person.id, sessionId: here.sessionId } }, undefined);
}

/** Signs in. */
export function POST(request: Request): Promise<Response> {
  return unbroken(request, async () => {
    const tablet = await tabletHere();
    if (!tablet) return no(403, coded('refusals.thisDeviceIsNotKnownHere'), 'pin');
    const { personId, pin } = check(schema, await jsonBody(request));
    const answer = await signIn(pool(), tablet.id, personId, pin);
    if ('refusal' in answer) return no(REFUSED, answer.refusal, 'pin');
    const sessionId = await beginSession(answer.person.id, tablet.id);
    // Several walls may be signed in under one name, each with its own language.
    await readsHere('person', answer.person.role === 'viewer' ? null : answer.language);
    return { ok: true, result: { role: answer.person.role, sessionId } };
  });
}

/** Nobody has touched this device for long: it shows, and records nothing until somebody gives a PIN. */
export function PUT(request: Request): Promise<Response> {
  return unbroken(request, async () => {
    const here = await whoIsHere();
    if (here) await restSession(here.sessionId);
    return { ok: true, result: null };
  });
}

/** Signs out on this device. */
export function DELETE(request: Request): Promise<Response> {
  return unbroken(request, async () => {
    await endSession();
    await readsHere('person', null);
    return { ok: true, result: null };
  });
}
