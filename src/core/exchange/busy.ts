import { coded, type Coded } from '../codes/coded';
import ICAL from 'ical.js';
import { parseLocal, type Instant } from '../time/local';

/** A busy time of a calendar; `source` is the same for the same time when the file is read again. */
export interface BusyTime {
  source: string;
  summary: string;
  start: Instant;
  end: Instant;
}

/** Longest calendar that is read, characters, and most busy times taken from it. */
export const LONGEST_CALENDAR = 2_000_000;
const MOST_TIMES = 500;
/** Days ahead for which the times of a repeated event are taken, and times that are gone through to get there. */
const REPEATED_DAYS = 182;
const MOST_REPEATS = 20_000;
const DAY = 24 * 3_600_000;

interface Read {
  busy: BusyTime[];
  /** What could not be read, and what was left out, in sentences. */
  faults: Coded[];
}

const none = (fault: Coded): Read => ({ busy: [], faults: [fault] });

/**
 * Reads busy times from an iCalendar file (RFC 5545): in UTC, in any time zone, in local time or for whole days; free and
 * cancelled ones are left out. A repeated event counts each time from `now` on for half a year, with its exceptions and
 * moved times. Throws nothing: what is wrong is told.
 *
 * @param zone - the bakery's zone, for times that name none
 */
export function readBusy(text: string, zone: string, now: Instant): Read {
  if (text.length > LONGEST_CALENDAR) return none(coded('files.theCalendarIsTooLong'));
  if (/[\u0000\uFFFD]/.test(text)) return none(coded('files.theCalendarIsNotIn'));
  const whole = text.replace(/^\uFEFF/, '').replace(/\r\n?/g, '\n');
  if (!/^BEGIN:VCALENDAR\s/.test(whole)) return none(coded('files.thatIsNoICalendarFile'));
  let calendar: ICAL.Component;
  try {
    const parsed = ICAL.parse(whole) as unknown[];
    calendar = new ICAL.Component(
      (Array.isArray(parsed[0]) ? parsed[0] : parsed) as ConstructorParameters<typeof ICAL.Component>[0],
    );
  } catch {
    return none(coded('files.theCalendarIsCutOff'));
  }
  return readEvents(calendar, zone, now);
}

function readEvents(calendar: ICAL.Component, zone: string, now: Instant): Read {
  const zones = zonesOf(calendar);
  const instantOf = (time: ICAL.Time, tzid: string | null) => momentOf(time, tzid, zone, zones);
  const until = now + REPEATED_DAYS * DAY;
  const events = calendar.getAllSubcomponents('vevent');
  const moved = events.filter((one) => one.hasProperty('recurrence-id'));
  const busy: BusyTime[] = [];
  const faults: Coded[] = [];
  let repeats = false;
  for (const component of events) {
    try {
      if (component.hasProperty('recurrence-id') || isFree(component)) continue;
      const uid = component.getFirstPropertyValue('uid');
      const exceptions = moved.filter((one) => one.getFirstPropertyValue('uid') === uid);
      const event = new ICAL.Event(component, { exceptions });
      const read = event.isRecurring()
        ? timesOf(event, instantOf, now, until)
        : [spanOf(event, component, instantOf)];
      repeats ||= event.isRecurring();
      for (const one of read) {
        if ('code' in one) faults.push(coded('files.inEvent', { event: titleOf(component), fault: one }));
        else busy.push(one);
      }
    } catch {
      // Values are read when they are asked for: what is no time or length is found here.
      faults.push(coded('files.itHasATimeOr', { event: titleOf(component) }));
    }
  }
  if (repeats) faults.push(coded('files.repeatedTimesAreTakenUntil', { until: { dayMonth: until, zone } }));
  if (busy.length > MOST_TIMES) faults.push(coded('files.onlyTheFirstBusyTimes', { most: MOST_TIMES }));
  if (busy.length === 0 && faults.length === 0) faults.push(coded('files.thereIsNoBusyTime'));
  return { busy: busy.slice(0, MOST_TIMES), faults };
}

