import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { adjusted, machineClock, shownTime } from './clock';
import {
  addLocalDays,
  atLocalMinute,
  clockOfDay,
  formatLocal,
  localMidnight,
  MINUTE,
  minuteOfDay,
  nextLocalMinute,
  parseLocal,
  weekday,
} from './local';
import { crewSteps, presences, staffedSpans } from './shifts';

const BERLIN = 'Europe/Berlin';
const at = (text: string) => parseLocal(text, BERLIN) as number;

describe('local time', () => {
  it('reads and writes what a person sees', () => {
    expect(formatLocal(at('2026-11-21T06:30'), BERLIN)).toBe('2026-11-21T06:30');
    expect(weekday(at('2026-11-22T12:00'), BERLIN)).toBe(7);
  });

  it.each(['', 'tomorrow', '2026-02-30T06:30', '2026-13-01T06:30', '2026-11-21T24:00', '2026-11-21 06:30'])(
    'refuses %j',
    (text) => {
      expect(parseLocal(text, BERLIN)).toBeNull();
    },
  );

  it('has days of 23 and 25 hours when the clocks change', () => {
    const length = (day: string) =>
      (addLocalDays(at(`${day}T12:00`), 1, BERLIN) - localMidnight(at(`${day}T12:00`), BERLIN)) /
      (60 * MINUTE);
    expect(length('2026-03-29')).toBe(23);
    expect(length('2026-10-25')).toBe(25);
    expect(length('2026-11-19')).toBe(24);
  });

  it('shows at every moment what the calendar of the zone shows, also where clocks change by half an hour', () => {
    const zones = [BERLIN, 'America/New_York', 'Asia/Kathmandu', 'Australia/Lord_Howe', 'UTC'];
    const shown = new Map(
      zones.map((zone) => {
        const parts = {
          year: 'numeric',
          month: '2-digit',
          day: '2-digit',
          hour: '2-digit',
          minute: '2-digit',
        } as const;
        return [zone, new Intl.DateTimeFormat('sv-SE', { timeZone: zone, ...parts })];
      }),
    );
    const [from, to] = [Date.UTC(2024, 0, 1) / MINUTE, Date.UTC(2030, 0, 1) / MINUTE];
    fc.assert(
      fc.property(fc.integer({ min: from, max: to }), fc.constantFrom(...zones), (minute, zone) => {
        const expected = shown
          .get(zone)
          ?.format(minute * MINUTE)
          .replace(' ', 'T');
        expect(formatLocal(minute * MINUTE, zone)).toBe(expected);
      }),
      { numRuns: 500 },
    );
    // Around each change of the clocks of a year, minute by minute of the hour before and after.
    for (const change of [at('2026-03-29T03:00'), at('2026-10-25T02:59') + MINUTE])
      for (let minute = -60; minute < 60; minute += 5) {
        const moment = change + minute * MINUTE;
        expect(formatLocal(moment, BERLIN)).toBe(shown.get(BERLIN)?.format(moment).replace(' ', 'T'));
      }
  });

  it('shows the wall clock asked for on such days', () => {
    const day = localMidnight(at('2026-03-29T12:00'), BERLIN);
    expect(formatLocal(atLocalMinute(day, 6 * 60, BERLIN), BERLIN)).toBe('2026-03-29T06:00');
  });
});

describe('a time of day', () => {
  it('is read as bakers write it, and nothing else is taken for one', () => {
    for (const text of ['6:30', '06:30', '0630', '06.30', '6h30', ' 6 30 '])
      expect(minuteOfDay(text)).toBe(390);
    for (const text of ['', '6', '25:00', '6:70', 'noon', '06:30 pm', '-6:30'])
      expect(minuteOfDay(text)).toBeNull();
    expect(clockOfDay(minuteOfDay('7.05') ?? NaN)).toBe('07:05');
  });

  it('comes next today, or tomorrow where it has passed, as the wall clock shows it', () => {
    const next = (now: string, minute: number) =>
      formatLocal(nextLocalMinute(at(now), minute, BERLIN), BERLIN);
    expect(next('2026-11-19T04:10', 14 * 60)).toBe('2026-11-19T14:00');
    expect(next('2026-11-19T14:00', 14 * 60)).toBe('2026-11-20T14:00');
    expect(next('2026-11-19T15:00', 14 * 60)).toBe('2026-11-20T14:00');
    // The night in between has 25 hours.
    expect(next('2026-10-24T15:00', 14 * 60)).toBe('2026-10-25T14:00');
  });
});

describe('shifts', () => {
  const night = { personId: 1, weekday: 4, startMinute: 22 * 60, endMinute: 6 * 60 };
  const day = { personId: 2, weekday: 5, startMinute: 5 * 60, endMinute: 13 * 60 };
  const [from, to] = [at('2026-11-20T00:00'), at('2026-11-21T00:00')];

  it('reach into the next day when they end before they start', () => {
    expect(presences([night], from, to, BERLIN)).toEqual([
      { personId: 1, start: from, end: at('2026-11-20T06:00') },
    ]);
  });

  it('last as many hours as the night has when the clocks go back', () => {
    const saturday = { ...night, weekday: 6 };
    const [shift] = presences([saturday], at('2026-10-24T00:00'), at('2026-10-26T00:00'), BERLIN);
    expect(((shift?.end ?? 0) - (shift?.start ?? 0)) / (60 * MINUTE)).toBe(9);
  });

  it('add up to the hands that are there', () => {
    const there = presences([night, day], from, to, BERLIN);
    expect(crewSteps(there, from)).toEqual([
      [0, 1],
      [300, 2],
      [360, 1],
      [780, 0],
    ]);
    expect(staffedSpans(there)).toEqual([{ start: from, end: at('2026-11-20T13:00') }]);
  });
});

describe('the demo clock', () => {
  const clock = { ...machineClock(1000), demo: true, shownAt: 50_000 };

  it('runs as fast as it is told', () => {
    expect(shownTime({ ...clock, rate: 60 }, 2000)).toBe(50_000 + 60_000);
    expect(shownTime({ ...clock, paused: true }, 9999)).toBe(50_000);
  });

  it('does not jump when its speed changes', () => {
    const faster = adjusted(clock, 5000, { rate: 10 });
    expect(shownTime(faster, 5000)).toBe(shownTime(clock, 5000));
    expect(shownTime(faster, 6000)).toBe(shownTime(clock, 5000) + 10_000);
  });
});
