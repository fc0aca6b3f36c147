import fc from 'fast-check';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { machine } from '../../../test-support/equipment';
import type { DoughRecord } from '../record/dough';
import { writeCalendar } from './icalendar';
import { planEvents, writePlanCsv } from './plan-table';
import { say } from '../../../test-support/words';

const START = Date.UTC(2026, 10, 19, 3, 10);
const event = { uid: 'dough-1-mix@hefeteig', start: START, end: START + 1_200_000, summary: 'Mix' };
/** Lines as a reader unfolds them. */
const unfolded = (text: string) => text.replace(/\r\n /g, '').split('\r\n');

describe('a calendar file', () => {
  it('has each event with its times in UTC, between the calendar’s own lines', () => {
    const lines = unfolded(writeCalendar('Backhaus Lindenried', [event], START));
    expect(lines.slice(0, 2)).toEqual(['BEGIN:VCALENDAR', 'VERSION:2.0']);
    expect(lines).toContain('DTSTART:20261119T031000Z');
    expect(lines).toContain('DTEND:20261119T033000Z');
    expect(lines).toContain('DTSTAMP:20261119T031000Z');
    expect(lines.slice(-2)).toEqual(['END:VCALENDAR', '']);
  });

  it('escapes what means something in a text', () => {
    const summary = 'Snail; egg, milk\\cream\nnot hot';
    expect(unfolded(writeCalendar('a', [{ ...event, summary }], START))).toContain(
      'SUMMARY:Snail\\; egg\\, milk\\\\cream\\nnot hot',
    );
  });

  it('has no line of more than 75 bytes, cuts no character, and unfolds to what was written', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', minLength: 1, maxLength: 200 }), (text) => {
        const summary = text.replace(/[\r\n]/g, ' ');
        const file = writeCalendar('a', [{ ...event, summary }], START);
        for (const line of file.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
        const written = unfolded(file).find((line) => line.startsWith('SUMMARY:')) ?? '';
        expect(written.slice(8).replace(/\\([\\;,])/g, '$1')).toBe(summary);
      }),
    );
  });
});

const step = (key: string, from: number, minutes: number, uses: DoughRecord['steps'][number]['uses']) =>
  ({
    ...{ key, label: key, outputId: null, load: null, uses, around: 22, settling: 60 },
    ...{ min: minutes, target: minutes, max: minutes, shortCost: 0, longCost: 0 },
    step: { id: key, kind: 'mix', label: key, around: 22, settling: 60 },
    plannedStart: START + from * 60_000,
    plannedEnd: START + (from + minutes) * 60_000,
  }) satisfies DoughRecord['steps'][number];

const dough: DoughRecord = {
  ...{ id: 7, name: '=Crescent 38', outputs: [], madeAt: START, kg: 5, bowls: 1, lamination: null },
  ...{ links: [], events: [] },
  steps: [
    step('rest', 20, 45, [{ resource: 'retarder', amount: 4 }]),
    step('mix', 0, 20, [
      { resource: 'crew', amount: 2 },
      { resource: 'mixer', amount: 1 },
    ]),
    step('bake', 65, 18, [{ resource: 'oven', amount: 3, setting: 185 }]),
  ],
};
const machines = [machine('oven', { label: 'Deck oven' })];

describe('the plan as a table', () => {
  it('has a row a step, by its start, in the bakery’s time, with what it holds', () => {
    const text = writePlanCsv([dough], machines, 'Europe/Berlin', say.coded);
    const { data } = Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true });
    expect(data.map((row) => row.step)).toEqual(['mix', 'rest', 'bake']);
    expect(data[0]).toMatchObject({
      start: '2026-11-19T04:10',
      minutes: '20',
      people: '2',
      holds: 'mixer 1',
    });
    expect(data[2]).toMatchObject({ people: '0', holds: 'Deck oven 3 at 185 °C' });
  });

  it('lets no name become a formula of a spreadsheet', () => {
    expect(writePlanCsv([dough], machines, 'Europe/Berlin', say.coded)).toContain("'=Crescent 38");
  });
});

describe('the plan in a calendar', () => {
  it('has the hands-on work only, each piece with an id that stays', () => {
    const events = planEvents([dough], machines, say.coded);
    expect(events.map(({ uid }) => uid)).toEqual(['dough-7-mix@hefeteig']);
    expect(events[0]).toMatchObject({ summary: '=Crescent 38: mix', description: '2 people' });
  });
});
