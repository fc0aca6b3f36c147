import { wordsHere } from '@/server/reader';
import Joi from 'joi';
import { coded } from '@/core/codes/coded';
import type { ReaderUnits } from '@/core/units/reader';
import { REFUSED } from '@/core/wire/answer';
import { pinFault } from '@/server/auth/pin';
import { enrolByCode, tabletHere } from '@/server/auth/tablet';
import { check } from '@/server/commands/check';
import { unitsForm, zoneForm } from '@/server/commands/house/house';
import { pool } from '@/server/db/pool';
import { no, unbroken } from '@/server/door';
import { jsonBody } from '@/server/http';
import { openBakery } from '@/server/setup/open-house';
import { asText } from '@/words/as-text';

interface Opening {
  code: string;
  name: string;
  zone: string;
  planner: string;
  pin: string;
  units?: ReaderUnits;
}

const text = (most: number) => Joi.string().trim().min(1).max(most).required();

const schema = Joi.object<Opening>({
  code: Joi.string().allow('').max(40).required(),
  name: text(100).messages({ '*': asText(coded('refusals.aBakeryHasAName')) }),
  zone: zoneForm,
  units: unitsForm,
  planner: text(60).messages({ '*': asText(coded('refusals.thePlannerHasAName')) }),
  pin: Joi.string()
    .required()
    .custom((pin: string, helpers) => (pinFault(pin, 'planner') ? helpers.error('any.invalid') : pin))
    .messages({ '*': asText(coded('refusals.aPlannersPIN')) }),
});

/** Opens a bakery in an empty database, for whoever has the code that the server printed when it started. */
export function POST(request: Request): Promise<Response> {
  return unbroken(request, async () => {
    const { code, ...house } = check(schema, await jsonBody(request));
    // A code lets in once: whoever is let in and was refused something else tries again without it.
    if (!(await tabletHere())) {
      const fault = await enrolByCode(pool(), code, (await wordsHere())('setup.firstDevice'));
      if (fault) return no(REFUSED, fault, 'code');
    }
    return { ok: true, result: { personId: await openBakery(pool(), house) } };
  });
}
