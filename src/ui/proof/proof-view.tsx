'use client';

import { useWords } from '../kit/words';
import { useState } from 'react';
import type { Person } from '@/core/bakery/people';
import type { Board } from '@/core/wire/board';
import { shelvesOf } from '@/core/bakery/decks';
import { dialOn, machinesOf, type Machine } from '@/core/bakery/machines';
import { ovenClashes } from '@/core/shopfloor/oven-clashes';
import { proofWatch, type WatchedWait } from '@/core/shopfloor/proof-watch';
import { riseDrawing } from '@/core/process/rise-drawing';
import { clockTime } from '@/core/time/local';
import { duration } from '@/core/units/format';
import { WaitCard } from '../bench/wait-card';
import { RISE_SIGNS } from '../bench/wait-words';
import { Picture } from '../drawing/picture';
import { FloorHead } from '../floor/floor-head';
import { useAlarms } from '../floor/use-alarms';
import { machineName, nearTime } from '../floor/words';
import { Sheet } from '../kit/sheet';
import { useAtTablet } from '../live/at-tablet';
import { useMinute } from '../live/clock';
import { withBoard } from '../live/with-board';
import { useFloor } from '../live/floor';
import { RiseBar } from './rise-bar';
import { useCelsius } from '../live/units';
import { OvenClashCard } from './oven-clash-card';

const MINUTE = 60_000;
const idOf = ({ dough, step }: WatchedWait) => `${dough.id}/${step.key}`;

/** Everything that rests or rises, by what is ready first, and which loads will meet at the oven. */
function ProofView({ board, person: signedIn }: { board: Board; person: Person }) {
  const say = useWords();
  const person = useAtTablet(signedIn);
  const now = useMinute();
  const { zone } = board.house;
  const { doughs, record, trouble } = useFloor(board, person.id, now);
  const calls = useAlarms(board, doughs, now, person.id);
  const [held, setHeld] = useState<string | null>(null);
  const ovens = machinesOf('oven', board.machines);
  const watched = proofWatch(doughs, ovens, now);
  const clashes = ovenClashes(watched, ovens, zone, board.places);
  const chosen = watched.find((one) => idOf(one) === held);
  return (
    <main className="flex-1 bg-flour">
      <h1 className="sr-only">{say('proof.proofWatch')}</h1>
      <FloorHead {...{ board, record, calls, trouble }} doughs={doughs} />
      {clashes.length > 0 && (
        <section aria-label={say('proof.togetherAtTheOven')} className="border-b border-hairline px-5 py-3">
          <h2 className="text-lg text-quiet">{say('proof.togetherAtTheOven2')}</h2>
          {clashes.map((clash) => (
            <OvenClashCard
              key={`${idOf(clash.first)}+${idOf(clash.second)}`}
              clash={clash}
              onCooler={({ doughId, stepKey, place }) =>
                void record({ doughId, stepKey, kind: 'move', data: { kind: 'moved', place } })
              }
            />
          ))}
        </section>
      )}
      <ul className="divide-y divide-hairline">
        {watched.map((one) => (
          <li key={idOf(one)}>
            <Row watched={one} ovens={ovens} now={now} zone={zone} onPick={() => setHeld(idOf(one))} />
          </li>
        ))}
        {watched.length === 0 && <li className="p-8 text-2xl">{say('proof.nothingRestsOrRisesJust')}</li>}
      </ul>
      <Sheet open={chosen !== undefined} onOpenChange={() => setHeld(null)} title={say('proof.lookAtIt')}>
        {chosen && (
          <WaitCard
            item={chosen}
            {...{ now, zone, record }}
            places={board.places}
            coreProbes={board.coreProbes}
            rooms={board.rooms}
            shelves={shelvesOf(board.machines)}
            coolingRule={board.calls.coolingRule}
            humidity={board.places.find(({ place }) => place === chosen.step.place)?.humidity ?? null}
            onBack={() => setHeld(null)}
          />
        )}
      </Sheet>
    </main>
  );
}

function Row({
  watched,
  ovens,
  now,
  zone,
  onPick,
}: {
  watched: WatchedWait;
  ovens: readonly Machine[];
  now: number;
  zone: string;
  onPick: () => void;
}) {
  const say = useWords();
  const celsius = useCelsius();
  const { dough, step, soonest, best, latest, look, bake, spread } = watched;
  const over = now > latest && step.max > step.min;
  const name = machineName(say, bake?.oven, ovens);
  const left = Math.round((best - now) / MINUTE);
  return (
    <button
      onClick={onPick}
      className="grid w-full grid-cols-[8.5rem_1fr] items-center gap-x-5 px-5 py-2.5 text-left md:grid-cols-[8.5rem_14rem_1fr_13rem]"
    >
      <span>
        <span className="block text-3xl leading-tight font-bold">
          {nearTime(say, now < best ? best : latest, now, zone)}
        </span>
        <span className={over ? 'text-lg font-bold text-warn' : 'text-lg text-quiet'}>
          {over
            ? say('proof.pastItsTime')
            : now < best
              ? say('proof.in', { duration: duration(left) })
              : say('proof.readyUntilThen')}
        </span>
      </span>
      <span className="min-w-0">
        <span className="block text-xl font-semibold">{dough.name}</span>
        <span className="block text-lg text-quiet">
          {say('proof.labelPart', {
            label: say.inLine(say.coded(step.label)),
            part: step.load && !step.step.branch ? say('proof.trays', { trays: step.load.trays }) : '',
          })}
        </span>
      </span>
      <span className="col-span-2 grid items-center gap-x-4 sm:grid-cols-[1fr_6rem] md:col-span-1">
        <RiseBar watched={watched} now={now} />
        {step.risen && (
          <span className="row-span-2 max-sm:hidden" aria-hidden>
            <Picture
              drawing={riseDrawing(step.risen.phase, 'right', RISE_SIGNS[step.risen.phase].right)}
              id={`ready-${idOf(watched)}`}
              className="w-full"
            />
          </span>
        )}
        <span className="col-start-1 block text-lg">
          {say('proof.untilReadyTo', {
            isMin: step.min === step.max,
            time: nearTime(say, best, now, zone),
            time2: nearTime(say, soonest, now, zone),
            time3: nearTime(say, latest, now, zone),
            sure:
              spread === null
                ? ''
                : say('proof.sure', {
                    best: clockTime(best, zone),
                    minutes: Math.max(1, Math.round(spread)),
                  }),
            part: look > now && step.risen ? say('proof.look', { time: clockTime(look, zone) }) : '',
          })}
          {step.risen && (
            <span className="block text-quiet">{say.coded(RISE_SIGNS[step.risen.phase].right)}</span>
          )}
        </span>
      </span>
      <span className="col-span-2 text-lg md:col-span-1">
        {bake && (
          <>
            {name} {celsius(dialOn(bake.oven, bake.setting, ovens))} {clockTime(bake.planned, zone)}
            <span className={bake.free > latest ? 'block font-bold text-warn' : 'block text-quiet'}>
              {bake.free <= now
                ? say('proof.freeNow', { name })
                : say('proof.free', { name, time: clockTime(bake.free, zone) })}
            </span>
          </>
        )}
      </span>
    </button>
  );
}

export const ProofScreen = withBoard(ProofView);
