'use client';

import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { CoolingRule } from '@/core/climate/cooling';
import type { EventBody, Recording } from '@/core/record/events';
import type { AgendaItem } from '@/core/shopfloor/agenda';
import { duration } from '@/core/units/format';
import type { Board } from '@/core/wire/board';
import { Button } from '../kit/button';
import { useWords } from '../kit/words';
import { useUnits } from '../live/units';
import { Standing } from './standing';
import { WaitFacts } from './wait-facts';
import { WaitLooks } from './wait-looks';
import { WaitSheets, type WaitSheet } from './wait-sheets';

const RestChecks = dynamic(() => import('./rest-checks'), {
  ssr: false,
  loading: () => <p className="h-28" />,
});
const MINUTE = 60_000;

interface Props {
  item: AgendaItem;
  now: number;
  zone: string;
  record: (recording: Recording) => Promise<unknown>;
  /** Humidity where it stands, %, where a probe knows it. */
  humidity: number | null;
  places: Board['places'];
  coreProbes: Board['coreProbes'];
  rooms: Board['rooms'];
  /** How many shelves a place has, by its id. */
  shelves: ReadonlyMap<string, number>;
  coolingRule: CoolingRule;
  onBack: () => void;
}

/** A wait, looked at: from when to when it is ready, how it looks, and what that moves. */
export function WaitCard({ item, now, zone, record, places, coreProbes, rooms, ...props }: Props) {
  const say = useWords();
  const [units] = useUnits();
  const { dough, step } = item;
  const { alive } = step.step;
  const [sheet, setSheet] = useState<WaitSheet | null>(null);
  const tell = (part: EventBody) => void record({ doughId: dough.id, stepKey: step.key, ...part });
  return (
    <article>
      <p className="text-lg text-quiet">
        {say('bench.waitingSince', {
          time: say.dayTime(step.start, zone),
          duration: duration((now - step.start) / MINUTE),
        })}
      </p>
      <h2 className="text-5xl leading-tight font-bold">{say.coded(step.label)}</h2>
      <p className="text-2xl font-semibold">{dough.name}</p>
      <WaitFacts
        {...{ item, now, zone, places, coreProbes }}
        humidity={props.humidity}
        coolingRule={props.coolingRule}
      />
      {isChecked(item) && (
        <RestChecks
          {...{ item, now, zone, places, rooms }}
          onTell={(data) => tell({ kind: 'check', data })}
        />
      )}
      {alive && (
        <Button look="act" floor className="min-h-22 w-full text-3xl" onClick={() => setSheet('alive')}>
          {say('bench.isItAlive')}
        </Button>
      )}
      {!alive && step.risen && (
        <WaitLooks
          phase={step.risen.phase}
          onTell={(verdict) => tell({ kind: 'verdict', data: { kind: 'verdict', verdict } })}
        />
      )}
      <Standing {...{ item, places, coreProbes, rooms, tell }} shelves={props.shelves} />
      <div className="mt-3 grid grid-cols-3 gap-3">
        <Button floor onClick={() => setSheet('temperature')}>
          °{units.temperature}
        </Button>
        <Button floor onClick={() => setSheet('note')}>
          {say('bench.note')}
        </Button>
        <Button floor onClick={props.onBack}>
          {say('bench.back')}
        </Button>
      </div>
      <WaitSheets {...{ item, tell }} open={sheet} onOpen={setSheet} />
    </article>
  );
}

/** Rests of the block are pressed, tempering butter is bent. */
const isChecked = ({ step: { step } }: AgendaItem) =>
  step.kind === 'temper' || (step.kind === 'rest' && step.branch === undefined);
