'use client';

import { useState } from 'react';
import { Names, type Somebody } from './names';
import { PinPad } from './pin-pad';

import { endActing } from '../live/at-tablet';

function takenOver(): void {
  endActing();
  location.reload();
}

/** Lets the next one take over this tablet where they are: name, PIN. */
export function TakeOver({ people, zone }: { people: readonly Somebody[]; zone: string }) {
  const [who, setWho] = useState<Somebody | null>(null);
  if (!who) return <Names people={people} who={null} onChoose={setWho} />;
  return <PinPad person={who} zone={zone} onDone={takenOver} />;
}
