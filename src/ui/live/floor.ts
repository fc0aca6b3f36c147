'use client';

import { useMemo, useRef, useState } from 'react';
import { v7 as uuidv7 } from 'uuid';
import { floorDough, type Board } from '@/core/floor/board';
import type { FloorDough } from '@/core/floor/agenda';
import type { Answer } from '@/core/floor/answer';
import type { FloorEvent } from '@/core/floor/events';
import type { Lesson } from '@/core/floor/lesson';

import { send } from './command';
import { go } from './go';

/** What can be recorded from a screen. */
export type Recording = Pick<FloorEvent, 'doughId' | 'stepKey' | 'kind'> &
  Partial<Pick<FloorEvent, 'celsius' | 'text' | 'undoes' | 'data'>>;

/**
 * The doughs of a board as the floor sees them, and a way to record. What is recorded shows at once and is taken back,
 * with a sentence, if the house refuses it.
 */
export function useFloor(board: Board, personId: number, now: number) {
  const [sent, setSent] = useState<FloorEvent[]>([]);
  const [trouble, setTrouble] = useState<string | null>(null);
  // One after the other, in the order of the taps: the finish of a step must be there before the start of the next.
  const line = useRef<Promise<unknown>>(Promise.resolve());
  const doughs: FloorDough[] = useMemo(
    () =>
      board.doughs.map((dough) =>
        floorDough({
          ...dough,
          events: [...dough.events, ...sent.filter((event) => event.doughId === dough.id)],
        }),
      ),
    [board, sent],
  );
  const events = useMemo(() => [...board.doughs.flatMap((dough) => dough.events), ...sent], [board, sent]);

  async function record(recording: Recording): Promise<Answer> {
    // Ordered by the time they were made: of two words in one minute the later counts.
    const id = uuidv7();
    const blank = { celsius: null, text: null, undoes: null, data: null };
    const event: FloorEvent = { ...blank, ...recording, id, at: Math.round(now), personId };
    setTrouble(null);
    setSent((before) => [...before, event]);
    const { doughId, stepKey, kind, celsius, text, undoes, data } = recording;
    const sending = line.current.then(() =>
      send('record-event', { id, doughId, stepKey, kind, celsius, text, undoes, data }),
    );
    line.current = sending;
    const answer = await sending;
    if (answer.ok) {
      const lesson = (answer.result as { lesson: Lesson | null } | null)?.lesson;
      if (lesson?.question) setTrouble(lesson.question);
      return answer;
    }
    setSent((before) => before.filter((other) => other.id !== id));
    setTrouble(answer.message);
    if (answer.status === 401) go('/sign-in?ended');
    return answer;
  }

  return { doughs, events, record, trouble, calm: () => setTrouble(null) };
}
