'use client';

import { useWords } from '../kit/words';
import type { EventBody, Recording } from '@/core/record/events';
import { useState } from 'react';
import { dialOn, type Machine, machinesOf } from '@/core/bakery/machines';
import type { OutputRecord } from '@/core/record/dough';
import { markOf } from '@/core/shaping/dressing';
import type { OvenLoad } from '@/core/shopfloor/oven-loads';
import { rackAndCount } from '@/core/shopfloor/rack';
import { clockTime } from '@/core/time/local';
import { showCelsius } from '@/core/units/reader';
import { plannedWords } from '../floor/forecast-words';
import { machineName, nearTime } from '../floor/words';
import { Button } from '../kit/button';
import { useMinute } from '../live/clock';
import { useUnits } from '../live/units';
import { CountSheet } from './count-sheet';
import { countOf, countValues } from './words';

export type Tell = (load: OvenLoad, part: EventBody) => void;
export type Outputs = ReadonlyMap<number, OutputRecord>;

/** What tells this kind apart on the trays. */
export function Mark({ load, outputs }: { load: OvenLoad; outputs: Outputs }) {
  const say = useWords();
  const output = outputs.get(load.step.outputId ?? 0);
  if (!output) return null;
  const mark = markOf(output.piece);
  return (
    <span className="block text-lg">
      {say.named(output.product)}
      {mark !== null && (
        <>
          : <b>{say.named(mark)}</b>
        </>
      )}
    </span>
  );
}

export interface LoadProps {
  load: OvenLoad;
  outputs: Outputs;
  zone: string;
  tell: Tell;
}

/** A load that goes in later. */
export function LoadComing({
  load,
  outputs,
  zone,
  machines,
}: Omit<LoadProps, 'tell'> & { machines: readonly Machine[] }) {
  const say = useWords();
  const now = useMinute();
  const [units] = useUnits();
  const moved = plannedWords(say, load.step, load.dough, zone);
  const oven = machinesOf('oven', machines).length > 1 ? `${machineName(say, load.oven, machines)}, ` : '';
  return (
    <li className="flex min-h-14 items-center gap-4 border-b border-hairline py-2">
      <span className="w-24 shrink-0 text-2xl font-bold">{nearTime(say, load.start, now, zone)}</span>
      <span className="min-w-0">
        <span className="block text-xl font-semibold">{load.dough.name}</span>
        <span className="block text-lg text-quiet">
          {say('oven.traysMin', {
            oven,
            celsius: showCelsius(dialOn(load.oven, load.setting, machines), units),
            trays: load.trays,
            target: load.step.target,
            part: load.step.load ? say('oven.pieces', { pieces: load.step.load.pieces }) : '',
          })}
        </span>
        <Mark load={load} outputs={outputs} />
        {moved && <span className="block text-lg text-quiet">{moved}</span>}
      </span>
    </li>
  );
}

/** A load that came out, and its count. */
export function LoadOut({
  load,
  zone,
  record,
}: Pick<LoadProps, 'load' | 'zone'> & { record: (recording: Recording) => Promise<unknown> }) {
  const say = useWords();
  const now = useMinute();
  const [open, setOpen] = useState(false);
  const counted = countOf(load);
  return (
    <li className="flex min-h-14 items-center justify-between gap-4 border-b border-hairline">
      <span className="min-w-0">
        <a
          href={`/batch/${load.dough.id}`}
          className="block py-1 text-xl font-semibold underline underline-offset-4"
        >
          {load.dough.name}
        </a>
        <span className="block text-lg text-quiet">
          {say('oven.out', {
            time: clockTime(load.done, zone),
            part: counted
              ? `, ${say('batch.count', countValues(counted))}`
              : say('oven.pieces', { pieces: load.step.load?.pieces ?? 0 }),
          })}
        </span>
      </span>
      <Button floor className="shrink-0" onClick={() => setOpen(true)}>
        {counted ? say('oven.countAgain') : say('oven.count')}
      </Button>
      <CountSheet
        open={open}
        onOpenChange={setOpen}
        title={say('racks.howManyCameOutWell', { name: load.dough.name })}
        pieces={load.step.load?.pieces ?? 0}
        onCount={(data) => {
          for (const one of rackAndCount(load.dough, load.step, data, now)) void record(one);
        }}
      />
    </li>
  );
}
