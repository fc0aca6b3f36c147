'use client';

import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { AgendaItem } from '@/core/shopfloor/agenda';
import { cooling, coolingWords, type CoolingRule } from '@/core/climate/cooling';
import type { Board } from '@/core/wire/board';
import type { AliveAnswer, EventBody, Recording } from '@/core/record/events';
import { lastMeasured, probeReadings } from '@/core/forecast/conditions';
import { remarkWords } from '@/core/forecast/remark-words';
import type { Verdict } from '@/core/learning/verdicts';
import type { RisePhase } from '@/core/process/route';
import { clockTime, dayTime } from '@/core/time/local';
import { duration } from '@/core/units/format';
import { showCelsius } from '@/core/units/reader';
import { Button } from '../kit/button';
import { useUnits } from '../live/units';
import { AliveSheet } from './alive-sheet';
import { checkWords } from './rest-words';
import { Standing } from './standing';
import { TemperatureSheet } from './temperature-sheet';
import { WordsSheet } from './words-sheet';

const RestChecks = dynamic(() => import('./rest-checks'), {
  ssr: false,
  loading: () => <p className="h-28" />,
});

interface Props {
  item: AgendaItem;
  now: number;
  zone: string;
  record: (recording: Recording) => Promise<unknown>;
  /** Humidity where it stands, %, where a probe knows it. */
  humidity: number | null;
  places: Board['places'];
  needles: Board['needles'];
  rooms: Board['rooms'];
  /** How many shelves a place has, by its id. */
  shelves: ReadonlyMap<string, number>;
  coolingRule: CoolingRule;
  onBack: () => void;
}

/** What tells a rise, by its phase: under, just right, over. */
const SIGNS: Record<RisePhase, Record<Verdict, string>> = {
  proof: {
    under: 'under: dense, the dent springs back',
    right: 'wobbles, layers show, the dent comes back slowly',
    over: 'over: slack, sinks when touched',
  },
  bulk: {
    under: 'under: tight, hardly larger',
    right: 'domed, about doubled, full of bubbles',
    over: 'over: flat on top, smells sharp, falls when touched',
  },
  sponge: {
    under: 'under: few bubbles',
    right: 'domed, full of bubbles, just about to sink',
    over: 'over: sunk in the middle, smells sharp',
  },
  levain: {
    under: 'under: few bubbles, a piece sinks in water',
    right: 'risen, a piece floats in water',
    over: 'over: sunk, thin and sour',
  },
};
const VERDICT_WORDS: Record<Verdict, string> = { under: 'Not yet', right: 'Just right', over: 'Too far' };
const VERDICTS: readonly Verdict[] = ['under', 'right', 'over'];
const MINUTE = 60_000;

