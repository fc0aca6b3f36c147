'use client';

import type { Person } from '@/core/bakery/people';
import { looksOn } from '@/core/shopfloor/rights';
import { OwnLanguage } from '../language/own-language';
import type { Somebody } from '../sign-in/names';
import { TakeOver } from '../sign-in/take-over';
import { AlarmSounds } from './alarm-sounds';
import { OwnPin } from './own-pin';

interface Props {
  person: Person;
  others: readonly Somebody[];
  zone: string;
}

/** Who takes the tablet over, and what is chosen for whoever has it: PIN, language, sounds. */
export function AtThisTablet({ person, others, zone }: Props) {
  return (
    <>
      <TakeOver
        zone={zone}
        people={[...others].sort((a, b) => Number(b.here ?? false) - Number(a.here ?? false))}
      />
      {!looksOn(person.role) && <OwnPin />}
      <OwnLanguage />
      <AlarmSounds />
    </>
  );
}
