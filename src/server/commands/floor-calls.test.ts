import { stateOf } from '@/core/record/dough';
import { randomUUID } from 'node:crypto';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { demoHouse, probeRequest } from '../../../test-support/demo-house';
import { forecastOf, ok, refusal } from '../../../test-support/house';
import { openSession } from '../../../test-support/session';
import type { Person } from '@/core/bakery/people';
import { rowsOf, write } from '../db/rows';
import { onChange, type News } from '../feed';
import { takeReadings } from '../intake/readings';
import { calls } from '../store/calls';
import { newestReadings } from '../store/newest-readings';
import { doughsDueFrom } from '../store/doughs';
import { lastWords } from '../store/handovers';
import { ringing } from '../store/ringing';
import { runCommand } from './run';

let house: Awaited<ReturnType<typeof demoHouse>>;
let jonas: Person;
let ida: Person;

beforeAll(async () => {
  house = await demoHouse();
  [jonas, ida] = [house.person('Jonas'), house.person('Ida')];
});
afterAll(() => house.close());

const now = () => house.now();
const called = async () => calls(house.pool, await now(), await newestReadings(house.pool, await now()));

describe('a tap', () => {
  it('is told to all other screens with the news itself, and other changes without', async () => {
    const heard: News[] = [];
    const sessionId = await openSession(house.pool, jonas.id);
    const stop = onChange({ sessionId, tell: (news) => heard.push(news), end: () => undefined });
    await expect.poll(() => heard.length).toBe(1);
    expect(heard[0]).toMatchObject({ events: [], calm: false });
    const id = randomUUID();
    const [dough] = await doughsDueFrom(house.pool, await now());
    const step = dough?.steps[0]?.key ?? '';
    await ok(
      runCommand('record-event', jonas, {
        id,
        doughId: dough?.id,
        stepKey: step,
        kind: 'note',
        text: 'warm',
      }),
    );
    await expect.poll(() => heard.length).toBe(2);
    expect(heard[1]).toMatchObject({ events: [{ id, text: 'warm', personId: jonas.id }], calm: true });
    await ok(runCommand('write-handover', jonas, { id: randomUUID(), words: 'The proofer is slow.' }));
    await expect.poll(() => heard.length).toBe(3);
    expect(heard[2]).toMatchObject({ events: [], calm: false });
    stop();
  });
});

describe('a check that is not passed', () => {
  const fresh = async (doughId: number, key: string) => {
    const dough = await forecastOf(house.pool, doughId);
    return dough.steps.find((step) => step.key === key);
  };
  const tell = (doughId: number, stepKey: string, kind: string, data: object | null = null) =>
    ok(runCommand('record-event', jonas, { id: uuidv7(), doughId, stepKey, kind, data }));

  it('of the window keeps the dough on the mixer, and is asked of nothing but a mixer', async () => {
    const doughs = (await doughsDueFrom(house.pool, await now())).map((dough) => ({
      dough,
      mix: dough.steps.find(
        ({ key, step }) => step.kind === 'mix' && stateOf(dough).steps.get(key)?.startable,
      ),
    }));
    const found = doughs.find(({ mix }) => mix);
    const [id, key] = [found?.dough.id ?? 0, found?.mix?.key ?? ''];
    await tell(id, key, 'start');
    const before = await fresh(id, key);
    await house.pool.query('UPDATE demo_clock SET shown_at = shown_at + INTERVAL ? MINUTE', [before?.min]);
    await tell(id, key, 'check', { kind: 'checked', check: 'window', answer: 'tears', minutes: 4 });
    expect((await fresh(id, key))?.min).toBe((before?.min ?? 0) + 4);
    const wait = found?.dough.steps.find(({ step }) => step.kind === 'bulk' || step.kind === 'retard')?.key;
    const answer = await refusal(
      runCommand('record-event', jonas, {
        ...{ id: randomUUID(), doughId: id, stepKey: wait, kind: 'check' },
        data: { kind: 'checked', check: 'window', answer: 'good', minutes: 0 },
      }),
    );
    expect(answer.message).toMatch(/windowpane test is for a dough that is being mixed/);
  });

  it('that somebody remembers afterwards is kept with the last step of what came of it', async () => {
    const doughs = await doughsDueFrom(house.pool, (await now()) - 3 * 24 * 3_600_000);
    const dough = doughs.find((one) => stateOf(one).finished);
    const last = dough?.steps.findLast(({ step }) => step.kind === 'finish')?.key ?? '';
    const told = (check: string, answer: string) =>
      runCommand('record-event', jonas, {
        ...{ id: randomUUID(), doughId: dough?.id, stepKey: last, kind: 'check' },
        data: { kind: 'checked', check, answer, minutes: 0 },
      });
    await ok(told('cover', 'uncovered'));
    expect((await refusal(told('spring', 'springs'))).message).toMatch(/is not a wait/);
    for (const answer of ['soggy', 'snaps'])
      expect((await refusal(told('cover', answer))).field).toBe('data.answer');
  });

  it('of a cooling stops whoever would work with what was not cold in time', async () => {
    const at = await now();
    const doughs = await doughsDueFrom(house.pool, at);
    const found = doughs
      .flatMap((dough) => dough.steps.map((step) => ({ dough, step })))
      .find(({ dough, step }) => step.step.cools && stateOf(dough).steps.get(step.key)?.status === 'running');
    const [id, key] = [found?.dough.id ?? 0, found?.step.key ?? ''];
    const after = found?.dough.links.find(({ from }) => from === key)?.to ?? '';
    const warm = (celsius: number) => ({
      id: uuidv7(),
      doughId: id,
      stepKey: key,
      kind: 'temperature',
      celsius,
    });
    await ok(runCommand('record-event', jonas, warm(70)));
    await house.pool.query('UPDATE demo_clock SET shown_at = shown_at + INTERVAL 130 MINUTE');
    await ok(runCommand('record-event', jonas, warm(15)));
    const start = { id: uuidv7(), doughId: id, stepKey: after, kind: 'start' };
    expect((await refusal(runCommand('record-event', jonas, start))).message).toMatch(
      /was not down to 10 °C in time. Do not use it/,
    );
    expect((await called()).coolingRule.stages).toHaveLength(1);
  });

  it('of a rise moves when it is ready, on the spot', async () => {
    const all = (await doughsDueFrom(house.pool, await now())).flatMap((dough) =>
      dough.steps.map((step) => ({ dough, step, state: stateOf(dough).steps.get(step.key) })),
    );
    const rising = all.find(({ step, state }) => step.step.rise?.decides && state?.status === 'running');
    const [id, key] = [rising?.dough.id ?? 0, rising?.step.key ?? ''];
    const since = ((await now()) - (rising?.state?.startedAt ?? 0)) / 60_000;
    await tell(id, key, 'verdict', { kind: 'verdict', verdict: 'right' });
    expect((await fresh(id, key))?.min).toBeLessThanOrEqual(Math.round(since));
    await tell(id, key, 'verdict', { kind: 'verdict', verdict: 'under' });
    expect((await fresh(id, key))?.min).toBeGreaterThan(Math.round(since));
  });
});

