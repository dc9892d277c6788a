/**
 * A reading of the registry against who is in a course (docs/semantics.md, The registry): who comes, returns, goes, and
 * what is said of them now. What staff have decided by hand stands, and is told.
 */
import type { ListChoicesMade, Question } from '../roster/reconcile.ts';
import { isQuestion, reconcile } from '../roster/reconcile.ts';
import type { MemberChange } from '../roster/changes.ts';
import type { ListRow } from '../lists/list-row.ts';
import type { Roster, RosterMember } from '../roster/roster.ts';
import { isBroken } from './broken-name.ts';
import { compare } from './compare.ts';
import type { ClassNames } from './compare.ts';
import type { FollowedField, Linked, RegistryPerson } from './registry.ts';

export type FollowStep =
  /** `key`: the place they have already, where they wait for a seat. */
  | { readonly kind: 'comes'; readonly person: RegistryPerson; readonly key: string | null }
  | {
      readonly kind: 'returns' | 'stands';
      readonly person: RegistryPerson;
      readonly member: RosterMember;
      readonly changes: readonly MemberChange[];
      readonly kept: readonly FollowedField[];
    }
  /** In no class any more. `stays`: staff brought them in, or the course would have nobody left to lead it. */
  | { readonly kind: 'goes' | 'stays'; readonly linked: Linked; readonly member: RosterMember | null };

export interface Following {
  readonly steps: readonly FollowStep[];
  /** Somebody has to say who is meant. */
  readonly questions: readonly Question[];
  /** Whose name came in pieces: as it came. What was known of them before stands. */
  readonly broken: readonly RegistryPerson[];
  /** So many would go at once that somebody has to say so. */
  readonly held: readonly Linked[];
}

export interface FollowInput {
  readonly roster: Roster;
  /** By the registry's keys. */
  readonly linked: ReadonlyMap<string, Linked>;
  /** Each once. */
  readonly people: readonly RegistryPerson[];
  readonly names: ClassNames;
  /** To earlier questions. */
  readonly choices: ListChoicesMade;
  /** The registry's keys of those of whom somebody has said that they go. */
  readonly mayGo: ReadonlySet<string>;
}

/** From so many on, and so large a part of whom the registry has brought, they are asked for. */
const MANY_GO = 5;
const LARGE_PART = 0.25;

function rowOf({ id, given, family, address, userName, role }: RegistryPerson, line: number): ListRow {
  return {
    line,
    id,
    given,
    family,
    name: null,
    address,
    userName,
    role,
    class: null,
    group: null,
    doubts: [],
  };
}

/** A name in pieces says nothing where a whole one is known. */
function asKnown(person: RegistryPerson, linked: Linked | undefined): RegistryPerson {
  if (linked === undefined) return person;
  const { given, family } = linked.said;
  return { ...person, given, family };
}

const brokenIn = ({ given, family }: RegistryPerson): boolean =>
  isBroken(given ?? '') || isBroken(family ?? '');

function stepOf(
  person: RegistryPerson,
  before: Linked | null,
  member: RosterMember,
  names: ClassNames,
): FollowStep {
  const { changes, kept } = compare(before, person, member, names);
  if (member.state === 'in') return { kind: 'stands', person, member, changes, kept };
  // Staff took them out, or they left, while the registry had them all along: that stands.
  if (before?.isThere === true) {
    return { kind: 'stands', person, member, changes: [], kept: before.staysOut ? [] : ['standing'] };
  }
  return { kind: 'returns', person, member, changes, kept };
}

