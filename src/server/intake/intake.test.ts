import { inEnglish } from '../../../test-support/words';
import { rises, stateOf } from '@/core/record/dough';
import { randomUUID } from 'node:crypto';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { demoHouse, probeRequest } from '../../../test-support/demo-house';
import { forecastOf, ok, refusal } from '../../../test-support/house';
import { simulatedHouse } from '@/devices/probes/house';
import { readFaults } from '@/devices/probes/faults';
import { thinReadings } from '../commands/thin-readings';
import { runCommand } from '../commands/run';
import { rowsOf, write } from '../db/rows';
import { calls } from '../store/calls';
import { newestReadings } from '../store/newest-readings';
import { doughsDueFrom } from '../store/doughs';
import { doubtedReadings, placeCurve } from '../store/place-curve';
import { places } from '../store/places';
import { lastWeight } from '../store/scale';
import { takeReadings, tellTime } from './readings';
import { takeWeight } from './weights';

let house: Awaited<ReturnType<typeof demoHouse>>;
beforeAll(async () => {
  house = await demoHouse();
});
afterAll(() => house.close());

const DAY = 24 * 3_600_000;

const called = async () => {
  const now = await house.now();
  return calls(house.pool, now, await newestReadings(house.pool, now));
};

async function count(table: 'place_reading' | 'change_feed'): Promise<number> {
  const [row] = await rowsOf<{ n: number }>(house.pool, `SELECT COUNT(*) AS n FROM ${table}`);
  return row?.n ?? 0;
}

describe('today’s temperatures', () => {
  const place = async (id: string) =>
    (await places(house.pool, await house.now())).find((one) => one.id === id);

  it('come from probes with their own token, each reading once', async () => {
    const at = (await house.now()) - 60_000;
    const body = { readings: [{ place: 'retarder', celsius: 5.5, at }] };
    expect((await takeReadings(probeRequest(body))).status).toBe(200);
    const before = await count('place_reading');
    expect((await takeReadings(probeRequest(body))).status).toBe(200);
    expect(await count('place_reading')).toBe(before);
    expect((await takeReadings(probeRequest(body, 'lindenried-scale'))).status).toBe(401);
    expect((await takeReadings(probeRequest(body, 'guessed-token'))).status).toBe(401);
    expect((await takeReadings(probeRequest('{'))).status).toBe(400);
    expect((await takeReadings(probeRequest({ readings: [] }))).status).toBe(400);
  });

  it('take no reading from next year, from last year or in a batch of a million, and others in any order', async () => {
    const now = await house.now();
    const [hour, year] = [3_600_000, 365 * 24 * 3_600_000];
    const at = (ago: number) => ({ place: 'freezer', celsius: -18, at: now - ago });
    const readings = [at(-year), at(hour), at(3 * hour), at(2 * hour), at(year), { ...at(0), place: 'moon' }];
    const answer = await takeReadings(probeRequest({ readings }));
    expect(await answer.json()).toMatchObject({ result: { kept: 3, ahead: 1, old: 1, unknown: 1 } });
    expect((await place('freezer'))?.reading?.at).toBeLessThanOrEqual(now);
    const before = await count('place_reading');
    const million = JSON.stringify({ readings: Array.from({ length: 1_000_000 }, () => at(0)) });
    expect((await takeReadings(probeRequest(million))).status).toBe(400);
    expect(await count('place_reading')).toBe(before);
  });

  it('are told to the screens when they move, and not every time', async () => {
    const post = (celsius: number, ago: number) =>
      takeReadings(
        probeRequest({
          readings: [{ place: 'proofer', celsius, at: Date.parse('2026-11-19T03:00Z') - ago }],
        }),
      );
    await post(26, 2000);
    const before = await count('change_feed');
    await post(26.2, 1000);
    expect(await count('change_feed')).toBe(before);
    await post(29, 500);
    expect(await count('change_feed')).toBe(before + 1);
  });

  it('keep a probe that reports 85 °C, and reckon nothing from it', async () => {
    await ok(runCommand('set-clock', house.person('Mara'), { shows: '2026-11-19T04:15', paused: true }));
    const before = await place('retarder');
    await takeReadings(probeRequest({ readings: [{ place: 'retarder', celsius: 85 }] }));
    const after = await place('retarder');
    expect(after?.reading?.celsius).toBe(before?.reading?.celsius);
    expect(inEnglish(after?.remark)).toMatch(/85 °C, like a broken one; ignored/);
  });

  it('fall back to the usual when a probe stops reporting', async () => {
    const later = (await places(house.pool, (await house.now()) + 5 * 3_600_000)).find(
      ({ id }) => id === 'freezer',
    );
    expect(later?.reading).toBeNull();
    expect(inEnglish(later?.remark)).toMatch(/No reading for 5 h; using the usual value/);
  });

  it('take weights from the scale', async () => {
    const weight = { id: randomUUID(), grams: 2517 };
    expect((await takeWeight(probeRequest(weight, 'lindenried-scale'))).status).toBe(200);
    expect((await takeWeight(probeRequest({ id: 'mine', grams: -1 }, 'lindenried-scale'))).status).toBe(400);
    expect((await lastWeight(house.pool, await house.now()))?.grams).toBe(2517);
  });
});