/** An alarm that rings now and that nobody has taken. */
async function untaken(): Promise<string> {
  const alarm = (await ringing(house.pool, await now())).find(({ takenBy }) => takenBy === null);
  if (!alarm) throw new Error('Nothing rings in the demo.');
  return alarm.id;
}

describe('alarms', () => {
  it('belong to whoever takes them first; the second is told who has them', async () => {
    const alarm = await untaken();
    await ok(runCommand('take-alarm', jonas, { alarm }));
    await ok(runCommand('take-alarm', jonas, { alarm }));
    expect((await refusal(runCommand('take-alarm', ida, { alarm }))).message).toContain(
      'Jonas is already on it.',
    );
    expect((await called()).taken).toContainEqual(expect.objectContaining({ alarm, personId: jonas.id }));
  });

  it('that still ring after a day call again, and are taken by whoever is there then', async () => {
    const alarm = await untaken();
    await ok(runCommand('take-alarm', jonas, { alarm }));
    await write(house.pool, 'UPDATE alarm_taken SET at = at - INTERVAL 25 HOUR WHERE alarm = ?', [alarm]);
    const takenBy = async () => (await called()).taken.find((one) => one.alarm === alarm)?.personId;
    expect(await takenBy()).toBeUndefined();
    await ok(runCommand('take-alarm', ida, { alarm }));
    expect(await takenBy()).toBe(ida.id);
  });

  it('are taken when they ring, and not before', async () => {
    const quiet = 'preheat/3/8.1.bake';
    expect((await ringing(house.pool, await now())).map(({ id }) => id)).not.toContain(quiet);
    expect((await refusal(runCommand('take-alarm', jonas, { alarm: quiet }))).message).toBe(
      'That alarm is not ringing.',
    );
  });

  it('are refused when they are none', async () => {
    for (const alarm of ['', 'x', '../etc', `wash/${'9'.repeat(200)}`, 7])
      expect((await refusal(runCommand('take-alarm', jonas, { alarm }))).message).toContain(
        'That alarm does not exist.',
      );
  });

  it('are raised by a place that was too warm for too long, and by no broken probe', async () => {
    // The demo's own readings end where it opens.
    await house.later(60);
    const at = await now();
    const post = (readings: unknown[]) => takeReadings(probeRequest({ readings }));
    const warm = [45, 30, 15, 0].map((ago) => ({
      place: 'retarder',
      celsius: 8.5,
      at: at - ago * 60_000 - 5000,
    }));
    const broken = [40, 0].map((ago) => ({ place: 'freezer', celsius: 85, at: at - ago * 60_000 - 5000 }));
    expect((await post([...warm, ...broken])).status).toBe(200);
    expect((await called()).excursions).toMatchObject([{ place: 'retarder', limit: 7, celsius: 8.5 }]);
  });
});

