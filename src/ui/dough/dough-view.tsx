'use client';

import { useWords } from '../kit/words';
import { useState } from 'react';
import type { DoughForecast } from '@/core/forecast/forecast';
import { goesToStock } from '@/core/process/output-way';
import type { Person } from '@/core/bakery/people';
import type { Board } from '@/core/wire/board';
import { windowMisses } from '@/core/schedule/window-misses';
import { stepSlack } from '@/core/schedule/slack';
import { staffedSpans } from '@/core/time/shifts';
import { Button } from '../kit/button';
import { useMinute } from '../live/clock';
import { useFloor } from '../live/floor';
import { outputWords, stateWords } from '../plan/words';
import { WordsSheet } from '../bench/words-sheet';
import { FollowDough } from '../rooms/follow-dough';
import { LargeThread } from './large-thread';
import { LayersPanel } from './layers-panel';
import { PiecesPanel } from './pieces-panel';
import { ScrapPanel } from './scrap-panel';
import { StepTable } from './step-table';
import type { DoughRecord } from '@/core/record/dough';

/** Trimmings belong to the step that cuts or divides. */
const scrapStep = ({ steps }: DoughForecast) =>
  steps.find(({ step }) => step.kind === 'sheet' || step.kind === 'divide')?.key ?? null;

/** One dough: its thread large, planned and real, and every step with what is known of it. */
export function DoughView({ board, person }: { board: Board; person: Person }) {
  const say = useWords();

  const now = useMinute();
  const { zone } = board.house;
  const { doughs, records, record, trouble } = useFloor(board, person.id, now);
  const [noting, setNoting] = useState(false);
  const [dough, facts] = [doughs[0], records[0]];
  if (!dough || !facts) return null;
  const slack = stepSlack(dough, facts.outputs, now);
  const staffed = staffedSpans(board.presences);

  const off = windowMisses(dough);
  return (
    <main className="flex-1 p-5">
      <DoughHead dough={dough} facts={facts} zone={zone} onNoting={setNoting} now={now} />
      {trouble && (
        <p role="alert" className="mb-3 border-l-4 border-warn pl-3 text-lg text-warn">
          {trouble}
        </p>
      )}
      {slack === null && !dough.state.finished && (
        <p className="mb-3 border-l-4 border-warn pl-3 text-lg">{say('dough.aPromiseOfThisDough')}</p>
      )}
      {off.length > 0 && (
        <div className="mb-3 border-l-4 border-warn pl-3 text-lg">
          {off.map(({ key, message }) => (
            <p key={key}>{say.coded(message)}</p>
          ))}
          <FollowDough id={dough.id} name={dough.name} />
        </div>
      )}
      <LargeThread
        dough={dough}
        dues={facts.outputs.map(({ dueAt }) => dueAt)}
        staffed={staffed}
        now={now}
        zone={zone}
      />
      <Notes dough={dough} board={board} zone={zone} />
      {facts.lamination && (
        <LayersPanel
          dough={dough}
          work={facts.lamination}
          rolling={board.rolling}
          onTell={(stepKey, data) => void record({ doughId: dough.id, stepKey, kind: 'turn', data })}
        />
      )}
      <PiecesPanel dough={dough} outputs={facts.outputs} machines={board.machines} />
      <ScrapPanel
        {...{ dough, zone }}
        kg={facts.kg}
        people={board.people}
        onTell={(data) => void record({ doughId: dough.id, stepKey: scrapStep(dough), kind: 'scrap', data })}
      />
      <StepTable dough={dough} slack={slack} people={board.people} zone={zone} now={now} />
      <WordsSheet
        open={noting}
        onOpenChange={setNoting}
        about={`${dough.id}/note`}
        title={say('dough.noteOn', { name: dough.name })}
        words={[
          say('dough.cameOutWell'),
          say('common.aLittleSmall'),
          say('dough.uneven'),
          say('dough.goodColour'),
        ]}
        onSay={(text) => void record({ doughId: dough.id, stepKey: null, kind: 'note', text })}
      />
    </main>
  );
}

/** Where the frozen pieces of an output are, as far as somebody said. */
const placesOf = ({ steps, state }: DoughForecast, output: number): string =>
  steps
    .flatMap(({ key, outputId }) => (outputId === output ? (state.bagged.get(key)?.where ?? []) : []))
    .map((where) => `, ${where}`)
    .join('');

interface DoughHeadProps {
  dough: DoughForecast;
  facts: DoughRecord;
  zone: string;
  onNoting: (value: boolean) => void;
  now: number;
}

/** The dough, what is due of it, and where else it is shown. */
function DoughHead({ dough, facts, zone, onNoting, now }: DoughHeadProps) {
  const say = useWords();
  const words = stateWords(say, dough, now);
  return (
    <div className="mb-3 flex flex-wrap items-end justify-between gap-4">
      <div>
        <h1 className="text-4xl font-bold">{dough.name}</h1>
        <p className="text-xl">
          {say('dough.ofDough', {
            outputWords: outputWords(say, facts),
            weight: say.shown({ kg: facts.kg }),
          })}
        </p>
        <p className="text-lg text-quiet">
          {facts.outputs.map(({ id, product, dueAt, way }) => (
            <span key={id} className="mr-5">
              {say(goesToStock(way) ? 'dough.putAwayBy' : 'dough.due', {
                value: facts.outputs.length > 1 ? `${say.inLine(product)} ` : '',
                time: say.dayTime(dueAt, zone),
              })}
              {(dough.state.frozen.get(id) ?? 0) > 0 && (
                <b className="text-ink">
                  {say('dough.ofThemInFreezer', {
                    pieces: dough.state.frozen.get(id) ?? 0,
                    where: placesOf(dough, id),
                  })}
                </b>
              )}
            </span>
          ))}
          {words}
        </p>
      </div>
      <div className="flex flex-wrap gap-3">
        <Button onClick={() => onNoting(true)} className="min-h-11">
          {say('dough.noteOnThisDough')}
        </Button>
        {dough.steps.some(({ step }) => step.kind === 'mix') && (
          <a
            href={`/dough/${dough.id}/sheet`}
            className="grid min-h-11 place-items-center rounded border border-edge bg-flour px-4"
          >
            {say('dough.mixingSheet')}
          </a>
        )}
        <a
          href={`/dough/${dough.id}/labels`}
          className="grid min-h-11 place-items-center rounded border border-edge bg-flour px-4"
        >
          {say('dough.labels')}
        </a>
        <a
          href={`/dough/${dough.id}/card`}
          className="grid min-h-11 place-items-center rounded border border-edge bg-flour px-4"
        >
          {say('dough.routeCard')}
        </a>
        <a href="/plan" className="grid min-h-11 place-items-center rounded border border-edge bg-flour px-4">
          {say('dough.plan')}
        </a>
      </div>
    </div>
  );
}

interface NotesProps {
  dough: DoughForecast;
  board: Board;
  zone: string;
}

/** What was noted on the dough. */
function Notes({ dough, board, zone }: NotesProps) {
  const say = useWords();
  return (
    <>
      {dough.state.notes.length > 0 && (
        <ul className="my-3 text-lg">
          {dough.state.notes.map(({ text, at, personId }) => (
            <li key={at}>
              “{text}”{' '}
              <span className="text-quiet">
                {board.people.find(({ id }) => id === personId)?.name}, {say.dayTime(at, zone)}
              </span>
            </li>
          ))}
        </ul>
      )}
    </>
  );
}
