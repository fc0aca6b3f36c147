import { redirect } from 'next/navigation';
import type { Actor } from '@/core/shopfloor/rights';
import { whoIsHere } from '@/server/auth/session';

/** Where whoever signs in begins; all others at the bench. */
const BEGINS: Partial<Record<Actor, string>> = { planner: '/plan', viewer: '/wall' };

export default async function Start() {
  const here = await whoIsHere();
  redirect(here ? (BEGINS[here.person.role] ?? '/bench') : '/sign-in');
}
