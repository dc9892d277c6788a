/**
 * A calendar as iCalendar (RFC 5545, with a VTIMEZONE for each zone that is named; names by RFC 7986): what any program
 * for calendars subscribes to.
 */
import { addDays } from '../calendar/days.ts';
import { offsetChanges, zoneOf } from '../calendar/zone.ts';
import type { AgendaEntry } from './entries.ts';

export interface FedEntry extends AgendaEntry {
  readonly course: string;
  readonly zone: string;
  /** What stands in the calendar. */
  readonly summary: string;
  readonly description: string;
  /** Where it leads; empty: nowhere. */
  readonly address: string;
}

const MINUTE_MS = 60_000;
const two = (value: number): string => String(value).padStart(2, '0');

/** Milliseconds of a wall, as if its zone were UTC, written as RFC 5545 writes local times. */
const local = (ms: number): string => new Date(ms).toISOString().slice(0, 19).replaceAll(/[-:]/g, '');
const utc = (iso: string): string => `${local(Date.parse(iso))}Z`;
const date = (day: string): string => day.replaceAll('-', '');

/** TEXT (3.3.11): what has a meaning of its own is escaped, and nothing else stands for a line's end. */
const text = (words: string): string =>
  words
    .replaceAll(/[\\;,]/g, (sign) => `\\${sign}`)
    .replaceAll(/\r\n|\r|\n/g, '\\n')
    // Other control characters have no place in a text of the standard.
    .replaceAll(/[\u0000-\u0008\u000b-\u001f\u007f]/g, '');

/** A line has at most 75 octets; what is longer goes on after a space. No character is cut. */
function folded(line: string): string {
  const encoder = new TextEncoder();
  const parts: string[] = [];
  let part = '';
  let octets = 0;
  for (const character of line) {
    const size = encoder.encode(character).length;
    if (octets + size > 75) {
      parts.push(part);
      [part, octets] = ['', 1];
    }
    part += character;
    octets += size;
  }
  return [...parts, part].join('\r\n ');
}

function offset(ms: number): string {
  const minutes = Math.round(Math.abs(ms) / MINUTE_MS);
  return `${ms < 0 ? '-' : '+'}${two(Math.floor(minutes / 60))}${two(minutes % 60)}`;
}

/** Every change in these years, said by itself: programs need no rules of their own. */
function timezone(zone: string, firstYear: number, lastYear: number): readonly string[] {
  const { offset: before, changes } = offsetChanges(zone, firstYear, lastYear);
  const part = (kind: 'STANDARD' | 'DAYLIGHT', at: string, from: number, to: number): readonly string[] => [
    `BEGIN:${kind}`,
    `DTSTART:${at}`,
    `TZOFFSETFROM:${offset(from)}`,
    `TZOFFSETTO:${offset(to)}`,
    `END:${kind}`,
  ];
  return [
    'BEGIN:VTIMEZONE',
    `TZID:${zone}`,
    ...part('STANDARD', `${firstYear}0101T000000`, before, before),
    ...changes.flatMap(({ at, from, to }) =>
      part(to > from ? 'DAYLIGHT' : 'STANDARD', local(at + from), from, to),
    ),
    'END:VTIMEZONE',
  ];
}

function event(entry: FedEntry, now: string): readonly string[] {
  const { zone, day, lastDay, time, instant, ends } = entry;
  const wall = (iso: string): string => local(zoneOf(zone).localOf(Date.parse(iso)));
  const times =
    time === null
      ? [`DTSTART;VALUE=DATE:${date(day)}`, `DTEND;VALUE=DATE:${date(addDays(lastDay, 1))}`]
      : [
          `DTSTART;TZID=${zone}:${wall(instant)}`,
          // A moment is its minute: of what has no end, some programs make an hour.
          `DTEND;TZID=${zone}:${wall(ends ?? new Date(Date.parse(instant) + MINUTE_MS).toISOString())}`,
        ];
  // Pauses are known by their names, which can hold anything.
  const id = entry.what === 'pause' ? `${day}-${encodeURIComponent(entry.id)}` : entry.id;
  return [
    'BEGIN:VEVENT',
    `UID:${text(`${entry.what}-${id}@${entry.course}`)}`,
    `DTSTAMP:${utc(now)}`,
    ...times,
    `SUMMARY:${text(entry.summary)}`,
    ...(entry.description === '' ? [] : [`DESCRIPTION:${text(entry.description)}`]),
    ...(entry.place === null ? [] : [`LOCATION:${text(entry.place)}`]),
    ...(entry.address === '' ? [] : [`URL:${entry.address}`]),
    ...(entry.what === 'held' ? [] : ['TRANSP:TRANSPARENT']),
    'END:VEVENT',
  ];
}

/** @param now ISO, UTC: when it was made */
export function writeCalendar(name: string, entries: readonly FedEntry[], now: string): string {
  const years = [now, ...entries.flatMap(({ instant, ends }) => [instant, ends ?? instant])].map((iso) =>
    Number(iso.slice(0, 4)),
  );
  const [first, last] = [Math.min(...years) - 1, Math.max(...years) + 1];
  const zones = [...new Set(entries.filter(({ time }) => time !== null).map(({ zone }) => zone))].sort();
  const lines = [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:-//Itinerary//Calendar//EN',
    'CALSCALE:GREGORIAN',
    `NAME:${text(name)}`,
    'REFRESH-INTERVAL;VALUE=DURATION:PT4H',
    ...zones.flatMap((zone) => timezone(zone, first, last)),
    ...entries.flatMap((entry) => event(entry, now)),
    'END:VCALENDAR',
  ];
  return `${lines.map(folded).join('\r\n')}\r\n`;
}
