/** The moments of the slow planner: each asked for by itself, on its days. */
import { Temporal } from 'temporal-polyfill';
import type { Course, Item, PlannedMoment } from '../../src/index.ts';
import { step, weekday, daysFrom, firstDayOf } from './slow-planner.ts';
import type { SlowPlan } from './slow-planner.ts';

export type SlowMoment =
  { readonly day: string; readonly time: string | null; readonly instant: number } | string;

/** Due, opening and held moments, each asked for by itself. */
export function slowMoment(
  course: Course,
  plan: SlowPlan,
  moment: PlannedMoment,
  use: 'due' | 'opens' | 'until' | 'held',
  sectionId: string,
  joined: string | null,
  trail: readonly string[] = [],
): SlowMoment {
  const { dates } = course;
  const daysOf = (id: string): readonly [string, string] | null | undefined => {
    const span = plan.spans.find((one) => one.id === id);
    if (span === undefined) return undefined;
    if (span.kind === 'aside') {
      const first = firstDayOf(dates);
      return first !== null && plan.lastDay !== null ? [first, plan.lastDay] : null;
    }
    return span.kind === 'slot' ? [span.first as string, span.last as string] : null;
  };
  const at = (day: string, time: string | null): SlowMoment => {
    const date = Temporal.PlainDate.from(day);
    if (time === null) return { day, time, instant: date.toZonedDateTime(dates.zone).epochMilliseconds };
    const zoned = date
      .toPlainDateTime(Temporal.PlainTime.from(time))
      .toZonedDateTime(dates.zone, { disambiguation: 'compatible' });
    return { day, time, instant: zoned.epochMilliseconds };
  };
  const forUse = (day: string, time: string | null): SlowMoment =>
    at(day, time ?? (use === 'due' ? dates.handIn.time : null));
  if (moment.kind === 'fixed') return forUse(moment.day, moment.time);
  if (moment.kind === 'usual') {
    const own = daysOf(sectionId);
    if (own === null || own === undefined) return 'anchor';
    if (dates.handIn.weekday === null) return at(own[1], dates.handIn.time);
    const inside = daysFrom(own[0], own[1]).filter((day) => weekday(day) === dates.handIn.weekday);
    return at(inside.at(-1) ?? own[1], dates.handIn.time);
  }
  const { anchor, shift, weekday: wanted, time } = moment;
  let base: string | null = null;
  let baseTime: string | null = null;
  let instant: number | null = null;
  let within: readonly [string, string] | null = null;
  const fromEnd = (anchor.of === 'course' || anchor.of === 'section') && anchor.at === 'end';
  if (anchor.of === 'course') base = fromEnd ? plan.lastDay : firstDayOf(dates);
  else if (anchor.of === 'joining') base = joined;
  else if (anchor.of === 'section') {
    const days = daysOf(anchor.section ?? sectionId);
    if (days === undefined) return 'missing';
    within = days;
    base = days === null ? null : days[fromEnd ? 1 : 0];
  } else {
    if (trail.includes(anchor.item)) return 'circle';
    const found = dueOf(course, anchor.item);
    if (found === null) return 'missing';
    const other = slowMoment(course, plan, found.due, 'due', found.section, joined, [...trail, anchor.item]);
    if (typeof other === 'string') return other;
    [base, baseTime, instant] = [other.day, other.time, other.instant];
  }
  if (base === null) return 'anchor';
  if (shift !== null && (shift.unit === 'minutes' || shift.unit === 'hours')) {
    const from =
      instant ??
      Temporal.PlainDate.from(base)
        .add({ days: fromEnd ? 1 : 0 })
        .toZonedDateTime(dates.zone).epochMilliseconds;
    const moved = Temporal.Instant.fromEpochMilliseconds(from)
      .add({ [shift.unit]: shift.by })
      .toZonedDateTimeISO(dates.zone);
    const clock = moved.toPlainTime().toString().slice(0, 5);
    const movedDay = moved.toPlainDate().toString();
    if (wanted === null && time === null)
      return { day: movedDay, time: clock, instant: moved.epochMilliseconds };
    return at(wanted === null ? movedDay : seek(movedDay, wanted, fromEnd ? -1 : 1), time ?? clock);
  }
  let day = base;
  if (shift !== null)
    day = Temporal.PlainDate.from(base)
      .add({ [shift.unit]: shift.by })
      .toString();
  if (wanted !== null) {
    day = seek(day, wanted, fromEnd ? -1 : 1);
    if (shift === null && anchor.of === 'section' && within !== null) {
      if (day < within[0]) day = within[0];
      if (day > within[1]) day = within[1];
    }
  }
  return forUse(day, time ?? baseTime);
}

function seek(day: string, wanted: number, by: number): string {
  let here = day;
  while (weekday(here) !== wanted) here = step(here, by);
  return here;
}

function dueOf(course: Course, id: string): { due: PlannedMoment; section: string } | null {
  for (const section of course.sections) {
    if (section.removed) continue;
    const stack: Item[] = section.items.filter(({ removed }) => !removed);
    for (let item = stack.pop(); item !== undefined; item = stack.pop()) {
      if (item.kind === 'folder') stack.push(...item.items.filter(({ removed }) => !removed));
      if (item.id === id && 'due' in item && item.due !== null) return { due: item.due, section: section.id };
    }
  }
  return null;
}
