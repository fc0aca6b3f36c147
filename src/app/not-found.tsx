import Link from 'next/link';

export default function NotFound() {
  return (
    <main className="mx-auto max-w-xl p-10">
      <h1 className="text-3xl font-semibold">Not on the bench</h1>
      <p className="mt-3 text-lg">There is no such page or dough; it may have been taken out of the plan.</p>
      <Link href="/" className="mt-6 inline-block text-lg underline underline-offset-4">
        Back to the work
      </Link>
    </main>
  );
}
