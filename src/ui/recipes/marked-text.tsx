'use client';

import clsx from 'clsx';
import type { MarkKind, RecipeReading, Span } from '@/core/recipe/reading';
import { overlap, segments } from '@/core/recipe/spans';
import { useWords } from '../kit/words';

/** Each kind has a line of its own, so that it is told apart without colour. */
const LOOKS: Record<MarkKind, string> = {
  title: 'font-bold',
  heading: 'font-bold text-quiet',
  amount: 'font-semibold underline decoration-solid underline-offset-4',
  step: 'underline decoration-dotted underline-offset-4',
  turn: 'underline decoration-double underline-offset-4',
  bake: 'underline decoration-dashed underline-offset-4',
  pieces: 'underline decoration-wavy underline-offset-4',
};
const SHOWN = ['amount', 'step', 'turn', 'bake', 'pieces'] as const satisfies readonly MarkKind[];
const UNREAD = 'text-quiet line-through decoration-1';
const ASKED = 'bg-butter text-on-butter';

/** The text with every part marked by what it became; what was not understood is struck through, what is asked is lit. */
export function MarkedText({ reading, open }: { reading: RecipeReading; open: readonly Span[] }) {
  const say = useWords();
  const parts = segments(reading.text, reading.marks).flatMap((part) =>
    cutAt(part, [...open, ...reading.unread]),
  );
  return (
    <section aria-label={say('recipe.asRead')} className="min-w-0">
      <p className="mb-2 flex flex-wrap gap-x-4 gap-y-1 text-[15px]">
        {SHOWN.map((kind) => (
          <span key={kind} className={LOOKS[kind]}>
            {say('recipe.kind', { kind })}
          </span>
        ))}
        <span className={UNREAD}>{say('recipe.isUnread')}</span>
        <span className={clsx(ASKED, 'px-1')}>{say('recipe.isAsked')}</span>
      </p>
      <div className="text-[16px] leading-7 wrap-break-word whitespace-pre-wrap">
        {parts.map((part) => {
          const words = reading.text.slice(part.from, part.to);
          const isAsked = open.some((ask) => overlap(ask, part));
          const isUnread = part.as === null && reading.unread.some((one) => overlap(one, part));
          return (
            <span
              key={part.from}
              className={clsx(part.as && LOOKS[part.as], isUnread && !isAsked && UNREAD, isAsked && ASKED)}
            >
              {words}
            </span>
          );
        })}
      </div>
    </section>
  );
}

/** A part of a text, cut where another begins or ends. */
function cutAt<Part extends Span>(part: Part, others: readonly Span[]): Part[] {
  const cuts = others.flatMap(({ from, to }) => [from, to]).filter((at) => at > part.from && at < part.to);
  const bounds = [part.from, ...[...new Set(cuts)].sort((a, b) => a - b), part.to];
  return bounds.slice(1).map((to, i) => ({ ...part, from: bounds[i] ?? part.from, to }));
}
