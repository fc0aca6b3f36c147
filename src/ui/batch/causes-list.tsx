'use client';

import { CAUSE_WORDS } from '@/core/diagnosis/cause-words';
import { FAULT_NAMES } from '@/core/diagnosis/faults';
import type { Explanation } from '@/core/diagnosis/explain';
import type { ReactNode } from 'react';
import type { CauseId } from '@/core/diagnosis/causes';
import type { HandCheck } from '@/core/record/events';
import { Button } from '../kit/button';
import { useWords } from '../kit/words';

/** From how likely on a cause is called so. */
const LIKELY = { very: 0.7, quite: 0.4 };
/** Fewer are read than this. */
const NAMED = 4;

/** What the record does not show is no more than possible, whatever else it rules out. */
function howLikely({ likely, evidence }: Explanation): string {
  if (evidence.length === 0 || likely < LIKELY.quite) return 'maybe';
  return likely >= LIKELY.very ? 'very' : 'quite';
}

/** What explains the faults of a batch: how likely, what shows it, what to do next time; and what a look would tell. */
export function CausesList({
  causes,
  onCheck,
  photos,
  remedyOf,
}: {
  causes: readonly Explanation[];
  /** What a cause asks to be changed of the product, and the button for it; nothing for whoever may not. */
  remedyOf: (cause: CauseId) => ReactNode;
  /** How many pictures there are to look at. */
  photos: number;
  /** Left out for whoever does not judge. */
  onCheck: ((check: HandCheck) => void) | null;
}) {
  const say = useWords();
  const proven = causes.some(({ evidence }) => evidence.length > 0);
  return (
    <section aria-label={say('batch.likelyCauses')} className="mt-4">
      <h3 className="text-xl font-semibold">{say('batch.likelyCauses')}</h3>
      {!proven && <p className="mb-2 text-lg">{say('batch.nothingExplainsIt')}</p>}
      <ul className="grid gap-3">
        {causes.slice(0, NAMED).map((one) => (
          <li key={one.cause} className="border-l-4 border-edge pl-3 text-lg">
            <CauseLines explanation={one} onCheck={onCheck} photos={photos} />
            {remedyOf(one.cause)}
          </li>
        ))}
      </ul>
    </section>
  );
}

function CauseLines({
  explanation,
  onCheck,
  photos,
}: {
  explanation: Explanation;
  onCheck: ((check: HandCheck) => void) | null;
  photos: number;
}) {
  const say = useWords();
  const { cause, shownAs, evidence, ask } = explanation;
  const found = (answer: HandCheck['answer']) =>
    ask && onCheck?.({ kind: 'checked', check: ask.check, answer, minutes: 0 });
  return (
    <>
      <p>
        <span className="font-semibold">{say.coded(CAUSE_WORDS[cause].name)}</span>{' '}
        <span className="text-quiet">
          {say('batch.howLikely', {
            likely: howLikely(explanation),
            faults: shownAs.map((fault) => say.inLine(say.coded(FAULT_NAMES[fault]))).join('; '),
          })}
        </span>
      </p>
      {evidence.length > 0 && (
        <p>{say('batch.fromTheRecord', { evidence: evidence.map(say.coded).join('; ') })}</p>
      )}
      <p>{say('batch.nextTimeDo', { next: say.coded(CAUSE_WORDS[cause].next) })}</p>
      {ask && onCheck && (
        <div className="mt-1 flex flex-wrap items-center gap-3">
          <p>{say('causes.ask', { check: ask.check, answer: ask.answer })}</p>
          {photos > 0 && (
            <a href="#photos" className="grid min-h-14 items-center underline underline-offset-4">
              {say('causes.lookAtPhotos', { count: photos })}
            </a>
          )}
          <Button floor onClick={() => found(ask.answer)}>
            {say('causes.yes')}
          </Button>
          <Button floor onClick={() => found('good')}>
            {say('causes.no')}
          </Button>
        </div>
      )}
    </>
  );
}
