'use client';

import { useWords } from '../kit/words';
import { useEffect, useMemo, useState } from 'react';
import { v7 as uuidv7 } from 'uuid';
import { OF_SOMEBODY_ELSE, SIGNED_OUT } from '@/core/wire/answer';
import { createForecaster } from '@/core/forecast/forecaster';
import { conditionsOf, type Board } from '@/core/wire/board';
import { eventOf, type FloorEvent, type Recording } from '@/core/record/events';
import { nextTime } from '@/core/record/next-time';
import type { Lesson } from '@/core/wire/lesson';
import { useClock } from './clock';
import { backToSignIn } from './command';
import { onHeard } from './heard';
import { flush, keep, onSent, waitingEvents } from './outbox';
import { aboutTap } from './tap-words';
import { retoldHere } from './units';
import type { Words } from '@/core/codes/coded';

/** Events heard of from other tablets that are remembered; the board has them long before so many have come. */
const HEARD = 200;

/** What of `more` is about this dough and not among its events yet, each once. */
function newTo(events: readonly FloorEvent[], more: readonly FloorEvent[], doughId: number): FloorEvent[] {
  const own = more.filter((event) => event.doughId === doughId);
  if (own.length === 0) return [];
  const known = new Set(events.map(({ id }) => id));
  return own.filter(({ id }) => !known.has(id) && known.add(id));
}

/**
 * The doughs of a board as the floor sees them, and a way to record. What is recorded shows at once, is kept on this tablet
 * until it has arrived, and is taken back, with a sentence, if the house refuses it.
 */
export function useFloor(board: Board, personId: number, now: number) {
  const say = useWords();
  // To the second: what waits on the tablet and is sent later has to come behind what was stored before it.
  const { now: fine } = useClock();
  const [sent, setSent] = useState<FloorEvent[]>([]);
  const [heard, setHeard] = useState<FloorEvent[]>([]);
  const [trouble, setTrouble] = useState<Words | null>(null);
  useEffect(() => onHeard((more) => setHeard((before) => [...before, ...more].slice(-HEARD))), []);
  useEffect(() => {
    const stop = onSent((outcome) => {
      if (!('event' in outcome)) return;
      const { event, late, answer } = outcome;
      if (answer.ok) {
        const lesson = (answer.result as { lesson: Lesson | null } | null)?.lesson;
        if (lesson?.question) setTrouble(lesson.question);
        return;
      }
      // It waits for the PIN of whoever recorded it.
      if (answer.status === SIGNED_OUT) return backToSignIn();
      if (answer.status === OF_SOMEBODY_ELSE) return;
      setSent((before) => before.filter(({ id }) => id !== event.id));
      // What had waited is told in the list of what was refused.
      if (!late) setTrouble(retoldHere(answer.message));
    });
    // What an earlier page has left, or another tab.
    void waitingEvents().then((left) => {
      if (left.length > 0) setSent((before) => [...left, ...before]);
      void flush();
    });
    const onLine = () => void flush();
    window.addEventListener('online', onLine);
    return () => {
      stop();
      window.removeEventListener('online', onLine);
    };
  }, []);
  // One object as long as nothing was recorded of a dough: only then is its forecast made anew.
  const records = useMemo(
    () =>
      board.doughs.map((dough) => {
        const more = newTo(dough.events, [...heard, ...sent], dough.id);
        return more.length === 0 ? dough : { ...dough, events: [...dough.events, ...more] };
      }),
    [board, sent, heard],
  );
  const conditions = useMemo(() => conditionsOf(board), [board]);
  const [forecast] = useState(createForecaster);
  const doughs = useMemo(() => forecast(records, conditions, now), [forecast, records, conditions, now]);
  const events = useMemo(() => records.flatMap((dough) => dough.events), [records]);

  /** Records something that happens now, or that happened at an earlier time which somebody has entered. */
  async function record(recording: Recording, enteredAt?: number): Promise<void> {
    // Ordered by the time they were made: of two words in one minute the later counts.
    const id = uuidv7();
    const blank = { celsius: null, text: null, undoes: null, data: null };
    const known = records.find((dough) => dough.id === recording.doughId)?.events ?? [];
    const at = enteredAt ?? nextTime(known, Math.round(fine));
    const late = enteredAt === undefined ? {} : { receivedAt: Math.round(fine) };
    const event = eventOf({ ...blank, ...recording, ...late, id, at, personId });
    setTrouble(null);
    setSent((before) => [...before, event]);
    await keep(
      event,
      aboutTap(
        say,
        event,
        board.doughs.find(({ id }) => id === event.doughId),
      ),
      enteredAt !== undefined,
    );
  }

  return {
    ...{ doughs, records, conditions, events, record },
    trouble: trouble && say.coded(trouble),
    calm: () => setTrouble(null),
  };
}
