/** What stands on the timeline: slots, pauses, work due, announcements. Pure: from the plan to what is drawn. */
import { datedAnnouncements, shownItems } from '@itinerary/core';
import type { CoursePlan } from '@itinerary/core';
import { dayIn } from '../../words/dates.ts';
import { sectionTitle } from '../../learner/words/titles.ts';

export interface Block {
  readonly key: string;
  readonly kind: 'slot' | 'pause' | 'spare';
  readonly label: string;
  readonly title: string;
  readonly first: string;
  readonly last: string;
}

type Translate = (key: string, values?: Record<string, unknown>) => string;

export function timelineBlocks(plan: CoursePlan, t: Translate, locale: string): readonly Block[] {
  const taken = new Map(
    plan.sections.flatMap((section) => (section.span.kind === 'slot' ? [[section.span.slot, section]] : [])),
  );
  return plan.rows.map((row, at): Block => {
    if (row.kind === 'pause') {
      const { name, first, last } = row.pause;
      return { key: `pause ${at}`, kind: 'pause', label: name, title: name, first, last };
    }
    const { slot } = row;
    const section = taken.get(slot);
    const { first, last } = slot;
    const base = { key: `slot ${slot.number}`, label: String(slot.number), first, last };
    if (section === undefined) return { ...base, kind: 'spare', title: t('setup.timeline.spare') };
    const titled = { title: section.section.title, days: slot, meeting: slot.meeting };
    return { ...base, kind: 'slot', title: sectionTitle(titled, t, locale) };
  });
}

export interface Flag {
  readonly day: string;
  readonly count: number;
  readonly titles: string;
}

function flagsOf(titled: readonly (readonly [day: string, title: string])[]): readonly Flag[] {
  const byDay = new Map<string, string[]>();
  for (const [day, title] of titled) byDay.set(day, [...(byDay.get(day) ?? []), title]);
  return [...byDay].map(([day, titles]) => ({ day, count: titles.length, titles: titles.join(', ') }));
}

/** The days on which something shown is due. */
export function timelineFlags(plan: CoursePlan): readonly Flag[] {
  return flagsOf(
    plan.sections.flatMap(({ section, moments }) =>
      shownItems(section).flatMap(({ id, title }) => {
        const due = moments.get(id)?.due;
        return due?.kind === 'at' ? [[due.day, title] as const] : [];
      }),
    ),
  );
}

/** The days on which an announcement that is ready first stands, by the course's clocks. */
export function timelineNews(plan: CoursePlan): readonly Flag[] {
  const { areas, dates } = plan.course;
  if (areas['announcements'] === 'off') return [];
  return flagsOf(
    datedAnnouncements(plan).flatMap(({ announcement: { ready, subject }, from }) =>
      ready && from !== null ? [[dayIn(new Date(from).toISOString(), dates.zone), subject] as const] : [],
    ),
  );
}

/** Days longer than this touch the next column. */
const FITS = 6;

/**
 * The first day of each block, as it is written in a narrow column. Where a language has long names for months, a
 * month is named once, by the first block in it.
 */
export function blockDays(
  blocks: readonly Pick<Block, 'first'>[],
  words: (day: string) => string,
): readonly string[] {
  const all = blocks.map(({ first }) => words(first));
  if (all.every((one) => one.length <= FITS)) return all;
  return blocks.map(({ first }, at) =>
    first.slice(0, 7) === blocks[at - 1]?.first.slice(0, 7)
      ? String(Number(first.slice(8)))
      : (all[at] as string),
  );
}
