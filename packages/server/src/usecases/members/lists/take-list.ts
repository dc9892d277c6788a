/** A class list taken into a course as one act: one transaction under the course's lock, taken once. */
import type { ListCounts, SentRow, TakeList } from '@itinerary/contract';
import { nextPlace, setTableEntry } from '@itinerary/core';
import type { Course, Edit, Group } from '@itinerary/core';
import { addressKey, applyList, reconcile } from '@itinerary/core/people';
import type { AppliedList, ListRow, Reconciliation } from '@itinerary/core/people';
import { randomUUID } from 'node:crypto';
import { byTurn } from '../../../db/locks.ts';
import { announce } from '../../../db/announce.ts';
import { lockedCourse } from '../../../db/kept-courses.ts';
import type { LockedCourse } from '../../../db/kept-courses.ts';
import { MemberListRow, PersonRow } from '../../../db/entities.ts';
import type { Person, StandingBefore, TouchedMember } from '../../../db/entities.ts';
import type { EntityManager } from '../../../db/orm.ts';
import { Failure } from '../../failure.ts';
import { nothingHere } from '../../nothing-here.ts';
import { makeOwnChange } from '../../plan/own-change.ts';
import { claimIn } from './claim.ts';
import { mustKeepInstructor } from './keep-instructor.ts';
import { readRoster, stampOf, writeMember } from './roster-rows.ts';
import type { RosterRows } from './roster-rows.ts';

/** Who takes a list, and when. */
export interface ListTaker {
  readonly em: EntityManager;
  readonly courseId: string;
  readonly person: Person;
  readonly now: string;
}

export async function takeList({ em, courseId, person, now }: ListTaker, list: TakeList): Promise<void> {
  await byTurn(em, courseId, async (inner) => {
    const loaded = await openForMembers(inner, courseId);
    // Sent again, it is taken already.
    if ((await inner.count(MemberListRow, { courseId, id: list.id })) > 0) return;
    const { course } = loaded;
    const standing = await readRoster(inner, course);
    if (stampOf(standing.roster) !== list.stamp) {
      throw new Failure(
        'members_changed',
        'Somebody has changed who is on the course since this list was held against it; look at it once more',
      );
    }
    const choices = new Map(list.choices.map(({ entry, choice }) => [entry, choice]));
    const reading = reconcile(list.rows.map(rowOf), standing.roster, choices);
    const remove = goneAmong(reading, list.remove);
    const accounts = await accountsOf(inner, person.institutionId, list.rows);
    const free = new Map([...accounts].filter(([, account]) => !standing.roster.has(account.id)));
    const applied = applyList(standing.roster, reading, remove, ({ row }) => {
      const account = row.address === null ? undefined : free.get(addressKey(row.address));
      if (account === undefined) return randomUUID();
      // Of two rows with one address, one alone is the account's; they are a conflict before they come here.
      free.delete(addressKey(account.address ?? ''));
      return account.id;
    });
    mustKeepInstructor(applied.roster);
    const made = await makeGroups(inner, loaded, applied, list.id, person, now);
    const byId = new Map([...accounts.values()].map((account) => [account.id, account]));
    const writing = { em: inner, course: made.course, now, institutionId: person.institutionId, standing };
    const before = standingOf(standing, applied);
    for (const { after } of applied.touched) writeMember({ ...writing, accounts: byId }, after);
    await inner.flush();
    await claimIn(inner, courseId, person.institutionId);
    inner.persist(
      inner.create(MemberListRow, {
        courseId,
        id: list.id,
        turn: (await inner.count(MemberListRow, { courseId })) + 1,
        at: now,
        by: person.id,
        source: list.source,
        shape: list.shape,
        counts: countsOf(reading, remove),
        touched: await asTheyAre(inner, made.course, applied, before),
        made: made.ids,
        undoneAt: null,
        undoneBy: null,
      }),
    );
    await announce(inner, { course: courseId, seq: loaded.row.seq });
  });
}

/** The course, locked, where its members may change. */
export async function openForMembers(em: EntityManager, courseId: string): Promise<LockedCourse> {
  const loaded = await lockedCourse(em, courseId);
  if (loaded === null) throw nothingHere();
  if (loaded.course.state === 'archived') {
    throw new Failure(
      'not_allowed',
      'The course is in the archive, where it is only read; take it out first',
    );
  }
  return loaded;
}

const rowOf = (row: SentRow): ListRow => ({
  line: row.line,
  id: row.id ?? null,
  given: row.given ?? null,
  family: row.family ?? null,
  name: row.name ?? null,
  address: row.address ?? null,
  userName: row.userName ?? null,
  class: row.class ?? null,
  role: row.role ?? null,
  group: row.group ?? null,
  doubts: [],
});

