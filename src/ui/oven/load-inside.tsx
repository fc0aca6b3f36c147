'use client';

import { useWords } from '../kit/words';
import { useState } from 'react';
import { dialFor, type Machine } from '@/core/bakery/machines';
import { clockTime } from '@/core/time/local';
import { showCelsius } from '@/core/units/reader';
import { TemperatureSheet } from '../bench/temperature-sheet';
import { Button } from '../kit/button';
import { useUnits } from '../live/units';
import { useSecond } from '../live/use-second';
import { DeckChoice } from './deck-choice';
import type { OvenInside } from './oven-inside';
import { type LoadProps, Mark } from './load-rows';
import { fanCelsius, phaseAt, timer } from './words';
import type { Tell } from './load-rows';
import type { OvenLoad } from '@/core/shopfloor/oven-loads';
import type { Instant } from '@/core/time/local';

/** Minutes that a load may be given more with one tap. */
const LONGER = [2, 4];

/** Minutes that a bake goes on when its core is too cold. */
const MORE_FOR_CORE = 3;

const isRaw = (core: readonly [number, number] | undefined, celsius: number) =>
  core !== undefined && celsius < core[0];

/** A load in the oven: its timer, phases, decks, and what can be told of it. */
export function LoadInside({
  load,
  outputs,
  zone,
  tell,
  oven,
  ovens,
}: LoadProps & { oven: OvenInside; ovens: readonly OvenInside[] }) {
  const say = useWords();
  const now = useSecond();
  const [units] = useUnits();
  const [core, setCore] = useState(false);
  const { dough, step, done, turn, phases, setting, trays } = load;
  const phase = phaseAt(load, now);
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
            {say('oven.traysInSince', {
              label: say.inLine(say.coded(step.label)),
              trays,
              time: clockTime(load.start, zone),
            })}
          </p>
          <Mark load={load} outputs={outputs} />
        </div>
        <p className="text-right">
          <span className={over ? 'text-6xl font-bold text-warn' : 'text-6xl font-bold'}>
            {timer(done - now)}
          </span>
          <span className="block text-lg text-quiet">
            {over ? say('oven.overLookAtTheColour') : say('oven.out2', { time: clockTime(done, zone) })}
          </span>
        </p>
      </div>
      {phase && <PhaseWords {...{ phase, phases, now, setting }} machine={oven.machine} />}
      <p className="text-xl">
        {say('oven.partPart2', {
          part:
            turn === null
              ? ''
              : now < turn
                ? say('oven.turnAndSwapTheTrays', { timer: timer(turn - now) })
                : say('oven.traysTurnedAndSwappedAt'),
          part2: measured ? say('oven.core', { celsius: showCelsius(measured.celsius, units) }) : '',
        })}
      </p>
      <DeckChoice {...{ load, oven, ovens, tell }} />
      {raw && step.step.core && (
        <p role="status" className="border-l-4 border-warn pl-3 text-xl">
          {say('oven.theCoreIsDoneFrom', {
            celsius: showCelsius(step.step.core[0], units),
            MOREFORCORE: MORE_FOR_CORE,
          })}
        </p>
      )}
      <LoadButtons over={over} raw={raw} onTell={tell} load={load} longer={longer} onCore={setCore} />
      <TemperatureSheet
        open={core}
        onOpenChange={setCore}
        step={step.step}
        of={{ doughId: load.dough.id, stepKey: step.key }}
        onTell={(celsius) => {
          tell(load, { kind: 'temperature', celsius });
          // Too raw at the end of its time: it stays in, and everything after it learns of that.
          if (isRaw(step.step.core, celsius) && done - now < MORE_FOR_CORE * 60_000) longer(MORE_FOR_CORE);
        }}
      />
    </article>
  );
}

interface PhaseWordsProps {
  phase: { celsius: number; until: Instant; steam: boolean; vent: boolean };
  phases: { celsius: number; until: Instant; steam: boolean; vent: boolean }[];
  now: number;
  setting: number;
  machine: Machine;
}

/** What the oven does at this phase, and what comes next. */
function PhaseWords({ phase, phases, now, setting, machine }: PhaseWordsProps) {
  const say = useWords();
  const [units] = useUnits();
  const isTold = machine.details?.fan !== undefined;
  const shown = (celsius: number) => showCelsius(dialFor(machine, celsius), units);
  return (
    <p className="mt-1 text-xl">
      {say.rich('oven.phaseNow', {
        b: (words) => <b>{words}</b>,
        celsius: shown(phase.celsius),
        ...{ steam: phase.steam, vent: phase.vent },
        part2:
          phases.length > 1 && phase.until > now && phase !== phases.at(-1)
            ? say('oven.more', { timer: timer(phase.until - now) })
            : '',
        span: (words) => <span className="text-quiet">{words}</span>,
        aside: isTold
          ? phase.celsius === dialFor(machine, phase.celsius)
            ? ''
            : say('oven.inTheRecipe', { celsius: showCelsius(phase.celsius, units) })
          : say('oven.withAFan', { celsius: showCelsius(fanCelsius(phase.celsius), units) }),
        celsius3: () =>
          phase.celsius !== setting && (
            <span className="text-quiet">{say('oven.then', { celsius: shown(setting) })}</span>
          ),
      })}
    </p>
  );
}

interface LoadButtonsProps {
  over: boolean;
  raw: boolean;
  onTell: Tell;
  load: OvenLoad;
  longer: (minutes: number) => void;
  onCore: (value: boolean) => void;
}

/** Out, longer, or the core measured. */
function LoadButtons({ over, raw, onTell, load, longer, onCore }: LoadButtonsProps) {
  const say = useWords();
  const [units] = useUnits();
  return (
    <div className="mt-2 grid grid-cols-2 gap-3 md:grid-cols-4">
      <Button
        look={over && !raw ? 'act' : 'plain'}
        floor
        className="font-semibold"
        onClick={() => onTell(load, { kind: 'finish' })}
      >
        {say('oven.unload')}
      </Button>
      {LONGER.map((minutes) => (
        <Button key={minutes} floor onClick={() => longer(minutes)}>
          {say('oven.min', { minutes })}
        </Button>
      ))}
      <Button floor onClick={() => onCore(true)}>
        {say('oven.core2', { temperature: units.temperature })}
      </Button>
    </div>
  );
}
