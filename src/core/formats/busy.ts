import { parseLocal, type Instant } from '../time/local';

/** A busy time of a calendar; `uid` and start make it the same when the file is read again. */
export interface BusyTime {
  source: string;
  summary: string;
  start: Instant;
  end: Instant;
}

/** Longest calendar that is read, characters, and most events taken from it. */
export const LONGEST_CALENDAR = 2_000_000;
const MOST_EVENTS = 500;

/**
 * Reads busy times from an iCalendar file (RFC 5545): events with a start and an end or a length, in UTC, in local time or
 * for whole days; free ones and cancelled ones are left out. A repeated event counts once, and that is said. Throws
 * nothing: what is wrong is told in a sentence.
 */
export function readBusy(text: string, zone: string): { busy: BusyTime[]; faults: string[] } {
  if (text.length > LONGEST_CALENDAR)
    return { busy: [], faults: ['The calendar is too long; 2 million characters at most.'] };
  if (/[\u0000\uFFFD]/.test(text))
    return { busy: [], faults: ['The calendar is not in UTF-8; export it again as an .ics file.'] };
  const lines = text
    .replace(/\r\n?/g, '\n')
    .replace(/\n[ \t]/g, '')
    .split('\n');
  if (lines[0]?.replace(/^\uFEFF/, '').trim() !== 'BEGIN:VCALENDAR')
    return { busy: [], faults: ['That is no iCalendar file: it does not begin with BEGIN:VCALENDAR.'] };
  const faults: string[] = [];
  const busy: BusyTime[] = [];
  let event: Map<string, { value: string; zoned: string | null }> | null = null;
  let repeated = 0;
  lines.forEach((line, i) => {
    if (line === 'BEGIN:VEVENT') event = new Map();
    else if (line === 'END:VEVENT' && event) {
      const read = busyOf(event, zone);
      if (event.has('RRULE')) repeated++;
      if (typeof read === 'string') faults.push(`Event that ends in line ${i + 1}: ${read}`);
      else if (read) busy.push(read);
      event = null;
    } else if (event) {
      const match = /^([A-Z-]+)((?:;[^:]*)?):(.*)$/.exec(line);
      if (match) {
        const [, name = '', parameters = '', value = ''] = match;
        event.set(name, { value, zoned: /TZID="?([^";:]+)/.exec(parameters)?.[1] ?? null });
      }
    }
  });
  if (repeated > 0)
    faults.push(
      `${repeated} ${repeated === 1 ? 'event repeats' : 'events repeat'}; only the first time is taken.`,
    );
  if (busy.length > MOST_EVENTS) faults.push(`Only the first ${MOST_EVENTS} events are taken.`);
  if (busy.length === 0 && faults.length === 0) faults.push('There is no busy time in it.');
  return { busy: busy.slice(0, MOST_EVENTS), faults };
}

type Lines = ReadonlyMap<string, { value: string; zoned: string | null }>;

/** The busy time of an event, null where it keeps nobody, a sentence where it cannot be read. */
function busyOf(event: Lines, zone: string): BusyTime | null | string {
  if (event.get('TRANSP')?.value === 'TRANSPARENT' || event.get('STATUS')?.value === 'CANCELLED') return null;
  const start = momentOf(event.get('DTSTART'), zone);
  if (start === null) return 'it has no start that can be read.';
  const length = event.get('DURATION');
  const minutes = length ? durationOf(length.value) : null;
  if (length && minutes === null) return `its length “${length.value.slice(0, 30)}” cannot be read.`;
  const wholeDay = /^\d{8}$/.test(event.get('DTSTART')?.value ?? '');
  const end = event.has('DTEND')
    ? momentOf(event.get('DTEND'), zone)
    : start + (minutes ?? (wholeDay ? 1440 : 0)) * 60_000;
  if (end === null) return 'it has no end that can be read.';
  if (end <= start) return 'it ends before it starts.';
  const uid = event.get('UID')?.value ?? 'event';
  const summary = (event.get('SUMMARY')?.value ?? 'busy').replace(/\\n/gi, ' ').replace(/\\(.)/g, '$1');
  return { source: `${uid} ${start}`.slice(0, 255), summary: summary.slice(0, 200), start, end };
}

function momentOf(line: { value: string; zoned: string | null } | undefined, zone: string): Instant | null {
  const match = /^(\d{4})(\d{2})(\d{2})(?:T(\d{2})(\d{2})\d{2}(Z?))?$/.exec(line?.value ?? '');
  if (!match) return null;
  const [, year, month, day, hour = '00', minute = '00', utc] = match;
  const text = `${year}-${month}-${day}T${hour}:${minute}`;
  if (utc === 'Z') {
    const at = Date.parse(`${text}:00Z`);
    return Number.isNaN(at) ? null : at;
  }
  // A time zone that nobody knows is taken for the bakery's own.
  return parseLocal(text, line?.zoned ?? zone) ?? parseLocal(text, zone);
}

/** Minutes of `PT1H30M` or `P1D`; null where it is no length. */
function durationOf(text: string): number | null {
  const match = /^P(?:(\d+)W)?(?:(\d+)D)?(?:T(?:(\d+)H)?(?:(\d+)M)?(?:\d+S)?)?$/.exec(text);
  if (!match) return null;
  const [weeks = 0, days = 0, hours = 0, minutes = 0] = match.slice(1).map((part) => Number(part ?? 0));
  return ((weeks * 7 + days) * 24 + hours) * 60 + minutes;
}
