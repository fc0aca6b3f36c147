import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { parseLocal } from '../time/local';
import { readBusy } from './busy';
import { writeCalendar } from './icalendar';
import { inEnglish } from '../../../test-support/words';

const ZONE = 'Europe/Berlin';
const calendar = (...lines: string[]) =>
  ['BEGIN:VCALENDAR', 'BEGIN:VEVENT', 'UID:a', ...lines, 'END:VEVENT', 'END:VCALENDAR'].join('\r\n');
const at = (text: string) => parseLocal(text, ZONE);
const NOW = at('2026-11-19T04:10') ?? 0;
const read = (text: string) => readBusy(text, ZONE, NOW);

describe('busy times of a calendar', () => {
  it('are read in UTC, in local time, in another zone, by length and for whole days', () => {
    const span = (...lines: string[]) => {
      const [one] = read(calendar(...lines)).busy;
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
    expect(read(calendar(...when, 'TRANSP:TRANSPARENT')).busy).toEqual([]);
    expect(read(calendar(...when, 'STATUS:CANCELLED')).busy).toEqual([]);
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
        const { busy, faults } = read(writeCalendar('x', written, 0));
        expect(inEnglish(faults)).toEqual([]);
        expect(busy.map(({ start, end, summary }) => ({ start, end, summary }))).toEqual(
          written.map(({ start, end, summary }) => ({ start, end, summary })),
        );
      }),
    );
  });

  it.each([
    ['no calendar', 'hello', /Not an iCalendar file/],
    ['another encoding', 'BEGIN:VCALENDAR\nSUMMARY:Caf\uFFFD', /not in UTF-8/],
    ['50 MB', 'BEGIN:VCALENDAR\n'.padEnd(50_000_000, 'x'), /too long/],
    [
      'an end before the start',
      calendar('DTSTART:20261123T070000Z', 'DTEND:20261123T060000Z'),
      /“busy”: it ends before/,
    ],
    ['no start', calendar('SUMMARY:x'), /no start that can be read|damaged/],
    [
      'a length that is none',
      calendar('DTSTART:20261123T070000Z', 'DURATION:long'),
      /length that cannot be read/,
    ],
    ['nothing in it', 'BEGIN:VCALENDAR\nEND:VCALENDAR', /no busy time/],
    ['an event cut off', 'BEGIN:VCALENDAR\nBEGIN:VEVENT\nDTSTART:2026', /cut off or damaged/],
  ])('with %s are refused in a sentence', (_, text, words) => {
    const { busy, faults } = read(text);
    expect(busy).toEqual([]);
    expect(faults.map((one) => inEnglish(one)).join(' ')).toMatch(words);
  });

  const starts = (...lines: string[]) => read(calendar(...lines)).busy.map(({ start }) => start);
  const weekly = ['DTSTART;TZID=Europe/Berlin:20261005T080000', 'DURATION:PT2H', 'RRULE:FREQ=WEEKLY'];

  it('that repeat count each time from now on for half a year, at their local time in summer and winter', () => {
    const times = starts(...weekly);
    expect(times).toHaveLength(26);
    expect(times.slice(0, 2)).toEqual([at('2026-11-23T08:00'), at('2026-11-30T08:00')]);
    expect(times).toContain(at('2027-03-29T08:00'));
    expect(inEnglish(read(calendar(...weekly)).faults)).toEqual([
      expect.stringMatching(/imported up to .* Import the calendar again/),
    ]);
  });

  it('that repeat end when they end, and leave out and move what is left out and moved', () => {
    const rule = (more: string) =>
      weekly.map((line) => (line.startsWith('RRULE') ? `${line};${more}` : line));
    expect(starts(...rule('UNTIL=20261130T235959Z'))).toEqual([
      at('2026-11-23T08:00'),
      at('2026-11-30T08:00'),
    ]);
    expect(starts(...rule('COUNT=9'), 'EXDATE;TZID=Europe/Berlin:20261123T080000')).toEqual([
      at('2026-11-30T08:00'),
    ]);
    const moved = [
      ...[
        'BEGIN:VCALENDAR',
        'BEGIN:VEVENT',
        'UID:a',
        ...rule('COUNT=9'),
        'END:VEVENT',
        'BEGIN:VEVENT',
        'UID:a',
      ],
      ...['RECURRENCE-ID;TZID=Europe/Berlin:20261123T080000', 'DTSTART;TZID=Europe/Berlin:20261124T100000'],
      ...['DTEND;TZID=Europe/Berlin:20261124T110000', 'END:VEVENT', 'END:VCALENDAR'],
    ].join('\r\n');
    expect(read(moved).busy.map(({ start }) => start)).toEqual([
      at('2026-11-24T10:00'),
      at('2026-11-30T08:00'),
    ]);
  });

  it('that began ten years ago and repeat daily are still found', () => {
    const times = starts('DTSTART:20161101T070000Z', 'DURATION:PT1H', 'RRULE:FREQ=DAILY');
    expect(times[0]).toBe(at('2026-11-19T08:00'));
    expect(times).toHaveLength(182);
  });

  it('are read in a zone that only the file knows', () => {
    const text = [
      ...['BEGIN:VCALENDAR', 'BEGIN:VTIMEZONE', 'TZID:Bakery time', 'BEGIN:STANDARD'],
      ...[
        'DTSTART:19700101T000000',
        'TZOFFSETFROM:+0300',
        'TZOFFSETTO:+0300',
        'END:STANDARD',
        'END:VTIMEZONE',
      ],
      ...['BEGIN:VEVENT', 'UID:a', 'DTSTART;TZID=Bakery time:20261123T100000', 'DURATION:PT1H'],
      ...['END:VEVENT', 'END:VCALENDAR'],
    ].join('\n');
    expect(read(text).busy.map(({ start }) => start)).toEqual([at('2026-11-23T08:00')]);
  });
});
