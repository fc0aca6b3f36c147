'use client';

import { useEffect, useState } from 'react';
import type { DoorOpening } from '@/core/shopfloor/catch-up';
import { entriesOf } from '@/core/shopfloor/catch-up-entries';
import type { DoughForecast } from '@/core/forecast/forecast';
import type { Recording } from '@/core/record/events';
import type { Instant } from '@/core/time/local';
import type { Board } from '@/core/wire/board';
import { Button } from '../kit/button';
import { Sheet } from '../kit/sheet';
import { useWords } from '../kit/words';
import { doorTimes } from './door-times';
import { type Answers, answered, NO_ANSWERS } from './catch-up-answers';
import { CatchUpDough } from './catch-up-dough';
import { LongOver } from './long-over';

/**
 * Everything that should be over and is not recorded, with the times that are offered: one tap records it all. Steps are left out and
 * times changed before that; what is long over is closed without a record.
 */
export function CatchUpSheet({
  board,
  stopped,
  over,
  now,
  onRecord,
  onClose,
}: {
  board: Board;
  /** Doughs of which the record has stopped; `over`: those of them that are over for long. */
  stopped: readonly DoughForecast[];
  over: readonly DoughForecast[];
  now: Instant;
  onRecord: (recording: Recording, at?: number) => void;
  onClose: () => void;
}) {
  const say = useWords();
  // What is being answered stays in its place, whatever time it becomes meanwhile.
  const [asked] = useState({ at: now, over: over.map(({ id }) => id) });
  const [answers, setAnswers] = useState<ReadonlyMap<number, Answers>>(new Map());
  const [entering, setEntering] = useState<readonly number[]>([]);
  const [doors, setDoors] = useState<readonly DoorOpening[]>([]);
  const { machines } = board;
  useEffect(() => {
    void doorTimes().then((opened) =>
      // The door of a machine is known by the place that its probe is in.
      setDoors([
        ...opened,
        ...machines.flatMap(({ id, place }) =>
          opened.filter((door) => door.place === place).map(({ at }) => ({ place: id, at })),
        ),
      ]),
    );
  }, [machines]);
  const closing = stopped.filter(({ id }) => asked.over.includes(id) && !entering.includes(id));
  const listed = stopped.filter((dough) => !closing.includes(dough));
  const answersOf = (id: number) => answers.get(id) ?? NO_ANSWERS;
  const rows = listed.map((dough) => ({
    dough,
    done: answered(dough, asked.at, answersOf(dough.id), doors),
  }));
  const steps = rows.reduce((sum, { done }) => sum + done.length, 0);
  const isWrong =
    // What is not recorded may say what it likes.
    rows.some(({ dough, done }) =>
      done.some(({ step, isTooEarly }) => isTooEarly || answersOf(dough.id).ends.get(step.key) === null),
    );
  const recordAll = () => {
    for (const { dough, done } of rows)
      for (const { recording, at } of done.flatMap((one) => entriesOf(dough, one))) onRecord(recording, at);
    if (closing.length === 0) onClose();
  };
  return (
    <Sheet open onOpenChange={(to) => !to && onClose()} title={say('floor.catchUp')}>
      <LongOver
        {...{ board, doughs: closing, now: asked.at, onRecord }}
        onEnter={(id) => setEntering([...entering, id])}
      />
      {listed.length > 0 && <p className="mb-2 text-lg">{say('floor.whichWereDone')}</p>}
      {rows.map(({ dough, done }) => (
        <CatchUpDough
          key={dough.id}
          {...{ dough, done, doors, now: asked.at, zone: board.house.zone }}
          answers={answersOf(dough.id)}
          onAnswer={(next) => setAnswers(new Map(answers).set(dough.id, next))}
          onNotMade={(why) =>
            onRecord({
              ...{ doughId: dough.id, stepKey: null, kind: 'lost', text: why },
              data: { kind: 'lost', output: null, pieces: null },
            })
          }
        />
      ))}
      {listed.length > 0 && (
        <div className="sticky -bottom-6 -mx-6 -mb-6 border-t border-hairline bg-flour px-6 pt-3 pb-6">
          {isWrong && (
            <p role="alert" className="mb-2 text-lg text-warn">
              {say('floor.timesDoNotFit')}
            </p>
          )}
          <Button look="act" floor className="w-full" disabled={steps === 0 || isWrong} onClick={recordAll}>
            {say('floor.recordSteps', { steps })}
          </Button>
        </div>
      )}
      {stopped.length === 0 && <p className="text-xl">{say('floor.allCaughtUp')}</p>}
    </Sheet>
  );
}
