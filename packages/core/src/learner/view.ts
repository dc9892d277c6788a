/**
 * A course as one person gets it: resolved, numbered, dated, without rules. The server answers learners with
 * it, and the setup workspace shows the same value beside the stop being worked on.
 */
import type { Item } from '../course/schema/items-schema.ts';
import type { Course, CourseNode } from '../course/schema/schema.ts';
import { canSee, isReadable, isThere } from '../access/answer.ts';
import type { AccessState, Answer } from '../access/answer.ts';
import { ownPlan, resolveAccess } from '../access/resolve.ts';
import type { Access } from '../access/resolve.ts';
import { allLivingItems, findNode } from '../course/tree.ts';
import { NOTHING_DONE } from '../access/roles.ts';
import type { Viewer } from '../access/roles.ts';
import { termsOf } from '../coursework/terms.ts';
import { doneBy, standingTo } from '../deeds/done.ts';
import { NO_FACTS_YET } from '../deeds/facts.ts';
import { countingFor } from '../progress/counting.ts';
import { sharesOf } from '../progress/progress.ts';
import { namedPauses } from '../calendar/course-plan.ts';
import type { CoursePlan, SectionPlan } from '../calendar/course-plan.ts';
import type { NodeMoments } from '../calendar/node-moments.ts';
import { momentIn } from '../calendar/plan.ts';
import type { Moment } from '../calendar/plan.ts';
import { momentView } from '../views/moment-view.ts';
import { waitsOf } from './waits.ts';
import type { WaitReader } from './waits.ts';
import { told } from '../views/course-view.ts';
import type { CourseView, DoneView, ItemView, PauseView, SectionView } from '../views/course-view.ts';
import { isHolder } from '../course/tree.ts';

interface Reader extends WaitReader {
  readonly section: SectionPlan;
}

/**
 * Null when the course is absent for this person: the same as one that does not exist.
 *
 * @param hint a plan of this course; taken where it is this person's.
 */
export function courseView(
  course: Course,
  viewer: Viewer,
  moment: string,
  hint: CoursePlan | null = null,
): CourseView | null {
  const plan = ownPlan(course, viewer, Date.parse(moment), hint);
  const access = resolveAccess(course, viewer, moment, plan);
  if (!isThere(access.course)) return null;
  const now = momentIn(plan, course.dates.zone, moment);
  const seen = plan.sections.filter(({ id }) => stateOf(access, id) !== 'absent');
  const reader = { plan, access, viewer, at: Date.parse(moment) };
  const sections = seen.map((section) => sectionView({ ...reader, section }, now));
  const isAround = course.dates.format === 'item';
  return {
    ...told(course),
    access: access.course.state,
    opens: opensOf(access.course),
    format: course.dates.format,
    pace: course.dates.pace,
    firstDay: plan.firstDay,
    lastDay: plan.lastDay,
    lastTime: course.dates.lastTime,
    zone: course.dates.zone,
    event: course.dates.event,
    now,
    sections: isAround ? [] : sections,
    pauses: isReadable(access.course.state) ? pausesOf(plan, seen) : [],
    samples: viewer.role === null ? samplesOf(plan, reader) : [],
    isOver: access.course.because === 'after_dates' && access.course.state === 'named',
    asks: access.course.because === 'passphrase_wanted' ? 'passphrase' : null,
    outcomes: Object.values(course.outcomes)
      .sort((a, b) => a.at - b.at)
      .map(({ text }) => text),
    around: isAround ? (findView(sections, course.dates.around) ?? null) : null,
    // What is read before the item is a part of the course, as the item is.
    introduction: isAround && isReadable(access.course.state) ? course.introduction : null,
  };
}

function opensOf({ state, opensAt }: Answer): string | null {
  return state !== 'named' || opensAt === undefined ? null : new Date(opensAt).toISOString();
}

function stateOf(access: Access, id: string): AccessState {
  return access.nodes.get(id)?.state ?? 'absent';
}

/** Whether a reader finds it in the lists: it may also be there for its address alone. */
function isListed(item: Item): boolean {
  return !('listed' in item) || item.listed;
}

function samplesOf(plan: CoursePlan, reader: WaitReader): readonly ItemView[] {
  return plan.sections.flatMap((section) =>
    allLivingItems(section.section)
      .filter(({ id }) => reader.access.nodes.get(id)?.because === 'sample')
      .map((item) => itemView(item, { ...reader, section })),
  );
}

/**
 * An item that stands in no list, for whoever has its address; null where they do not get it.
 *
 * @param hint a plan of this course; taken where it is this person's.
 */
export function unlistedItem(
  course: Course,
  viewer: Viewer,
  moment: string,
  id: string,
  hint: CoursePlan | null = null,
): ItemView | null {
  const at = Date.parse(moment);
  const plan = ownPlan(course, viewer, at, hint);
  const access = resolveAccess(course, viewer, moment, plan);
  const place = findNode(plan.course, id);
  const section = plan.sections.find((one) => one.id === place?.above[0]?.id);
  if (place === null || section === undefined || place.node.kind === 'section') return null;
  if (!canSee(access.nodes.get(id))) return null;
  return itemView(place.node, { plan, access, viewer, at, section });
}

