/** Which days each section covers, in every format and pace (docs/semantics.md, Sections in time). */
import { z } from 'zod';
import type { Dates } from '../course/schema/dates-schema.ts';
import type { DeepReadonly } from '../course/schema/readonly.ts';
import type { Course, Section } from '../course/schema/schema.ts';
import { livingSections } from '../course/tree.ts';
import { toDay, toDayNumber, weekdayOfNumber } from './day-number.ts';
import { dayOf, daysBetween } from './days.ts';
import { ownUnits, ownWeeks, placeOwnDays } from './joining.ts';
import type { OwnDays } from './joining.ts';
import { meetingCalendar } from './meetings.ts';
import { datedPauses } from './pauses.ts';
import type { Pauses } from './pauses.ts';
import type { CalendarRow, Slot } from './rows.ts';
import { effectiveFirstDay, firstDayOf, teachingWeeks } from './teaching-weeks.ts';
import { unitCalendar, unitSlots } from './units.ts';

/** Where a section stands in time. */
export type Span =
  | { readonly kind: 'slot'; readonly slot: Slot }
  /** Days of each learner's own clock; nobody in particular is asked about. */
  | { readonly kind: 'own'; readonly own: OwnDays }
  /** Stands outside the calendar, and wants no days. */
  | { readonly kind: 'outside' }
  /** The course has no place for it: kept, undated, a blocker. */
  | { readonly kind: 'unplaced' }
  /** Sections have no days in this pace, or nothing to count them from. */
  | { readonly kind: 'undated' }
  /** Around one item: sections are kept aside. */
  | { readonly kind: 'aside' };

export interface PlannedSection {
  readonly id: string;
  readonly span: Span;
}

export interface Plan {
  /** In reading order; removed sections are not in it. */
  readonly sections: readonly PlannedSection[];
  /** Slots and named pauses by their days. */
  readonly rows: readonly CalendarRow[];
  readonly slots: readonly Slot[];
  /** Slots that no section takes. */
  readonly spare: readonly Slot[];
  /** Ids of sections for which there is no place. */
  readonly unplaced: readonly string[];
  /** The first day that counts: a course that moves begins elsewhere than its first day says. */
  readonly firstDay: string | null;
  /** The course's last day: as given, or as its length makes it. */
  readonly lastDay: string | null;
  /** The first day is not the one on which the teaching week begins. */
  readonly midWeek: boolean;
}

export interface Asked {
  /** The day on which the learner joined, ISO; null or absent for nobody in particular. */
  readonly joined?: string | null;
}

/**
 * Sections take what the calendar has in reading order, whether shown or not: hiding one never moves another's
 * days. Sections outside the calendar keep their place and take nothing.
 */
export function planSections(course: Course, { joined = null }: Asked = {}): Plan {
  const { dates } = course;
  const pauses = datedPauses(dates);
  const living = livingSections(course);
  const inside = living.filter(({ outside }) => !outside);
  const { spans, rows, slots, spare } = spansOf(dates, inside, pauses, joined);
  const byId = new Map(inside.map(({ id }, index) => [id, spans[index] as Span]));
  const sections = living.map(({ id }): PlannedSection => ({
    id,
    span: byId.get(id) ?? { kind: 'outside' },
  }));
  const first = effectiveFirstDay(dates);
  const firstDay = firstDayOf(dates);
  return {
    sections,
    rows,
    slots,
    spare,
    unplaced: sections.filter(({ span }) => span.kind === 'unplaced').map(({ id }) => id),
    firstDay,
    lastDay: lastDayOf(dates, firstDay, rows, slots),
    midWeek: usesTeachingWeeks(dates) && first !== null && weekdayOfNumber(first) !== dates.weekStart,
  };
}

/** Only where sections are teaching weeks does it matter on which weekday the course begins. */
export function usesTeachingWeeks(dates: Pick<Dates, 'format' | 'pace'>): boolean {
  return dates.format === 'weeks' && dates.pace === 'together';
}

interface Placed {
  readonly spans: readonly Span[];
  readonly rows: readonly CalendarRow[];
  readonly slots: readonly Slot[];
  readonly spare: readonly Slot[];
}

const asSpan = (slot: Slot): Span => ({ kind: 'slot', slot });
const asRow = (slot: Slot): CalendarRow => ({ kind: 'slot', slot });

