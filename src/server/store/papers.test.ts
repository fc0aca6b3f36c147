import Papa from 'papaparse';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { demoHouse } from '../../../test-support/demo-house';
import { writePaperCsv } from '@/core/exchange/paper-csv';
import type { Paper, PaperKind } from '@/core/exchange/papers';
import { localMidnight } from '@/core/time/local';
import { readPaperAsk } from '../paper-ask';
import { doughsDueFrom } from './doughs';
import { mixSheet } from './mix';
import { paperOf } from './papers';

const zone = 'Europe/Berlin';
let house: Awaited<ReturnType<typeof demoHouse>>;
let now: number;
beforeAll(async () => {
  house = await demoHouse();
  now = await house.now();
}, 240_000);
afterAll(() => house.close());

const paper = async <Kind extends PaperKind>(kind: Kind, day = 0) => {
  const from = localMidnight(now, zone) + day * 24 * 3_600_000;
  return (await paperOf(house.pool, kind, { from, now, zone })) as Extract<Paper, { kind: Kind }>;
};

describe('a printed list', () => {
  it('of production has the work that is still to be done that day, with who does it', async () => {
    const { lines } = await paper('production');
    expect(lines.length).toBeGreaterThan(10);
    expect(lines.every(({ start, end }, i) => end >= now && start >= (lines[i - 1]?.start ?? 0))).toBe(true);
    expect(lines.some(({ people }) => people.length > 0)).toBe(true);
    expect(new Set(lines.map(({ station }) => station)).size).toBeGreaterThan(2);
    expect(lines.find(({ trays }) => (trays ?? 0) > 0)?.pieces).toBeGreaterThan(0);
  });

  it('of what to weigh out has for a mix what its mixing sheet has, and marks what is cold', async () => {
    const { lines } = await paper('mise-en-place', 1);
    const [dough] = (await doughsDueFrom(house.pool, now)).filter(({ name }) =>
      lines.some((line) => line.dough === name && 'stage' in line.what && line.what.stage === 'dough'),
    );
    if (!dough) throw new Error('Something is mixed tomorrow.');
    const sheet = await mixSheet(house.pool, dough);
    const flour = sheet?.whole.stages.find(({ kind }) => kind === 'dough')?.lines[0];
    const own = lines.filter(
      (line) => line.dough === dough.name && 'stage' in line.what && line.what.stage === 'dough',
    );
    expect(own[0]?.grams).toBeCloseTo(flour?.grams ?? 0, 6);
    const cold = lines.filter(({ isCold }) => isCold).map(({ ingredient }) => ingredient.toLowerCase());
    expect(cold).toContain('butter');
    expect(cold.some((name) => name.includes('flour') || name.includes('salt'))).toBe(false);
  });

  it('of deliveries has each customer’s orders, and what of them comes late', async () => {
    const { lines } = await paper('deliveries');
    expect(lines.map(({ customer }) => customer)).toEqual(
      lines.map(({ customer }) => customer).sort((a, b) => a.localeCompare(b)),
    );
    expect(lines.find(({ customer }) => customer === 'Music club')).toMatchObject({
      pieces: 48,
      late: 48,
      short: 0,
    });
    expect(lines.find(({ customer }) => customer === 'Shop')?.from.length).toBeGreaterThan(0);
  });

  it('is a file, one line a row, local times', async () => {
    for (const kind of ['production', 'mise-en-place', 'deliveries'] as const) {
      const list = await paper(kind);
      const words = { say: (text: unknown) => String(text), what: () => 'x' };
      const { data, errors } = Papa.parse<Record<string, string>>(writePaperCsv(list, zone, words), {
        header: true,
        skipEmptyLines: true,
      });
      expect([kind, data.length, errors]).toEqual([kind, list.lines.length, []]);
      const time = data[0]?.start ?? data[0]?.time ?? '';
      expect(time).toMatch(/^2026-11-19T\d\d:\d\d$/);
    }
  });
});

describe('what is asked for', () => {
  const read = (kind: string | null, day: string | null) => readPaperAsk(kind, day, { now, zone });

  it('is a list of a day, today’s where none is named', () => {
    expect(read('production', null)).toEqual({
      kind: 'production',
      day: '2026-11-19',
      from: localMidnight(now, zone),
    });
    expect(read('deliveries', '2026-11-21')?.day).toBe('2026-11-21');
  });

  it('is none where there is no such list or day', () => {
    expect([
      read('bread', null),
      read(null, null),
      read('production', '2026-02-31'),
      read('production', 'soon'),
    ]).toEqual([null, null, null, null]);
  });
});
