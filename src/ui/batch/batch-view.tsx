'use client';

import { useWords } from '../kit/words';
import type { Say } from '@/words/say';
import { useState, type ReactNode } from 'react';
import { type BatchReport, batchReports } from '@/core/diagnosis/report';
import type { BatchMarks } from '@/core/record/marks';
import { type HeardSpan, readByHand } from '@/core/diagnosis/temperatures';
import type { EventBody, HandCheck, PieceCount } from '@/core/record/events';
import type { Person } from '@/core/bakery/people';
import type { DoughForecast } from '@/core/forecast/forecast';
import type { Board } from '@/core/wire/board';
import { looksOn } from '@/core/shopfloor/rights';
import { staffedSpans } from '@/core/time/shifts';
import { duration } from '@/core/units/format';
import { LargeThread } from '../dough/large-thread';
import { StepTable } from '../dough/step-table';
import { FloorTabs } from '../floor/floor-tabs';
import { Button } from '../kit/button';
import { useMinute } from '../live/clock';
import { useFloor } from '../live/floor';
import { CountSheet } from '../oven/count-sheet';
import { countValues } from '../oven/words';
import { CausesList } from './causes-list';
import { MarksForm } from './marks-form';
import { type ProductNow, RemedyLine } from './remedy-line';
import { Photos } from './photos';
import { PlayAgain } from './play-again';
import { Temperatures } from './temperatures';

interface Props {
  board: Board;
  photos: { id: string; at: number; by: string }[];
  /** What probes have said of it. */
  stays: HeardSpan[];
  person: Person;
  /** Products as they are now, by output, for whoever may change them. */
  products: Readonly<Record<number, ProductNow>>;
}

/** One batch as it came out: counts, marks, what was seen and why, its thread planned and real, people and photos. */
export function BatchView({ board, photos, stays, person, products }: Props) {
  const say = useWords();
  const now = useMinute();
  const { zone } = board.house;
  const { doughs, records, record, trouble } = useFloor(board, person.id, now);
  const [facts, dough] = [records[0], doughs[0]];
  if (!facts || !dough) return null;
  const reports = batchReports(facts, stays);
  const notes = [...dough.state.notes, ...[...dough.state.steps.values()].flatMap((step) => step.notes)];
  const name = (id: number) =>
    board.people.find((one) => one.id === id)?.name ?? say('batch.somebodyWhoHasLeft');
  return (
    <main className="flex-1">
      <FloorTabs />
      <div className="p-5">
        <div className="flex flex-wrap items-end justify-between gap-3">
          <div>
            <h1 className="text-4xl font-bold">{dough.name}</h1>
            <p className="text-lg text-quiet">
              {say('batch.ofDoughWith', {
                weight: say.shown({ kg: facts.kg }),
                hands: hands(say, dough, name),
              })}
            </p>
          </div>
          <div className="flex flex-wrap gap-3">
            <PageLink href={`/batches/compare?dough=${dough.id}`}>{say('batch.compareWithGood')}</PageLink>
            <PageLink href={`/dough/${dough.id}`}>{say('batch.stepsAndLayers')}</PageLink>
          </div>
        </div>
        {trouble && (
          <p role="alert" className="mt-3 border-l-4 border-warn pl-3 text-lg text-warn">
            {trouble}
          </p>
        )}
        {reports.map((report) => (
          <Output
            key={report.output.id}
            report={report}
            zone={zone}
            laminated={facts.lamination !== null}
            judges={person.role !== 'helper'}
            product={products[report.output.id] ?? null}
            doughId={dough.id}
            photos={photos.length}
            tell={
              looksOn(person.role)
                ? null
                : (stepKey, data) =>
                    void record({
                      ...{ doughId: dough.id, stepKey },
                      ...bodyOf(data),
                    })
            }
          />
        ))}
        <section aria-label={say('batch.plannedAndReal')} className="mt-6">
          <h2 className="text-2xl font-bold">{say('batch.plannedAndReal')}</h2>
          <LargeThread
            dough={dough}
            dues={facts.outputs.map(({ dueAt }) => dueAt)}
            staffed={staffedSpans(board.presences)}
            now={now}
            zone={zone}
          />
        </section>
        <Temperatures stays={stays} told={readByHand(facts)} zone={zone} />
        {notes.length > 0 && (
          <section aria-label={say('batch.notes')} className="mt-6">
            <h2 className="text-2xl font-bold">{say('batch.notes')}</h2>
            <ul className="text-lg">
              {notes
                .sort((a, b) => a.at - b.at)
                .map(({ text, at, personId }) => (
                  <li key={`${at} ${text}`}>
                    “{text}”{' '}
                    <span className="text-quiet">
                      {name(personId)}, {say.dayTime(at, zone)}
                    </span>
                  </li>
                ))}
            </ul>
          </section>
        )}
        <Photos doughId={dough.id} photos={photos} zone={zone} />
        {!looksOn(person.role) && <PlayAgain dough={facts} zone={zone} />}
        <StepTable dough={dough} slack={null} people={board.people} zone={zone} now={now} />
      </div>
    </main>
  );
}

