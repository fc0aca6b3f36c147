'use client';

import type { EventBody, Recording } from '@/core/record/events';
import { Thermometer } from 'lucide-react';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { AgendaItem } from '@/core/shopfloor/agenda';
import { cutsShort } from '@/core/forecast/early';
import { isHandsOn } from '@/core/record/state';
import type { OutputRecord } from '@/core/record/dough';
import type { Machine } from '@/core/bakery/machines';
import type { RollingHouse } from '@/core/bakery/rolling';
import { countTurns, turnWords } from '@/core/record/turns';
import { clockTime, dayTime } from '@/core/time/local';
import { duration } from '@/core/units/format';
import { showCelsius } from '@/core/units/reader';
import { Button } from '../kit/button';
import { useUnits } from '../live/units';
import { plannedWords } from '../floor/forecast-words';
import { machineName } from '../floor/words';
import { whenWords } from '../plan/words';
import { Declared } from './declared';
import { TakePhoto } from '../batch/take-photo';
import { TemperatureSheet } from './temperature-sheet';
import { turnDone, turnDoneLabel } from './turn-acts';
import { WordsSheet } from './words-sheet';

// Drawings and their sums come after the card: the button must be there first.
const WorkPanel = dynamic(() => import('./work-panel'), {
  ssr: false,
  loading: () => <p className="h-36" />,
});
const HAS_PANEL: readonly string[] = ['mix', 'lock-in', 'butter', 'turn', 'divide', 'shape', 'sheet'];

interface Props {
  item: AgendaItem;
  now: number;
  zone: string;
  record: (recording: Recording) => Promise<unknown>;
  by: string;
  mine: boolean;
  rolling: RollingHouse;
  machines: readonly Machine[];
  outputs: readonly OutputRecord[];
  scale: number | null;
  /** What can be done in one go with it. */
  together: readonly AgendaItem[];
}

const REASONS = ['not needed today', 'done without recording', 'dough lost', 'done elsewhere'];
const NOTES = [
  'springs back',
  'shows butter',
  'sticky',
  'tears',
  'smells sour',
  'a little small',
  'just right',
];

