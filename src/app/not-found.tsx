import Link from 'next/link';
import { wordsHere } from '@/server/reader';

export default async function NotFound() {
  const say = await wordsHere();
  return (
    <main className="mx-auto max-w-xl p-10">
      <h1 className="text-3xl font-semibold">{say('shell.notOnTheBench')}</h1>
      <p className="mt-3 text-lg">{say('shell.thereIsNoSuchPage')}</p>
      <Link href="/" className="mt-6 inline-block text-lg underline underline-offset-4">
        {say('shell.backToTheWork')}
      </Link>
    </main>
  );
}
