'use client';

import { useWords } from '../kit/words';
import type { Say } from '@/words/say';
import clsx from 'clsx';
import { useEffect, useRef, useState } from 'react';
import type { Drift } from '@/core/schedule/drift';
import type { Proposal } from '@/core/schedule/proposal';
import { Button } from '../kit/button';
import { useKeys } from '../kit/use-keys';
import { workOutMend, type Progress } from '../live/mend';

/** How long a mend is looked for unless somebody has enough of it, s. */
const SECONDS = 5;

/** Where the day has left the plan, and what is proposed for it. One line, and the one thing to do. */
export function PlanNews({
  drifts,
  mends,
  mayPlan,
  onLook,
  onJump,
}: {
  drifts: readonly Drift[];
  mends: readonly Proposal[];
  mayPlan: boolean;
  onLook: (proposal: Proposal) => void;
  onJump: (drift: Drift) => void;
}) {
  const say = useWords();

  const [search, setSearch] = useState<{ stop: () => void; progress: Progress | null } | null>(null);
  const [told, setTold] = useState<string | null>(null);
  const [newest] = mends;
  const [first] = drifts;
  const work = async () => {
    setTold(null);
    const { answer: end, stop } = workOutMend(SECONDS, (progress) => setSearch({ stop, progress }));
    setSearch({ stop, progress: null });
    const answer = await end;
    setSearch(null);
    if (!answer.ok) return setTold(answer.message);
    const { proposal, passed } = answer.result as { proposal: Proposal; passed: boolean };
    if (passed) setTold(say('plan.theShiftsWereSmallThe'));
    else if (proposal.kind === 'better' && proposal.body.changes.length === 0)
      setTold(say('plan.noBetterPlanWasFound'));
    else onLook(proposal);
  };
  const isAsked = useRef(false);
  useEffect(() => {
    // Whoever has just reported what is wrong does not look for the button.
    if (isAsked.current || !new URLSearchParams(location.search).has('repair')) return;
    isAsked.current = true;
    history.replaceState(history.state, '', location.pathname);
    void work();
  });
  useKeys({ b: () => mayPlan && !search && void work() });
  if (!first && !newest && !told && !search) return null;
  return (
    <div
      className={clsx(
        'mb-2 flex flex-wrap items-center gap-x-3 gap-y-1 border-l-4 pl-3 text-[17px]',
        first ? 'border-warn' : 'border-edge',
      )}
    >
      {first && (
        <button
          className="min-h-9 text-left text-warn underline-offset-4 hover:underline"
          onClick={() => onJump(first)}
        >
          {say('plan.retellPart', {
            retell: say.coded(first.message),
            part: drifts.length > 1 ? say('plan.andMore', { count: drifts.length - 1 }) : '',
          })}
        </button>
      )}
      {search ? (
        <>
          <span role="status">
            {say.rich('plan.workingItOut', {
              progress: () => search.progress && progressWords(say, search.progress),
            })}
          </span>
          <Button onClick={search.stop}>{say('plan.stopAndKeepTheBest')}</Button>
        </>
      ) : newest ? (
        <>
          <Button look="act" onClick={() => onLook(newest)}>
            {say('plan.lookAtTheProposedPlan')}
          </Button>
          {first && (
            <Button look="quiet" onClick={() => void work()}>
              {say('plan.workItOutAnew')}
            </Button>
          )}
        </>
      ) : (
        first && (
          <Button look="act" onClick={() => void work()}>
            {say('plan.workOutAMend')}
          </Button>
        )
      )}
      {told && <span role="status">{told}</span>}
    </div>
  );
}

function progressWords(say: Say, progress: Progress): string {
  if ('before' in progress) {
    const { before } = progress;
    return before === 0 ? '' : say('plan.planPlansBeforeThisOne', { before });
  }
  return say('plan.bestSoFar', {
    part: progress.late === 0 ? say('plan.nothingLate') : say('plan.late', { late: progress.late }),
  });
}
