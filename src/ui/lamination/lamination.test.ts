import { say } from '../../../test-support/words';
import { describe, expect, it } from 'vitest';
import type { ButterWindow } from '@/core/lamination/butter-window';
import { fitBlock } from '@/core/lamination/lock-in';
import { schemeName } from '@/core/lamination/scheme';
import { USUAL_SCHEMES } from '@/core/lamination/usual';
import { METRIC } from '@/core/units/reader';
import { butterWords, takeOutWords } from './butter-words';
import { amountLabel, beginnings, draftOf, readDraft, usualAmount } from './draft';
import { fitWords } from './fit-words';

const INCHES = { ...METRIC, length: 'in' as const };
const MINUTE = 60_000;

describe('a scheme as it is typed', () => {
  it('comes back as it was, in centimetres; and in inches to the hundredth', () => {
    for (const { scheme } of USUAL_SCHEMES) {
      expect(readDraft(say, draftOf(scheme, METRIC), METRIC).scheme).toEqual(scheme);
      const inches = readDraft(say, draftOf(scheme, INCHES), INCHES).scheme;
      expect(inches && schemeName(inches)).toEqual(schemeName(scheme));
      inches?.turns.forEach(({ mm }, i) => expect(mm).toBeCloseTo(scheme.turns[i]?.mm ?? 0, 0));
    }
  });

  const draft = draftOf(USUAL_SCHEMES[0]?.scheme ?? never(), METRIC);
  const fault = (change: Partial<typeof draft>) => readDraft(say, { ...draft, ...change }, METRIC).fault;
  const turn = (change: Partial<(typeof draft.turns)[number]>) =>
    fault({ turns: draft.turns.map((one) => ({ ...one, ...change })) });

  it('reads thicknesses with fractions of an inch', () => {
    expect(readDraft(say, { ...draft, amount: '3/8 in' }, METRIC).scheme?.beginning).toMatchObject({
      blockMm: expect.closeTo(9.525, 6) as number,
    });
  });

  it('says what is wrong, and where', () => {
    expect(turn({ mm: 'thin' })).toMatch(/^Turn 1: enter the sheet’s thickness/);
    expect(turn({ minutes: '' })).toBe('Turn 1: how many minutes of work?');
    expect(turn({ rest: 'long' })).toMatch(/0 goes straight on/);
    expect(turn({ mm: '0.2 mm' })).toMatch(/1 mm to 40 mm/);
    expect(fault({ amount: '' })).toMatch(/Enter the block’s thickness/);
    expect(fault({ flour: 'some' })).toMatch(/percentage/);
    expect(fault({ lockInMinutes: '?' })).toMatch(/lock-in take/);
    expect(fault({ beginning: 'discs', amount: '2.5' })).toMatch(/whole number/);
    expect(fault({ beginning: 'grated', amount: 'x' })).toMatch(/How many times/);
    expect(fault({ turns: Array(15).fill(draft.turns[0]) as typeof draft.turns })).toMatch(/^15 turns/);
  });

  it('takes a butter template as length × width, and gives it back in the reader’s units', () => {
    const template = (amount: string, units = METRIC) =>
      readDraft(say, { ...draft, amount }, units).scheme?.beginning;
    const cm = { template: { length: 24, width: 20 } };
    for (const typed of ['24 × 20 cm', '24 cm x 20 cm', '24*20', '240 mm x 20 cm'])
      expect(template(typed)).toMatchObject(cm);
    const inches = template('9 1/2 × 8 in');
    expect(inches).toMatchObject({ template: { length: 24.13, width: 20.32 } });
    const { scheme } = readDraft(say, { ...draft, amount: '24 × 20 cm' }, METRIC);
    expect(scheme && draftOf(scheme, METRIC).amount).toBe('24 cm × 20 cm');
    const other = scheme && readDraft(say, draftOf(scheme, INCHES), INCHES).scheme?.beginning;
    expect(other?.way === 'block' && other.template?.length).toBeCloseTo(24, 1);
    for (const typed of ['24 ×', '24 × 20 × 2', '2 × 200 cm'])
      expect(readDraft(say, { ...draft, amount: typed }, METRIC).fault).toMatch(/template/);
  });

  it('has an amount that can be worked for every way to begin', () => {
    for (const { id } of beginnings(say)) {
      const begun = { ...draft, beginning: id, amount: usualAmount(id, draft.turns.length, METRIC) };
      // A grated scheme of three turns has three additions.
      expect(readDraft(say, begun, METRIC).fault, id).toBeNull();
      expect(amountLabel(say, id)).not.toBe('');
    }
  });
});

