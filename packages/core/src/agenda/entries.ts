/** Somebody's calendar: what is due, held, opening and without teaching in a course, as this person gets it. */
import { z } from 'zod';
import { startOfDay } from '../calendar/days.ts';
import type { CourseView, ItemView, SectionView } from '../views/course-view.ts';
import { calledIn, visitDated } from '../home/ahead.ts';
import { ITEM_KINDS } from '../course/schema/kinds.ts';
import type { DeepReadonly } from '../course/schema/readonly.ts';

export const agendaEntrySchema = z.object({
  what: z.enum(['due', 'held', 'opens', 'pause']),
  /** Of the item or section; of a pause, its name. */
  id: z.string(),
  /** Null: a section, or a pause. */
  kind: z.enum(ITEM_KINDS).nullable(),
  number: z.string().nullable(),
  /** Null: a section that is called by its days. */
  title: z.string().nullable(),
  /** In the course's zone; its last day is the same but for a pause. */
  day: z.iso.date(),
  lastDay: z.iso.date(),
  /** Null: all day. */
  time: z.string().nullable(),
  /** When it begins: of a day, its first instant. */
  instant: z.iso.datetime(),
  /** Of a meeting, where it is known. */
  ends: z.iso.datetime().nullable(),
  place: z.string().nullable(),
  isDone: z.boolean(),
});
export type AgendaEntry = DeepReadonly<z.infer<typeof agendaEntrySchema>>;

const MINUTE_MS = 60_000;

/** Those that touch the days from `from` to `to`, both included, in their order. */
export function agendaOf(view: CourseView, from: string, to: string): readonly AgendaEntry[] {
  const { zone } = view;
  const found: AgendaEntry[] = [];
  visitDated(view, (what, node, { day, time, instant }) => {
    // A day's moment can be its end, where it is one: what is shown is the day.
    const begins = time === null ? Date.parse(startOfDay(day, zone)) : Date.parse(instant);
    found.push({
      ...{ what, ...calledIn(node), day, lastDay: day, time },
      instant: new Date(begins).toISOString(),
      ends: what === 'held' && time !== null ? endOf(node, begins) : null,
      place: what === 'held' && 'place' in node ? node.place : null,
      isDone: 'done' in node && node.done?.isDone === true,
    });
  });
  for (const { name, first, last } of view.pauses) {
    found.push({
      ...{
        what: 'pause',
        id: name,
        kind: null,
        number: null,
        title: name,
        day: first,
        lastDay: last,
        time: null,
      },
      instant: new Date(Date.parse(startOfDay(first, zone))).toISOString(),
      ...{ ends: null, place: null, isDone: false },
    });
  }
  return found.filter(({ day, lastDay }) => lastDay >= from && day <= to).sort(inOrder);
}

function endOf(node: ItemView | SectionView, begins: number): string | null {
  const minutes = 'minutes' in node ? node.minutes : null;
  return minutes === null || minutes === 0 ? null : new Date(begins + minutes * MINUTE_MS).toISOString();
}

/** By day, then what is all day, then by the instant. */
export function inOrder(
  a: Pick<AgendaEntry, 'day' | 'time' | 'instant' | 'id'>,
  b: Pick<AgendaEntry, 'day' | 'time' | 'instant' | 'id'>,
): number {
  if (a.day !== b.day) return a.day < b.day ? -1 : 1;
  if ((a.time === null) !== (b.time === null)) return a.time === null ? -1 : 1;
  return Date.parse(a.instant) - Date.parse(b.instant) || (a.id < b.id ? -1 : 1);
}
