'use client';

import { useWords } from '../kit/words';
import type { Person } from '@/core/bakery/people';
import type { Board } from '@/core/wire/board';
import { dialOn } from '@/core/bakery/machines';
import { agenda } from '@/core/shopfloor/agenda';
import { ovenLoads } from '@/core/shopfloor/oven-loads';
import { clockTime } from '@/core/time/local';
import { showCelsius } from '@/core/units/reader';
import { FloorHead } from '../floor/floor-head';
import { useAlarms } from '../floor/use-alarms';
import { nearTime } from '../floor/words';
import { useAtTablet } from '../live/at-tablet';
import { useMinute } from '../live/clock';
import { withBoard } from '../live/with-board';
import { useFloor } from '../live/floor';
import { useUnits } from '../live/units';
import { correctionsTold } from './deck-choice';
import { DeckStack } from './deck-stack';
import { LoadInside } from './load-inside';
import { ovensOf, type OvenInside } from './oven-inside';
import { LoadComing, LoadOut, type Tell } from './load-rows';
import { NextLoad } from './next-load';

/** What is in the oven, with its timers; what goes in next; what came out and is to be counted. */
function OvenView({ board, person: signedIn }: { board: Board; person: Person }) {
  const say = useWords();
  const person = useAtTablet(signedIn);
  const now = useMinute();
  const { zone } = board.house;
  const { doughs, record, trouble } = useFloor(board, person.id, now);
  const calls = useAlarms(board, doughs, now, person.id);
  const loads = ovenLoads(doughs, now);
  const isOver = loads.in.some(({ done }) => now > done);
  const lists = agenda(doughs, now);
  const loading = [...lists.running, ...lists.next].find(
    ({ step, state }) => step.step.kind === 'load' && (state.status === 'running' || state.startable),
  );
  const tell: Tell = ({ dough, step }, part) =>
    void record({ doughId: dough.id, stepKey: step.key, ...part });
  const [units] = useUnits();
  const [next] = loads.coming;
  const outputs = new Map(
    board.doughs.flatMap((dough) => dough.outputs).map((output) => [output.id, output]),
  );
  const ovens = ovensOf(board, loads.in);
  return (
    <main className="flex-1 bg-flour">
      <h1 className="sr-only">{say('oven.oven2')}</h1>
      <FloorHead {...{ board, record, calls, trouble }} doughs={doughs} />
      <div className="grid gap-px bg-hairline lg:grid-cols-[1.5fr_1fr]">
        <section aria-label={say('oven.inTheOven')} className="min-w-0 bg-flour p-5">
          {ovens.map((oven) => (
            <section key={oven.machine.id} aria-label={say.named(oven.machine.label)}>
              <OvenHead oven={oven} named={ovens.length > 1} zone={zone} />
              <DeckStack {...{ oven, zone }} />
              {oven.loads.map((load) => (
                <LoadInside
                  key={`${load.dough.id}/${load.step.key}`}
                  {...{ load, outputs, zone, tell, oven, ovens }}
                />
              ))}
            </section>
          ))}
          {/* What is over comes out first: there is one yellow button. */}
          {loading && !isOver && (
            <NextLoad item={loading} at={{ doughs, machines: board.machines, now }} {...{ zone, record }} />
          )}
          {loads.in.length === 0 && !loading && (
            <p className="py-8 text-3xl">
              {say.rich('oven.theOvenIsEmptyOvens', {
                count: ovens.length,
                next: () =>
                  next && (
                    <span className="block text-2xl">
                      {say('oven.goesInAt', {
                        name: next.dough.name,
                        time: nearTime(say, next.start, now, zone),
                        celsius: showCelsius(dialOn(next.oven, next.setting, board.machines), units),
                      })}
                    </span>
                  ),
              })}
            </p>
          )}
          <p className="mt-4 max-w-xl border-l-4 border-edge pl-3 text-lg">
            {say('oven.hotTraysAndSteamBurn')}
          </p>
        </section>
        <div className="grid content-start gap-px bg-hairline lg:border-b lg:border-hairline lg:bg-ground">
          <section aria-label={say('oven.goesInNext')} className="bg-ground p-5">
            <h2 className="mb-1 text-lg text-quiet">{say('oven.goesInNext')}</h2>
            <ul>
              {loads.coming.map((load) => (
                <LoadComing
                  key={`${load.dough.id}/${load.step.key}`}
                  {...{ load, outputs, zone }}
                  machines={board.machines}
                />
              ))}
              {loads.coming.length === 0 && <li className="text-xl">{say('oven.nothingForTheNext12')}</li>}
            </ul>
          </section>
          <section aria-label={say('oven.unloaded')} className="bg-ground p-5">
            <h2 className="mb-1 text-lg text-quiet">{say('oven.unloaded')}</h2>
            <ul className="grid gap-2">
              {loads.out.map((load) => (
                <LoadOut key={`${load.dough.id}/${load.step.key}`} {...{ load, zone, record }} />
              ))}
              {loads.out.length === 0 && <li className="text-xl">{say('oven.nothingInTheLastTwo')}</li>}
            </ul>
          </section>
        </div>
      </div>
    </main>
  );
}

/** How full an oven is, what it is known to do, and what its probe reads. Its name is said where there are several. */
function OvenHead({ oven, named, zone }: { oven: OvenInside; named: boolean; zone: string }) {
  const say = useWords();
  const [units] = useUnits();
  const { machine, trays, decks, reading } = oven;
  const told = correctionsTold(say, decks);
  return (
    <p className="mb-2 flex flex-wrap gap-x-6 text-lg text-quiet">
      {named && <b className="text-ink">{say.named(machine.label)}</b>}
      <span className={trays > machine.capacity ? 'font-bold text-warn' : undefined}>
        {say(trays > machine.capacity ? 'oven.moreThanFit' : 'oven.ofTraysIn', {
          ...{ trays, capacity: machine.capacity },
        })}
      </span>
      {told && <span>{told}</span>}
      {reading && (
        <span>
          {say('oven.probeAt', {
            celsius: showCelsius(reading.celsius, units),
            time: clockTime(reading.at, zone),
          })}
        </span>
      )}
    </p>
  );
}

export const OvenScreen = withBoard(OvenView);
