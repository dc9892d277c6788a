/**
 * What becomes done, and what is done no more, by a change of the plan: of one learner, and whether it can come to that
 * at all (docs/semantics.md, Progress).
 */
import { ANY_LEARNER } from '../access/roles.ts';
import type { Viewer } from '../access/roles.ts';
import { planFor } from '../access/plan-for.ts';
import type { Course } from '../course/schema/schema.ts';
import { countingFor } from './counting.ts';
import type { Counting } from './counting.ts';
import type { Done } from '../deeds/done.ts';
import { KEPT, sectionKey, sinceOf } from './ledger.ts';
import type { Ledger } from './ledger.ts';
import type { Reached } from '../deeds/reached.ts';
import { signOf } from './sign.ts';

/** Somebody's course as it counts, and where they stand in it. */
export interface Stand {
  readonly counting: Counting;
  readonly ledger: Ledger;
}

/** Ids of items, then sections, then the course; each in reading order. */
export interface Moves {
  readonly gains: readonly string[];
  readonly loses: readonly string[];
}

/** What was earned and can stay done by being kept: what counts no more cannot. */
export interface Kept {
  /** By item, since when it is done. */
  readonly items: ReadonlyMap<string, number>;
  /** By section, and the course by its own id. */
  readonly reached: ReadonlyMap<string, Reached>;
}

export function movesOf(before: Stand, after: Stand): Moves {
  const was = doneIn(before);
  const is = doneIn(after);
  return {
    gains: [...is].filter((id) => !was.has(id)),
    loses: [...was].filter((id) => !is.has(id)),
  };
}

/** What counts and is done; a section is done also when it has nothing left that counts. */
function doneIn({ counting, ledger }: Stand): ReadonlySet<string> {
  const ids = [
    ...counting.items.filter(({ id }) => ledger.done.has(id)),
    ...counting.sections.filter(({ id }) => ledger.reached.has(id)),
    ...[counting.plan.course].filter(({ id }) => ledger.reached.has(id)),
  ];
  return new Set(ids.map(({ id }) => id));
}

export function keptOf(before: Stand, after: Stand): Kept {
  const { loses } = movesOf(before, after);
  const items = new Map<string, number>();
  const reached = new Map<string, Reached>();
  for (const id of loses) {
    const done: Done | undefined = before.ledger.done.get(id);
    if (done !== undefined && after.counting.indexOf.has(id)) items.set(id, done.since);
    const was = before.ledger.reached.get(id);
    if (was === undefined || !isCounted(after.counting, id)) continue;
    // What it was done by and counts no more is not asked for: only the rest can still be taken back.
    const by = was.by.filter((key) => sinceKept({ items, reached }, after.ledger, key) <= was.since);
    reached.set(id, { ...was, by, rules: KEPT });
  }
  return { items, reached };
}

function sinceKept({ items, reached }: Kept, ledger: Ledger, key: string): number {
  const section = key.startsWith(sectionKey('')) ? key.slice(sectionKey('').length) : null;
  const kept = section === null ? items.get(key) : reached.get(section)?.since;
  return Math.min(kept ?? Infinity, sinceOf(ledger, key));
}

function isCounted({ plan, items, sections, sectionOf }: Counting, id: string): boolean {
  if (id === plan.course.id) return items.length > 0;
  return (sections[sectionOf.get(id) ?? -1]?.items.length ?? 0) > 0;
}

/** Items whose being done is reckoned otherwise in one of them than in the other. */
export function itemsRuledAnew(before: Counting, after: Counting): readonly string[] {
  const signed = ({ ruled }: Counting, id: string): string => {
    const one = ruled.get(id);
    return one === undefined ? '' : signOf([one.rule, one.terms.pass, String(one.terms.tooLate)]);
  };
  const all = new Set([...before.ruled.keys(), ...after.ruled.keys()]);
  return [...all].filter((id) => signed(before, id) !== signed(after, id));
}

/**
 * Whether anybody could be done with more or less by it: where nothing is counted otherwise, nobody has to be asked
 * about. Switching progress off or on takes nothing from anybody.
 */
export function couldMove(before: Course, after: Course): boolean {
  if (!before.progress || !after.progress) return false;
  const whoever: readonly Viewer[] = [
    ANY_LEARNER,
    { ...ANY_LEARNER, groups: Object.keys({ ...before.groups, ...after.groups }) },
  ];
  return whoever.some((viewer) => {
    const [one, other] = [before, after].map((course) =>
      countingFor(planFor(course, viewer), viewer.groups ?? []),
    );
    return one?.sign !== other?.sign;
  });
}