function sectionView(reader: Reader, now: Moment): SectionView {
  const { access, section: planned } = reader;
  const { section, span, number } = planned;
  const slot = span.kind === 'slot' ? span.slot : null;
  const state = stateOf(access, section.id);
  return {
    id: section.id,
    number,
    title: section.title,
    summary: section.summary,
    accent: section.accent,
    days: slot === null ? null : { first: slot.first, last: slot.last },
    own: span.kind === 'own' ? { first: span.own.firstOwn, last: span.own.lastOwn } : null,
    meeting: slot?.meeting ?? null,
    current: slot !== null && now.kind === 'slot' && now.number === slot.number,
    done: state === 'named' ? null : sectionDone(section.id, reader),
    ...(state === 'named' ? openingOf(section, reader) : NO_OPENING),
    state,
    items: itemViews(section.items, reader),
  };
}

function sectionDone(id: string, { viewer, plan }: Reader): SectionView['done'] {
  const { progress, marksShown } = plan.course;
  if (!progress || !marksShown || viewer.role !== 'learner') return null;
  const { sections, sectionOf, items } = countingFor(plan, viewer.groups ?? []);
  const { done, reached } = viewer.deeds ?? NOTHING_DONE;
  const own = (sections[sectionOf.get(id) ?? -1]?.items ?? []).flatMap((at) => items[at] ?? []);
  const share = sharesOf(own, (item) => done.has(item.id)).items;
  return share === null ? null : { ...share, isDone: reached?.has(id) === true };
}

function itemViews(items: readonly Item[], reader: Reader): readonly ItemView[] {
  return items
    .filter((item) => stateOf(reader.access, item.id) !== 'absent' && isListed(item))
    .map((item) => itemView(item, reader));
}

const NONE: NodeMoments = {};

function itemView(item: Item, reader: Reader): ItemView {
  const { access, section } = reader;
  const state = stateOf(access, item.id);
  const { due, held, until } = section.moments.get(item.id) ?? NONE;
  // Of what is only named, nothing but its name and its opening is told.
  const isOpen = state !== 'named';
  return {
    id: item.id,
    kind: item.kind,
    number: section.numbers.get(item.id) ?? null,
    title: item.title,
    summary: item.summaryShown && isOpen ? item.summary : null,
    minutes: isOpen && 'minutes' in item ? item.minutes : null,
    address: isOpen && 'address' in item ? item.address : null,
    file: isOpen && 'file' in item ? item.file : null,
    seconds: isOpen && 'seconds' in item ? item.seconds : null,
    place: isOpen && 'held' in item ? placeOf(item.place, section) : null,
    due: isOpen ? momentView(due) : null,
    held: isOpen ? momentView(held) : null,
    ...(isOpen ? NO_OPENING : openingOf(item, reader)),
    until: state === 'open' ? momentView(until) : null,
    done: isOpen ? doneView(item, reader) : null,
    accent: 'accent' in item ? item.accent : null,
    state,
    items: isHolder(item) ? itemViews(item.items, reader) : [],
  };
}

type Opening = Pick<ItemView, 'opens' | 'waits'>;
const NO_OPENING: Opening = { opens: null, waits: null };

/** One moment alone is told as such, wherever it comes from. */
function openingOf(node: CourseNode, reader: Reader): Opening {
  const moments = reader.section.moments.get(node.id) ?? NONE;
  const waits = waitsOf(node, moments, reader);
  if (waits?.kind === 'from') return { opens: waits.moment, waits: null };
  return { opens: momentView(moments.opens), waits };
}

function doneView(item: Item, { viewer, plan, section }: Reader): DoneView | null {
  if (!plan.course.progress || !('done' in item) || item.done === null) return null;
  const { facts, done, since } = viewer.deeds ?? NOTHING_DONE;
  const terms = termsOf(item, section.moments.get(item.id) ?? NONE);
  const own = facts?.get(item.id) ?? NO_FACTS_YET;
  const standing = standingTo(item.done, own, terms);
  const at = since?.get(item.id);
  return {
    match: standing.match,
    conditions: standing.conditions.map(({ by, since: met, wants, has }) => ({
      ...{ by, wants, has },
      isMet: met !== null,
    })),
    isShown: plan.course.marksShown,
    isTicked: own.ticked !== undefined,
    isDone: done.has(item.id),
    since: at === undefined || !Number.isFinite(at) ? null : new Date(at).toISOString(),
    by: done.has(item.id) ? doneBy(item.done, own, terms).by : null,
    byThen: momentView(section.moments.get(item.id)?.byThen),
  };
}

function placeOf(own: string | null, { span }: SectionPlan): string | null {
  return own ?? (span.kind === 'slot' ? (span.slot.meeting?.place ?? null) : null);
}

function findView(sections: readonly SectionView[], id: string | null): ItemView | undefined {
  const within = (items: readonly ItemView[]): ItemView | undefined => {
    for (const item of items) {
      const found = item.id === id ? item : within(item.items);
      if (found !== undefined) return found;
    }
    return undefined;
  };
  return sections.map(({ items }) => within(items)).find((found) => found !== undefined);
}

function pausesOf(plan: CoursePlan, seen: readonly SectionPlan[]): readonly PauseView[] {
  return namedPauses(plan).map(({ name, number, first, last }) => {
    const next = seen.find(({ span }) => span.kind === 'slot' && span.slot.first > first);
    return { name, number, first, last, before: next?.id ?? null };
  });
}
