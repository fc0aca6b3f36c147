'use client';

import { Button } from '@/ui/kit/button';

export default function HouseError({ reset }: { reset: () => void }) {
  return (
    <main className="mx-auto max-w-xl p-10">
      <h1 className="text-3xl font-semibold">This page could not be drawn</h1>
      <p className="mt-3 mb-6 text-lg">
        What was recorded is safe. The bakery’s computer or its database did not answer.
      </p>
      <Button look="act" floor onClick={reset}>
        Try again
      </Button>
    </main>
  );
}
