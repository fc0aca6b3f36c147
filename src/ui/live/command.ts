'use client';

import { v4 as uuidv4 } from 'uuid';
import type { Answer } from '@/core/wire/answer';
import type { LanguageOf } from '@/words/languages';
import type { Language } from '@/words/message';
import { ask } from './ask';
import { go } from './go';
import { keepHere } from './kept';
import { sayHere } from './say-here';
import { retoldHere } from './units';

/** Nobody answered. */
export const noAnswer = (): Answer => ({
  ...{ ok: false, status: 0, field: null, offer: null },
  message: sayHere('live.doesNotAnswer'),
});

/** The answer that came back, where it is one of ours, in the units of this device. */
function answerOf(body: unknown): Answer {
  const { ok, message } = (body ?? {}) as { ok?: unknown; message?: unknown };
  if (ok === true) return body as Answer;
  if (ok !== false || typeof message !== 'string') return noAnswer();
  return { ...(body as Extract<Answer, { ok: false }>), message: retoldHere(message) };
}

/** A search may take its time and wait for others before it; the form that asked shows that it works. */
const SEARCHING = 90_000;

/** Sends a command to the house. Sent again by the browser or a proxy, it is done once. */
export async function send(command: string, input: unknown): Promise<Answer> {
  const asked = { body: input, key: uuidv4(), patience: SEARCHING };
  return answerOf(await ask(`/api/commands/${command}`, asked));
}

/** Signs in with a PIN. Checking one is made slow on purpose, and slower on a busy machine: that is waited for. */
export async function signIn(personId: number, pin: string): Promise<Answer> {
  return answerOf(await ask('/api/session', { body: { personId, pin }, by: null, patience: SEARCHING }));
}

/** Lets this device in: with a planner's code, or without one where the house lets everybody in. */
export async function letIn(code: string, name: string): Promise<Answer> {
  return answerOf(await ask('/api/tablet', { body: { code, name }, by: null }));
}

/** Chooses what is read at this browser: by whoever is signed in, or by the tablet itself. */
export async function chooseLanguage(of: LanguageOf, language: Language): Promise<Answer> {
  return answerOf(await ask('/api/language', { method: 'PUT', body: { of, language }, by: null }));
}

/** Looks for what has a name like this. */
export async function lookFor(text: string): Promise<Answer> {
  return answerOf(await ask(`/api/find?text=${encodeURIComponent(text)}`, { method: 'GET', by: null }));
}

/** Asks for the orders of the coming days, and what makes them. */
export async function orderBook(): Promise<Answer> {
  return answerOf(await ask('/api/orders', { method: 'GET', by: null }));
}

/** Opens a bakery in an empty database, and lets this device in. */
export async function openBakery(body: Record<string, unknown>): Promise<Answer> {
  return answerOf(await ask('/api/opening', { body, by: null }));
}

/** Gives up the right to record on this device, and goes on showing. Returns whether it was done. */
export async function rest(): Promise<boolean> {
  return answerOf(await ask('/api/session', { method: 'PUT', by: null })).ok;
}

/** Who has left this device while nobody answered: the house is told when it can be. */
export const LEAVING = 'hefeteig-leaving';

/** Forgets the pages that are kept for use without a line. */
export async function forgetPages(): Promise<void> {
  if (!('caches' in globalThis)) return;
  const names = await caches.keys();
  await Promise.all(
    names.filter((name) => name.startsWith('hefeteig-pages')).map((name) => caches.delete(name)),
  );
}

/** Whether whoever has this page has signed out on it: then it is no news that the session is over. */
let signedOut = false;

/** Signs out on this device: its pages are gone at once, the house is told as soon as it answers. */
export async function signOut(): Promise<void> {
  signedOut = true;
  await forgetPages();
  const { ok } = answerOf(await ask('/api/session', { method: 'DELETE', by: null }));
  keepHere(LEAVING, ok ? '' : '1');
}

/** True where somebody has signed out here and the house does not know yet. */
export const isLeaving = (): boolean => localStorage.getItem(LEAVING) === '1';

/** Opens the list of people, and says that the session is over to whoever has not ended it here. */
export const backToSignIn = (): void => go(signedOut ? '/sign-in' : '/sign-in?ended');

/** Has something worked out by a route that writes nothing. */
export async function workOut(path: `/api/${string}`, body: object): Promise<Answer> {
  return answerOf(await ask(path, { body, patience: SEARCHING }));
}
