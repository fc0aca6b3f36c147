import { redirect } from 'next/navigation';
import { signedIn } from '@/server/auth/session';

export default async function Start() {
  const person = await signedIn();
  redirect(!person ? '/sign-in' : person.role === 'planner' ? '/plan' : '/bench');
}