/** The one thing to do: its name, what to look for, and one big button. */
export function NowCard({
  item,
  now,
  zone,
  record,
  by,
  mine,
  rolling,
  machines,
  outputs,
  scale,
  together,
}: Props) {
  const [units] = useUnits();
  const celsius = (degrees: number) => showCelsius(degrees, units);
  const { dough, step, state } = item;
  const [sheet, setSheet] = useState<'temperature' | 'note' | 'skip' | null>(null);
  const turns = countTurns(dough.steps, dough.state, dough.lamination?.blocks);
  const running = state.status === 'running';
  const [asked, setAsked] = useState<string | null>(null);
  const short = running ? null : cutsShort(dough, step, now);
  const asking = short !== null && asked === step.key;
  const hands = isHandsOn(step);
  const tell = (part: EventBody) => void record({ doughId: dough.id, stepKey: step.key, ...part });
  const last = state.temperatures.at(-1);
  const title = step.step.turn && turns ? `Turn ${step.step.turn} of ${turns.planned}` : step.label;
  const act = hands
    ? running
      ? step.step.turn
        ? turnDoneLabel(dough, state)
        : 'Done'
      : `Start ${step.step.kind === 'turn' ? `turn ${step.step.turn}` : step.step.label.toLowerCase()}`
    : 'Out of the oven';
  const facts = [
    step.load ? `${step.load.pieces} pieces on ${step.load.trays} trays` : '',
    ...step.uses
      .filter((use) => use.setting !== undefined)
      .map((use) => `${machineName(use.resource, machines)} at ${celsius(use.setting ?? 0)}`),
    hands ? `about ${duration(step.target)}` : `${duration(step.target)} in all`,
  ].filter(Boolean);

  return (
    <article>
      <p className="text-lg text-quiet">
        {running
          ? `${hands ? 'under way' : 'in the oven'} since ${clockTime(state.startedAt ?? now, zone)}${by && !mine && hands ? `, ${by}` : ''}`
          : `to start, ${plannedWords(step, dough, zone) ?? `planned ${clockTime(step.plannedStart, zone)}`}`}
        {!running && (
          <span className={item.inMinutes < 0 ? 'font-bold text-warn' : ''}>, {whenWords(item)}</span>
        )}
        {running && (
          <span className={item.inMinutes < 0 ? 'font-bold text-warn' : ''}>
            ,{' '}
            {item.inMinutes < 0
              ? `over by ${duration(-item.inMinutes)}`
              : `${duration(item.inMinutes)} to go`}
          </span>
        )}
      </p>
      <h2 className="text-5xl leading-tight font-bold">{title}</h2>
      <p className="text-2xl font-semibold">{dough.name}</p>
      <div className="my-3 grid grid-cols-[2fr_1fr] gap-3">
        <Button
          look="act"
          floor
          className="min-h-22 text-3xl"
          onClick={() => {
            if (short && !asking) return setAsked(step.key);
            tell(
              running && step.step.turn
                ? turnDone(dough, step, state)
                : { kind: running ? 'finish' : 'start' },
            );
          }}
        >
          {asking ? 'Start anyway' : act}
        </Button>
        <Button
          floor
          className="flex flex-col items-center justify-center"
          onClick={() => setSheet('temperature')}
        >
          <span className="flex items-center gap-2 text-2xl font-bold">
            <Thermometer aria-hidden size={24} /> °{units.temperature}
          </span>
          <span className="text-base text-quiet">tell it</span>
        </Button>
      </div>
      {asking && short && (
        <p
          role="alert"
          className="mb-3 flex flex-wrap items-center justify-between gap-3 border-l-4 border-warn pl-3 text-xl"
        >
          {short.label} not ready before {dayTime(short.until, zone)}, in{' '}
          {duration((short.until - now) / 60_000)}. Start all the same?
          <Button floor onClick={() => setAsked(null)}>
            Not yet
          </Button>
        </p>
      )}
      {HAS_PANEL.includes(step.step.kind) && (
        <div className="mt-2">
          <WorkPanel {...{ item, rolling, outputs, scale, tell, running }} />
        </div>
      )}
      <div className="my-3 flex flex-wrap items-start gap-x-8 gap-y-3">
        <div className="grid gap-1 text-xl">
          <p>{facts.join(', ')}</p>
          {turns && step.step.turn && turns.of !== turns.planned && (
            <p className="font-semibold">{turnWords(turns)}</p>
          )}
          {step.step.gives !== undefined && <p>dough to {celsius(step.step.gives)}</p>}
          {step.step.check && <p>Look for: {step.step.check}</p>}
          <Declared {...{ step, outputs }} />
          {step.step.caution && (
            <p className="max-w-md border-l-4 border-edge pl-3 text-lg">{step.step.caution}</p>
          )}
          {last && (
            <p>
              measured {celsius(last.celsius)} at {clockTime(last.at, zone)}
            </p>
          )}
          {state.notes.map(({ text, at }) => (
            <p key={at} className="text-lg text-quiet">
              “{text}”
            </p>
          ))}
        </div>
      </div>
      {step.step.kind === 'mix' && (
        <a
          href={`/dough/${dough.id}/sheet`}
          className="mb-3 grid min-h-16 place-items-center rounded border border-edge bg-ground text-2xl font-semibold"
        >
          Mixing sheet, water and ice
        </a>
      )}
      {together.length > 0 && (
        <Button
          floor
          className="mt-1 w-full py-2 text-left"
          onClick={() => {
            for (const { dough: other, step: one } of [item, ...together])
              void record({ doughId: other.id, stepKey: one.key, kind: running ? 'finish' : 'start' });
          }}
        >
          <span className="block font-semibold">
            {running ? 'Done with all' : 'Start all'} {together.length + 1} in one go
          </span>
          <span className="block text-base text-quiet">
            {[item, ...together]
              .map((one) => `${one.step.label.toLowerCase()}, ${one.dough.name}`)
              .join('; ')}
          </span>
        </Button>
      )}
      <div className="mt-3 grid grid-cols-3 gap-3">
        <Button floor onClick={() => setSheet('note')}>
          Note
        </Button>
        <TakePhoto doughId={dough.id} stepKey={step.key} />
        <Button floor onClick={() => setSheet('skip')}>
          Skip
        </Button>
      </div>
      <TemperatureSheet
        open={sheet === 'temperature'}
        onOpenChange={(open) => setSheet(open ? 'temperature' : null)}
        step={step.step}
        of={{ doughId: dough.id, stepKey: step.key }}
        onTell={(value) => tell({ kind: 'temperature', celsius: value })}
      />
      <WordsSheet
        open={sheet === 'note'}
        onOpenChange={(open) => setSheet(open ? 'note' : null)}
        title={`Note on ${step.label.toLowerCase()}`}
        words={NOTES}
        onSay={(text) => tell({ kind: 'note', text })}
      />
      <WordsSheet
        open={sheet === 'skip'}
        onOpenChange={(open) => setSheet(open ? 'skip' : null)}
        title={`Skip ${step.label.toLowerCase()}, because`}
        words={REASONS}
        onSay={(text) => tell({ kind: 'skip', text })}
      />
    </article>
  );
}
