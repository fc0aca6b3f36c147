'use client';

import dynamic from 'next/dynamic';
import { usePathname } from 'next/navigation';
import { useState } from 'react';
import type { Person } from '@/core/bakery/people';
import { firstSteps } from '@/core/shopfloor/first-steps';
import { send } from '../live/command';

// Once for each person: no page waits for it.
const Walk = dynamic(() => import('./walk').then((module) => module.Walk), { ssr: false });

/** What a role does here, in three steps on the real screen, for whoever has signed in for the first time. */
export function FirstSteps({ person }: { person: Person }) {
  const steps = firstSteps(person.role);
  const path = usePathname();
  const [over, setOver] = useState(false);
  if (!steps || over || path !== steps.page) return null;
  return (
    <Walk
      {...{ person, steps }}
      onEnd={() => {
        setOver(true);
        // Where nobody answers they are shown once more: no harm is done.
        void send('end-first-steps', {});
      }}
    />
  );
}
