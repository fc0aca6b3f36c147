'use client';

import { useWords } from '../kit/words';
import { useRouter } from 'next/navigation';
import { startTransition, useEffect, useState } from 'react';
import { Button } from '../kit/button';
import { Awake } from './awake';
import { pauseBefore } from './pace';

/** Tries in place after which the whole page is loaded again: a part of it that never arrived is asked for by nothing else. */
const IN_PLACE = 3;

/** What stands in place of a page that could not be made at all. It tries again by itself until it is there. */
export function TryAgain({ reset }: { reset: () => void }) {
  const say = useWords();
  const router = useRouter();
  const [failures, setFailures] = useState(1);
  const again = () => {
    if (failures > IN_PLACE) return location.reload();
    startTransition(() => {
      router.refresh();
      reset();
    });
  };
  useEffect(() => {
    const timer = setTimeout(() => {
      again();
      setFailures(failures + 1);
    }, pauseBefore(failures));
    return () => clearTimeout(timer);
  });
  return (
    <main className="mx-auto max-w-xl p-10">
      <h1 className="text-3xl font-semibold">{say('live.theBakerySComputerDoes')}</h1>
      <p className="mt-3 mb-6 text-lg">{say('live.whatWasRecordedIsSafe')}</p>
      <Button look="act" floor onClick={again}>
        {say('live.tryNow')}
      </Button>
      <Awake />
    </main>
  );
}
