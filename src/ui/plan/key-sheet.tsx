'use client';

import { useWords } from '../kit/words';
import type { Say } from '@/words/say';
import { Sheet } from '../kit/sheet';
import { PlanLegend } from './plan-legend';

const keysWords = (say: Say): [string, string][] => [
  ['↑ ↓', say('plan.pickTheThreadAboveOr')],
  ['← →', say('plan.earlierOrLater')],
  ['+ −', say('plan.closerToOneHourOr')],
  ['h', say('plan.hereAndNow')],
  ['g', say('plan.rowsByDoughStationPerson')],
  ['f', say('plan.takeThePlanAlongAs')],
  ['a', say('plan.addADough')],
  ['t', say('plan.takeThePickedDoughOut')],
  ['m', say('plan.takeItsNextStepOr')],
  ['w', say('plan.takeTheWholeThreadIn')],
  ['b', say('plan.lookForABetterPlan')],
  ['u', say('plan.undoTheLastPlanningAct')],
  ['r', say('plan.doItAgain')],
  [say('plan.enter'), say('plan.openThePickedDough')],
  ['?', say('plan.thisSheet')],
  [say('plan.esc'), say('plan.closeASheet')],
];

/** What the signs of the plan mean, and its keys. */
export function KeySheet({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
  const say = useWords();
  return (
    <Sheet open={open} onOpenChange={onOpenChange} title={say('plan.signsAndKeys')}>
      <h3 className="mb-2 text-lg text-quiet">{say('plan.signs')}</h3>
      <PlanLegend />
      <h3 className="mt-5 mb-2 text-lg text-quiet">{say('plan.keys')}</h3>
      <dl className="grid grid-cols-[6rem_1fr] gap-y-2 text-lg">
        {keysWords(say).map(([key, does]) => (
          <div key={key} className="contents">
            <dt className="font-bold">{key}</dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
    </Sheet>
  );
}