function PageLink({ href, children }: { href: string; children: ReactNode }) {
  return (
    <a
      href={href}
      className="grid min-h-14 place-items-center rounded border border-edge bg-flour px-5 text-xl"
    >
      {children}
    </a>
  );
}

/** What is recorded of a batch on its page. */
type Judgement = PieceCount | BatchMarks | HandCheck;

const bodyOf = (data: Judgement): EventBody =>
  data.kind === 'counted'
    ? { kind: 'count', data }
    : data.kind === 'marked'
      ? { kind: 'marks', data }
      : { kind: 'check', data };

/** Everybody who had their hands on it. */
function hands(say: Say, dough: DoughForecast, name: (id: number) => string): string {
  const ids = [...dough.state.steps.values()].flatMap(({ startedBy, finishedBy }) => [startedBy, finishedBy]);
  const names = [...new Set(ids.flatMap((id) => (id === null ? [] : [name(id)])))];
  return names.length > 0 ? names.join(', ') : say('batch.nobodySoFar');
}

function Output({
  report,
  zone,
  laminated,
  judges,
  tell,
  product,
  doughId,
  photos,
}: {
  report: BatchReport;
  /** How many pictures there are of the batch. */
  photos: number;
  /** The product as it is now, for whoever may change it. */
  product: ProductNow | null;
  doughId: number;
  zone: string;
  laminated: boolean;
  /** Whoever is there may say how something looked. */
  judges: boolean;
  tell: ((stepKey: string | null, data: Judgement) => void) | null;
}) {
  const say = useWords();
  const [counting, setCounting] = useState<BatchReport['loads'][number] | null>(null);
  const { output, counted, mean, marks, seen, causes, off } = report;
  return (
    <section aria-label={say.named(output.product)} className="mt-5 border-t border-hairline pt-4">
      <h2 className="text-2xl font-bold">
        {say('common.somePieces', { pieces: output.pieces, product: say.inLine(output.product) })}
        <span className="ml-3 text-lg font-normal text-quiet">
          {say('batch.for', { time: say.dateTime(output.dueAt, zone) })}
        </span>
      </h2>
      <div className="mb-3 flex flex-wrap items-center gap-3 text-xl">
        <p>
          {say('batch.partPart2', {
            part: counted ? say('batch.count', countValues(counted)) : say('batch.notCountedYet'),
            part2: mean !== null ? say('batch.marksOf5', { mean: say.number(mean, 1) }) : '',
          })}
        </p>
        {tell &&
          report.loads.map((load) => (
            <Button key={load.key} floor onClick={() => setCounting(load)}>
              {say('batch.countAgain', {
                isCounted: Boolean(counted),
                part: load.of > 1 ? say('batch.load', { nth: load.nth }) : '',
              })}
            </Button>
          ))}
      </div>
      {counting && (
        <CountSheet
          open
          onOpenChange={() => setCounting(null)}
          title={say('batch.howManyCameOutWell', { product: output.product })}
          pieces={counting.pieces}
          onCount={(data) => tell?.(counting.key, data)}
        />
      )}
      {tell && (
        <MarksForm
          marks={marks}
          seen={seen}
          laminated={laminated}
          onSay={(data) => tell(report.markedOn, data)}
        />
      )}
      {seen.length > 0 && (
        <CausesList
          causes={causes}
          photos={photos}
          onCheck={tell && judges ? (data) => tell(report.markedOn, data) : null}
          remedyOf={(cause) =>
            product && report.trace ? (
              <RemedyLine {...{ cause, product, doughId }} trace={report.trace} outputId={output.id} />
            ) : null
          }
        />
      )}
      {off.length > 0 && (
        <ul className="mt-3 text-lg">
          {off.map(({ label, minutes, meant: [least, most] }) => (
            <li key={label && say.coded(label)}>
              {say('batch.took', {
                label: say.coded(label),
                duration: duration(minutes),
                part:
                  least === most
                    ? say('batch.wasPlanned', { duration: duration(most) })
                    : say('batch.toWasMeant', { duration: duration(least), duration2: duration(most) }),
              })}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
