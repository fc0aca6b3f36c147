/**
 * Makes the demo's past (`src/server/demo/month.json`): four weeks of doughs by what its customers want, planned by the engine
 * and worked by the double. Run it again when products, customers or the double have changed.
 */
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Pool } from 'mysql2/promise';
import type { CauseId } from '@/core/diagnosis/causes';
import { chanceOf } from '@/core/double/chance';
import { MISHAPS } from '@/core/double/mishaps';
import { playedBatch, type PlayedBatch } from '@/core/double/played-batch';
import { faultsOf, seenOn } from '@/core/double/seen';
import { countOf, marksOf, verdictOn } from '@/core/double/senses';
import { taskId } from '@/core/process/step-ref';
import type { DoughRecord } from '@/core/record/dough';
import { eventOf, type EventBody, type FloorEvent } from '@/core/record/events';
import { LAMINATED_ONLY } from '@/core/record/marks';
import type { Standing } from '@/core/schedule/problem';
import { addLocalDays, type Instant, localMidnight, MINUTE, parseLocal, weekday } from '@/core/time/local';
import type { Presence } from '@/core/time/shifts';
import { migrate } from '@/server/db/migrate';
import { connect } from '@/server/db/pool';
import { rowsOf, transaction, write } from '@/server/db/rows';
import { insertPast } from '@/server/demo/seed-doughs';
import { learnFrom } from '@/server/commands/learn';
import { OPENING, type Promised, WEEK, ZONE } from '@/server/demo/bakery';
import {
  FILE,
  insertReadings,
  type Month,
  type MonthDough,
  type MonthEvidence,
  withPlaces,
} from '@/server/demo/month';
import { demoHouse, type DemoHouse, orderDough, planAmid, wantedOf } from '@/server/demo/plan-amid';
import { seedDemo } from '@/server/demo/seed';
import { batchSummaries, type KeptSummary } from '@/server/store/batch-summaries';
import { doughById, doughToCheck } from '@/server/store/doughs';
import { createDatabase, startDatabase } from './lib/mariadb';
import { freePort } from './lib/ports';
import { prepareEnvironment } from '../test-support/environment';

const WEEKS = 4;
/** The first doughs due are begun two days before. */
const LEAD = 2;
/** The week that the demo opens in begins so many days before it opens. */
const OPEN_WEEK = 2;
const DAYS = 7 * WEEKS + LEAD + OPEN_WEEK;
/** Numbers of the first doughs, by kind; the week that follows goes on from where they end. */
const LAST = { Crescent: 37, Danish: 11, Brioche: 25, Levain: 2, 'Chocolate roll': 20 };
const SEED = 11;
/** How many batches have a mishap. */
const MISHAP_SHARE = 0.3;
/** From so many days before the end on the oven loses heat: bakes take this much longer each day. */
const OVEN = { days: 12, share: 0.013 };
/** Doughs mixed in the warm afternoon come out so much warmer, °C. */
const AFTERNOON = 1.2;
const DAY = 24 * 60;

/** What can go wrong in a bakery that knows its work: nothing that would have its customers go without. */
const USUAL: readonly CauseId[] = [
  // What goes wrong most where few watch many proofs.
  ...(['overproofed', 'overproofed', 'overproofed', 'underproofed'] as const),
  ...([
    'butter-cold',
    'rest-short',
    'overproofed',
    'underproofed',
    'rolled-loose',
    'wash-missed',
    'hot-spot',
  ] as const),
  ...([
    'bake-short',
    'sheet-shrank',
    'retard-long',
    'uncovered',
    'rolled-tight',
    'butter-warm',
    'overfilled',
  ] as const),
];

/** What customers want on a day, by the dough that it is made of. */
function wantedOn(house: DemoHouse, day: number): Promised[][] {
  const on = weekday(addLocalDays(house.first, day, ZONE), ZONE);
  const byDough = new Map<string, Map<string, Promised>>();
  for (const { product, days, time, pieces } of WEEK.standing) {
    if (!days.includes(on)) continue;
    const kind = house.products.find(({ name }) => name === product)?.doughName ?? '';
    const own = byDough.get(kind) ?? new Map<string, Promised>();
    const before = own.get(product);
    const earliest = before && before.time < time ? before.time : time;
    own.set(product, { product, pieces: pieces + (before?.pieces ?? 0), day, time: earliest });
    byDough.set(kind, own);
  }
  return [...byDough.values()].map((own) => [...own.values()]);
}

