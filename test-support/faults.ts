import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { chromium } from '@playwright/test';
import { seeded } from '@/core/solver/random';
import { migrate } from '@/server/db/migrate';
import { connect } from '@/server/db/pool';
import { rowsOf, write } from '@/server/db/rows';
import { seedDemo } from '@/server/demo/seed';
import { startApplication } from '../scripts/lib/application';
import { createDatabase, startDatabase } from '../scripts/lib/mariadb';
import { freePort } from '../scripts/lib/ports';
import { faultProxy, isData, MISCHIEFS, type FaultProxy } from './fault-proxy';
import { FaultTablet, type MadeTap } from './fault-tablet';

export interface FaultPlan {
  tablets: number;
  /** Taps on all tablets together. */
  taps: number;
  /** How often application and database are killed without a word, in turns. */
  kills: number;
  /** For how long the database refuses what the floor records, ms. */
  refusing: number;
  seed: number;
  build: string;
}

/** What became of the taps of a bad night. */
export interface FaultReport {
  taps: number;
  kills: ('application' | 'database')[];
  network: FaultProxy['done'];
  /** How often somebody else took a tablet over, and how often its tab was closed and opened again. */
  changes: number;
  reopened: number;
  lost: string[];
  doubled: string[];
  /** Taps that were stored under another name. */
  misnamed: string[];
  /** Tablets on which taps of one person were stored in another order than they were made in. */
  disordered: number[];
  refused: string[];
  /** How long it took until the last tablet was of use again by itself, ms, once the night was over. */
  usableAfter: number;
}

const CREW = ['Jonas', 'Ida', 'Selma', 'Anton', 'Piet'];
const PASSWORD = 'only-for-faults';
/** The network does mischief to one request in so many. */
const BAD = 6;
/** One tap in so many is followed by a change of person, or by a new tab. */
const CHANGE = 12;
const REOPEN = 9;

/**
 * Tablets in real browsers, with the shipped application in them, record notes through a bad network while application
 * and database are killed, the database refuses to write for a while, people take tablets over in other tabs, and tabs are
 * closed and opened. Then the night is over, everybody gives their PIN once more, and every note has to be there: once,
 * under the name of who wrote it, in the order in which they did.
 */
export async function faultRun(plan: FaultPlan): Promise<FaultReport> {
  const random = seeded(plan.seed);
  const below = (n: number) => random.below(n);
  const scratch = mkdtempSync(join(tmpdir(), 'hefeteig-faults-'));
  const [databasePort, port] = [await freePort(), await freePort()];
  let database = await startDatabase(scratch, databasePort, PASSWORD);
  const databaseUrl = await createDatabase(database, 'faults');
  await migrate(databaseUrl);
  const first = connect(databaseUrl);
  await seedDemo(first);
  await write(first, 'UPDATE demo_clock SET paused = TRUE', []);
  await first.end();
  const start = () =>
    startApplication({ build: plan.build, port, databaseUrl, log: join(scratch, 'application.log') });
  let application = await start();
  let bad = false;
  // Each kind in turn: by chance alone a short night would be without one of them now and then.
  let mischiefs = 0;
  const proxy = await faultProxy(
    () => `http://127.0.0.1:${port}`,
    (asked) =>
      bad && isData(asked) && below(BAD) === 0 ? MISCHIEFS[mischiefs++ % MISCHIEFS.length] : undefined,
  );
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-sync'],
  });
  const kills: FaultReport['kills'] = [];
  const counts = { changes: 0, reopened: 0 };
  let made = 0;

  const work = async (tablet: FaultTablet) => {
    const own = CREW[tablet.nth % CREW.length] ?? '';
    const other = CREW[(tablet.nth + 1) % CREW.length] ?? '';
    while (made < plan.taps) {
      await tablet.tap(`tap ${tablet.nth}/${made++}`);
      if (below(CHANGE) === 0) {
        counts.changes++;
        const next = tablet.person === own ? other : own;
        if (below(2) === 0) await tablet.takeOver(next);
        else {
          // The tab of the one before goes on under their name, though another is signed in by now.
          await tablet.takenOverInAnotherTab(next);
          const before = next === own ? other : own;
          tablet.person = before;
          await tablet.tap(`tap ${tablet.nth}/${made++}`);
          await tablet.takeOver(before);
        }
      } else if (below(REOPEN) === 0) {
        counts.reopened++;
        await tablet.reopen();
      }
    }
  };

  const killer = async () => {
    while (kills.length < plan.kills && made < plan.taps) {
      const at = made + 1 + below(Math.ceil(plan.taps / (plan.kills + 1)));
      while (made < at && made < plan.taps) await pause(20);
      const what = kills.length % 2 === 0 ? 'application' : 'database';
      const { process: victim } = what === 'application' ? application : database;
      const gone = new Promise((done) => victim.once('exit', done));
      victim.kill('SIGKILL');
      await gone;
      if (what === 'application') application = await start();
      else database = await startDatabase(scratch, databasePort, PASSWORD);
      kills.push(what);
    }
  };

  const refuser = async () => {
    while (made < plan.taps / 2) await pause(50);
    const db = connect(databaseUrl);
    try {
      await again(() =>
        write(
          db,
          "CREATE OR REPLACE TRIGGER refuses BEFORE INSERT ON floor_event FOR EACH ROW SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'disk full'",
          [],
        ),
      );
      await pause(plan.refusing);
      await again(() => write(db, 'DROP TRIGGER IF EXISTS refuses', []));
    } finally {
      await db.end();
    }
  };

  try {
    const tablets: FaultTablet[] = [];
    for (let nth = 0; nth < plan.tablets; nth++)
      tablets.push(await FaultTablet.open(browser, proxy.address, nth, CREW[nth % CREW.length] ?? ''));
    bad = true;
    await Promise.all([...tablets.map(work), killer(), refuser()]);
    bad = false;
    const usableAfter = await untilUsable(tablets);
    await confirmAll(tablets);
    const refused = (await Promise.all(tablets.map((tablet) => tablet.refused()))).flat();
    const check = connect(databaseUrl);
    const report = await compare(
      check,
      tablets.map(({ made: taps }) => taps),
    );
    await check.end();
    return { ...{ taps: made, kills, network: proxy.done }, ...counts, ...report, refused, usableAfter };
  } finally {
    await browser.close();
    await proxy.close();
    await application.stop();
    await database.stop();
    rmSync(scratch, { recursive: true, force: true });
  }
}

