/**
 * The offsets of a zone, as a table: reading it costs a few comparisons, where asking the time-zone library
 * costs thousands. One table a zone and year; what is in it comes from Temporal.
 */
import { Temporal } from 'temporal-polyfill';
import { fromCivil, toCivil } from './day-number.ts';
import { Bounded } from '../course/bounded.ts';

const DAY_MS = 86_400_000;
const MINUTE_MS = 60_000;

/** What a clock change did to a local time (docs/semantics.md, Days and moments). */
export type Clock =
  | 'plain'
  /** The local time does not exist: taken as the same distance after the gap. */
  | 'gap'
  /** It exists twice: the first. */
  | 'fold';

export interface Located {
  /** Milliseconds since 1970-01-01T00:00Z. */
  readonly instant: number;
  readonly clock: Clock;
}

interface YearTable {
  /** When offsets change, in milliseconds, rising. */
  readonly at: readonly number[];
  /** Offsets in milliseconds: the one before the first change, then the one after each. */
  readonly offsets: readonly number[];
}

export interface Zone {
  /** The instant of a local day and minute of day (0–1439), by Temporal's `compatible`. */
  readonly locate: (dayNumber: number, minute: number) => Located;
  /** The first instant of a day: not always 00:00. */
  readonly startOf: (dayNumber: number) => number;
  /** Local milliseconds (as if the zone were UTC) of an instant. */
  readonly localOf: (instant: number) => number;
}

/** Every zone there is, over a few years; beyond it tables are made again. */
const tables = new Bounded<YearTable>(3000);

/** More changes a year than any zone has ever had. */
const MAX_CHANGES = 20;

function tableOf(zone: string, year: number): YearTable {
  return tables.orElse(`${zone} ${year}`, () => readTable(zone, year));
}

function readTable(zone: string, year: number): YearTable {
  const from = fromCivil(year, 1, 1) * DAY_MS - 3 * DAY_MS;
  const until = fromCivil(year + 1, 1, 1) * DAY_MS + 3 * DAY_MS;
  let here = Temporal.Instant.fromEpochMilliseconds(from).toZonedDateTimeISO(zone);
  const offsetOf = (moment: Temporal.ZonedDateTime): number => moment.offsetNanoseconds / 1_000_000;
  const at: number[] = [];
  const offsets: number[] = [offsetOf(here)];
  for (let count = 0; count < MAX_CHANGES; count += 1) {
    const next = here.getTimeZoneTransition('next');
    if (next === null || next.epochMilliseconds > until) break;
    at.push(next.epochMilliseconds);
    offsets.push(offsetOf(next));
    here = next;
  }
  return { at, offsets };
}

export interface OffsetChange {
  /** Milliseconds since 1970-01-01T00:00Z. */
  readonly at: number;
  /** Offsets in milliseconds. */
  readonly from: number;
  readonly to: number;
}

/** The offset at the beginning of the first year, and every change to the end of the last. */
export function offsetChanges(
  zone: string,
  firstYear: number,
  lastYear: number,
): { readonly offset: number; readonly changes: readonly OffsetChange[] } {
  const begin = fromCivil(firstYear, 1, 1) * DAY_MS;
  const end = fromCivil(lastYear + 1, 1, 1) * DAY_MS;
  const changes: OffsetChange[] = [];
  for (let year = firstYear; year <= lastYear; year += 1) {
    const { at, offsets } = tableOf(zone, year);
    at.forEach((change, index) => {
      const isNew = change > (changes.at(-1)?.at ?? -Infinity);
      if (!isNew || change < begin || change >= end) return;
      changes.push({ at: change, from: offsets[index] as number, to: offsets[index + 1] as number });
    });
  }
  return { offset: zoneOf(zone).localOf(begin) - begin, changes };
}

/** Local time given as milliseconds, as if the zone were UTC. */
function locateIn({ at, offsets }: YearTable, local: number): Located {
  // The last period that has begun by then, by the clocks of whichever side shows the earlier time.
  for (let index = at.length; index >= 0; index -= 1) {
    const offset = offsets[index] as number;
    const before = index === 0 ? offset : (offsets[index - 1] as number);
    const change = index === 0 ? -Infinity : (at[index - 1] as number);
    const instant = local - offset;
    if (instant < change) {
      // Not yet after this change; if its clocks jump over the time, it falls into the gap.
      if (local - before >= change) return { instant: local - before, clock: 'gap' };
      continue;
    }
    if (local - before < change) return { instant: local - before, clock: 'fold' };
    return { instant, clock: 'plain' };
  }
  return { instant: local - (offsets[0] as number), clock: 'plain' };
}

export function zoneOf(zone: string): Zone {
  // Neighbouring questions fall into one year nearly always, so its table is kept at hand.
  let table: YearTable = { at: [], offsets: [0] };
  let [first, end] = [0, 0];
  const tableFor = (dayNumber: number): YearTable => {
    if (dayNumber >= first && dayNumber < end) return table;
    const [year] = toCivil(dayNumber);
    table = tableOf(zone, year);
    [first, end] = [fromCivil(year, 1, 1), fromCivil(year + 1, 1, 1)];
    return table;
  };
  const locate = (dayNumber: number, minute: number): Located =>
    locateIn(tableFor(dayNumber), dayNumber * DAY_MS + minute * MINUTE_MS);
  return {
    locate,
    startOf: (dayNumber) => {
      const { instant, clock } = locate(dayNumber, 0);
      // Where the clocks jump over midnight, the day begins with the jump.
      return clock === 'gap' ? jumpOver(tableFor(dayNumber), dayNumber * DAY_MS) : instant;
    },
    localOf: (instant) => {
      const { at, offsets } = tableFor(Math.floor(instant / DAY_MS));
      let index = at.length;
      while (index > 0 && instant < (at[index - 1] as number)) index -= 1;
      return instant + (offsets[index] as number);
    },
  };
}

/** The change whose gap swallows a local time. */
function jumpOver({ at, offsets }: YearTable, local: number): number {
  const index = at.findIndex(
    (change, before) =>
      local - (offsets[before] as number) >= change && local - (offsets[before + 1] as number) < change,
  );
  return at[index] as number;
}

/** Minute of day of a time written HH:MM. */
export function minuteOf(time: string): number {
  return Number(time.slice(0, 2)) * 60 + Number(time.slice(3, 5));
}

const two = (value: number): string => (value < 10 ? `0${value}` : String(value));

/** A minute of day, written HH:MM. */
export function timeOf(minute: number): string {
  return `${two(Math.floor(minute / 60))}:${two(minute % 60)}`;
}