/** Keeps nobody: shown as free, or called off. */
const isFree = (component: ICAL.Component): boolean =>
  component.getFirstPropertyValue('transp') === 'TRANSPARENT' ||
  component.getFirstPropertyValue('status') === 'CANCELLED';

const titleOf = (component: ICAL.Component): string =>
  String(component.getFirstPropertyValue('summary') ?? 'busy').slice(0, 200);
const sourceOf = (uid: string | null, start: Instant): string => `${uid ?? 'event'} ${start}`.slice(0, 255);
const tzidOf = (component: ICAL.Component, name: string): string | null =>
  component.getFirstProperty(name)?.getFirstParameter('tzid') ?? null;

type InstantOf = (time: ICAL.Time, tzid: string | null) => Instant | null;

/** The time of an event that happens once, or what is wrong with it. */
function spanOf(event: ICAL.Event, component: ICAL.Component, instantOf: InstantOf): BusyTime | Coded {
  const from = component.getFirstPropertyValue('dtstart');
  if (!(from instanceof ICAL.Time)) return coded('files.itHasNoStartThat');
  const start = instantOf(from, tzidOf(component, 'dtstart'));
  const end = instantOf(
    event.endDate,
    tzidOf(component, component.hasProperty('dtend') ? 'dtend' : 'dtstart'),
  );
  if (start === null || end === null) return coded('files.itsTimeCannotBeRead');
  if (end <= start) return coded('files.itEndsBeforeStarts');
  return { source: sourceOf(event.uid, start), summary: titleOf(component), start, end };
}

/** The times of a repeated event that end after `now` and begin before `until`. */
function timesOf(
  event: ICAL.Event,
  instantOf: InstantOf,
  now: Instant,
  until: Instant,
): (BusyTime | Coded)[] {
  const times: (BusyTime | Coded)[] = [];
  const repeated = event.iterator();
  for (let i = 0; i < MOST_REPEATS; i++) {
    const next = repeated.next() as ICAL.Time | null;
    if (!next) break;
    const { item, startDate, endDate } = event.getOccurrenceDetails(next);
    const tzid = tzidOf(item.component, 'dtstart');
    const [start, end] = [instantOf(startDate, tzid), instantOf(endDate, tzid)];
    if (start === null || end === null) return [coded('files.itsTimeCannotBeRead')];
    if (end <= start) return [coded('files.itEndsBeforeStarts')];
    // What follows is later still, but for a time that was moved far away.
    if (start > until) break;
    if (end > now && !isFree(item.component))
      times.push({ source: sourceOf(event.uid, start), summary: titleOf(item.component), start, end });
  }
  return times;
}

/** Time zones that the file itself describes, by their names in it. */
function zonesOf(calendar: ICAL.Component): Map<string, ICAL.Timezone> {
  return new Map(
    calendar
      .getAllSubcomponents('vtimezone')
      .map((one) => [String(one.getFirstPropertyValue('tzid')), new ICAL.Timezone(one)]),
  );
}

/** A moment: in UTC, in the zone that is named where it is known by name or by the file, otherwise in the bakery's. */
function momentOf(
  time: ICAL.Time,
  tzid: string | null,
  zone: string,
  zones: ReadonlyMap<string, ICAL.Timezone>,
): Instant | null {
  if (time.zone === ICAL.Timezone.utcTimezone) return time.toUnixTime() * 1000;
  const two = (n: number) => String(n).padStart(2, '0');
  const [hour, minute] = time.isDate ? [0, 0] : [time.hour, time.minute];
  const text = `${time.year}-${two(time.month)}-${two(time.day)}T${two(hour)}:${two(minute)}`;
  const named = tzid === null ? null : parseLocal(text, tzid);
  if (named !== null) return named;
  const described = tzid === null ? undefined : zones.get(tzid);
  if (!described) return parseLocal(text, zone);
  const there = time.clone();
  there.zone = described;
  return there.toUnixTime() * 1000;
}