/** Whoever is to go must be somebody of whom it was asked. */
function goneAmong({ gone }: Reconciliation, wanted: readonly string[]): ReadonlySet<string> {
  const asked = new Set(gone.map(({ key }) => key));
  const at = wanted.findIndex((key) => !asked.has(key));
  if (at < 0) return new Set(wanted);
  throw new Failure('bad_input', `In the body: remove.${at}`, [
    {
      path: `remove.${at}`,
      value: wanted[at],
      expected: 'a learner whom an earlier list has and this one has not',
    },
  ]);
}

/** Accounts of the institution by the addresses of a list, folded. */
export async function accountsOf(
  em: EntityManager,
  institutionId: string,
  rows: readonly { readonly address?: string | null | undefined }[],
): Promise<ReadonlyMap<string, Person>> {
  const addresses = [
    ...new Set(rows.flatMap(({ address }) => (address == null ? [] : [addressKey(address)]))),
  ];
  if (addresses.length === 0) return new Map();
  const found = await em.execute<{ id: string }[]>(
    `select id from person where institution_id = ? and lower(address) in
       (select jsonb_array_elements_text(?::jsonb))`,
    [institutionId, JSON.stringify(addresses)],
  );
  const people = await em.find(PersonRow, { id: { $in: found.map(({ id }) => id) } });
  return new Map(people.map((one) => [addressKey(one.address ?? ''), one]));
}

/** Before any of them is written. */
function standingOf({ rows }: RosterRows, { touched }: AppliedList): ReadonlyMap<string, StandingBefore> {
  return new Map(
    touched.flatMap(({ after }): [string, StandingBefore][] => {
      const row = rows.get(after.key);
      if (row === undefined) return [];
      return [[after.key, { leftAt: row.leftAt ?? null, leftHow: row.leftHow ?? null, way: row.way }]];
    }),
  );
}

/** Classes and groups that a list names and the course has not: through the course's own edits, as one change of it. */
async function makeGroups(
  em: EntityManager,
  loaded: LockedCourse,
  { touched }: AppliedList,
  id: string,
  author: Person,
  now: string,
): Promise<{ readonly course: Course; readonly ids: string[] }> {
  const { course } = loaded;
  const known = new Set(Object.values(course.groups).map(({ kind, name }) => `${kind} ${name}`));
  const missing: { name: string; kind: Group['kind'] }[] = [];
  for (const { after } of touched) {
    for (const kind of ['class', 'group'] as const) {
      for (const name of kind === 'class' ? after.classes : after.groups) {
        if (known.has(`${kind} ${name}`)) continue;
        known.add(`${kind} ${name}`);
        missing.push({ name, kind });
      }
    }
  }
  if (missing.length === 0) return { course, ids: [] };
  const from = nextPlace(course.groups);
  const made = missing.map((group, at) => ({ id: randomUUID(), group: { ...group, at: from + at } }));
  const edits: Edit[] = made.map((one) => setTableEntry(course, 'groups', one.id, one.group));
  const applied = await makeOwnChange(em, loaded, { id, edits, author: author.id, at: now });
  if (!applied.ok) {
    const { name, kind } = missing[0] as (typeof missing)[number];
    throw new Failure(
      'bad_input',
      `The list names ${missing.length} new classes and groups that cannot be made`,
      [
        {
          path: kind,
          value: name,
          expected: 'a name of at most 200 characters, and at most 200 of them in a course',
        },
      ],
    );
  }
  return { course: applied.course, ids: made.map((one) => one.id) };
}

/** As they are after it: an account says what a list does not. Whom an account has claimed at once is no more as core left them, so that the list is not taken back. */
async function asTheyAre(
  em: EntityManager,
  course: Course,
  { touched }: AppliedList,
  standing: ReadonlyMap<string, StandingBefore>,
): Promise<TouchedMember[]> {
  const { roster } = await readRoster(em.fork({ keepTransactionContext: true }), course);
  return touched.map(({ before, after }) => ({
    before,
    after: roster.get(after.key) ?? after,
    standing: standing.get(after.key) ?? null,
  }));
}

function countsOf({ outcomes }: Reconciliation, remove: ReadonlySet<string>): ListCounts {
  const counts = { added: 0, returning: 0, changed: 0, unchanged: 0, asked: 0, removed: remove.size };
  for (const { kind } of outcomes) {
    if (kind === 'possible' || kind === 'conflict') counts.asked += 1;
    else counts[kind] += 1;
  }
  return counts;
}
