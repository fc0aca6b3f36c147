'use client';

import { useState } from 'react';
import type { Board, Person } from '@/core/floor/board';
import { ovenLoads, type OvenLoad } from '@/core/floor/oven-loads';
import { clockTime } from '@/core/time/local';
import { showCelsius } from '@/core/units/reader';
import { TemperatureSheet } from '../bench/temperature-sheet';
import { FloorHead } from '../floor/floor-head';
import { useAlarms } from '../floor/use-alarms';
import { nearTime } from '../floor/words';
import { Button } from '../kit/button';
import { useMinute } from '../live/clock';
import { useFloor, type Recording } from '../live/floor';
import { useUnits } from '../live/units';
import { useSecond } from '../live/use-second';
import { CountSheet } from './count-sheet';
import { countOf, countWords, fanCelsius, timer } from './words';

/** Minutes that a load may be given more with one tap. */
const LONGER = [2, 4];

type Tell = (load: OvenLoad, part: Omit<Recording, 'doughId' | 'stepKey'>) => void;

/** What is in the oven, with its timers; what goes in next; what came out and is to be counted. */
export function OvenView({ board, person }: { board: Board; person: Person }) {
  const now = useMinute();
  const { zone } = board.house;
  const { doughs, record, trouble } = useFloor(board, person.id, now);
  const calls = useAlarms(board, doughs, now, person.id);
  const loads = ovenLoads(doughs, now);
  const oven = board.machines.find(({ id }) => id === 'oven');
  const reading = board.places.find(({ place }) => place === 'oven');
  const tell: Tell = ({ dough, step }, part) =>
    void record({ doughId: dough.id, stepKey: step.key, ...part });
  const [units] = useUnits();
  const [next] = loads.coming;
  const inside = loads.in.reduce((sum, { trays }) => sum + trays, 0);
  return (
    <main className="flex-1 bg-flour">
      <h1 className="sr-only">Oven</h1>
      <FloorHead {...{ calls, zone, trouble }} />
      <div className="grid gap-px bg-hairline lg:grid-cols-[1.5fr_1fr]">
        <section aria-label="In the oven" className="min-w-0 bg-flour p-5">
          <p className="mb-2 flex flex-wrap gap-x-6 text-lg text-quiet">
            <span>
              {inside} of {oven?.capacity ?? 0} trays in
            </span>
            {reading && <OvenReading celsius={reading.celsius} at={clockTime(reading.at, zone)} />}
          </p>
          {loads.in.map((load) => (
            <Inside key={`${load.dough.id}/${load.step.key}`} {...{ load, zone, tell }} />
          ))}
          {loads.in.length === 0 && (
            <p className="py-8 text-3xl">
              The oven is empty.
              {next && (
                <span className="block text-2xl">
                  {next.dough.name} goes in {nearTime(next.start, now, zone)}, at{' '}
                  {showCelsius(next.setting, units)}.
                </span>
              )}
            </p>
          )}
          <p className="mt-4 max-w-xl border-l-4 border-edge pl-3 text-lg">
            Hot trays and steam burn: gloves, door open with a step back. Caution with boiling sugar.
          </p>
        </section>
        <div className="grid content-start gap-px bg-hairline lg:border-b lg:border-hairline lg:bg-ground">
          <section aria-label="Goes in next" className="bg-ground p-5">
            <h2 className="mb-1 text-lg text-quiet">goes in next</h2>
            <ul>
              {loads.coming.map((load) => (
                <Coming key={`${load.dough.id}/${load.step.key}`} {...{ load, zone }} />
              ))}
              {loads.coming.length === 0 && <li className="text-xl">Nothing for the next 12 h.</li>}
            </ul>
          </section>
          <section aria-label="Came out" className="bg-ground p-5">
            <h2 className="mb-1 text-lg text-quiet">came out</h2>
            <ul className="grid gap-2">
              {loads.out.map((load) => (
                <Out key={`${load.dough.id}/${load.step.key}`} {...{ load, zone, tell }} />
              ))}
              {loads.out.length === 0 && <li className="text-xl">Nothing in the last two hours.</li>}
            </ul>
          </section>
        </div>
      </div>
    </main>
  );
}

function OvenReading({ celsius, at }: { celsius: number; at: string }) {
  const [units] = useUnits();
  return (
    <span>
      probe {showCelsius(celsius, units)} at {at}
    </span>
  );
}

/** Minutes that a bake goes on when its core is too cold. */
const MORE_FOR_CORE = 3;

const isRaw = (core: readonly [number, number] | undefined, celsius: number) =>
  core !== undefined && celsius < core[0];

