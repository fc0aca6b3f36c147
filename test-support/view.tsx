import { cleanup, configure, render } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { ReactElement } from 'react';
import { afterEach, vi } from 'vitest';
import type { AgendaItem } from '@/core/shopfloor/agenda';
import type { OutputRecord } from '@/core/record/dough';
import type { FloorEvent } from '@/core/record/events';
import { WordsProvider } from '@/ui/kit/words';
import { ClockProvider } from '@/ui/live/clock';
import type { Language } from '@/words/message';
import { allMessages } from './words';
import { MIN, plannedDough } from './floor';
import { SMALL_PRODUCT } from './small-dough';

// A machine that is busy with something else takes longer until a lazy part is there; nothing asserts how long.
configure({ asyncUtilTimeout: 15_000 });

afterEach(() => {
  cleanup();
  localStorage.clear();
});

/** Shows part of a screen at a minute of the first day, the house's clock standing still; `user` has its fingers. */
export function show(part: ReactElement, minute = 0, language: Language = 'en') {
  const made = { demo: true, now: minute * MIN, rate: 1, paused: true };
  const at = (shown: ReactElement) => (
    <WordsProvider language={language} packed={allMessages(language)}>
      <ClockProvider made={made}>{shown}</ClockProvider>
    </WordsProvider>
  );
  const { rerender } = render(at(part));
  return { user: userEvent.setup(), again: (shown: ReactElement) => rerender(at(shown)) };
}

/** A step of the small dough as the bench has it. */
export function itemOf(events: FloorEvent[], key: string, minute = 0): AgendaItem {
  const dough = plannedDough(events);
  const step = dough.steps.find((one) => one.key === key);
  const state = dough.state.steps.get(key);
  if (!step || !state) throw new Error(`The small dough has no ${key}.`);
  return { dough, step, state, inMinutes: Math.round((step.plannedStart - minute * MIN) / MIN) };
}

/** The small dough's one output, crescents of 60 g. */
export const output = (more: Partial<OutputRecord> = {}): OutputRecord => ({
  ...{ id: 5, product: 'Crescent', pieces: 40, dueAt: 3000 * MIN, freshFor: 120 },
  piece: SMALL_PRODUCT.piece,
  allergens: ['gluten', 'milk'],
  ...more,
});

/** What a screen tells the house, in order. */
export const telling = () => vi.fn<(...told: unknown[]) => void>();