describe('probes and core probes', () => {
  /** Lets the simulated house run for some minutes before now, and sends what it says every five. */
  async function run(minutes: number, fault: string) {
    const now = await house.now();
    const begin = now - minutes * 60_000;
    const simulated = simulatedHouse(begin, { faults: readFaults(fault) });
    for (let at = begin + 1000; at <= now; at += 5 * 60_000) {
      simulated.goTo(at);
      expect((await takeReadings(probeRequest({ readings: simulated.readings() }))).status).toBe(200);
    }
  }
  /** A dough whose rise goes on in the retarder. */
  const waiting = async () => {
    for (const dough of await doughsDueFrom(house.pool, (await house.now()) - DAY)) {
      const step = dough.steps.find(
        (one) =>
          rises(dough, one) &&
          stateOf(dough).steps.get(one.key)?.status === 'running' &&
          one.step.place === 'retarder',
      );
      if (step) return { dough, step };
    }
    throw new Error('No dough of the demo rises in the cold.');
  };
  const put = (doughId: number, stepKey: string, probe: string | null) =>
    runCommand('record-event', house.person('Jonas'), {
      ...{ id: uuidv7(), doughId, stepKey, kind: 'probe', data: { kind: 'probed', probe } },
    });

  it('are told the house’s time, and nobody else is', async () => {
    const ask = (token: string) =>
      tellTime(new Request('http://127.0.0.1', { headers: { authorization: `Bearer ${token}` } }));
    expect(await (await ask('lindenried-probes')).json()).toEqual({
      ok: true,
      result: { now: await house.now() },
    });
    expect((await ask('lindenried-scale')).status).toBe(401);
  });

  it('raise an alarm when a door was left open, and the doughs inside are reckoned with it', async () => {
    const { dough, step } = await waiting();
    const target = async () =>
      (await forecastOf(house.pool, dough.id)).steps.find(({ key }) => key === step.key);
    const before = await target();
    await house.later(180);
    await run(170, 'retarder:door@100');
    const { excursions } = await called();
    expect(excursions.map(({ place }) => place)).toContain('retarder');
    const after = await target();
    expect(after?.around).toBeGreaterThan((before?.around ?? 0) + 2);
  });

  it('that fall silent are called for until somebody tells the temperature', async () => {
    expect((await called()).silent).toEqual([]);
    await house.later(150);
    const { silent } = await called();
    expect(silent.map(({ label }) => label)).toContain('Retarder');
    await ok(runCommand('tell-place', house.person('Jonas'), { place: 'retarder', celsius: 4.2 }));
    const told = (await called()).silent.map(({ label }) => label);
    expect(told).not.toContain('Retarder');
  });

  it('in a dough say how warm it is, from then on and as long as they are in it', async () => {
    const { dough, step } = await waiting();
    const target = async () =>
      (await forecastOf(house.pool, dough.id)).steps.find(({ key }) => key === step.key)?.risen?.after ?? 0;
    const reckoned = await target();
    await ok(put(dough.id, step.key, 'core-1'));
    const send = async (celsius: number) =>
      takeReadings(
        probeRequest({ readings: [{ place: 'core-1', celsius, at: (await house.now()) + 1000 }] }),
      );
    await house.later(1);
    await send(19);
    const warm = await target();
    expect(warm).toBeGreaterThan(reckoned);
    await ok(put(dough.id, step.key, null));
    expect(await target()).toBeCloseTo(reckoned, -1);
  });

  it('are in one dough only, and in none that does not wait', async () => {
    const { dough, step } = await waiting();
    await ok(put(dough.id, step.key, 'core-2'));
    const other = (await doughsDueFrom(house.pool, (await house.now()) - DAY))
      .filter(({ id }) => id !== dough.id)
      .flatMap((one) => one.steps.map((s) => ({ one, s })))
      .find(({ one, s }) => s.step.wait && stateOf(one).steps.get(s.key)?.status === 'running');
    if (!other) throw new Error('No other dough waits.');
    expect((await refusal(put(other.one.id, other.s.key, 'core-2'))).message).toBe(
      `That core probe is in ${dough.name}. Take it out there first.`,
    );
    expect((await refusal(put(other.one.id, other.s.key, 'core-9'))).message).toBe(
      'That core probe does not exist.',
    );
    const mix = dough.steps.find(({ step: s }) => s.kind === 'mix');
    expect((await refusal(put(dough.id, mix?.key ?? '', 'core-1'))).message).toMatch(/is not a wait/);
  });
});

