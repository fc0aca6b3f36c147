'use client';

import { useWords } from '../kit/words';
import clsx from 'clsx';
import { FAULT_NAMES } from '@/core/diagnosis/faults';
import {
  FAULT_IDS,
  LAMINATED_ONLY,
  MARKS,
  SCORE_WORDS,
  type FaultId,
  type Mark,
  type BatchMarks,
  type Score,
} from '@/core/record/marks';

const SCORES: readonly Score[] = [1, 2, 3, 4, 5];

/** Marks from 1 to 5 and the faults that were seen, each one tap. */
export function MarksForm({
  marks,
  seen,
  laminated,
  onSay,
}: {
  marks: BatchMarks['marks'];
  seen: readonly FaultId[];
  laminated: boolean;
  onSay: (marked: BatchMarks) => void;
}) {
  const say = useWords();
  const fits = (one: Mark | FaultId) => laminated || !LAMINATED_ONLY.includes(one);
  const put = (part: Partial<Omit<BatchMarks, 'kind'>>) =>
    onSay({ kind: 'marked', marks, seen: [...seen], ...part });
  return (
    <div className="grid gap-6 lg:grid-cols-2">
      <div className="grid content-start gap-1">
        {MARKS.filter(fits).map((mark) => (
          <MarkRow
            key={mark}
            mark={mark}
            score={marks[mark]}
            onGive={(score) => put({ marks: { ...marks, [mark]: score } })}
          />
        ))}
        <p className="text-[15px] text-quiet">
          1 {say.coded(SCORE_WORDS[1])}, 5 {say.coded(SCORE_WORDS[5])}
        </p>
      </div>
      <fieldset>
        <legend className="mb-1 text-lg">{say('batch.seenOnIt')}</legend>
        <div className="flex flex-wrap gap-2">
          {FAULT_IDS.filter(fits).map((fault) => {
            const on = seen.includes(fault);
            return (
              <button
                key={fault}
                type="button"
                aria-pressed={on}
                onClick={() => put({ seen: on ? seen.filter((one) => one !== fault) : [...seen, fault] })}
                className={clsx(
                  'min-h-14 rounded border px-3 text-[17px]',
                  on ? 'border-ink bg-ink text-ground' : 'border-edge bg-flour',
                )}
              >
                {say.coded(FAULT_NAMES[fault])}
              </button>
            );
          })}
        </div>
      </fieldset>
    </div>
  );
}

function MarkRow({
  mark,
  score,
  onGive,
}: {
  mark: Mark;
  score: Score | undefined;
  onGive: (score: Score) => void;
}) {
  const say = useWords();
  return (
    <div
      role="group"
      aria-label={say('names.mark', { mark })}
      className="flex items-center gap-2 max-sm:flex-wrap max-sm:gap-1"
    >
      <span className="w-20 text-xl first-letter:uppercase max-sm:w-full">{say('names.mark', { mark })}</span>
      {SCORES.map((one) => (
        <button
          key={one}
          type="button"
          aria-pressed={score === one}
          aria-label={`${say('names.mark', { mark })} ${one}, ${say.coded(SCORE_WORDS[one])}`}
          onClick={() => onGive(one)}
          className={clsx(
            'size-14 rounded border text-2xl font-semibold',
            score === one ? 'border-ink bg-ink text-ground' : 'border-edge bg-flour',
          )}
        >
          {one}
        </button>
      ))}
    </div>
  );
}