/** A wait, looked at: from when to when it is ready, how it looks, and what that moves. */
export function WaitCard({
  item,
  now,
  zone,
  record,
  humidity,
  places,
  needles,
  rooms,
  shelves,
  coolingRule,
  onBack,
}: Props) {
  const { dough, step, state } = item;
  const [units] = useUnits();
  const [sheet, setSheet] = useState<'alive' | 'temperature' | 'note' | null>(null);
  const { start: from, ready } = step;
  const tell = (part: EventBody) => void record({ doughId: dough.id, stepKey: step.key, ...part });
  const alive = step.step.alive;
  const last = state.alive.at(-1);
  const needle = needles.find(({ id }) => id === state.needle?.id);
  const measured = lastMeasured(state, probeReadings(needles));
  const byNeedle = needle && measured?.at === needle.at && measured.celsius === needle.celsius;
  const placeName = (id: string) => places.find(({ place }) => place === id)?.label.toLowerCase() ?? id;
  const checked = state.records.findLast(({ data }) => data.kind === 'checked');
  return (
    <article>
      <p className="text-lg text-quiet">
        waiting since {dayTime(from, zone)}, {duration((now - from) / MINUTE)}
      </p>
      <h2 className="text-5xl leading-tight font-bold">{step.label}</h2>
      <p className="text-2xl font-semibold">{dough.name}</p>
      <div className="my-3 grid gap-1 text-xl">
        {ready && !step.never && (
          <p>
            ready <span className="font-bold">{clockTime(ready.earliest, zone)}</span> to{' '}
            <span className="font-bold">{clockTime(ready.latest, zone)}</span>, best{' '}
            <span className="font-bold">{dayTime(ready.best, zone)}</span>
          </p>
        )}
        <p>
          planned until {dayTime(step.plannedEnd, zone)}
          {state.notBefore !== null && `, look again ${clockTime(state.notBefore, zone)}`}
        </p>
        {step.remark && <p className="text-warn">{remarkWords(step.remark, units)}</p>}
        {step.step.cover && (
          <p>
            Cover: {step.step.cover}
            {humidity !== null && `; humidity there ${Math.round(humidity)} %`}
          </p>
        )}
        {step.step.check && <p>Look for: {step.step.check}</p>}
        {last && (
          <p>
            looked at {clockTime(last.at, zone)}
            {last.sign && `: ${last.sign}`}, {aliveWords(last)}
          </p>
        )}
        {state.verdict && (
          <p>
            judged {clockTime(state.verdict.at, zone)}: {VERDICT_WORDS[state.verdict.verdict].toLowerCase()}
          </p>
        )}
        {checked?.data.kind === 'checked' && (
          <p>
            {clockTime(checked.at, zone)} {checkWords(checked.data)}
          </p>
        )}
        {measured && (
          <p>
            {byNeedle ? needle.label.toLowerCase() : 'measured'} <b>{showCelsius(measured.celsius, units)}</b>{' '}
            at {clockTime(measured.at, zone)}
          </p>
        )}
        {state.moved && (
          <p>
            stands in {placeName(state.moved.place)}
            {state.moved.shelf !== null && `, shelf ${state.moved.shelf}`} since{' '}
            {clockTime(state.moved.at, zone)}
          </p>
        )}
        {step.step.cools && (
          <p role="status" className="max-w-xl border-l-4 border-warn pl-3 font-semibold">
            {coolingWords(cooling(coolingRule, from, state.temperatures, now), zone, units)}
          </p>
        )}
        {step.step.caution && (
          <p className="max-w-md border-l-4 border-edge pl-3 text-lg">{step.step.caution}</p>
        )}
      </div>
      {isChecked(item) && (
        <RestChecks
          {...{ item, now, zone, places, rooms }}
          onTell={(data) => tell({ kind: 'check', data })}
        />
      )}
      {alive && (
        <Button look="act" floor className="min-h-22 w-full text-3xl" onClick={() => setSheet('alive')}>
          Is it alive?
        </Button>
      )}
      {!alive && step.risen && (
        <fieldset>
          <legend className="mb-2 text-xl font-semibold">How does it look?</legend>
          <div className="grid gap-3 sm:grid-cols-3">
            {VERDICTS.map((verdict) => (
              <Button
                key={verdict}
                floor
                className="py-2"
                onClick={() => tell({ kind: 'verdict', data: { kind: 'verdict', verdict } })}
              >
                <span className="block text-2xl font-bold">{VERDICT_WORDS[verdict]}</span>
                <span className="block text-base text-quiet">
                  {SIGNS[step.risen?.phase ?? 'proof'][verdict]}
                </span>
              </Button>
            ))}
          </div>
        </fieldset>
      )}
      <Standing {...{ item, places, needles, rooms, shelves, tell }} />
      <div className="mt-3 grid grid-cols-3 gap-3">
        <Button floor onClick={() => setSheet('temperature')}>
          °{units.temperature}
        </Button>
        <Button floor onClick={() => setSheet('note')}>
          Note
        </Button>
        <Button floor onClick={onBack}>
          Back
        </Button>
      </div>
      {alive && (
        <AliveSheet
          open={sheet === 'alive'}
          onOpenChange={(open) => setSheet(open ? 'alive' : null)}
          of={alive.of}
          signs={alive.signs}
          onAnswer={(data) => tell({ kind: 'alive', data })}
        />
      )}
      <TemperatureSheet
        open={sheet === 'temperature'}
        onOpenChange={(open) => setSheet(open ? 'temperature' : null)}
        step={step.step}
        of={{ doughId: dough.id, stepKey: step.key }}
        onTell={(degrees) => tell({ kind: 'temperature', celsius: degrees })}
      />
      <WordsSheet
        open={sheet === 'note'}
        onOpenChange={(open) => setSheet(open ? 'note' : null)}
        title={`Note on ${step.label.toLowerCase()}`}
        words={['skin has formed', 'condensation', 'smells sour', 'leaks butter', 'just right']}
        onSay={(text) => tell({ kind: 'note', text })}
      />
    </article>
  );
}

/** Rests of the block are pressed, tempering butter is bent. */
const isChecked = ({ step: { step } }: AgendaItem) =>
  step.kind === 'temper' || (step.kind === 'rest' && step.branch === undefined);

/** An answer in words: "look again in 45 min". */
export function aliveWords({
  answer,
  minutes,
  grams,
}: Pick<AliveAnswer, 'answer' | 'minutes' | 'grams'>): string {
  if (answer === 'ready') return 'ready';
  if (answer === 'wait') return `not ready, look again in ${duration(minutes ?? 0)}`;
  return answer === 'anew' ? 'started anew' : `${grams ?? 0} g of yeast added`;
}