/** Meetings are held together, whatever pace is written down. */
function spansOf(dates: Dates, inside: readonly Section[], pauses: Pauses, joined: string | null): Placed {
  if (dates.format === 'item') return same(inside, { kind: 'aside' });
  if (dates.format === 'meetings') {
    const { slots, rows } = meetingCalendar(dates, pauses);
    return inOrder(inside, slots, rows);
  }
  if (dates.pace === 'none') return same(inside, { kind: 'undated' });
  if (dates.pace === 'joining') return ownSpans(dates, inside, pauses, joined);
  if (dates.format === 'weeks') {
    const { slots, rows } = teachingWeeks(dates, pauses);
    return inOrder(inside, slots, rows);
  }
  const slots = unitSlots(inside, dates, pauses);
  const spans = slots.map((slot): Span => (slot === null ? { kind: 'undated' } : asSpan(slot)));
  const calendar = unitCalendar(slots, dates, pauses);
  return { spans, rows: calendar.rows, slots: calendar.slots, spare: [] };
}

function same(inside: readonly Section[], span: Span): Placed {
  return { spans: inside.map(() => span), rows: [], slots: [], spare: [] };
}

function inOrder(inside: readonly Section[], slots: readonly Slot[], rows: readonly CalendarRow[]): Placed {
  const spans = inside.map((_, index): Span => {
    const slot = slots[index];
    return slot === undefined ? { kind: 'unplaced' } : asSpan(slot);
  });
  return { spans, rows, slots, spare: slots.slice(inside.length) };
}

function ownSpans(dates: Dates, inside: readonly Section[], pauses: Pauses, joined: string | null): Placed {
  const own = dates.format === 'weeks' ? ownWeeks(dates.weeks) : ownUnits(inside.map(({ span }) => span));
  if (joined !== null) {
    const slots = placeOwnDays(own, dates, joined, pauses);
    return inOrder(inside, slots, slots.map(asRow));
  }
  const spans = inside.map((_, index): Span => {
    const days = own[index];
    return days === undefined ? { kind: 'unplaced' } : { kind: 'own', own: days };
  });
  return { spans, rows: [], slots: [], spare: [] };
}

/** The later end of what the calendar holds; without sections, as many weeks as the course has. */
function lastDayOf(
  dates: Dates,
  firstDay: string | null,
  rows: readonly CalendarRow[],
  slots: readonly Slot[],
): string | null {
  const isOwnClock = dates.pace === 'joining' && dates.format !== 'meetings' && dates.format !== 'item';
  if (dates.ends !== 'weeks' && dates.lastDay !== null && !isOwnClock) return dates.lastDay;
  const counted = rows.flatMap((row) =>
    row.kind === 'pause' && row.pause.number !== null ? [row.pause.last] : [],
  );
  const ends = [...slots.map(({ last }) => last), ...counted];
  if (ends.length > 0) return ends.reduce((late, day) => (day > late ? day : late));
  const withoutSlots = dates.format === 'item' || (dates.pace === 'none' && dates.format === 'weeks');
  return withoutSlots && firstDay !== null ? toDay(toDayNumber(firstDay) + 7 * dates.weeks - 1) : null;
}

/** Where a moment falls: before the first day, in a slot, in a pause, or after the last day. */
export const momentInCourseSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('undated') }),
  z.object({ kind: z.literal('before'), days: z.int() }),
  z.object({ kind: z.literal('slot'), number: z.int() }),
  z.object({ kind: z.literal('pause'), name: z.string() }),
  /** Within the course's days, where nothing stands: between two units, or without a clock. */
  z.object({ kind: z.literal('within') }),
  z.object({ kind: z.literal('after') }),
]);
export type Moment = DeepReadonly<z.infer<typeof momentInCourseSchema>>;

/** What an instant (ISO, UTC) falls into, by the days of the course's own zone. */
export function momentIn(plan: Plan, zone: string, instant: string): Moment {
  const { firstDay, lastDay, rows, slots } = plan;
  const today = dayOf(instant, zone);
  const slot = slots.find(({ first, last }) => first <= today && today <= last);
  const pause = rows.find(
    (row) => row.kind === 'pause' && row.pause.first <= today && today <= row.pause.last,
  );
  // A pause inside a section's days (a meeting's, a long unit's) is what people are in on that day.
  if (pause?.kind === 'pause') return { kind: 'pause', name: pause.pause.name };
  if (slot !== undefined) return { kind: 'slot', number: slot.number };
  const begin = slots.reduce<string | null>(
    (low, { first }) => (low === null || first < low ? first : low),
    firstDay,
  );
  if (begin === null) return { kind: 'undated' };
  if (today < begin) return { kind: 'before', days: daysBetween(today, begin) };
  return lastDay !== null && today > lastDay ? { kind: 'after' } : { kind: 'within' };
}
