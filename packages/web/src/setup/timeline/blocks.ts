/** What stands on the timeline: slots, pauses, and the work due. Pure: from the plan to what is drawn. */
import { shownItems } from '@itinerary/core';
import type { CoursePlan } from '@itinerary/core';
import { sectionTitle } from '../../learner/titles.ts';

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

/** The days on which something shown is due. */
export function timelineFlags(plan: CoursePlan): readonly Flag[] {
  const byDay = new Map<string, string[]>();
  for (const { section, moments } of plan.sections) {
    for (const item of shownItems(section)) {
      const due = moments.get(item.id)?.due;
      if (due?.kind === 'at') byDay.set(due.day, [...(byDay.get(due.day) ?? []), item.title]);
    }
  }
  return [...byDay].map(([day, titles]) => ({ day, count: titles.length, titles: titles.join(', ') }));
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
