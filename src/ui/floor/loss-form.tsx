'use client';

import { useState } from 'react';
import type { DoughRecord } from '@/core/record/dough';
import { lostOf } from '@/core/record/losses';
import type { DoughState } from '@/core/record/state';
import type { Recording } from '@/core/record/events';
import { Button } from '../kit/button';
import { Choice, Field } from '../kit/field';
import { useWords } from '../kit/words';

const REASONS = ['overproofed', 'tooWarm', 'fellDown', 'notRisen', 'foreignBody'] as const;

/** What of a dough is lost, and why: the whole of it unless something else is chosen; one tap on the reason records it. */
export function LossForm({
  dough,
  losses,
  onRecord,
}: {
  dough: Pick<DoughRecord, 'id' | 'name' | 'outputs'>;
  losses: DoughState['losses'];
  onRecord: (recording: Recording) => void;
}) {
  const say = useWords();
  const [output, setOutput] = useState('');
  const [pieces, setPieces] = useState('');
  const [words, setWords] = useState('');
  const chosen = dough.outputs.find(({ id }) => String(id) === output);
  const left = chosen ? chosen.pieces - lostOf(losses, chosen) : 0;
  const count = pieces.trim() === '' ? null : /^\d+$/.test(pieces.trim()) ? Number(pieces) : NaN;
  const isWrong = count !== null && !(count > 0 && count <= left);
  const record = (why: string) =>
    onRecord({
      ...{ doughId: dough.id, stepKey: null, kind: 'lost', text: why },
      // All that is left is all: nothing of it goes on.
      data: { kind: 'lost', output: chosen?.id ?? null, pieces: chosen && count !== left ? count : null },
    });
  return (
    <div className="grid gap-4">
      <div className="grid gap-3 sm:grid-cols-2">
        <Choice
          label={say('floor.whatIsLost')}
          size="floor"
          value={output}
          options={[
            { id: '', name: say('floor.wholeDough') },
            ...dough.outputs.map((one) => ({ id: String(one.id), name: one.product })),
          ]}
          onChoose={(id) => {
            setOutput(id);
            setPieces('');
          }}
        />
        {chosen && (
          <Field
            label={say('floor.piecesLost')}
            size="floor"
            inputMode="numeric"
            placeholder={say('floor.allPieces', { left })}
            value={pieces}
            trouble={isWrong ? say('floor.soManyAreLeft', { left }) : null}
            onType={setPieces}
          />
        )}
      </div>
      <section aria-label={say('floor.why')}>
        <h3 className="mb-2 text-lg font-semibold">{say('floor.why')}</h3>
        <div className="flex flex-wrap gap-2">
          {REASONS.map((reason) => (
            <Button key={reason} floor disabled={isWrong} onClick={() => record(say(`floor.${reason}`))}>
              {say(`floor.${reason}`)}
            </Button>
          ))}
        </div>
      </section>
      <form
        className="grid grid-cols-[1fr_auto] items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (words.trim() !== '' && !isWrong) record(words.trim());
        }}
      >
        <Field
          label={say('floor.anotherReason')}
          size="floor"
          value={words}
          maxLength={200}
          onType={setWords}
        />
        <Button type="submit" floor disabled={words.trim() === '' || isWrong}>
          {say('floor.recordLoss')}
        </Button>
      </form>
    </div>
  );
}
