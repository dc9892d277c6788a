/**
 * Who gets what, slowly: one person, one moment, one node, asked case by case, with nothing of core's but its
 * types. What the compiled evaluator answers in one walk has to agree with it, state and reason.
 */
import { Temporal } from 'temporal-polyfill';
import type {
  AccessState,
  Condition,
  Course,
  CourseNode,
  Outside,
  PlannedMoment,
  Reason,
  Viewer,
} from '../../src/index.ts';
import { isStaff, inside, clock, theirs } from './slow-own-course.ts';
import { slowMoment } from './slow-moments.ts';
import { firstDayOf, slowPlan } from './slow-planner.ts';
import type { SlowPlan } from './slow-planner.ts';

export interface SlowAnswer {
  readonly state: AccessState;
  readonly because: Reason;
}

type Cap = SlowAnswer | null;

const ORDER: readonly AccessState[] = ['absent', 'named', 'look', 'open'];

const isLeaf = (node: CourseNode): boolean => node.kind !== 'section' && node.kind !== 'folder';

/** What plans and moments depend on, so that the same is not walked day by day again and again. */
class Remembered {
  readonly plans = new Map<string, SlowPlan>();
  readonly moments = new Map<string, ReturnType<typeof slowMoment>>();
}

const remembered = new WeakMap<Course['dates'], Remembered>();

function memoryOf({ dates }: Course): Remembered {
  const known = remembered.get(dates) ?? new Remembered();
  remembered.set(dates, known);
  return known;
}

/** All that the slow planner looks at besides the dates. */
function skeleton(course: Course, joinedOn: string | null): string {
  const joined = course.dates.pace === 'joining' ? joinedOn : null;
  const parts = course.sections.map(({ id, outside, removed, span, pin }) => [
    id,
    outside,
    removed,
    span,
    pin,
  ]);
  return JSON.stringify([joined, parts]);
}

export class SlowAccess {
  readonly #course: Course;
  readonly #who: Viewer;
  readonly #now: number;
  readonly #plan: SlowPlan;
  readonly #key: string;
  #own: SlowAnswer | null = null;
  readonly #joined: string | null;