/** Names doughs so that the last of each kind has the number before the demo's first. */
function named(house: DemoHouse, doughs: readonly Promised[][]): { name: string; outputs: Promised[] }[] {
  const kindOf = (outputs: readonly Promised[]) =>
    house.products.find(({ name }) => name === outputs[0]?.product)?.doughName ?? '';
  const left = new Map<string, number>(Object.entries(LAST));
  return [...doughs]
    .reverse()
    .flatMap((outputs) => {
      const kind = kindOf(outputs);
      const number = left.get(kind) ?? 0;
      left.set(kind, number - 1);
      return number > 0 ? [{ name: `${kind} ${number}`, outputs }] : [];
    })
    .reverse();
}

/** What went wrong with a dough, if anything, and what of the house's drift it met. */
function mishapOf(record: DoughRecord, day: number, afternoon: boolean) {
  const chance = chanceOf(`mishap of ${record.name}`, SEED);
  const fits = USUAL.filter((cause) =>
    record.lamination ? true : !faultsOf(cause).some((fault) => LAMINATED_ONLY.includes(fault)),
  );
  const cause = chance.happens(MISHAP_SHARE) ? fits[Math.floor(chance.unit() * fits.length)] : undefined;
  const own = cause ? MISHAPS[cause] : {};
  const old = Math.max(0, day - (DAYS - OPEN_WEEK - OVEN.days));
  return {
    cause,
    mishap: {
      ...own,
      baked: (own.baked ?? 1) * (1 + OVEN.share * old),
      ...(afternoon ? { mixedWarmer: AFTERNOON } : {}),
    },
  };
}

/** What is recorded when a batch is looked at: how each proof looked, how many came out well, marks and faults. */
function judged(record: DoughRecord, played: PlayedBatch, cause: CauseId | undefined): FloorEvent[] {
  const said: FloorEvent[] = [];
  const note = (stepKey: string, at: Instant, body: EventBody) => {
    const blank = { celsius: null, text: null, undoes: null, data: null };
    said.push(eventOf({ ...blank, ...body, id: '', doughId: record.id, stepKey, at, personId: 0 }));
  };
  const endOf = (key: string) =>
    played.record.events.findLast(({ stepKey, kind }) => stepKey === key && kind === 'finish')?.at;
  const startAfter = (key: string) => {
    const next = record.links.find(({ from }) => from === key)?.to;
    return played.record.events.find(({ stepKey, kind }) => stepKey === next && kind === 'start')?.at;
  };
  for (const output of record.outputs) {
    const own = record.steps.filter(({ outputId }) => outputId === output.id);
    const rise = output.rises?.proof ?? record.rises?.proof ?? { early: 0.85, late: 1.2 };
    const risenOf = (nth: number) =>
      own.flatMap(({ key, step, load }) =>
        step.kind === 'proof' && load?.nth === nth ? (played.risen.get(key) ?? []) : [],
      )[0] ?? null;
    for (const { key, step } of own) {
      const risen = played.risen.get(key);
      const at = startAfter(key);
      if (!step.rise?.decides || risen === undefined || at === undefined) continue;
      note(key, at, {
        kind: 'verdict',
        data: { kind: 'verdict', verdict: verdictOn(risen, rise, key, SEED) },
      });
    }
    for (const { key, step, load } of own) {
      const out = endOf(key);
      if (step.kind !== 'bake' || !load || out === undefined) continue;
      const count = countOf(
        load.pieces,
        { risen: risenOf(load.nth), ...rise },
        `${record.name} ${key}`,
        SEED,
      );
      const spoilt = cause ? Math.round(count.good * 0.1) : 0;
      const data = { ...count, good: count.good - spoilt, second: count.second + spoilt };
      note(key, out + 25 * MINUTE, { kind: 'count', data });
    }
    const last = own.at(-1);
    const done = last && endOf(last.key);
    if (!last || done === undefined) continue;
    const fault = cause && faultsOf(cause)[0];
    const marks = marksOf(risenOf(1), record.name, SEED);
    const seen = fault && cause ? seenOn(fault, cause, record.id) : [];
    const lower = seen.length > 0 ? { crumb: 3, shape: Math.min(marks.shape ?? 5, 3) } : {};
    const data = { kind: 'marked' as const, marks: { ...marks, ...lower } as typeof marks, seen };
    note(last.key, done + 5 * MINUTE, { kind: 'marks', data });
  }
  return said;
}

/** Who records something: somebody who is there, the same one for all of a step. */
function whoAt(there: readonly Presence[], at: Instant, step: string): number {
  const present = there.filter(({ start, end }) => start <= at && at <= end);
  const nearest = [...there].sort((a, b) => Math.abs(a.start - at) - Math.abs(b.start - at));
  const among = present.length > 0 ? present : nearest.slice(0, 1);
  return among[Math.floor(chanceOf(`who ${step}`, SEED).unit() * among.length)]?.personId ?? 1;
}

