'use client';

import { useWords } from '../kit/words';
import { useEffect, useRef } from 'react';
import type { Machine } from '@/core/bakery/machines';
import { clashMessage, stepOf } from '@/core/schedule/supposed';
import type { WholePlan } from '@/core/schedule/whole-plan';
import { duration } from '@/core/units/format';
import type { MovingHand } from './use-moving';

/** What a step in the hand would come to: where it lands, what moves with it, what it costs, what it breaks. */
export function MoveCard({
  hand,
  whole,
  machines,
  zone,
}: {
  hand: MovingHand;
  whole: WholePlan;
  machines: readonly Machine[];
  zone: string;
}) {
  const say = useWords();

  const { moving, supposed, keeping } = hand;
  const card = useFocusWhile(moving !== null);
  if (!moving) return null;
  const by = Math.round((moving.start - moving.from) / 60_000);
  // An answer for where it was held a moment ago says nothing of where it could not go.
  const answered = supposed?.asked.start === (moving.start - whole.origin) / 60_000;
  const found = supposed?.found ?? null;
  const steps = Object.keys(found?.moved ?? {}).filter((task) => {
    const known = stepOf(whole, task);
    return known?.step.step.work && known.step.key !== moving.key;
  });
  const lands = found ? whole.origin + found.start * 60_000 : moving.start;
  return (
    <div
      ref={card}
      tabIndex={-1}
      role="status"
      className="fixed top-16 left-1/2 z-10 w-[min(44rem,94vw)] -translate-x-1/2 rounded border-2 border-ink bg-flour px-4 py-3 text-[17px] lg:left-[calc(50%-10.5rem)]"
    >
      <p className="text-xl font-semibold">
        {say.coded(moving.label)} {say.dayTime(lands, zone)}
        {by !== 0 && (
          <span className="font-normal text-quiet">
            {say('plan.laterEarlier', { duration: duration(Math.abs(by)), isBy: by > 0 })}
          </span>
        )}
      </p>
      {answered && !found && by !== 0 && <p className="text-warn">{say('plan.noPlaceThereNobodyIs')}</p>}
      {answered && found && lands !== moving.start && <p>{say('plan.itsOwnDoughLetsIt')}</p>}
      {found && (
        <p>
          {steps.length === 0
            ? say('plan.nothingElseMoves')
            : say('plan.moreStepMovesStepsMove', { count: steps.length })}
        </p>
      )}
      {found?.breaks.slice(0, 3).map((clash, i) => (
        <p key={i} className="text-warn">
          {say('plan.othersWouldMakeWay', {
            clashSentence: say.coded(clashMessage(whole, machines, clash, moving.doughId)),
          })}
        </p>
      ))}
      <p className="text-quiet">{keeping ? say('plan.beingKept') : say('plan.releaseOrEnterKeepsIt')}</p>
    </div>
  );
}

/** Has the focus while something is in the hand, so that Enter keeps it and presses nothing; then gives it back. */
function useFocusWhile(held: boolean) {
  const card = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (!held) return;
    const before = document.activeElement;
    card.current?.focus({ preventScroll: true });
    return () => {
      if (before instanceof HTMLElement) before.focus({ preventScroll: true });
    };
  }, [held]);
  return card;
}
