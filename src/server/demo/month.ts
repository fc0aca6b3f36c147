import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { eventOf, type FlatEvent, type FloorEvent, type FloorEventKind } from '@/core/record/events';
import { addLocalDays, type Instant, localMidnight, MINUTE } from '@/core/time/local';
import { type Db, write } from '../db/rows';
import { keepSummaries, type KeptSummary } from '../store/batch-summaries';
import type { EvidenceKind } from '../store/evidence';
import { insertPast } from './seed-doughs';
import { demoHouse, type DemoHouse, wantedOf } from './plan-amid';
import { type Promised, ZONE } from './bakery';

/** One thing that was recorded: step by its place in the dough's list, minute, kind, who, °C, and what else it carries. */
export type MonthEvent = [
  step: number,
  minute: number,
  kind: FloorEventKind,
  personId: number,
  celsius: number | null,
  data: FlatEvent['data'],
];

/** What an event of a dough taught: both by their places, then what is kept of it. */
export type MonthEvidence = [
  dough: number,
  event: number,
  kind: EvidenceKind,
  subject: string,
  value: number,
  verdict: string | null,
  minutes: number | null,
  celsius: number | null,
];

/** A dough of the demo's past. Minutes count from midnight of the month's first day. */
export interface MonthDough {
  name: string;
  outputs: Promised[];
  /** Keys of its steps, in which `#1` stands for the id of its first output, with planned start and end. */
  steps: [key: string, start: number, end: number][];
  events: MonthEvent[];
}

/** What the demo bakery did in the four weeks before it opens, made ahead of time (`npm run make:month`). */
export interface Month {
  /** Days from midnight of its first day to that of the day on which the demo opens. */
  days: number;
  doughs: MonthDough[];
  /** Hourly means of each place, tenths of °C, and % of humidity where its probe has one. */
  readings: Record<string, { celsius: number[]; humidity?: number[] }>;
  /** What the house learnt of it. */
  evidence: MonthEvidence[];
  /** Its batches in numbers, in which dough and output are named by their places. */
  summaries: KeptSummary[];
}

/** Where the month is kept: beside this file in the sources, whatever folder the build is in. */
export const FILE = join('src', 'server', 'demo', 'month.json');

/** The month as it is kept. */
export const readMonth = (): Month => JSON.parse(readFileSync(FILE, 'utf8')) as Month;

/** The key of a step with its outputs by their place, and back. */
export const withPlaces = (key: string, outputs: readonly { id: number }[]): string =>
  outputs.reduce(
    (text, { id }, i) => (text.startsWith(`${id}.`) ? `#${i + 1}${text.slice(`${id}`.length)}` : text),
    key,
  );
