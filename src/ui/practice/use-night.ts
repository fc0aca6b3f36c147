import { type RefObject, useEffect, useMemo, useRef, useState } from 'react';
import { v7 as uuidv7 } from 'uuid';
import type { Coded } from '@/core/codes/coded';
import { createForecaster } from '@/core/forecast/forecaster';
import { bodyOf, lookAt, nightDough, withLook } from '@/core/practice/looks';
import { boardAt, refusal } from '@/core/practice/night';
import type { NightRecord, Sense } from '@/core/practice/night-record';
import type { Scene } from '@/core/practice/scene';
import { eventOf, type Recording } from '@/core/record/events';
import { nextTime } from '@/core/record/next-time';
import type { AgendaItem } from '@/core/shopfloor/agenda';
import { type AlarmGroup, groupAlarms } from '@/core/shopfloor/alarm-groups';
import { alarms } from '@/core/shopfloor/alarms';
import { conditionsOf } from '@/core/wire/board';
import { send } from '../live/command';
import { keepHere, readHere } from '../live/kept';
import { useNightClock } from './use-night-clock';

const MINUTE = 60_000;

/** A practice night that is under way: its clock, its floor, and what can be done there. It is kept after every act. */
export function useNight(id: number, scene: Scene, kept: NightRecord, personId: number) {
  const [begun] = useState(() => farther(kept, readNight(id)));
  const clock = useNightClock(Math.max(scene.opensAt, begun.at), scene.closesAt);
  const [record, setRecord] = useState(begun);
  const [trouble, setTrouble] = useState<Coded | string | null>(null);
  const minute = Math.floor(clock.now / MINUTE) * MINUTE;
  const current = useMemo(() => ({ ...record, at: minute }), [record, minute]);
  const board = useMemo(() => boardAt(scene, current), [scene, current]);
  const [forecast] = useState(createForecaster);
  const doughs = useMemo(
    () => forecast(board.doughs, conditionsOf(board), minute),
    [forecast, board, minute],
  );
  const open = useMemo(() => {
    const { zone } = board.house;
    const due = alarms(doughs, minute, { ...board.calls, zone, machines: board.machines });
    return groupAlarms(due.filter(({ takenBy }) => takenBy === null));
  }, [board, doughs, minute]);
  const line = useKept(id, record, clock.now, setTrouble);

  /** Records something, unless the night itself stands against it. */
  const tell = (recording: Recording): void => {
    const now = Math.round(clock.now);
    const stopped = refusal(doughs, recording, { now, zone: board.house.zone });
    setTrouble(stopped);
    if (!stopped) setRecord((before) => withEvent(before, recording, { now, personId }));
  };
  /** Looks at something under way: it takes a minute, and what is measured is recorded. */
  const look = (item: AgendaItem, sense: Sense): void => {
    const dough = nightDough(board.doughs, doughs, item.dough.id);
    if (!dough) return;
    const at = Math.round(clock.now);
    const found = lookAt(scene, dough, { step: item.step, sense, at });
    const body = bodyOf(found);
    setTrouble(null);
    setRecord((before) => {
      const seen = withLook(before, found);
      const recording = body && { doughId: item.dough.id, stepKey: item.step.key, ...body };
      return recording ? withEvent(seen, recording, { now: at, personId }) : seen;
    });
    clock.moveTo(at + MINUTE);
  };
  const take = ({ all }: AlarmGroup): void =>
    setRecord((before) => ({
      ...before,
      taken: [...before.taken, ...all.map((alarm) => ({ alarm: alarm.id, personId, at: minute }))],
    }));
  /** Ends the night for good; returns whether it is kept. */
  const end = async (): Promise<boolean> => {
    clock.setPaused(true);
    // What was done just before is on its way: the end comes after it.
    await line.current;
    const answer = await send('keep-practice', { id, record: current, ended: true });
    if (!answer.ok) setTrouble(answer.message);
    else keepHere(nightKey(id), '');
    return answer.ok;
  };
  return {
    clock,
    minute,
    board,
    doughs,
    open,
    record,
    trouble,
    calm: () => setTrouble(null),
    tell,
    look,
    take,
    end,
  };
}

function withEvent(
  record: NightRecord,
  recording: Recording,
  { now, personId }: { now: number; personId: number },
): NightRecord {
  const own = record.events.filter(({ doughId }) => doughId === recording.doughId);
  const blank = { celsius: null, text: null, undoes: null, data: null };
  const event = eventOf({ ...blank, ...recording, id: uuidv7(), at: nextTime(own, now), personId });
  return { ...record, events: [...record.events, event] };
}

const nightKey = (id: number) => `hefeteig-practice/${id}`;

const actsOf = ({ events, looks, taken }: NightRecord): number => events.length + looks.length + taken.length;

/** What was done here just before the page went away may not have arrived in the house. */
const farther = (kept: NightRecord, here: NightRecord | null): NightRecord =>
  here && actsOf(here) > actsOf(kept) ? here : kept;

/** How far this tablet itself was in a night; null where it was never worked here. */
function readNight(id: number): NightRecord | null {
  const text = readHere(nightKey(id));
  return text === null || text === '' ? null : (JSON.parse(text) as NightRecord);
}

/**
 * Keeps a night after every act: here at once, and in the house, so that it goes on where it was on any tablet.
 * Returns the line of what is on its way to the house.
 */
function useKept(
  id: number,
  record: NightRecord,
  now: number,
  onTrouble: (message: string) => void,
): RefObject<Promise<void>> {
  const at = useRef(now);
  useEffect(() => {
    at.current = now;
  }, [now]);
  const first = useRef(record);
  // One after the other: what was kept last is what was done last.
  const line = useRef(Promise.resolve());
  useEffect(() => {
    if (record === first.current) return;
    const here = { ...record, at: Math.round(at.current) };
    keepHere(nightKey(id), JSON.stringify(here));
    const input = { id, record: here, ended: false };
    line.current = line.current.then(async () => {
      const answer = await send('keep-practice', input);
      if (!answer.ok) onTrouble(answer.message);
    });
  }, [id, record, onTrouble]);
  return line;
}