function never(): never {
  throw new Error('There are schemes.');
}

describe('a block that was made', () => {
  const fit = (dough: [number, number]) =>
    fitBlock(
      'envelope',
      { size: [21.5, 21.5], mm: 10 },
      { size: dough, mm: 12 },
      { seam: 1.5, rim: 0, density: 0.95 },
    );

  it('fits, or is told by how much not, with both remedies', () => {
    expect(fitWords(say, fit([32, 32]), METRIC)).toEqual(['It fits.']);
    const [short, roll, trim] = fitWords(say, fit([30, 32]), METRIC);
    expect(short).toBe('The dough is 1.9 cm too short.');
    expect(roll).toBe('Roll it to 31.9 × 32 cm; it will be 11.3 mm thick.');
    expect(trim).toMatch(/^Or trim the butter to 20.2 × 21.5 cm: 27.5 g off, laid on thin spots\.$/);
  });

  it('is told in inches to those who read them', () => {
    expect(fitWords(say, fit([30, 30]), INCHES)[0]).toBe(
      'The dough is 3/4 in too short and 3/4 in too narrow.',
    );
  });

  it('fits the dough that it was told to roll, as that is measured', () => {
    const { rollTo } = fit([30, 30]);
    const half = (cm: number) => Math.round(cm * 2) / 2;
    expect(fitWords(say, fit([half(rollTo.size[0]), half(rollTo.size[1])]), METRIC)).toEqual(['It fits.']);
  });

  it('is tried both ways round', () => {
    const lying = (dough: [number, number]) =>
      fitWords(
        say,
        fitBlock(
          'half-lock',
          { size: [24, 18], mm: 10 },
          { size: dough, mm: 10 },
          { seam: 0, rim: 1, density: 0.95 },
        ),
        METRIC,
      );
    expect(lying([20, 52])).toEqual(['It fits if the dough is turned a quarter.']);
    expect(lying([20, 46]).slice(0, 2)).toEqual([
      ...[
        'The dough is 4 cm too short.',
        'Turn it a quarter and roll it to 50 × 20 cm; it will be 9.2 mm thick.',
      ],
    ]);
  });

  it('is not trimmed to nothing', () => {
    expect(fitWords(say, fit([1, 1]), METRIC)).toHaveLength(2);
  });
});

describe('butter in words', () => {
  const base = { core: 5, surface: 6, state: 'hard' as const, readyIn: 12, softIn: 45, coldFor: null };
  const told = (change: Partial<ButterWindow>) =>
    butterWords(say, { ...base, ...change }, { now: 0, zone: 'UTC', room: '21 °C' });

  it('says what to do first', () => {
    expect(told({})).toEqual(['12 min more: pliable at 00:12.', 'At 21 °C it is too soft from 00:45.']);
    expect(told({ state: 'pliable', readyIn: 0 })).toEqual([
      ...['Pliable now, for another 45 min.', 'On the bench until 00:45 at 21 °C.'],
    ]);
    expect(told({ state: 'pliable', softIn: null })).toEqual(['Pliable now.', 'At 21 °C it stays workable.']);
    expect(told({ state: 'soft', coldFor: 15 })).toEqual(['Too soft: 15 min in the cold.']);
    expect(told({ state: 'soft' })[0]).toMatch(/make a new block/);
    expect(told({ readyIn: null })[0]).toMatch(/pound it/);
  });

  it('says when to take it out for a lock-in, or that it is too late for it', () => {
    expect(takeOutWords(say, 60 * MINUTE, { temper: 20, now: 0, zone: 'UTC' })).toBe(
      'Take it out at 00:40 for a lock-in at 01:00: 20 min in the room.',
    );
    expect(takeOutWords(say, 10 * MINUTE, { temper: 20, now: 30 * MINUTE, zone: 'UTC' })).toMatch(
      /should have come out.*earliest now 00:50/,
    );
    expect(takeOutWords(say, 60 * MINUTE, { temper: null, now: 0, zone: 'UTC' })).toMatch(
      /temper it more slowly/,
    );
  });
});
