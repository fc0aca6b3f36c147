'use client';

import { useMemo } from 'react';
import type { Person } from '@/core/bakery/people';
import { useMinute } from './clock';
import { keepHere, useKept } from './kept';

/**
 * Who is at this tablet. Usually that is whoever is signed in. Without a line nobody can sign in: then somebody who has signed
 * in here during the last shift may take over by name alone. What they record is kept under their name, is not sent under
 * anybody else's, and counts when they have given their PIN.
 */
export type AtTablet = Pick<Person, 'id' | 'name' | 'role' | 'team'>;

interface Remembered {
  person: AtTablet;
  /** By the house's clock. */
  at: number;
}

const LATELY = 'hefeteig-lately';
const ACTING = 'hefeteig-acting';
/** How long a shift is remembered: the longest that the law allows, and a change of shift. */
const A_SHIFT = 12 * 3_600_000;

function read<T>(text: string | null, otherwise: T): T {
  try {
    return text === null || text === '' ? otherwise : (JSON.parse(text) as T);
  } catch {
    return otherwise;
  }
}

const fresh = ({ at }: Remembered, now: number) => Math.abs(now - at) < A_SHIFT;

/** People in the order in which they were last here, one entry each, older than a shift forgotten. */
export function remembered(text: string | null, now: number): Remembered[] {
  return read<Remembered[]>(text, []).filter((one) => fresh(one, now));
}

/** Notes that somebody has signed in here; nobody is acting for them any more. */
export function signedInHere({ id, name, role, team }: AtTablet, now: number): void {
  const others = remembered(localStorage.getItem(LATELY), now).filter(({ person }) => person.id !== id);
  keepHere(LATELY, JSON.stringify([{ person: { id, name, role, team }, at: now }, ...others]));
}

/** Lets somebody of the last shift go on at this tablet without a PIN, as long as the line is down. */
export function actAs(person: AtTablet, now: number): void {
  keepHere(ACTING, JSON.stringify({ person, at: now } satisfies Remembered));
}

/** Whoever is signed in is at the tablet again. */
export function endActing(): void {
  keepHere(ACTING, '');
}

/** Who recorded something, and in which session. */
export interface Recorder {
  personId: number;
  sessionId: number;
}

let here: { session: Recorder; recording: number } | null = null;

/** Says whose session this page was made for, and who is at the tablet: the same but for who goes on without a line. */
export function beginSession(session: AtTablet, sessionId: number, recording: AtTablet): void {
  here = { session: { personId: session.id, sessionId }, recording: recording.id };
}

/** Whose session it is: only what they have recorded in it is sent. Null before a page has said so. */
export const recordedBy = (): Recorder | null => here?.session ?? null;

/** Who records on this tablet now. */
export const recordingPerson = (): number | null => here?.recording ?? null;

/** The people who may go on here without a line, the last one first. */
export function useLately(): AtTablet[] {
  const [text] = useKept(LATELY);
  const now = useMinute();
  return useMemo(() => remembered(text, now).map(({ person }) => person), [text, now]);
}

/** Who is at the tablet: the person of the page, or whoever goes on without a line. */
export function useAtTablet(person: Person): Person {
  const [text] = useKept(ACTING);
  const now = useMinute();
  return useMemo(() => {
    const acting = read<Remembered | null>(text, null);
    if (!acting || !fresh(acting, now) || acting.person.id === person.id) return person;
    return { ...person, ...acting.person };
  }, [text, person, now]);
}
