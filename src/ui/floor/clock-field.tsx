'use client';

import clsx from 'clsx';
import { useState } from 'react';
import { addLocalDays, atLocalMinute, clockTime, minuteOfDay, type Instant } from '@/core/time/local';

/**
 * The moment that somebody means by a time of day which has passed: of the days around it the one nearest to what is expected.
 *
 * @returns null for what is no time, and for what has not come yet
 */
export function pastTime(
  typed: string,
  { near, now, zone }: { near: Instant; now: Instant; zone: string },
): Instant | null {
  const minute = minuteOfDay(typed);
  if (minute === null) return null;
  const days = [-1, 0, 1].map((day) => atLocalMinute(addLocalDays(near, day, zone), minute, zone));
  const past = days.filter((at) => at <= now);
  return past.reduce<Instant | null>(
    (best, at) => (best === null || Math.abs(at - near) < Math.abs(best - near) ? at : best),
    null,
  );
}

/** A time of day that has passed: shown as it is offered, typed over where it was another. */
export function ClockField({
  at,
  now,
  zone,
  label,
  isWrong = false,
  disabled = false,
  onEnter,
}: {
  at: Instant;
  now: Instant;
  zone: string;
  label: string;
  isWrong?: boolean;
  disabled?: boolean;
  /** Null: what was typed is no time that has passed. */
  onEnter: (at: Instant | null) => void;
}) {
  // What was typed is shown until it is left, or another time is chosen beside it.
  const [typing, setTyping] = useState<{ text: string; gave: Instant | null; was: Instant } | null>(null);
  const isMine = typing !== null && (typing.gave === null ? typing.was === at : typing.gave === at);
  const unread = isMine && typing.gave === null;
  return (
    <input
      aria-label={label}
      inputMode="numeric"
      autoComplete="off"
      disabled={disabled}
      aria-invalid={isWrong || unread}
      className={clsx(
        'min-h-14 w-24 rounded border bg-ground px-2 text-center text-2xl disabled:opacity-50',
        isWrong || unread ? 'border-2 border-warn text-warn' : 'border-edge',
      )}
      value={isMine ? typing.text : clockTime(at, zone)}
      onFocus={(event) => event.target.select()}
      onChange={({ target: { value } }) => {
        const gave = pastTime(value, { near: at, now, zone });
        setTyping({ text: value, gave, was: at });
        onEnter(gave);
      }}
      onBlur={() => !unread && setTyping(null)}
    />
  );
}
