import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { eventOf, type FlatEvent, type FloorEvent, type FloorEventKind } from '@/core/record/events';
import { addLocalDays, type Instant, localMidnight, MINUTE } from '@/core/time/local';
import { type Db, write } from '../db/rows';
import { keepSummaries, type KeptSummary } from '../store/batch-summaries';
import type { EvidenceKind } from '../store/evidence';
import { insertPast } from './seed-doughs';
import { demoHouse, orderDough, wantedOf } from './plan-amid';
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

/** Enters the month before the demo opens: its doughs with their plan and record, and what probes read. */
export async function seedMonth(db: Db, now: Instant, month: Month): Promise<void> {
  const first = localMidnight(addLocalDays(now, -month.days, ZONE), ZONE);
  const house = await demoHouse(db, now, [first, now]);
  const at = (minute: number) => first + minute * MINUTE;
  const plan = await write(db, 'INSERT INTO plan_version (made_at, made_by, reason) VALUES (?, ?, ?)', [
    ...[new Date(first), house.madeBy, 'The weeks before'],
  ]);
  const entered: { id: number; outputs: { id: number }[]; events: FloorEvent[] }[] = [];
  for (const dough of month.doughs) {
    const { id, outputs } = await orderDough(db, house, dough.name, wantedOf(house, dough.outputs));
    const keys = dough.steps.map(([key]) => withIds(key, outputs));
    await write(
      db,
      'INSERT INTO planned_step (since_version, dough_id, step_key, start_at, end_at) VALUES ?',
      [
        dough.steps.map(([, start, end], i) => [
          plan.id,
          id,
          keys[i] ?? '',
          new Date(at(start)),
          new Date(at(end)),
        ]),
      ],
    );
    const events = dough.events.map(([step, minute, kind, personId, celsius, data]) => {
      const blank = { text: null, undoes: null, id: randomUUID(), doughId: id, stepKey: keys[step] ?? null };
      return eventOf({ ...blank, kind, at: at(minute), personId, celsius, data });
    });
    await insertPast(db, events);
    entered.push({ id, outputs, events });
    const ends = events.filter(({ kind }) => kind === 'finish').map((event) => event.at);
    await write(db, 'UPDATE dough SET finished_at = ? WHERE id = ?', [new Date(Math.max(...ends)), id]);
  }
  await write(
    db,
    'INSERT INTO evidence (event_id, kind, subject, value, verdict, minutes, celsius, dough_id, at) VALUES ?',
    [
      month.evidence.map(([nth, event, kind, subject, value, verdict, minutes, celsius]) => {
        const own = entered[nth]?.events[event];
        if (!own) throw new Error(`The month has no event ${event} of dough ${nth}.`);
        return [own.id, kind, subject, value, verdict, minutes, celsius, own.doughId, new Date(own.at)];
      }),
    ],
  );
  for (const { productId, ...one } of month.summaries) {
    const { id = 0, outputs = [], events = [] } = entered[one.doughId] ?? {};
    const kept = { ...one, doughId: id, outputId: outputs[one.outputId]?.id ?? 0 };
    await keepSummaries(db, [{ ...kept, productId }], events.length);
  }
  await insertReadings(db, month.readings, first);
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