function Inside({ load, zone, tell }: { load: OvenLoad; zone: string; tell: Tell }) {
  const now = useSecond();
  const [units] = useUnits();
  const [core, setCore] = useState(false);
  const { dough, step, done, turn, phases, setting, trays } = load;
  const phase = phases.find(({ until }) => until > now) ?? phases.at(-1);
  const over = now > done;
  const measured = dough.state.steps.get(step.key)?.temperatures.at(-1);
  const raw = measured !== undefined && isRaw(step.step.core, measured.celsius);
  const longer = (minutes: number) =>
    tell(load, {
      kind: 'check',
      data: {
        ...{ kind: 'checked', check: 'bake', answer: 'longer' },
        minutes: Math.max(0, Math.ceil((done - now) / 60_000)) + minutes,
      },
    });
  return (
    <article className="border-b border-hairline py-3">
      <div className="grid grid-cols-[1fr_auto] items-end gap-x-6">
        <div>
          <h2 className="text-3xl leading-tight font-bold">{dough.name}</h2>
          <p className="text-xl">
            {step.label.toLowerCase()}, {trays} trays, in since {clockTime(load.start, zone)}
          </p>
        </div>
        <p className="text-right">
          <span className={over ? 'text-6xl font-bold text-warn' : 'text-6xl font-bold'}>
            {timer(done - now)}
          </span>
          <span className="block text-lg text-quiet">
            {over ? 'over; look at the colour' : `out ${clockTime(done, zone)}`}
          </span>
        </p>
      </div>
      {phase && (
        <p className="mt-1 text-xl">
          <b>{showCelsius(phase.celsius, units)}</b>
          {phase.words && `, ${phase.words}`}
          {phases.length > 1 &&
            phase.until > now &&
            phase !== phases.at(-1) &&
            `, ${timer(phase.until - now)} more`}
          <span className="text-quiet"> (with fan {showCelsius(fanCelsius(phase.celsius), units)})</span>
          {phase.celsius !== setting && (
            <span className="text-quiet">, then {showCelsius(setting, units)}</span>
          )}
        </p>
      )}
      <p className="text-xl">
        {now < turn
          ? `turn and swap the trays in ${timer(turn - now)}`
          : 'trays turned and swapped at half time?'}
        {measured && `; core ${showCelsius(measured.celsius, units)}`}
      </p>
      {raw && step.step.core && (
        <p role="status" className="border-l-4 border-warn pl-3 text-xl">
          The core is done from {showCelsius(step.step.core[0], units)}: bake on {MORE_FOR_CORE} min and
          measure again.
        </p>
      )}
      <div className="mt-2 grid grid-cols-2 gap-3 md:grid-cols-4">
        <Button
          look={over && !raw ? 'act' : 'plain'}
          floor
          className="font-semibold"
          onClick={() => tell(load, { kind: 'finish' })}
        >
          Out
        </Button>
        {LONGER.map((minutes) => (
          <Button key={minutes} floor onClick={() => longer(minutes)}>
            +{minutes} min
          </Button>
        ))}
        <Button floor onClick={() => setCore(true)}>
          Core °C
        </Button>
      </div>
      <TemperatureSheet
        open={core}
        onOpenChange={setCore}
        step={step.step}
        onTell={(celsius) => {
          tell(load, { kind: 'temperature', celsius });
          // Too raw at the end of its time: it stays in, and everything after it learns of that.
          if (isRaw(step.step.core, celsius) && done - now < MORE_FOR_CORE * 60_000) longer(MORE_FOR_CORE);
        }}
      />
    </article>
  );
}

function Coming({ load, zone }: { load: OvenLoad; zone: string }) {
  const now = useMinute();
  const [units] = useUnits();
  return (
    <li className="flex min-h-14 items-center gap-4 border-b border-hairline">
      <span className="w-24 shrink-0 text-2xl font-bold">{nearTime(load.start, now, zone)}</span>
      <span className="min-w-0">
        <span className="block text-xl font-semibold">{load.dough.name}</span>
        <span className="block text-lg text-quiet">
          {showCelsius(load.setting, units)}, {load.trays} trays, {load.step.target} min
          {load.step.load && `, ${load.step.load.pieces} pieces`}
        </span>
      </span>
    </li>
  );
}

function Out({ load, zone, tell }: { load: OvenLoad; zone: string; tell: Tell }) {
  const [open, setOpen] = useState(false);
  const counted = countOf(load);
  return (
    <li className="flex min-h-14 items-center justify-between gap-4 border-b border-hairline">
      <span className="min-w-0">
        <span className="block text-xl font-semibold">{load.dough.name}</span>
        <span className="block text-lg text-quiet">
          out {clockTime(load.done, zone)}
          {counted ? `, ${countWords(counted)}` : `, ${load.step.load?.pieces ?? 0} pieces`}
        </span>
      </span>
      <Button floor className="shrink-0" onClick={() => setOpen(true)}>
        {counted ? 'Count again' : 'Count'}
      </Button>
      <CountSheet
        open={open}
        onOpenChange={setOpen}
        title={`${load.dough.name}: how many came out well?`}
        pieces={load.step.load?.pieces ?? 0}
        onCount={(data) => tell(load, { kind: 'count', data })}
      />
    </li>
  );
}