/** Whom no reading before has brought: found as the rows of a list are, among those whom the registry has not. */
function strangersAmong(
  input: FollowInput,
  people: readonly RegistryPerson[],
): Pick<Following, 'steps' | 'questions'> {
  const linkedKeys = new Set([...input.linked.values()].map(({ key }) => key));
  const others = new Map([...input.roster].filter(([key]) => !linkedKeys.has(key)));
  const rows = people.map((person, at) => rowOf(person, at));
  const { outcomes } = reconcile(rows, others, input.choices);
  const steps: FollowStep[] = [];
  for (const one of outcomes) {
    if (isQuestion(one)) continue;
    const person = people[one.entry.row.line] as RegistryPerson;
    steps.push(
      one.kind === 'added'
        ? { kind: 'comes', person, key: null }
        : stepOf(person, null, one.member, input.names),
    );
  }
  return { steps, questions: outcomes.filter(isQuestion) };
}

/** Those who lead and can sign in: a course keeps one, whatever the registry says. */
type Leaders = Set<RosterMember>;
const leadersOf = (roster: Roster): Leaders =>
  new Set(
    [...roster.values()].filter(
      ({ role, state, isPlace }) => role === 'instructor' && state === 'in' && !isPlace,
    ),
  );

/** The last who leads goes on doing so: what the registry says stands against it, and is told. */
function keepingLeader(step: FollowStep, leaders: Leaders): FollowStep {
  if (step.kind !== 'stands' || !leaders.has(step.member)) return step;
  const isLess = step.changes.some(({ field, to }) => field === 'role' && to !== 'instructor');
  if (!isLess) return step;
  if (leaders.size > 1) {
    leaders.delete(step.member);
    return step;
  }
  const changes = step.changes.filter(({ field }) => field !== 'role');
  return { ...step, changes, kept: [...step.kept, 'role'] };
}

/** Only whom a list or the registry had goes with it; whom staff brought in by hand stays, and so does who leads. */
function leavingOf(
  input: FollowInput,
  leaders: Leaders,
): { readonly leaving: FollowStep[]; readonly held: readonly Linked[] } {
  const there = new Set(input.people.map(({ registry }) => registry));
  const gone = [...input.linked.values()].filter(({ said, isThere }) => isThere && !there.has(said.registry));
  const isIn = ({ key }: Linked): boolean => input.roster.get(key)?.state === 'in';
  const brought = [...input.linked.values()].filter((one) => isIn(one) && one.said.role === 'learner');
  const goes = gone.filter((one) => isIn(one) && input.roster.get(one.key)?.isListed === true);
  const learners = goes.filter(({ said }) => said.role === 'learner');
  const isMany = learners.length >= MANY_GO && learners.length > brought.length * LARGE_PART;
  const held = isMany ? learners.filter(({ said }) => !input.mayGo.has(said.registry)) : [];
  const leaving = gone.flatMap((linked): FollowStep[] => {
    if (held.includes(linked)) return [];
    const member = input.roster.get(linked.key) ?? null;
    const isLeader = member !== null && leaders.has(member);
    const isStaying = member?.state === 'in' && (!member.isListed || (isLeader && leaders.size === 1));
    if (isLeader && !isStaying) leaders.delete(member);
    return [{ kind: isStaying ? 'stays' : 'goes', linked, member }];
  });
  return { leaving, held };
}

export function followRegistry(input: FollowInput): Following {
  const broken = input.people.filter(brokenIn);
  const steps: FollowStep[] = [];
  const strangers: RegistryPerson[] = [];
  for (const person of input.people) {
    const linked = input.linked.get(person.registry);
    const said = brokenIn(person) ? asKnown(person, linked) : person;
    const member = linked === undefined ? undefined : input.roster.get(linked.key);
    if (linked === undefined) strangers.push(said);
    else if (member === undefined) steps.push({ kind: 'comes', person: said, key: linked.key });
    else steps.push(stepOf(said, linked, member, input.names));
  }
  const { steps: first, questions } = strangersAmong(input, strangers);
  const leaders = leadersOf(input.roster);
  const standing = [...steps, ...first].map((step) => keepingLeader(step, leaders));
  const { leaving, held } = leavingOf(input, leaders);
  return { steps: [...standing, ...leaving], questions, broken, held };
}
