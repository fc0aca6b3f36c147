'use client';

import { useWords } from '../kit/words';
import type { Say } from '@/words/say';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { AgendaItem } from '@/core/shopfloor/agenda';
import { cooling, coolingMessage, type CoolingRule } from '@/core/climate/cooling';
import type { Board } from '@/core/wire/board';
import type { AliveAnswer, EventBody, Recording } from '@/core/record/events';
import { lastMeasured, probeReadings } from '@/core/forecast/conditions';
import { remarkMessage } from '@/core/forecast/remark-words';
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
const signs = (say: Say): Record<RisePhase, Record<Verdict, string>> => ({
  proof: {
    under: say('bench.underDenseTheDentSprings'),
    right: say('bench.wobblesLayersShowTheDent'),
    over: say('bench.overSlackSinksWhenTouched'),
  },
  bulk: {
    under: say('bench.underTightHardlyLarger'),
    right: say('bench.domedAboutDoubledFullOf'),
    over: say('bench.overFlatOnTopSmells'),
  },
  sponge: {
    under: say('bench.underFewBubbles'),
    right: say('bench.domedFullOfBubblesJust'),
    over: say('bench.overSunkInTheMiddle'),
  },
  levain: {
    under: say('bench.underFewBubblesAPiece'),
    right: say('bench.risenAPieceFloatsIn'),
    over: say('bench.overSunkThinAndSour'),
  },
});
const verdictWords = (say: Say): Record<Verdict, string> => ({
  under: say('bench.notYet'),
  right: say('bench.justRight2'),
  over: say('bench.tooFar'),
});
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
  const say = useWords();
  const { dough, step, state } = item;
  const [units] = useUnits();
  const [sheet, setSheet] = useState<'alive' | 'temperature' | 'note' | null>(null);
  const { start: from, ready } = step;
  const tell = (part: EventBody) => void record({ doughId: dough.id, stepKey: step.key, ...part });
  const alive = step.step.alive;
  const last = state.alive.at(-1);
  const needle = needles.find(({ id }) => id === state.needle?.id);
  const measured = lastMeasured(state, probeReadings(needles));
  const byNeedle = measured?.at === needle?.at && measured?.celsius === needle?.celsius ? needle : undefined;
  const placeName = (id: string) => places.find(({ place }) => place === id)?.label.toLowerCase() ?? id;
  const checked = state.records.findLast(({ data }) => data.kind === 'checked');
  return (
    <article>
      <p className="text-lg text-quiet">
        {say('bench.waitingSince', { time: dayTime(from, zone), duration: duration((now - from) / MINUTE) })}
      </p>
      <h2 className="text-5xl leading-tight font-bold">{say.coded(step.label)}</h2>
      <p className="text-2xl font-semibold">{dough.name}</p>
      <div className="my-3 grid gap-1 text-xl">
        {ready && !step.never && (
          <p>
            {say.rich('bench.readyToBest', {
              span: (words) => <span className="font-bold">{words}</span>,
              time: clockTime(ready.earliest, zone),
              time2: clockTime(ready.latest, zone),
              time3: dayTime(ready.best, zone),
            })}
          </p>
        )}
        <p>
          {say('bench.plannedUntil', {
            time: dayTime(step.plannedEnd, zone),
            part:
              state.notBefore !== null
                ? say('bench.lookAgain', { time: clockTime(state.notBefore, zone) })
                : '',
          })}
        </p>
        {step.remark && <p className="text-warn">{say.coded(remarkMessage(step.remark))}</p>}
        {step.step.cover && (
          <p>
            {say('bench.cover', {
              cover: step.step.cover,
              part: humidity !== null ? say('bench.humidityThere', { humidity: Math.round(humidity) }) : '',
            })}
          </p>
        )}
        {step.step.check && <p>{say('bench.lookFor', { check: say.coded(step.step.check) })}</p>}
        {last && (
          <p>
            {say('bench.lookedAt', {
              time: clockTime(last.at, zone),
              part: last.sign ? `: ${last.sign}` : '',
              aliveWords: aliveWords(say, last),
            })}
          </p>
        )}
        {state.verdict && (
          <p>
            {say('bench.judged', {
              time: clockTime(state.verdict.at, zone),
              VERDICTWORDS: verdictWords(say)[state.verdict.verdict].toLowerCase(),
            })}
          </p>
        )}
        {checked?.data.kind === 'checked' && (
          <p>
            {clockTime(checked.at, zone)} {checkWords(say, checked.data)}
          </p>
        )}
        {measured && (
          <p>
            {say.rich('bench.at', {
              part: byNeedle ? byNeedle.label.toLowerCase() : say('bench.measured'),
              b: (words) => <b>{words}</b>,
              celsius: showCelsius(measured.celsius, units),
              time: clockTime(measured.at, zone),
            })}
          </p>
        )}
        {state.moved && (
          <p>
            {say('bench.standsInSince', {
              placeName: placeName(state.moved.place),
              part: state.moved.shelf !== null ? say('bench.shelf2', { shelf: state.moved.shelf }) : '',
              time: clockTime(state.moved.at, zone),
            })}
          </p>
        )}
        {step.step.cools && (
          <p role="status" className="max-w-xl border-l-4 border-warn pl-3 font-semibold">
            {say.coded(coolingMessage(cooling(coolingRule, from, state.temperatures, now), zone))}
          </p>
        )}
        {step.step.caution && (
          <p className="max-w-md border-l-4 border-edge pl-3 text-lg">{say.coded(step.step.caution)}</p>
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
          {say('bench.isItAlive')}
        </Button>
      )}
      {!alive && step.risen && (
        <fieldset>
          <legend className="mb-2 text-xl font-semibold">{say('bench.howDoesItLook')}</legend>
          <div className="grid gap-3 sm:grid-cols-3">
            {VERDICTS.map((verdict) => (
              <Button
                key={verdict}
                floor
                className="py-2"
                onClick={() => tell({ kind: 'verdict', data: { kind: 'verdict', verdict } })}
              >
                <span className="block text-2xl font-bold">{verdictWords(say)[verdict]}</span>
                <span className="block text-base text-quiet">
                  {signs(say)[step.risen?.phase ?? 'proof'][verdict]}
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
          {say('bench.note')}
        </Button>
        <Button floor onClick={onBack}>
          {say('bench.back')}
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
        title={say('bench.noteOn', { label: say.coded(step.label).toLowerCase() })}
        words={[
          say('bench.skinHasFormed'),
          'condensation',
          say('bench.smellsSour'),
          say('bench.leaksButter'),
          say('bench.justRight'),
        ]}
        onSay={(text) => tell({ kind: 'note', text })}
      />
    </article>
  );
}

/** Rests of the block are pressed, tempering butter is bent. */
const isChecked = ({ step: { step } }: AgendaItem) =>
  step.kind === 'temper' || (step.kind === 'rest' && step.branch === undefined);

/** An answer in words: "look again in 45 min". */
export function aliveWords(
  say: Say,
  { answer, minutes, grams }: Pick<AliveAnswer, 'answer' | 'minutes' | 'grams'>,
): string {
  if (answer === 'ready') return 'ready';
  if (answer === 'wait') return say('bench.notReadyLookAgainIn', { duration: duration(minutes ?? 0) });
  return answer === 'anew' ? say('bench.startedAnew') : say('bench.gOfYeastAdded', { grams: grams ?? 0 });
}