describe('old readings', () => {
  it('are kept one a minute after a month, and the curve stays as it was', async () => {
    const now = await house.now();
    const day = Math.floor((now - 33 * DAY) / DAY) * DAY;
    const rows = Array.from({ length: 360 }, (_, i) => [
      ...[
        'oven',
        new Date(day + i * 10_000),
        180 + (i % 6),
        null,
        i % 60 === 0 ? 'as a broken one does' : null,
      ],
    ]);
    await write(house.pool, 'INSERT INTO place_reading (place, at, celsius, humidity, doubt) VALUES ?', [
      rows,
    ]);
    const curve = () => placeCurve(house.pool, 'oven', day, day + 3_600_000);
    const before = await curve();
    expect(before).toHaveLength(60);
    const all = await count('place_reading');
    expect(await thinReadings(house.pool, now)).toBe(360);
    expect(await count('place_reading')).toBe(all - 360);
    const after = await curve();
    expect(after.map(({ at, lowest, highest }) => [at, lowest, highest])).toEqual(
      before.map(({ at, lowest, highest }) => [at, lowest, highest]),
    );
    after.forEach(({ celsius }, i) => expect(celsius).toBeCloseTo(before[i]?.celsius ?? 0, 1));
    expect(await thinReadings(house.pool, now)).toBe(0);
  });

  it('of yesterday stay as they are, and those that are not believed are told with why', async () => {
    const now = await house.now();
    expect((await placeCurve(house.pool, 'retarder', now - DAY, now)).length).toBeGreaterThan(100);
    await takeReadings(probeRequest({ readings: [{ place: 'retarder', celsius: 85, at: now - 1000 }] }));
    const [doubted] = await doubtedReadings(house.pool, 'retarder', now - DAY, now);
    expect(inEnglish(doubted?.doubt)).toMatch(/85 °C, like a broken one/);
  });
});
