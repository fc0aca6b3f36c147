'use client';

import { useState } from 'react';
import type { Coded } from '@/core/codes/coded';
import type { AgendaItem } from '@/core/shopfloor/agenda';
import { cutsShort } from '@/core/forecast/early';
import type { Today } from '@/core/forecast/windows';
import type { EventBody, Recording } from '@/core/record/events';
import type { OutputRecord } from '@/core/record/dough';
import { countTurns } from '@/core/record/turns';
import type { Machine } from '@/core/bakery/machines';
import type { RollingHouse } from '@/core/bakery/rolling';
import dynamic from 'next/dynamic';
import { Button } from '../kit/button';
import { useWords } from '../kit/words';
import { TakePhoto } from '../batch/take-photo';
import { NowAct } from './now-act';
import { NowFacts } from './now-facts';
import type { NowSheet } from './now-sheets';
import { NowWhen } from './now-when';
import { waitingBlocks } from './turn-acts';

// Drawings and their sums come after the card: the button must be there first.
const WorkPanel = dynamic(() => import('./work-panel'), {
  ssr: false,
  loading: () => <p className="h-36" />,
});
const StepPicture = dynamic(() => import('./step-picture'), { ssr: false });
const InOneGo = dynamic(() => import('./in-one-go').then((module) => module.InOneGo), { ssr: false });
const FreezePieces = dynamic(() => import('./freeze-pieces').then((module) => module.FreezePieces), {
  ssr: false,
});
// With it comes what reads amounts as they are typed.
const NowSheets = dynamic(() => import('./now-sheets').then((module) => module.NowSheets), { ssr: false });
const StepAmounts = dynamic(() => import('./step-amounts').then((module) => module.StepAmounts), {
  ssr: false,
});
const WarmWarning = dynamic(() => import('./warm-warning').then((module) => module.WarmWarning), {
  ssr: false,
});
const RackWork = dynamic(() => import('./rack-work').then((module) => module.RackWork), { ssr: false });
const EarlierSheet = dynamic(() => import('./earlier-sheet').then((module) => module.EarlierSheet), {
  ssr: false,
});
/** Four beside each other on a tablet: the longest word of any language stays whole. */
const NARROW = 'max-xl:px-1 max-xl:text-lg';
/** Steps that a warm room spoils, and those right before them. */
const MAY_BE_WARM: readonly string[] = ['butter', 'temper', 'lock-in', 'turn'];
const IS_DRAWN_BELOW: readonly string[] = ['lock-in', 'butter', 'turn', 'shape', 'sheet'];
const HAS_PANEL: readonly string[] = ['mix', 'lock-in', 'butter', 'turn', 'divide', 'shape', 'sheet'];

interface Props {
  item: AgendaItem;
  now: number;
  zone: string;
  record: (recording: Recording, at?: number) => Promise<unknown>;
  by: string;
  mine: boolean;
  rolling: RollingHouse;
  machines: readonly Machine[];
  outputs: readonly OutputRecord[];
  scale: number | null;
  /** Places of the house as they are and go on. */
  today: Today;
  /** What can be done in one go with it. */
  joint: readonly AgendaItem[];
  /** What is asked before it goes into the oven; null where nothing is. */
  doubt: () => Promise<Coded | null>;
}

/** Of several blocks the one in hand: the next by its letter, or the one that somebody has taken instead. */
function useBlock({ dough, step }: AgendaItem) {
  const [taken, onBlock] = useState<number | null>(null);
  const left = waitingBlocks(dough, step);
  return { block: taken !== null && left.includes(taken) ? taken : (left[0] ?? null), onBlock };
}

/** The one thing to do: its name, what to look for, and one big button. */
export function NowCard({ item, now, zone, record, machines, outputs, joint, ...props }: Props) {
  const say = useWords();
  const { dough, step, state } = item;
  const [sheet, setSheet] = useState<NowSheet | null>(null);
  const [earlier, setEarlier] = useState(false);
  const { block, onBlock } = useBlock(item);
  const turns = countTurns(dough.steps, dough.state, dough.lamination?.blocks);
  const running = state.status === 'running';
  const tell = (part: EventBody) => void record({ doughId: dough.id, stepKey: step.key, ...part });
  return (
    <article>
      <header className="flex items-start justify-between gap-4">
        <div className="min-w-0">
          <NowWhen {...{ item, now, zone }} by={props.mine ? '' : props.by} />
          <h2 className="text-5xl leading-tight font-bold">
            {step.step.turn && turns
              ? say('bench.turnOf', { turn: step.step.turn, planned: turns.planned })
              : say.coded(step.label)}
          </h2>
          <p className="text-2xl font-semibold">{dough.name}</p>
        </div>
        {!IS_DRAWN_BELOW.includes(step.step.kind) && (
          <div aria-hidden className="aspect-[3/2] w-24 shrink-0 sm:w-56 xl:w-64">
            <StepPicture step={step} />
          </div>
        )}
      </header>
      <NowAct
        {...{ item, now, zone, tell, block }}
        short={running ? null : cutsShort(dough, step, now)}
        doubt={step.step.kind === 'load' && !running ? props.doubt : null}
        onTemperature={() => setSheet('temperature')}
      />
      {MAY_BE_WARM.includes(step.step.kind) && state.status !== 'done' && (
        <WarmWarning {...{ dough, step, now, zone }} today={props.today} />
      )}
      {HAS_PANEL.includes(step.step.kind) && (
        <div className="mt-2">
          <WorkPanel
            {...{ item, outputs, tell, running, block, onBlock }}
            rolling={props.rolling}
            scale={props.scale}
          />
        </div>
      )}
      {step.step.kind !== 'mix' && step.step.work && <StepAmounts doughId={dough.id} stepKey={step.key} />}
      <NowFacts {...{ item, turns, zone, machines, outputs }} />
      {step.step.kind === 'mix' && (
        <a
          href={`/dough/${dough.id}/sheet`}
          className="mb-3 grid min-h-16 place-items-center rounded border border-edge bg-ground text-2xl font-semibold"
        >
          {say('bench.mixingSheetWaterAndIce')}
        </a>
      )}
      {(step.step.kind === 'shape' || step.step.stock === 'in') && (
        <FreezePieces {...{ item, outputs, tell }} />
      )}
      {step.step.kind === 'finish' && <RackWork {...{ item, now, record }} />}
      {joint.length > 0 && <InOneGo items={[item, ...joint]} running={running} record={record} />}
      <div className="mt-3 grid grid-cols-2 gap-3 sm:grid-cols-4">
        <Button floor className={NARROW} onClick={() => setSheet('note')}>
          {say('bench.note')}
        </Button>
        <TakePhoto doughId={dough.id} stepKey={step.key} />
        <Button floor className={NARROW} onClick={() => setSheet('skip')}>
          {say('bench.skip')}
        </Button>
        <Button floor className={NARROW} onClick={() => setEarlier(true)}>
          {say('bench.earlier')}
        </Button>
      </div>
      {sheet && <NowSheets {...{ item, tell }} open={sheet} onOpen={setSheet} />}
      {earlier && <EarlierSheet {...{ item, now, zone, record }} onClose={() => setEarlier(false)} />}
    </article>
  );
}
