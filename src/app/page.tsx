import { redirect } from 'next/navigation';
import { whoIsHere } from '@/server/auth/session';

export default async function Start() {
  const here = await whoIsHere();
  redirect(!here ? '/sign-in' : here.person.role === 'planner' ? '/plan' : '/bench');
}