  constructor(course: Course, who: Viewer, moment: string) {
    this.#now = Date.parse(moment);
    this.#who = who;
    this.#course = theirs(course, who, this.#now);
    const { joinedAt = null } = who;
    this.#joined =
      joinedAt === null
        ? null
        : Temporal.Instant.from(joinedAt).toZonedDateTimeISO(course.dates.zone).toPlainDate().toString();
    this.#key = skeleton(this.#course, this.#joined);
    const { plans } = memoryOf(this.#course);
    this.#plan = plans.get(this.#key) ?? slowPlan(this.#course, this.#joined);
    plans.set(this.#key, this.#plan);
  }

  get sections(): readonly CourseNode[] {
    return this.#course.sections;
  }

  course(): SlowAnswer {
    this.#own ??= this.#ask();
    return this.#own;
  }

  #ask(): SlowAnswer {
    if (isStaff(this.#who)) {
      return this.#course.state === 'archived'
        ? { state: 'look', because: 'course_archived' }
        : { state: 'open', because: 'staff' };
    }
    return first([this.#stateCap(), this.#wayIn(), this.#windowCap()], { state: 'open', because: 'member' });
  }

  /** @param chain the section, the folders and the node itself. */
  node(chain: readonly CourseNode[]): SlowAnswer {
    const last = chain.at(-1) as CourseNode;
    if (isStaff(this.#who)) {
      if (chain.some(({ removed }) => removed)) return { state: 'absent', because: 'removed' };
      return this.course();
    }
    const own = this.course();
    const course: SlowAnswer = own.state === 'named' ? { ...own, state: 'absent' } : own;
    const section = chain[0] as CourseNode;
    const answer = first(
      [
        course,
        ...chain.map((one) => this.#impossible(one)),
        ...chain.map((one) => {
          const cap = this.#closed(one, section);
          return cap?.state === 'named' && one !== last ? { ...cap, state: 'absent' as const } : cap;
        }),
        ...chain.map((one) => this.#over(one, section)),
      ],
      { state: 'open', because: 'member' },
    );
    const isSample =
      this.#who.role === null &&
      this.#state() === 'live' &&
      this.#canFind() &&
      'sample' in last &&
      last.sample &&
      !chain.some(({ removed }) => removed) &&
      this.#shut(last) === null;
    return isSample && answer.state !== 'look' ? { state: 'look', because: 'sample' } : answer;
  }

  #state(): Course['state'] {
    const { state, goesLive, dates } = this.#course;
    return state === 'draft' && goesLive !== null && this.#now >= clock(goesLive, dates.zone)
      ? 'live'
      : state;
  }

  #stateCap(): Cap {
    const state = this.#state();
    if (state === 'draft') return { state: 'absent', because: 'course_draft' };
    return state === 'archived' ? { state: 'look', because: 'course_archived' } : null;
  }

  #canFind(): boolean {
    const { find } = this.#course;
    if (find === 'here') return this.#who.here === true;
    return find === 'anyone';
  }

  #wayIn(): Cap {
    if (this.#who.role === 'visitor') return { state: 'look', because: 'visitor' };
    if (this.#who.role !== null) return null;
    if (!this.#canFind()) return { state: 'absent', because: 'not_a_member' };
    const { visitors } = this.#course;
    if (visitors === 'off') return { state: 'named', because: 'not_a_member' };
    if (visitors === 'passphrase' && this.#who.passphrase !== true) {
      return { state: 'named', because: 'passphrase_wanted' };
    }
    return { state: 'look', because: 'visitor' };
  }

  #windowCap(): Cap {
    const { dates, window } = this.#course;
    const plan = this.#plan;
    const paced = dates.format === 'weeks' || dates.format === 'units';
    const byJoining = paced && dates.pace === 'joining';
    const cap = (side: Outside, because: Reason): Cap =>
      side === 'open' ? null : { state: side === 'closed' ? 'named' : 'look', because };
    const start = (day: string): number =>
      Temporal.PlainDate.from(day).toZonedDateTime(dates.zone).epochMilliseconds;
    const firstDay = firstDayOf(dates);
    if (firstDay !== null && this.#now < start(firstDay)) return cap(window.before, 'before_dates');
    if (plan.lastDay === null || (byJoining ? this.#joined === null : dates.ends === 'weeks')) return null;
    const next = Temporal.PlainDate.from(plan.lastDay).add({ days: 1 }).toString();
    const end =
      byJoining || dates.lastTime === null
        ? start(next)
        : clock({ day: plan.lastDay, time: dates.lastTime }, dates.zone) + 60_000;
    return this.#now >= end ? cap(window.after, 'after_dates') : null;
  }

  #shut(node: CourseNode): Cap {
    const { dates } = this.#course;
    const absent = (because: Reason): SlowAnswer => ({ state: 'absent', because });
    if (node.removed) return absent('removed');
    if (!node.shown) return absent(node.kind === 'section' ? 'section_not_shown' : 'item_not_shown');
    if (node.staffOnly) return absent('staff_only');
    if (dates.format === 'item' && isLeaf(node) && dates.around !== node.id) return absent('kept_aside');
    return null;
  }

  #impossible(node: CourseNode): Cap {
    const shut = this.#shut(node);
    if (shut !== null || node.audience.length === 0) return shut;
    const groups = this.#who.groups ?? [];
    return node.audience.some((id) => groups.includes(id))
      ? null
      : { state: 'absent', because: 'other_audience' };
  }

  #closed(node: CourseNode, section: CourseNode): Cap {
    if (node.removed) return null;
    const parts: number[] = [];
    if (node.opens !== null) parts.push(this.#from(node.opens, section) ?? -Infinity);
    if (node.rule !== null) parts.push(this.#met(node.rule.when, node, section) ?? -Infinity);
    if (isLeaf(node) && node.kind !== 'heading') {
      const isInSection = section.kind === 'section' && section.inOrder;
      if (this.#course.inOrder) parts.push(this.#afterBefore(node, null));
      else if (isInSection) parts.push(this.#afterBefore(node, section));
    }
    const met = Math.max(-Infinity, ...parts);
    if (met <= this.#now) return null;
    const name = node.closed ?? this.#course.closed;
    return { state: name === 'name' ? 'named' : 'absent', because: met === Infinity ? 'waiting' : 'not_yet' };
  }

  #over(node: CourseNode, section: CourseNode): Cap {
    if (node.removed || node.rule === null || node.rule.until === null) return null;
    const at = this.#moment(node.rule.until, 'until', section);
    if (typeof at === 'string') return null;
    const next = Temporal.PlainDate.from(at.day).add({ days: 1 });
    const end =
      at.time === null
        ? next.toZonedDateTime(this.#course.dates.zone).epochMilliseconds
        : at.instant + 60_000;
    return this.#now >= end ? { state: node.rule.then, because: 'over' } : null;
  }

  /** Null: it has no date, and says nothing. */
  #from(moment: PlannedMoment, section: CourseNode): number | null {
    const at = this.#moment(moment, 'opens', section);
    return typeof at === 'string' ? null : at.instant;
  }

  #moment(moment: PlannedMoment, use: 'opens' | 'until', { id }: CourseNode): ReturnType<typeof slowMoment> {
    const find = (): ReturnType<typeof slowMoment> =>
      slowMoment(this.#course, this.#plan, moment, use, id, this.#joined);
    // What is measured from other work depends on that work as well.
    if (moment.kind === 'relative' && moment.anchor.of === 'due') return find();
    const key = JSON.stringify([this.#key, this.#joined, moment, use, id]);
    const { moments } = memoryOf(this.#course);
    const at = moments.get(key) ?? find();
    moments.set(key, at);
    return at;
  }

  #met(condition: Condition, node: CourseNode, section: CourseNode): number | null {
    const deeds = this.#who.deeds ?? { done: new Set(), scores: new Map(), courses: new Set() };
    const when = (met: boolean): number => (met ? -Infinity : Infinity);
    switch (condition.kind) {
      case 'from':
        return this.#from(condition.moment, section);
      case 'before':
        return this.#afterBefore(node, null);
      case 'done':
        return when(condition.items.every((id) => deeds.done.has(id)));
      case 'scored': {
        const score = deeds.scores.get(condition.item);
        return when(score !== undefined && score >= condition.least);
      }
      case 'course':
        return when(deeds.courses.has(condition.course));
      default: {
        const said = condition.of.map((one) => this.#met(one, node, section)).filter((one) => one !== null);
        if (condition.of.length === 0) return -Infinity;
        if (said.length === 0) return null;
        return condition.kind === 'all' ? Math.max(...said) : Math.min(...said);
      }
    }
  }

  /** Everything that stands before the node, in the course or in one section: is the last that counts done? */
  #afterBefore(node: CourseNode, within: CourseNode | null): number {
    const done = this.#who.deeds?.done ?? new Set<string>();
    let last: string | null = null;
    const visit = (nodes: readonly CourseNode[], chain: readonly CourseNode[]): boolean => {
      for (const one of nodes) {
        if (one.id === node.id) return true;
        const way = [...chain, one];
        const counts =
          'done' in one && one.done !== null && way.every((each) => this.#impossible(each) === null);
        if (counts && (within === null || way[0] === within)) last = one.id;
        if (visit(inside(one), way)) return true;
      }
      return false;
    };
    visit(this.#course.sections, []);
    return last === null || done.has(last) ? -Infinity : Infinity;
  }
}

function first(caps: readonly Cap[], otherwise: SlowAnswer): SlowAnswer {
  let low: SlowAnswer | null = null;
  for (const cap of caps) {
    if (cap !== null && (low === null || ORDER.indexOf(cap.state) < ORDER.indexOf(low.state))) low = cap;
  }
  return low ?? otherwise;
}