/** Tries until the database is there to be asked. */
async function again(work: () => Promise<unknown>): Promise<void> {
  for (let tries = 0; ; tries++) {
    try {
      await work();
      return;
    } catch (error) {
      if (tries > 300) throw error;
      await pause(200);
    }
  }
}

const USABLE = 60_000;

/** Waits until every tablet is of use again by itself; says how long that took, ms. */
async function untilUsable(tablets: readonly FaultTablet[]): Promise<number> {
  const over = Date.now();
  for (const tablet of tablets)
    while (!(await tablet.isUsable())) {
      if (Date.now() - over > USABLE) throw new Error(`Tablet ${tablet.nth} is of no use after a minute.`);
      await pause(200);
    }
  return Date.now() - over;
}

/** Everybody who recorded something on a tablet gives their PIN there once more, until nothing waits. */
async function confirmAll(tablets: readonly FaultTablet[]): Promise<void> {
  await Promise.all(
    tablets.map(async (tablet) => {
      const people = [...new Set(tablet.made.map((tap) => tap.person))];
      for (let turn = 0; !(await isSent(tablet)); turn++) {
        if (turn > 3 * people.length)
          throw new Error(`Something still waits on tablet ${tablet.nth}: ${await tablet.looks()}`);
        await tablet.takeOver(people[turn % people.length] ?? '');
      }
    }),
  );
}

/** Lets a tablet send what it may, until nothing waits in it; false where what waits asks for somebody's PIN. */
async function isSent(tablet: FaultTablet): Promise<boolean> {
  const until = Date.now() + SENDING;
  for (let asked = 0; Date.now() < until && asked < ASKED;) {
    if ((await tablet.isUsable()) && (await tablet.waiting()) === 0) return true;
    asked = (await tablet.asksForPin()) ? asked + 1 : 0;
    await pause(200);
  }
  return false;
}
const SENDING = 60_000;
/** So often, one look after the other, it has to ask: a page that is being made anew asks for a moment. */
const ASKED = 15;

type Found = Pick<FaultReport, 'lost' | 'doubled' | 'misnamed' | 'disordered'>;

/** Holds what was made on the tablets against what was stored. */
async function compare(db: ReturnType<typeof connect>, made: readonly MadeTap[][]): Promise<Found> {
  const rows = await rowsOf<{ text: string; person: string }>(
    db,
    `SELECT text, person.name AS person FROM floor_event JOIN person ON person.id = person_id
     WHERE text LIKE 'tap %' ORDER BY seq`,
  );
  const all = made.flat();
  const times = (text: string) => rows.filter((row) => row.text === text).length;
  const nameOf = new Map(rows.map((row) => [row.text, row.person]));
  const place = new Map(rows.map((row, i) => [row.text, i]));
  const isInOrder = (taps: readonly MadeTap[]) =>
    [...new Set(taps.map(({ person }) => person))].every((person) => {
      const places = taps.filter((tap) => tap.person === person).map(({ text }) => place.get(text) ?? -1);
      return places.every((at, i) => i === 0 || at > (places[i - 1] ?? -1));
    });
  return {
    lost: all.filter(({ text }) => times(text) === 0).map(({ text }) => text),
    doubled: all.filter(({ text }) => times(text) > 1).map(({ text }) => text),
    misnamed: all
      .filter(({ text, person }) => nameOf.has(text) && nameOf.get(text) !== person)
      .map(({ text }) => text),
    disordered: made.flatMap((taps, nth) => (isInOrder(taps) ? [] : [nth])),
  };
}
