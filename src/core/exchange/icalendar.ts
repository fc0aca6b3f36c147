import type { Instant } from '../time/local';

/** Something that takes place: `uid` stays the same when it moves. */
export interface CalendarEvent {
  uid: string;
  start: Instant;
  end: Instant;
  summary: string;
  location?: string;
  description?: string;
}

/** Longest line, in bytes of UTF-8, before it is folded (RFC 5545, 3.1). */
const LINE = 75;

/** Backslash, semicolon, comma and line ends mean something in a text value (RFC 5545, 3.3.11). */
function escaped(text: string): string {
  return text.replace(/[\\;,]/g, '\\$&').replace(/\r\n|\r|\n/g, '\\n');
}

/** `20261119T031000Z`. */
function utc(at: Instant): string {
  return new Date(at).toISOString().replace(/[-:]|\.\d+/g, '');
}

/** A long line goes on in the next one behind a space; no character is cut in two. */
function folded(line: string): string {
  const bytes = new TextEncoder();
  const rows = [''];
  let room = LINE;
  for (const character of line) {
    const size = bytes.encode(character).length;
    if (size > room) {
      rows.push(' ');
      room = LINE - 1;
    }
    rows[rows.length - 1] += character;
    room -= size;
  }
  return rows.join('\r\n');
}

/** Writes an iCalendar file (RFC 5545): `name` is what a calendar shows it as, `written` when that was. */
export function writeCalendar(name: string, events: readonly CalendarEvent[], written: Instant): string {
  const lines = events.flatMap(({ uid, start, end, summary, location, description }) => [
    'BEGIN:VEVENT',
    `UID:${escaped(uid)}`,
    `DTSTAMP:${utc(written)}`,
    `DTSTART:${utc(start)}`,
    `DTEND:${utc(end)}`,
    `SUMMARY:${escaped(summary)}`,
    ...(location ? [`LOCATION:${escaped(location)}`] : []),
    ...(description ? [`DESCRIPTION:${escaped(description)}`] : []),
    'END:VEVENT',
  ]);
  const head = ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//Hefeteig//Plan//EN', `NAME:${escaped(name)}`];
  return [...head, ...lines, 'END:VCALENDAR'].map((line) => `${folded(line)}\r\n`).join('');
}
