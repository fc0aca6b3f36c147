'use client';

import { useWords } from '../kit/words';
import { useState } from 'react';
import type { Machine } from '@/core/bakery/machines';
import type { Proposal } from '@/core/schedule/proposal';
import { Button } from '../kit/button';
import { Sheet } from '../kit/sheet';
import { send } from '../live/command';
import { ProposalText } from './proposal-body';

/** A proposed change of the plan, to accept or to drop. */
export function MendSheet({
  proposal,
  zone,
  machines,
  mayAccept,
  onClose,
}: {
  proposal: Proposal | null;
  zone: string;
  machines: readonly Machine[];
  mayAccept: boolean;
  onClose: () => void;
}) {
  const say = useWords();
  return (
    <Sheet
      open={proposal !== null}
      onOpenChange={onClose}
      title={proposal?.kind === 'better' ? say('plan.aBetterPlan') : say('plan.aMendForThePlan')}
    >
      {proposal && (
        <>
          <p className="mb-3 text-lg">{say.coded(proposal.title)}</p>
          <ProposalText body={proposal.body} zone={zone} machines={machines} />
          <Decision proposal={proposal} mayAccept={mayAccept} onDone={onClose} />
        </>
      )}
    </Sheet>
  );
}

/** Accept or drop, and what stands in the way of it. */
export function Decision({
  proposal,
  mayAccept,
  onDone,
}: {
  proposal: Proposal;
  mayAccept: boolean;
  onDone: () => void;
}) {
  const say = useWords();
  const [trouble, setTrouble] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const decide = async (command: 'accept-proposal' | 'drop-proposal') => {
    setBusy(true);
    const answer = await send(command, { id: proposal.id });
    setBusy(false);
    if (answer.ok) onDone();
    else setTrouble(answer.message);
  };
  return (
    <div className="mt-4 grid gap-2">
      {trouble && (
        <p role="alert" className="text-lg text-warn">
          {trouble}
        </p>
      )}
      <div className="flex flex-wrap items-center gap-2">
        {mayAccept && (
          <Button look="act" disabled={busy} onClick={() => void decide('accept-proposal')}>
            {say('plan.acceptIt')}
          </Button>
        )}
        <Button disabled={busy} onClick={() => void decide('drop-proposal')}>
          {say('plan.dropIt')}
        </Button>
        {!mayAccept && <span className="text-quiet">{say('plan.aPlannerAcceptsItUntil')}</span>}
      </div>
    </div>
  );
}
