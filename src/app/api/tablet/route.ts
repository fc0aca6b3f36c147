import { coded } from '@/core/codes/coded';
import { asText } from '@/words/as-text';
import Joi from 'joi';
import { REFUSED } from '@/core/wire/answer';
import { enrolByCode, enrolFreely, tabletHere } from '@/server/auth/tablet';
import { check } from '@/server/commands/check';
import { pool } from '@/server/db/pool';
import { no, unbroken } from '@/server/door';
import { jsonBody, letsAnybodyIn } from '@/server/http';

const schema = Joi.object<{ code: string; name: string }>({
  code: Joi.string()
    .max(40)
    .required()
    .messages({ '*': asText(coded('refusals.typeTheCodeThatAPlanner')) }),
  name: Joi.string()
    .trim()
    .min(1)
    .max(60)
    .required()
    .messages({
      '*': asText(coded('refusals.giveThisDeviceANameSuch')),
    }),
});

/** Lets this device in, by a planner's code; in the demo on loopback without one. */
export function POST(request: Request): Promise<Response> {
  return unbroken(request, async () => {
    if (await tabletHere()) return { ok: true, result: null };
    if (letsAnybodyIn(request)) {
      await enrolFreely(pool(), 'Demo device');
      return { ok: true, result: null };
    }
    const { code, name } = check(schema, await jsonBody(request));
    const fault = await enrolByCode(pool(), code, name);
    return fault === null ? { ok: true, result: null } : no(REFUSED, fault, 'code');
  });
}