export const withIds = (key: string, outputs: readonly { id: number }[]): string =>
  outputs.reduce(
    (text, { id }, i) => (text.startsWith(`#${i + 1}.`) ? `${id}${text.slice(`#${i + 1}`.length)}` : text),
    key,
  );

/** A dough of the month with the ids that it gets: an empty bakery numbers from 1. */
interface EnteredDough {
  id: number;
  name: string;
  outputs: { id: number; versionId: number; pieces: number; dueAt: Instant }[];
  steps: [key: string, start: Instant, end: Instant][];
  events: FloorEvent[];
}

/** Gives the month's doughs their ids and times. */
function enteredDoughs({ doughs }: Month, house: DemoHouse): EnteredDough[] {
  const at = (minute: number) => house.first + minute * MINUTE;
  let outputId = 0;
  return doughs.map((dough, nth) => {
    const id = nth + 1;
    const outputs = wantedOf(house, dough.outputs).map(({ product, pieces, dueAt }) => ({
      ...{ id: ++outputId, versionId: product.versionId, pieces, dueAt },
    }));
    const keys = dough.steps.map(([key]) => withIds(key, outputs));
    return {
      ...{ id, name: dough.name, outputs },
      steps: dough.steps.map(([, start, end], i) => [keys[i] ?? '', at(start), at(end)]),
      events: dough.events.map(([step, minute, kind, personId, celsius, data]) => {
        const blank = { text: null, undoes: null, id: randomUUID(), doughId: id };
        return eventOf({
          ...blank,
          stepKey: keys[step] ?? null,
          kind,
          at: at(minute),
          personId,
          celsius,
          data,
        });
      }),
    };
  });
}

/**
 * Enters the month before the demo opens into a bakery that has no dough yet: doughs with their plan and record, what the
 * house learned of them, and what probes read. All of a kind goes in at once, so that the demo starts as fast as without.
 */
export async function seedMonth(db: Db, now: Instant, month: Month): Promise<void> {
  const first = localMidnight(addLocalDays(now, -month.days, ZONE), ZONE);
  const house = await demoHouse(db, now, [first, now]);
  const doughs = enteredDoughs(month, house);
  const plan = await write(db, 'INSERT INTO plan_version (made_at, made_by, reason) VALUES (?, ?, ?)', [
    ...[new Date(first), house.madeBy, 'The weeks before'],
  ]);
  await write(db, 'INSERT INTO dough (id, client_id, name, created_at, created_by, finished_at) VALUES ?', [
    doughs.map(({ id, name, events }) => {
      const ends = events.filter(({ kind }) => kind === 'finish').map(({ at }) => at);
      return [id, randomUUID(), name, new Date(first), house.madeBy, new Date(Math.max(...ends))];
    }),
  ]);
  await write(db, 'INSERT INTO dough_output (id, dough_id, product_version_id, pieces, due_at) VALUES ?', [
    doughs.flatMap(({ id, outputs }) =>
      outputs.map((output) => [output.id, id, output.versionId, output.pieces, new Date(output.dueAt)]),
    ),
  ]);
  await write(db, 'INSERT INTO planned_step (since_version, dough_id, step_key, start_at, end_at) VALUES ?', [
    doughs.flatMap(({ id, steps }) =>
      steps.map(([key, start, end]) => [plan.id, id, key, new Date(start), new Date(end)]),
    ),
  ]);
  await insertPast(
    db,
    doughs.flatMap(({ events }) => events),
  );
  await insertLearnt(db, month, doughs);
  await insertReadings(db, month.readings, first);
}

/** Enters what was learned of the month, and its batches in numbers. */
async function insertLearnt(db: Db, month: Month, doughs: readonly EnteredDough[]): Promise<void> {
  await write(
    db,
    'INSERT INTO evidence (event_id, kind, subject, value, verdict, minutes, celsius, dough_id, at) VALUES ?',
    [
      month.evidence.map(([nth, event, kind, subject, value, verdict, minutes, celsius]) => {
        const own = doughs[nth]?.events[event];
        if (!own) throw new Error(`The month has no event ${event} of dough ${nth}.`);
        return [own.id, kind, subject, value, verdict, minutes, celsius, own.doughId, new Date(own.at)];
      }),
    ],
  );
  await keepSummaries(
    db,
    month.summaries.flatMap((one) => {
      const own = doughs[one.doughId];
      const outputId = own?.outputs[one.outputId]?.id;
      if (!own || outputId === undefined) return [];
      return [{ ...one, doughId: own.id, outputId, events: own.events.length }];
    }),
  );
}

/** Enters what probes read, by the hour from the first day on. */
export async function insertReadings(db: Db, readings: Month['readings'], first: Instant): Promise<void> {
  const rows = Object.entries(readings).flatMap(([place, { celsius, humidity }]) =>
    celsius.map((tenths, hour) => [
      ...[place, new Date(first + 60 * hour * MINUTE), tenths / 10],
      humidity?.[hour] ?? null,
    ]),
  );
  await write(db, 'INSERT INTO place_reading (place, at, celsius, humidity) VALUES ?', [rows]);
}
