/** A course file's computed days, moments and findings, without any database or server. */
import { findings, namedPauses, numberOf, planCourse, subtree, textFacts } from '@itinerary/core';
import type {
  CourseFile,
  CoursePlan,
  FactsByText,
  Finding,
  Resolved,
  SectionPlan,
  Span,
} from '@itinerary/core';

export interface PlanRow {
  readonly id: string;
  /** As learners see it, or null. */
  readonly number: string | null;
  readonly title: string | null;
  readonly place: Span['kind'];
  /** Which week, unit or meeting it takes. */
  readonly slot: number | null;
  readonly first: string | null;
  readonly last: string | null;
  /** Days of each learner's own clock. */
  readonly own: { readonly first: number; readonly last: number } | null;
  /** The meeting that makes the section. */
  readonly meeting: { readonly day: string; readonly time: string; readonly place: string | null } | null;
  readonly shown: boolean;
}

export interface MomentRow {
  readonly id: string;
  readonly number: string | null;
  readonly title: string;
  readonly what: 'opens' | 'due' | 'held';
  /** Local time in the course's zone, YYYY-MM-DDTHH:MM, or a day alone; null when it has none. */
  readonly local: string | null;
  /** ISO, UTC. */
  readonly instant: string | null;
  /** What a clock change did to it; or why it has no date. */
  readonly note: string | null;
}

export interface FilePlan {
  readonly code: string;
  readonly title: string;
  readonly zone: string;
  readonly format: string;
  readonly pace: string;
  readonly firstDay: string | null;
  readonly lastTeachingDay: string | null;
  /** Weeks, units or meetings that the calendar has. */
  readonly slots: number;
  readonly sections: readonly PlanRow[];
  readonly pauses: readonly {
    readonly name: string;
    readonly number: string | null;
    readonly first: string;
    readonly last: string;
  }[];
  /** Slots that no section takes. */
  readonly spare: readonly { readonly slot: number; readonly first: string; readonly last: string }[];
  readonly unplaced: readonly string[];
  readonly moments: readonly MomentRow[];
  readonly findings: readonly Pick<Finding, 'rule' | 'severity' | 'targets' | 'values'>[];
}

/** @param at the instant that findings are asked at (ISO, UTC). */
export function planOf({ course, texts }: Pick<CourseFile, 'course' | 'texts'>, at: string): FilePlan {
  const plan = planCourse(course);
  const pauses = namedPauses(plan).map(({ name, number, first, last }) => ({ name, number, first, last }));
  return {
    code: course.code,
    title: course.title,
    zone: course.dates.zone,
    format: course.dates.format,
    pace: course.dates.pace,
    firstDay: plan.firstDay,
    lastTeachingDay: plan.lastDay,
    slots: plan.slots.length,
    sections: plan.sections.map((section) => sectionRow(section)),
    pauses,
    spare: plan.spare.map(({ number, first, last }) => ({ slot: number, first, last })),
    unplaced: plan.unplaced,
    moments: plan.sections.flatMap((section) => momentRows(section, plan)),
    // A file has no members, so nothing is said about them.
    findings: findings(course, { moment: at, learners: 1, texts: factsOf(texts) }, plan).map(
      ({ rule, severity, targets, values }) => ({
        rule,
        severity,
        targets,
        values,
      }),
    ),
  };
}

function factsOf(texts: CourseFile['texts']): FactsByText {
  return new Map(
    Object.entries(texts).flatMap(([hash, html]) => {
      const facts = textFacts(html);
      return facts === null ? [] : [[hash, facts] as const];
    }),
  );
}

function sectionRow({ id, number, section, span }: SectionPlan): PlanRow {
  const slot = span.kind === 'slot' ? span.slot : null;
  const meeting = slot?.meeting ?? null;
  return {
    id,
    number,
    title: section.title,
    place: span.kind,
    slot: slot?.number ?? null,
    first: slot?.first ?? null,
    last: slot?.last ?? null,
    own: span.kind === 'own' ? { first: span.own.firstOwn, last: span.own.lastOwn } : null,
    meeting: meeting === null ? null : { day: meeting.day, time: meeting.time, place: meeting.place },
    shown: section.shown,
  };
}

const USES = ['opens', 'due', 'held'] as const;

function momentRows(planned: SectionPlan, plan: CoursePlan): readonly MomentRow[] {
  return subtree(planned.section).flatMap((node) => {
    const moments = planned.moments.get(node.id);
    return USES.flatMap((what): MomentRow[] => {
      const resolved = moments?.[what];
      if (resolved === undefined) return [];
      const head = { id: node.id, number: numberOf(plan, node.id), title: node.title ?? '', what };
      return [{ ...head, ...written(resolved) }];
    });
  });
}

function written(resolved: Resolved): Pick<MomentRow, 'local' | 'instant' | 'note'> {
  if (resolved.kind === 'undated') return { local: null, instant: null, note: resolved.because };
  const { day, time, instant, clock } = resolved;
  return {
    local: time === null ? day : `${day}T${time}`,
    instant: new Date(instant).toISOString(),
    note: clock === 'plain' ? null : clock,
  };
}

/** The plan as a table of plain text. */
export function planAsText(plan: FilePlan): string {
  const head = `${plan.code}  ${plan.title}\n${plan.firstDay ?? 'no first day'} to ${plan.lastTeachingDay ?? '-'} (${plan.zone}), ${plan.format}, ${plan.pace}\n`;
  const days = ({ first, last }: { readonly first: string | null; readonly last: string | null }): string =>
    first === null ? '' : `${first}  ${last ?? ''}`;
  const rows = plan.sections.map((row) => ({
    at: row.first,
    text: `${(row.number ?? '·').padStart(3)}  ${(row.first === null ? row.place : days(row)).padEnd(22)}  ${row.title ?? ''}`.trimEnd(),
  }));
  const between = plan.pauses.map((row) => ({
    at: row.first,
    text: `${(row.number ?? '-').padStart(3)}  ${days(row)}  (${row.name})`,
  }));
  for (const pause of between) {
    const next = rows.findIndex(({ at }) => at !== null && at > pause.at);
    rows.splice(next < 0 ? rows.length : next, 0, pause);
  }
  const spare = plan.spare.map((slot) => `  -  ${slot.first}  ${slot.last}  (no section)`);
  const moments = plan.moments.map(
    ({ number, title, what, local, note }) =>
      `${(number ?? '·').padStart(5)}  ${what.padEnd(5)}  ${(local ?? 'no date').padEnd(16)}  ${title}${note === null ? '' : `  [${note}]`}`,
  );
  const found = plan.findings.map(({ rule, severity }) => `${severity}: ${rule}`);
  const parts = [rows.map(({ text }) => text).concat(spare), moments, found].filter(
    (part) => part.length > 0,
  );
  return [head, ...parts.map((part) => `${part.join('\n')}\n`)].join('\n');
}
