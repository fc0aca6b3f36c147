'use client';

import { useWords } from '../kit/words';
import { useRouter } from 'next/navigation';
import { Button } from '../kit/button';
import { send } from '../live/command';

export interface EvidenceRow {
  id: number;
  words: string;
  dough: string | null;
  at: number;
  declined: boolean;
  /** Too far off what is believed. */
  questioned: boolean;
}

/** What something was learnt from; a person leaves out what was not so. */
export function EvidenceList({ evidence, zone }: { evidence: EvidenceRow[]; zone: string }) {
  const say = useWords();
  const router = useRouter();
  const word = async (evidenceId: number, declined: boolean) => {
    const answer = await send('decline-evidence', { evidenceId, declined });
    if (answer.ok) router.refresh();
  };
  if (evidence.length === 0) return null;
  return (
    <ul className="mt-1 columns-1 gap-8 sm:columns-2">
      {evidence.map(({ id, words, dough, at, declined, questioned }) => (
        <li key={id} className="flex items-center justify-between gap-2 border-b border-hairline">
          <span className={declined ? 'text-quiet line-through' : ''}>
            {words}{' '}
            <span className="text-[15px] text-quiet">
              {[dough, say.dayMonth(at, zone)].filter(Boolean).join(', ')}
            </span>
            {questioned && !declined && (
              <span className="text-[15px] text-warn">{say('workbench.farOffWasItSo')}</span>
            )}
          </span>
          <Button look="quiet" onClick={() => void word(id, !declined)}>
            {declined ? say('workbench.countIt') : say('workbench.leaveOut')}
          </Button>
        </li>
      ))}
    </ul>
  );
}