describe('words of a shift', () => {
  it('are kept once, however often they are sent, and signed by somebody else', async () => {
    const words = 'The second proofer door <b>sticks</b>.';
    const id = randomUUID();
    await ok(runCommand('write-handover', jonas, { id, words }));
    await ok(runCommand('write-handover', jonas, { id, words }));
    const [newest] = await lastWords(house.pool, await now());
    expect(newest).toMatchObject({ by: 'Jonas', words, readBy: [] });
    const handover = newest?.id;
    expect((await refusal(runCommand('sign-handover', jonas, { handover }))).message).toContain(
      'your own notes',
    );
    await ok(runCommand('sign-handover', ida, { handover }));
    await ok(runCommand('sign-handover', ida, { handover }));
    expect((await lastWords(house.pool, await now()))[0]?.readBy).toEqual(['Ida']);
    expect((await lastWords(house.pool, await now())).filter((said) => said.words === words)).toHaveLength(1);
  });

  it('stay in sight until somebody has read them, however many were written since', async () => {
    const write = (words: string) => runCommand('write-handover', jonas, { id: randomUUID(), words });
    await ok(write('The small sheeter slips.'));
    for (const nth of [1, 2, 3, 4]) await ok(write(`All is well, ${nth}.`));
    const shown = async () => (await lastWords(house.pool, await now())).map(({ words }) => words);
    expect(await shown()).toContain('The small sheeter slips.');
    for (const { id } of await lastWords(house.pool, await now()))
      await ok(runCommand('sign-handover', ida, { handover: id }));
    expect(await shown()).toEqual(['All is well, 4.', 'All is well, 3.', 'All is well, 2.']);
  });

  it('are refused empty, endless or unknown', async () => {
    const write = (words: unknown) => runCommand('write-handover', jonas, { id: randomUUID(), words });
    expect((await refusal(write('  '))).message).toContain('Enter what the next shift needs to know.');
    expect((await refusal(write('a'.repeat(2001)))).message).toContain('2,000 characters');
    expect((await refusal(runCommand('sign-handover', ida, { handover: 4711 }))).message).toContain(
      'nothing to confirm',
    );
  });
});

describe('a count after the bake', () => {
  const baked = async () => {
    const doughs = await doughsDueFrom(house.pool, await now());
    for (const dough of doughs)
      for (const step of dough.steps)
        if (step.step.kind === 'bake' && step.load) return { dough, step, pieces: step.load.pieces };
    throw new Error('The demo bakes nothing.');
  };

  it('is kept with its pieces, more than planned too, and refused where no sheet gives as many', async () => {
    const { dough, step, pieces } = await baked();
    const tell = (good: number, second: number, waste: number) =>
      runCommand('record-event', jonas, {
        ...{ id: randomUUID(), doughId: dough.id, stepKey: step.key, kind: 'count' },
        data: { kind: 'counted', good, second, waste },
      });
    expect((await refusal(tell(2 * pieces, 1, 0))).message).toContain(`${pieces} pieces were planned`);
    expect((await refusal(tell(-1, 0, 0))).message).toContain('whole numbers of pieces');
    await ok(tell(pieces + 3, 2, 1));
    const after = (await doughsDueFrom(house.pool, await now())).find(({ id }) => id === dough.id);
    if (!after) throw new Error('The dough has gone.');
    expect(stateOf(after).steps.get(step.key)?.records.at(-1)?.data).toEqual({
      ...{ kind: 'counted', good: pieces + 3, second: 2, waste: 1 },
    });
  });

  it('is of no use to a step without pieces', async () => {
    const { dough } = await baked();
    const answer = runCommand('record-event', jonas, {
      ...{ id: randomUUID(), doughId: dough.id, stepKey: 'mix', kind: 'count' },
      data: { kind: 'counted', good: 1, second: 0, waste: 0 },
    });
    expect((await refusal(answer)).message).toContain('has no pieces to count');
  });
});

describe('what was recorded without a line', () => {
  it('is kept with its own time, once, in the order in which it was tapped', async () => {
    const at = await now();
    const dough = (await doughsDueFrom(house.pool, at)).find(({ name }) => name === 'Brioche 30');
    if (!dough) throw new Error('The demo has no Brioche 30.');
    const first = stateOf(dough);
    const step = dough.steps.find(({ key }) => first.steps.get(key)?.startable);
    const tap = (id: string, kind: string, minutesAgo: number) =>
      runCommand('record-event', ida, {
        ...{ id, doughId: dough.id, stepKey: step?.key, kind, at: at - minutesAgo * 60_000 },
      });
    const [start, finish] = [randomUUID(), randomUUID()];
    await ok(tap(start, 'start', 40));
    await ok(tap(finish, 'finish', 33));
    // The answers were lost, so the tablet sends both again.
    await ok(tap(start, 'start', 40));
    await ok(tap(finish, 'finish', 33));
    const rows = await rowsOf<{ n: number }>(
      house.pool,
      'SELECT COUNT(*) AS n FROM floor_event WHERE id IN (?)',
      [[start, finish]],
    );
    expect(rows[0]?.n).toBe(2);
    const after = (await doughsDueFrom(house.pool, at)).find(({ id }) => id === dough.id);
    const state = after && stateOf(after).steps.get(step?.key ?? '');
    expect(state).toMatchObject({
      status: 'done',
      startedAt: at - 40 * 60_000,
      finishedAt: at - 33 * 60_000,
    });
  });
});
