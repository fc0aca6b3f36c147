import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { parseLocal } from '../time/local';
import { readBusy } from './busy';
import { writeCalendar } from './icalendar';

const ZONE = 'Europe/Berlin';
const calendar = (...lines: string[]) =>
  ['BEGIN:VCALENDAR', 'BEGIN:VEVENT', 'UID:a', ...lines, 'END:VEVENT', 'END:VCALENDAR'].join('\r\n');
const at = (text: string) => parseLocal(text, ZONE);

describe('busy times of a calendar', () => {
  it('are read in UTC, in local time, in another zone, by length and for whole days', () => {
    const span = (...lines: string[]) => {
      const [one] = readBusy(calendar(...lines), ZONE).busy;
      return one && [one.start, one.end];
    };
    const morning = [at('2026-11-23T08:00'), at('2026-11-23T09:30')];
    expect(span('DTSTART:20261123T070000Z', 'DTEND:20261123T083000Z')).toEqual(morning);
    expect(span('DTSTART:20261123T080000', 'DTEND:20261123T093000')).toEqual(morning);
    expect(span('DTSTART;TZID=America/New_York:20261123T020000', 'DURATION:PT1H30M')).toEqual(morning);
    expect(span('DTSTART;TZID=Nowhere/Land:20261123T080000', 'DURATION:PT1H30M')).toEqual(morning);
    expect(span('DTSTART;VALUE=DATE:20261123')).toEqual([at('2026-11-23T00:00'), at('2026-11-24T00:00')]);
  });

  it('leave out what keeps nobody', () => {
    const when = ['DTSTART:20261123T070000Z', 'DTEND:20261123T083000Z'];
    expect(readBusy(calendar(...when, 'TRANSP:TRANSPARENT'), ZONE).busy).toEqual([]);
    expect(readBusy(calendar(...when, 'STATUS:CANCELLED'), ZONE).busy).toEqual([]);
  });

  it('are what a calendar of our own says, whatever stands in it', () => {
    const event = fc.record({
      start: fc.integer({ min: 25_000_000, max: 29_000_000 }),
      minutes: fc.integer({ min: 1, max: 3000 }),
      summary: fc
        .string({ minLength: 1, maxLength: 60 })
        .map((text) => text.replace(/[\r\n\u0000\uFFFD\\]/g, ' ')),
    });
    fc.assert(
      fc.property(fc.array(event, { minLength: 1, maxLength: 5 }), (events) => {
        const written = events.map(({ start, minutes, summary }, i) => {
          return { uid: `u${i}`, start: start * 60_000, end: (start + minutes) * 60_000, summary };
        });
        const { busy, faults } = readBusy(writeCalendar('x', written, 0), ZONE);
        expect(faults).toEqual([]);
        expect(busy.map(({ start, end, summary }) => ({ start, end, summary }))).toEqual(
          written.map(({ start, end, summary }) => ({ start, end, summary })),
        );
      }),
    );
  });

  it.each([
    ['no calendar', 'hello', /no iCalendar file/],
    ['another encoding', 'BEGIN:VCALENDAR\nSUMMARY:Caf\uFFFD', /not in UTF-8/],
    ['50 MB', 'BEGIN:VCALENDAR\n'.padEnd(50_000_000, 'x'), /too long/],
    [
      'an end before the start',
      calendar('DTSTART:20261123T070000Z', 'DTEND:20261123T060000Z'),
      /line 6: it ends before/,
    ],
    ['no start', calendar('SUMMARY:x'), /no start that can be read/],
    ['a length that is none', calendar('DTSTART:20261123T070000Z', 'DURATION:long'), /“long” cannot be read/],
    ['nothing in it', 'BEGIN:VCALENDAR\nEND:VCALENDAR', /no busy time/],
    ['an event cut off', 'BEGIN:VCALENDAR\nBEGIN:VEVENT\nDTSTART:2026', /no busy time/],
  ])('with %s are refused in a sentence', (_, text, words) => {
    const { busy, faults } = readBusy(text, ZONE);
    expect(busy).toEqual([]);
    expect(faults.join(' ')).toMatch(words);
  });

  it('say that repeated events are taken once', () => {
    const text = calendar('DTSTART:20261123T070000Z', 'DTEND:20261123T080000Z', 'RRULE:FREQ=WEEKLY');
    expect(readBusy(text, ZONE)).toMatchObject({
      busy: [{}],
      faults: [expect.stringMatching(/1 event repeats/)],
    });
  });
});
