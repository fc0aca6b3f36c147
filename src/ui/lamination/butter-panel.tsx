'use client';

import { useWords } from '../kit/words';
import type { Say } from '@/words/say';
import { useMemo } from 'react';
import { butterWindow, type FatKind, FATS, temperFor, WORKABLE } from '@/core/lamination/butter-window';
import { films, type PlaceKind } from '@/core/heat/places';
import { type ReaderUnits, showCelsius, showLength } from '@/core/units/reader';
import { Choice, Field } from '../kit/field';
import { useMinute } from '../live/clock';
import { measure } from '@/core/units/measure';
import { unless, useTyped, wants } from '../workbench/use-typed';
import { butterWords, takeOutWords } from './butter-words';

export interface PlaceToday {
  celsius: number;
  kind: PlaceKind;
}

const MINUTE = 60_000;
const fatOptions = (say: Say, units: ReaderUnits) =>
  FATS.map((id) => ({
    id,
    name: say('schemes.to', {
      label: say.coded(WORKABLE[id].label),
      celsius: showCelsius(WORKABLE[id].low, units),
      celsius2: showCelsius(WORKABLE[id].high, units),
    }),
  }));

/** Is the butter pliable: its core and skin from what it has had in cold and room, and until when it lasts. */
export function ButterPanel({
  room,
  cold,
  blockMm,
  zone,
}: {
  room: PlaceToday;
  cold: PlaceToday;
  blockMm: number;
  zone: string;
}) {
  const say = useWords();
  const now = useMinute();
  const { typed, set, read, field, units } = useTyped({
    ...{ mm: measure('mm', blockMm), out: '0', lockIn: '30', fat: 'butter-82' },
    ...{ room: measure('celsius', room.celsius), cold: measure('celsius', cold.celsius) },
  });
  const [mm, out, lockIn] = [read.mm('mm'), read.number('out'), read.number('lockIn')];
  const [warm, chilled] = [read.celsius('room'), read.celsius('cold')];
  const fat = typed.fat as FatKind;
  const answer = useMemo(() => {
    if ([mm, out, lockIn, warm, chilled].some(Number.isNaN) || !(mm >= 2 && mm <= 60)) return null;
    const block = {
      ...{ mm, fat, start: chilled },
      room: { celsius: warm, ...films(room.kind, 'tray') },
      cold: { celsius: chilled, ...films(cold.kind, 'film') },
    };
    const history = out > 0 ? [{ ...block.room, minutes: Math.min(600, out) }] : [];
    return { window: butterWindow({ ...block, history }), temper: temperFor(block) };
  }, [mm, out, lockIn, warm, chilled, fat, room.kind, cold.kind]);
  const showsRoom = Number.isNaN(warm) ? '' : showCelsius(warm, units);
  return (
    <section aria-labelledby="butter-heading" className="grid content-start gap-2">
      <h2 id="butter-heading" className="text-xl font-semibold">
        {say('schemes.isTheButterPliable')}
      </h2>
      <div className="grid grid-cols-3 gap-2">
        <Choice
          label={say('schemes.fat')}
          value={typed.fat}
          options={fatOptions(say, units)}
          onChoose={(chosen) => set({ fat: chosen })}
        />
        <Field label={say('schemes.blockThick')} {...field('mm')} trouble={unless(mm, wants(say, 'mm'))} />
        <Field
          label={say('schemes.outOfTheColdFor')}
          {...field('out')}
          trouble={unless(out, say('schemes.howManyMinutes'))}
        />
        <Field label={say('schemes.room')} {...field('room')} trouble={unless(warm, wants(say, 'celsius'))} />
        <Field
          label={say('schemes.cold')}
          {...field('cold')}
          trouble={unless(chilled, wants(say, 'celsius'))}
        />
        <Field
          label={say('schemes.lockInMin')}
          {...field('lockIn')}
          trouble={unless(lockIn, say('schemes.inHowManyMinutes'))}
        />
      </div>
      {answer ? (
        <div role="status" className="border-l-4 border-butter pl-3 text-[17px]">
          {butterWords(say, answer.window, { now, zone, room: showsRoom }).map((words, i) => (
            <p key={words} className={i === 0 ? 'text-xl font-semibold' : undefined}>
              {words}
            </p>
          ))}
          <p>
            {say('schemes.coreSkin', {
              celsius: showCelsius(answer.window.core, units),
              celsius2: showCelsius(answer.window.surface, units),
            })}
          </p>
          <p>{takeOutWords(say, now + lockIn * MINUTE, { temper: answer.temper, now, zone })}</p>
        </div>
      ) : (
        <p role="alert" className="text-warn">
          {say('schemes.aBlockIsBetweenAnd', {
            length: showLength(2, units),
            length2: showLength(60, units),
          })}
        </p>
      )}
      <p className="text-[15px] text-quiet">{say('schemes.byHandItBendsWithout')}</p>
    </section>
  );
}