interface Made {
  id: number;
  keys: string[];
  outputs: number[];
  dough: MonthDough;
  played: PlayedBatch;
}

/** Plans one dough amid those before it, and works it. */
async function make(
  pool: Pool,
  house: DemoHouse,
  { name, outputs: promised }: { name: string; outputs: Promised[] },
  placed: Standing[],
): Promise<Made> {
  const { first } = house;
  const { id, outputs } = await orderDough(pool, house, name, wantedOf(house, promised));
  const { expanded, times } = await planAmid(house, { id, name, outputs }, undefined, placed);
  const steps = expanded.steps.map((step): [string, number, number] => {
    const [start = 0, end = 0] = times[taskId(id, step.key)] ?? [];
    placed.push({ id: taskId(id, step.key), dough: name, start, end, uses: step.uses });
    return [step.key, start, end];
  });
  await write(
    pool,
    'INSERT INTO planned_step (since_version, dough_id, step_key, start_at, end_at) VALUES ?',
    [
      steps.map(([key, start, end]) => [
        1,
        id,
        key,
        new Date(first + start * MINUTE),
        new Date(first + end * MINUTE),
      ]),
    ],
  );
  const record = await doughById(pool, id);
  if (!record) throw new Error(`${name} is not there.`);
  const lengths = new Map(steps.map(([key, start, end]) => [key, end - start]));
  const asPlanned = {
    ...record,
    steps: record.steps.map((step) => ({
      ...step,
      target: Math.max(1, lengths.get(step.key) ?? step.target),
    })),
  };
  const mix = steps.find(([key]) => record.steps.find((step) => step.key === key)?.step.kind === 'mix');
  const begins = first + (mix?.[1] ?? 0) * MINUTE;
  const hour = ((mix?.[1] ?? 0) % DAY) / 60;
  const { cause, mishap } = mishapOf(record, (mix?.[1] ?? 0) / DAY, hour >= 12);
  const played = playedBatch(asPlanned, mishap, SEED);
  const begun =
    played.record.events.find(({ stepKey, kind }) => stepKey === mix?.[0] && kind === 'start')?.at ?? 0;
  const shift = begins - begun;
  const places = new Map(steps.map(([key], i) => [key, i]));
  // What water it took is not part of it: the double has no tap.
  const events = [
    ...played.record.events.filter(({ kind }) => kind !== 'conditions'),
    ...judged(record, played, cause),
  ]
    .sort((a, b) => a.at - b.at)
    .map(({ at, stepKey, kind, celsius, data }): MonthDough['events'][number] => {
      const when = at + shift;
      const who = whoAt(house.there, when, `${id} ${stepKey}`);
      return [places.get(stepKey ?? '') ?? -1, Math.round((when - first) / MINUTE), kind, who, celsius, data];
    });
  for (const { stay } of played.heard.map((one) => ({ stay: one })))
    for (const point of stay.points) point.at += shift;
  return {
    id,
    keys: steps.map(([key]) => key),
    outputs: outputs.map((output) => output.id),
    dough: {
      name,
      outputs: promised,
      steps: steps.map(([key, ...at]) => [withPlaces(key, outputs), ...at]),
      events,
    },
    played,
  };
}

/** Enters what was recorded of a dough, and gives what the house learns of it on the way. */
async function learnt(
  pool: Pool,
  first: Instant,
  { id, keys, dough }: Made,
  nth: number,
): Promise<MonthEvidence[]> {
  const entered: string[] = [];
  for (const [step, minute, kind, personId, celsius, data] of dough.events) {
    const known = await doughToCheck(pool, id);
    const own = { id: randomUUID(), doughId: id, stepKey: keys[step] ?? null, kind, personId, celsius, data };
    const event = eventOf({ ...own, text: null, undoes: null, at: first + minute * MINUTE });
    await insertPast(pool, [event]);
    if (known) await transaction(pool, (db) => learnFrom(db, known, event));
    entered.push(event.id);
  }
  const rows = await rowsOf<Evidence>(
    pool,
    'SELECT event_id AS event, kind, subject, value, verdict, minutes, celsius FROM evidence WHERE dough_id = ? ORDER BY id',
    [id],
  );
  const round = (value: number | null) => value && Math.round(value * 1000) / 1000;
  return rows.map(({ event, kind, subject, value, verdict, minutes, celsius }) => [
    ...([nth, entered.indexOf(event), kind, subject, round(value) ?? 0, verdict] as const),
    ...([round(minutes), round(celsius)] as const),
  ]);
}

