'use client';

import { useWords } from '../kit/words';
import type { Say } from '@/words/say';
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

const reasons = (say: Say) => [
  say('bench.notNeededToday'),
  say('bench.doneWithoutRecording'),
  say('bench.doughLost'),
  say('bench.doneElsewhere'),
];
const notes = (say: Say) => [
  say('bench.springsBack2'),
  say('bench.showsButter'),
  'sticky',
  'tears',
  say('bench.smellsSour'),
  say('common.aLittleSmall'),
  say('bench.justRight'),
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
  const say = useWords();
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
  const title =
    step.step.turn && turns
      ? say('bench.turnOf', { turn: step.step.turn, planned: turns.planned })
      : step.label;
  const act = hands
    ? running
      ? step.step.turn
        ? turnDoneLabel(say, dough, state)
        : say('bench.done')
      : say('bench.start', {
          part:
            step.step.turn !== undefined
              ? say('bench.turn', { turn: step.step.turn })
              : say.coded(step.step.label).toLowerCase(),
        })
    : say('bench.outOfTheOven');
  const facts = [
    step.load ? say('bench.piecesOnTrays', { pieces: step.load.pieces, trays: step.load.trays }) : '',
    ...step.uses
      .filter((use) => use.setting !== undefined)
      .map((use) =>
        say('bench.machineAt', {
          machine: machineName(use.resource, machines),
          celsius: celsius(use.setting ?? 0),
        }),
      ),
    hands
      ? say('bench.about', { duration: duration(step.target) })
      : say('bench.inAll', { duration: duration(step.target) }),
  ].filter(Boolean);

  return (
    <article>
      <p className="text-lg text-quiet">
        {say.rich('bench.underWayInTheOven', {
          isRunning: running,
          isHands: hands,
          time: clockTime(state.startedAt ?? now, zone),
          value: by && !mine && hands ? `, ${by}` : '',
          plannedWords:
            plannedWords(say, step, dough, zone) ??
            say('bench.plannedAt', { time: clockTime(step.plannedStart, zone) }),
          running: () =>
            !running && (
              <span className={item.inMinutes < 0 ? 'font-bold text-warn' : ''}>
                , {whenWords(say, item)}
              </span>
            ),
          running2: () =>
            running && (
              <span className={item.inMinutes < 0 ? 'font-bold text-warn' : ''}>
                {say('bench.part', {
                  part:
                    item.inMinutes < 0
                      ? say('bench.overBy', { duration: duration(-item.inMinutes) })
                      : say('bench.toGo', { duration: duration(item.inMinutes) }),
                })}
              </span>
            ),
        })}
      </p>
      <h2 className="text-5xl leading-tight font-bold">{say.coded(title)}</h2>
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
          {asking ? say('bench.startAnyway') : act}
        </Button>
        <Button
          floor
          className="flex flex-col items-center justify-center"
          onClick={() => setSheet('temperature')}
        >
          <span className="flex items-center gap-2 text-2xl font-bold">
            <Thermometer aria-hidden size={24} /> °{units.temperature}
          </span>
          <span className="text-base text-quiet">{say('bench.tellIt2')}</span>
        </Button>
      </div>
      {asking && short && (
        <p
          role="alert"
          className="mb-3 flex flex-wrap items-center justify-between gap-3 border-l-4 border-warn pl-3 text-xl"
        >
          {say('bench.notReadyBeforeInStart', {
            label: say.coded(short.label),
            time: dayTime(short.until, zone),
            duration: duration((short.until - now) / 60_000),
          })}
          <Button floor onClick={() => setAsked(null)}>
            {say('bench.notYet')}
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
            <p className="font-semibold">{say.coded(turnWords(turns))}</p>
          )}
          {step.step.gives !== undefined && (
            <p>{say('bench.doughTo', { celsius: celsius(step.step.gives) })}</p>
          )}
          {step.step.check && <p>{say('bench.lookFor', { check: say.coded(step.step.check) })}</p>}
          <Declared {...{ step, outputs }} />
          {step.step.caution && (
            <p className="max-w-md border-l-4 border-edge pl-3 text-lg">{say.coded(step.step.caution)}</p>
          )}
          {last && (
            <p>
              {say('bench.measuredAt', { celsius: celsius(last.celsius), time: clockTime(last.at, zone) })}
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
          {say('bench.mixingSheetWaterAndIce')}
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
            {say('bench.doneWithAllStartIn', { isRunning: running, count: together.length + 1 })}
          </span>
          <span className="block text-base text-quiet">
            {[item, ...together]
              .map((one) => `${say.coded(one.step.label).toLowerCase()}, ${one.dough.name}`)
              .join('; ')}
          </span>
        </Button>
      )}
      <div className="mt-3 grid grid-cols-3 gap-3">
        <Button floor onClick={() => setSheet('note')}>
          {say('bench.note')}
        </Button>
        <TakePhoto doughId={dough.id} stepKey={step.key} />
        <Button floor onClick={() => setSheet('skip')}>
          {say('bench.skip')}
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
        title={say('bench.noteOn', { label: say.coded(step.label).toLowerCase() })}
        words={notes(say)}
        onSay={(text) => tell({ kind: 'note', text })}
      />
      <WordsSheet
        open={sheet === 'skip'}
        onOpenChange={(open) => setSheet(open ? 'skip' : null)}
        title={say('bench.skipBecause', { label: say.coded(step.label).toLowerCase() })}
        words={reasons(say)}
        onSay={(text) => tell({ kind: 'skip', text })}
      />
    </article>
  );
}
