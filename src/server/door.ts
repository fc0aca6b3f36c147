import { coded, type Coded } from '@/core/codes/coded';
import { OF_SOMEBODY_ELSE, REFUSED, SIGNED_OUT, type Answer } from '@/core/wire/answer';
import { mayUse, type Route } from '@/core/shopfloor/rights';
import { whoIsHere, type Here } from './auth/session';
import { Refusal } from './commands/command';
import { refused } from './commands/run';
import { DatabaseError } from './db/rows';
import { fromOwnPage } from './http';
import { log } from './log';
import { languageHere } from './reader';

/** The number that a page gave to what it sends; asked again under it, nothing is done twice. */
export const KEY = 'idempotency-key';
/** Who was at the tablet when it was recorded, and in which session: "7/4711". */
export const RECORDED_BY = 'x-recorded-by';

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i;

/** The key of a request, or undefined where it has none that can be one. */
export function keyOf(request: Request): string | undefined {
  const key = request.headers.get(KEY);
  return key !== null && UUID.test(key) ? key : undefined;
}

/** A refusal before anything was looked at, not put into words yet. */
export interface No {
  ok: false;
  status: number;
  refusal: Refusal;
}

export const no = (status: number, words: Coded, field: string | null = null): No => ({
  ...{ ok: false, status, refusal: new Refusal(words, field) },
});

/** An answer to somebody at this browser, in words that they read. */
export const inWords = async (answer: Answer | No): Promise<Answer> =>
  'refusal' in answer ? refused(answer.status, answer.refusal, await languageHere()) : answer;

/** An answer as JSON, to the request that it is for. Nobody keeps it on the way. */
export async function reply(answer: Answer | No, key: string | undefined): Promise<Response> {
  const said = await inWords(answer);
  return Response.json(key === undefined ? said : { ...said, to: key }, {
    status: said.ok ? 200 : said.status,
    headers: { 'cache-control': 'no-store' },
  });
}

/** Who may come in by a route, or what they are answered. */
export async function whoMay(route: Route): Promise<Here | No> {
  const here = await whoIsHere();
  if (!here) return no(SIGNED_OUT, coded('refusals.youAreSignedOutSignIn'));
  return mayUse(here.person, route) ? here : no(403, coded('refusals.thisIsNotForEverybodyTo'));
}

/**
 * Answers a request that changes something, from a page of ours. Refusals are answers; whatever else goes wrong is
 * answered so that the page sends it again.
 */
export async function unbroken(
  request: Request,
  change: (key: string | undefined) => Promise<Answer | No>,
): Promise<Response> {
  const key = keyOf(request);
  if (!fromOwnPage(request)) return reply(no(403, coded('refusals.thisCameFromAnotherSiteAnd')), key);
  try {
    return await reply(await change(key), key);
  } catch (error) {
    if (error instanceof Refusal) return reply({ ok: false, status: REFUSED, refusal: error }, key);
    log.error({ err: error }, 'change failed');
    return error instanceof DatabaseError
      ? reply(no(503, coded('refusals.theBakerySDatabaseDoesNot')), key)
      : reply(no(500, coded('refusals.somethingWentWrongOnTheBakery')), key);
  }
}

/** Lets a change in by somebody who may, and who was there when it was recorded. */
export function changing(
  request: Request,
  route: Route,
  change: (here: Here, key: string | undefined) => Promise<Answer | No>,
): Promise<Response> {
  return unbroken(request, async (key) => {
    const here = await whoMay(route);
    if ('ok' in here) return here;
    const by = request.headers.get(RECORDED_BY);
    return by === null || by === `${here.person.id}/${here.sessionId}`
      ? change(here, key)
      : no(OF_SOMEBODY_ELSE, coded('refusals.somebodyElseHasSignedInOn'));
  });
}

/** Lets somebody read by a route who may. */
export async function reading(route: Route, read: (here: Here) => Promise<Response>): Promise<Response> {
  const here = await whoMay(route);
  if ('ok' in here) return reply(here, undefined);
  const answer = await read(here);
  if (!answer.headers.has('cache-control')) answer.headers.set('cache-control', 'private, no-store');
  return answer;
}