/** The batches in numbers, with places instead of ids. */
async function inNumbers(pool: Pool, made: readonly Made[], now: Instant): Promise<KeptSummary[]> {
  await write(
    pool,
    `UPDATE dough d SET finished_at = (SELECT MAX(at) FROM floor_event e WHERE e.dough_id = d.id AND e.kind = 'finish')
     WHERE id IN (?)`,
    [made.map(({ id }) => id)],
  );
  const { batches } = await batchSummaries(pool, { from: 0, to: now }, { now, most: made.length });
  return made.flatMap(({ id, outputs }, nth) =>
    batches
      .filter(({ doughId }) => doughId === id)
      .map((one) => ({
        ...{ ...one, doughId: nth, outputId: outputs.indexOf(one.outputId) },
        features: mapValues(
          one.features,
          (value) => value && Math.round(value * 1000) / 1000,
        ) as KeptSummary['features'],
      })),
  );
}

const mapValues = <T>(of: Record<string, T>, by: (value: T) => T) =>
  Object.fromEntries(Object.entries(of).map(([key, value]) => [key, by(value)]));

interface Evidence {
  event: string;
  kind: MonthEvidence[2];
  subject: string;
  value: number;
  verdict: string | null;
  minutes: number | null;
  celsius: number | null;
}

/** What a place has where no dough says otherwise, °C, how much it swings, and whether its probe has humidity. */
const QUIET: Record<string, { celsius: number; swings: number; humid?: true }> = {
  retarder: { celsius: 3.6, swings: 0.5 },
  freezer: { celsius: -18.2, swings: 0.6 },
  proofer: { celsius: 26.1, swings: 0.4, humid: true },
  oven: { celsius: 184, swings: 3 },
  bakery: { celsius: 21.6, swings: 1.4 },
};

/** Each place by the hour: what doughs that stood there had around them, and between them what it has by itself. */
function readingsOf(made: readonly Made[], first: Instant): Month['readings'] {
  const heard = new Map<string, number[][]>();
  for (const { played } of made)
    for (const stay of played.heard) {
      const hours = heard.get(stay.probe) ?? heard.set(stay.probe, []).get(stay.probe) ?? [];
      for (const { at, celsius } of stay.points) {
        const hour = Math.floor((at - first) / (60 * MINUTE));
        (hours[hour] ??= []).push(celsius);
      }
    }
  return Object.fromEntries(
    Object.entries(QUIET).map(([place, { celsius, swings, humid }]) => {
      const chance = chanceOf(`readings of ${place}`, SEED);
      const hours = Array.from({ length: 24 * (DAYS - OPEN_WEEK) }, (_, hour) => {
        const own = heard.get(place)?.[hour];
        const day = swings * Math.sin(((hour % 24) - 9) * (Math.PI / 12));
        const mean = own ? own.reduce((sum, one) => sum + one, 0) / own.length : celsius + day * 0.6;
        return Math.round(10 * (mean + 0.15 * swings * chance.normal()));
      });
      const wet = () => hours.map(() => Math.round(77 + 2.5 * chance.normal()));
      return [place, { celsius: hours, ...(humid ? { humidity: wet() } : {}) }];
    }),
  );
}

async function main(): Promise<void> {
  prepareEnvironment();
  const folder = mkdtempSync(join(tmpdir(), 'hefeteig-month-'));
  const database = await startDatabase(folder, await freePort(), 'only-to-make-a-month');
  const url = await createDatabase(database, 'month');
  await migrate(url);
  const pool = connect(url);
  try {
    await seedDemo(pool);
    const now = parseLocal(OPENING, ZONE) as Instant;
    const first = localMidnight(addLocalDays(now, -DAYS, ZONE), ZONE);
    const house = await demoHouse(pool, now, [first, now]);
    const days = Array.from({ length: 7 * WEEKS }, (_, day) => day + LEAD);
    const made: Made[] = [];
    const placed: Standing[] = [];
    for (const dough of named(
      house,
      days.flatMap((day) => wantedOn(house, day)),
    )) {
      made.push(await make(pool, house, dough, placed));
      process.stdout.write('.');
    }
    const readings = readingsOf(made, first);
    await insertReadings(pool, readings, first);
    const evidence: MonthEvidence[] = [];
    for (const [nth, one] of made.entries()) evidence.push(...(await learnt(pool, first, one, nth)));
    const rest: Omit<Month, 'doughs'> = {
      ...{ days: DAYS, readings, evidence },
      summaries: await inNumbers(pool, made, now),
    };
    const lines = made.map(({ dough }) => JSON.stringify(dough)).join(',\n');
    writeFileSync(FILE, `${JSON.stringify(rest).slice(0, -1)},"doughs":[\n${lines}\n]}\n`);
    const events = made.reduce((sum, { dough }) => sum + dough.events.length, 0);
    console.log(`\n${made.length} doughs, ${events} events.`);
  } finally {
    await pool.end();
    await database.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}

await main();
