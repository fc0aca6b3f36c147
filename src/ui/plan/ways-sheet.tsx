'use client';

import { useWords } from '../kit/words';
import type { Say } from '@/words/say';
import { useEffect, useState } from 'react';
import type { Machine } from '@/core/bakery/machines';
import type { DoughRecord } from '@/core/record/dough';
import type { Proposal } from '@/core/schedule/proposal';
import { WAY_NAMES, waysFor, type WayKind } from '@/core/schedule/ways-out';
import { Button } from '../kit/button';
import { Sheet } from '../kit/sheet';
import { send } from '../live/command';
import { Decision } from './mend-sheet';
import { ProposalText } from './proposal-body';

/** A way that was tried: a plan with its price, or why there is none. */
type Tried = { way: WayKind } & ({ proposal: Proposal; kept: boolean } | { trouble: string });

interface Props {
  dough: DoughRecord;
  pinned: boolean;
  basis: number;
  zone: string;
  machines: readonly Machine[];
  onClose: () => void;
}

/** Ways out for a promise that the plan does not keep: each worked out as a whole plan, with its price. */
export function WaysSheet({ open, ...props }: Props & { open: boolean }) {
  const say = useWords();
  return (
    <Sheet
      open={open}
      onOpenChange={props.onClose}
      title={say('plan.waysOutFor', { name: props.dough.name })}
    >
      <Ways {...props} />
    </Sheet>
  );
}

function Ways({ dough, pinned, basis, zone, machines, onClose }: Props) {
  const say = useWords();
  const [ways] = useState(() => waysFor(dough, pinned));
  const [tried, setTried] = useState<Tried[]>([]);
  const [picked, setPicked] = useState<WayKind | null>(null);
  const [from] = useState({ doughId: dough.id, basis });
  useEffect(() => {
    let left = false;
    const tryAll = async () => {
      for (const way of ways) {
        if (left) return;
        const answer = await send('try-way', { ...from, way });
        if (left) return;
        const found = answer.ok
          ? { way, ...(answer.result as { proposal: Proposal; kept: boolean }) }
          : { way, trouble: answer.message };
        setTried((before) => [...before.filter((one) => one.way !== way), found]);
      }
    };
    void tryAll();
    return () => {
      left = true;
    };
  }, [ways, from]);
  const chosen = tried.find(({ way }) => way === picked);
  const open = ways.filter((way) => !tried.some((one) => one.way === way));
  return (
    <div className="grid gap-3">
      <ul className="grid gap-2">
        {[...tried]
          .sort((a, b) => rank(a) - rank(b))
          .map((one) => (
            <li key={one.way}>
              <button
                className="grid w-full gap-1 rounded border border-edge bg-ground px-4 py-2 text-left aria-pressed:border-2 aria-pressed:border-ink"
                aria-pressed={picked === one.way}
                disabled={'trouble' in one}
                onClick={() => setPicked(picked === one.way ? null : one.way)}
              >
                <span className="flex flex-wrap items-baseline justify-between gap-x-4 text-lg">
                  <b>{say.coded(WAY_NAMES[one.way])}</b>
                  <span>
                    {'trouble' in one
                      ? say('plan.noPlan')
                      : one.kept
                        ? say('plan.kept')
                        : say('plan.stillLate')}
                  </span>
                </span>
                <span className="text-[15px] text-quiet first-letter:uppercase">
                  {'trouble' in one ? one.trouble : priceWords(say, one.proposal)}
                </span>
              </button>
            </li>
          ))}
      </ul>
      {open.length > 0 && (
        <p role="status" className="text-lg text-quiet">
          {say('plan.workingOutOfDone', {
            WAYNAMES: say.inLine(say.coded(WAY_NAMES[open[0] as WayKind])),
            count: tried.length,
            count2: ways.length,
          })}
        </p>
      )}
      {chosen && !('trouble' in chosen) && (
        <section aria-label={say.coded(WAY_NAMES[chosen.way])} className="border-t border-edge pt-3">
          <ProposalText body={chosen.proposal.body} zone={zone} machines={machines} />
          <Decision proposal={chosen.proposal} mayAccept onDone={onClose} />
        </section>
      )}
      {!chosen && tried.length > 0 && <p className="text-quiet">{say('plan.pickOneToSeeWhat')}</p>}
      <Button className="justify-self-start" onClick={onClose}>
        {say('plan.keepThePlanAsIt')}
      </Button>
    </div>
  );
}

/** Kept before late, cheap before dear, plans before none. */
function rank(tried: Tried): number {
  if ('trouble' in tried) return Infinity;
  return (tried.kept ? 0 : 1e9) + tried.proposal.body.cost;
}

function priceWords(say: Say, { body }: Proposal): string {
  const { needs, changes } = body;
  const moved = changes.reduce((sum, { more }) => sum + 1 + more, 0);
  const moves = moved === 0 ? say('plan.nothingMoves') : say('plan.stepMovesStepsMove', { moved });
  return [...needs.slice(0, 2).map(say.coded), moves].join('; ');
}
