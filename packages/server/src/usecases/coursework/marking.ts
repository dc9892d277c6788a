/** Looking at what was handed in, one after the other, and marking it. Every mark is kept. */
import { randomUUID } from 'node:crypto';
import type { LookedAtAnswer, MarkBody, WorkListAnswer } from '@itinerary/contract';
import { findNode, scoreOf, byName } from '@itinerary/core';
import type { Course, HandedFile } from '@itinerary/core';
import { HandInForRow, HandInRow, MarkFileRow, MarkRow, PersonRow, WorkNoteRow } from '../../db/entities.ts';
import type { HandInRecord } from '../../db/entities/work.ts';
import type { EntityManager } from '../../db/orm.ts';
import type { FileStore } from '../../files/file-store.ts';
import { Failure } from '../failure.ts';
import type { FileToSend } from '../files/files.ts';
import { groupsAmong, listedMembers } from '../members/members.ts';
import { nothingHere } from '../nothing-here.ts';
import { record } from '../progress/record.ts';
import { viewerOf } from '../access/viewer.ts';
import { handedBy, handedFile, sendable, standingMark } from './own-work.ts';
import { plannedWork } from './taken-work.ts';

export async function workList(em: EntityManager, course: Course, itemId: string): Promise<WorkListAnswer> {
  const node = plannedWork(course, itemId, 'assignment');
  const { id, title, total, passAt, audience, namesLeftOut, exampleWords, exampleFile } = node;
  const courseId = course.id;
  const own = await em.find(HandInForRow, { courseId, itemId });
  const rows = await em.find(HandInRow, { courseId, itemId }, { orderBy: { at: 'desc', attempt: 'desc' } });
  const marks = await em.find(MarkRow, { handInId: { $in: rows.map((row) => row.id) } });
  const members = (await listedMembers(em, courseId)).filter(({ role }) => role === 'learner');
  const isFor = (groups: readonly string[]): boolean =>
    audience.length === 0 || audience.some((one) => groups.includes(one));
  const people = members
    .map(({ person, name, groups }) => {
      const mine = own.filter(({ personId }) => personId === person);
      const ids = new Set(mine.map(({ handInId }) => handInId));
      const latest = rows.find((row) => ids.has(row.id));
      const mark =
        latest === undefined ? null : standingMark(marks.filter(({ handInId }) => handInId === latest.id));
      return {
        person,
        name,
        groups: [...groups],
        handIn: latest?.id ?? null,
        at: latest?.at ?? null,
        isLate: mine.some(({ handInId, isLate }) => handInId === latest?.id && isLate),
        attempts: mine.length,
        isMarked: mark !== null,
        points: mark?.points ?? null,
      };
    })
    // Whoever has handed in stays in sight, though it is no longer for them.
    .filter((one) => one.handIn !== null || isFor(one.groups))
    .sort((a, b) => Number(a.handIn === null) - Number(b.handIn === null) || byName(a.name, b.name));
  return {
    item: {
      ...{ id, title, total, passAt, namesLeftOut, exampleWords },
      exampleFile: exampleFile === null ? null : handedFile(exampleFile),
    },
    zone: course.dates.zone,
    groups: groupsAmong(course, members),
    people: namesLeftOut ? withoutNames(people) : people,
  };
}

type Listed = WorkListAnswer['people'][number];

/** What is not marked yet is nobody's, once for each piece of work, in an order that says nothing. */
function withoutNames(people: readonly Listed[]): Listed[] {
  const [open, others] = [true, false].map((is) =>
    people.filter(({ handIn, isMarked }) => (handIn !== null && !isMarked) === is),
  ) as [Listed[], Listed[]];
  const pieces = new Map(open.map((one) => [one.handIn ?? '', one]));
  const nameless = [...pieces].map(([handIn, one]) => ({ ...one, person: handIn, name: null, groups: [] }));
  return [...nameless.sort((a, b) => (a.person < b.person ? -1 : 1)), ...others];
}

const EXTENSION = /\.[a-z0-9]{1,8}$/i;
/** People write their names into those of their files. */
const namelessFile = (name: string, at: number): string => `${at + 1}${EXTENSION.exec(name)?.[0] ?? ''}`;

async function handInOf(em: EntityManager, course: Course, handIn: string): Promise<HandInRecord> {
  const row = await em.findOne(HandInRow, { id: handIn, courseId: course.id });
  if (row === null) throw nothingHere();
  return row;
}

/** Whose it is is not told yet. */
const isNameless = (course: Course, itemId: string, standing: unknown): boolean => {
  const node = findNode(course, itemId)?.node;
  return standing === null && node?.kind === 'assignment' && node.namesLeftOut;
};

export async function lookAtWork(
  em: EntityManager,
  course: Course,
  handIn: string,
  by: string,
): Promise<LookedAtAnswer> {
  const row = await handInOf(em, course, handIn);
  const counts = await em.find(HandInForRow, { handInId: handIn });
  const marks = await em.find(MarkRow, { handInId: handIn }, { orderBy: { at: 'desc', id: 'asc' } });
  const notes = await em.find(WorkNoteRow, { handInId: handIn }, { orderBy: { at: 'asc', id: 'asc' } });
  const said = [...marks, ...notes].map((one) => one.by);
  const ids = [row.personId, ...counts.map(({ personId }) => personId), ...said];
  const names = new Map((await em.find(PersonRow, { id: { $in: ids } })).map(({ id, name }) => [id, name]));
  const nameOf = (id: string): string => names.get(id) ?? '';
  const standing = standingMark(marks);
  const nameless = isNameless(course, row.itemId, standing);
  return {
    id: row.id,
    item: row.itemId,
    attempt: row.attempt,
    at: row.at,
    isLate: counts.some(({ personId, isLate }) => personId === row.personId && isLate),
    hash: row.hash,
    by: counts.length > 1 && !nameless ? nameOf(row.personId) : null,
    text: row.text,
    address: row.address,
    files: row.files.map((file, at) => (nameless ? { ...file, name: namelessFile(file.name, at) } : file)),
    people: nameless
      ? [{ person: handIn, name: null, isLate: counts.some(({ isLate }) => isLate) }]
      : counts
          .map(({ personId, isLate }) => ({ person: personId, name: nameOf(personId), isLate }))
          .sort((a, b) => byName(a.name, b.name)),
    marks: [...(standing === null ? [] : [standing]), ...marks.filter((one) => one !== standing)].map(
      ({ id, points, comment, files, by: who, at }) => ({
        ...{ id, points: points ?? null, comment, files: [...files], by: nameOf(who), at },
      }),
    ),
    notes: notes.map(({ id, text, by: who, at }) => ({
      ...{ id, text, by: nameOf(who), at, isOwn: who === by },
    })),
  };
}

export async function workFile(
  em: EntityManager,
  store: FileStore,
  course: Course,
  handIn: string,
  hash: string,
): Promise<FileToSend> {
  const row = await handInOf(em, course, handIn);
  const marks = await em.find(MarkRow, { handInId: handIn });
  const handed = row.files.findIndex((one) => one.hash === hash);
  const file = row.files[handed] ?? marks.flatMap(({ files }) => files).find((one) => one.hash === hash);
  if (file === undefined) throw nothingHere();
  const nameless = handed !== -1 && isNameless(course, row.itemId, standingMark(marks));
  const name = nameless ? namelessFile(file.name, handed) : file.name;
  return sendable(em, store, course.id, { hash, name });
}

export async function workExample(
  em: EntityManager,
  store: FileStore,
  course: Course,
  itemId: string,
): Promise<FileToSend> {
  const { exampleFile } = plannedWork(course, itemId, 'assignment');
  if (exampleFile === null) throw nothingHere();
  return sendable(em, store, course.id, exampleFile);
}

/** Before a file is taken: there has to be something to give it back with. */
export async function mustBeThere(em: EntityManager, course: Course, handIn: string): Promise<void> {
  await handInOf(em, course, handIn);
}

/** It may go with a mark of this work from now on. */
export async function noteMarkFile(
  em: EntityManager,
  handInId: string,
  file: HandedFile,
  by: string,
  at: string,
): Promise<void> {
  await em.upsert(
    MarkFileRow,
    { handInId, ...file, by, at },
    { onConflictFields: ['handInId', 'hash'], onConflictMergeFields: ['name'] },
  );
}

/** Those that go back with a mark: they went with the one before, or were sent for this work. */
async function filesBack(
  em: EntityManager,
  handInId: string,
  wanted: MarkBody['files'],
  before: readonly HandedFile[],
): Promise<readonly HandedFile[]> {
  const rows = await em.find(MarkFileRow, { handInId, hash: { $in: wanted.map(({ hash }) => hash) } });
  return wanted.map(({ hash, name }, at): HandedFile => {
    const file = [...before, ...rows].find((one) => one.hash === hash);
    if (file !== undefined) return handedFile(file);
    throw new Failure('bad_input', 'One of the files was not sent for this', [
      { path: `files.${at}`, value: name, expected: 'a file that was sent to be given back with it' },
    ]);
  });
}

/** For staff alone; sent again it is the same. */
export async function noteOnWork(
  em: EntityManager,
  course: Course,
  handIn: string,
  { id, text }: { readonly id: string; readonly text: string },
  by: string,
  now: string,
): Promise<void> {
  await handInOf(em, course, handIn);
  const there = await em.findOne(WorkNoteRow, { id });
  if (there !== null && (there.handInId !== handIn || there.by !== by || there.text !== text)) {
    throw new Failure('bad_input', 'That has been noted as something else', [
      { path: 'id', value: id, expected: 'the id of a new note' },
    ]);
  }
  await em.execute(
    `insert into work_note (id, hand_in_id, text, "by", at) values (?, ?, ?, ?, ?) on conflict (id) do nothing`,
    [id, handIn, text, by, now],
  );
}

export async function dropNote(
  em: EntityManager,
  course: Course,
  { handIn, note }: { readonly handIn: string; readonly note: string },
  by: string,
): Promise<void> {
  await handInOf(em, course, handIn);
  const there = await em.findOne(WorkNoteRow, { id: note, handInId: handIn });
  // Taken away twice it is away.
  if (there === null) return;
  if (there.by !== by) throw new Failure('not_allowed', 'This note is somebody else’s');
  await em.nativeDelete(WorkNoteRow, { id: note, by });
}

/** @throws Failure `changed_elsewhere` where somebody else has marked it meanwhile, `bad_input` beyond the total */
export async function markWork(
  em: EntityManager,
  course: Course,
  handIn: string,
  { after, points, comment, files }: MarkBody,
  by: string,
  now: string,
): Promise<void> {
  await em.transactional(async (inner) => {
    await inner.execute('select id from hand_in where id = ? for update', [handIn]);
    const row = await handInOf(inner, course, handIn);
    const { total } = plannedWork(course, row.itemId, 'assignment');
    if (points !== null && (total === null || points > total)) {
      throw new Failure('bad_input', 'So many points cannot be reached', [
        { path: 'points', value: points, expected: total === null ? 'no points' : `at most ${total}` },
      ]);
    }
    const standing = standingMark(await inner.find(MarkRow, { handInId: handIn }));
    if ((standing?.id ?? null) !== after) {
      throw new Failure('changed_elsewhere', 'Somebody else has marked it meanwhile', [
        { path: 'after', value: after, expected: standing?.id ?? 'null' },
      ]);
    }
    const back = await filesBack(inner, handIn, files, standing?.files ?? []);
    inner.persist(
      inner.create(MarkRow, {
        ...{ id: randomUUID(), handInId: handIn, after, points, comment, files: back, by, at: now },
      }),
    );
    await inner.flush();
    // In one order everywhere, so that nobody waits for one who waits for them.
    const counts = await inner.find(HandInForRow, { handInId: handIn }, { orderBy: { personId: 'asc' } });
    for (const { personId } of counts) {
      // A mark of what has been handed in anew since says nothing of where they stand.
      const [latest] = await handedBy(inner, course.id, row.itemId, personId);
      if (latest?.row.id !== handIn) continue;
      const person = await inner.findOneOrFail(PersonRow, { id: personId });
      const viewer = await viewerOf(inner, person, course, now);
      const percent = points === null ? null : scoreOf(points, total);
      const deed = { kind: 'scored', percent, by: 'staff' } as const;
      await record(inner, course, { personId, viewer }, row.itemId, deed, now);
    }
  });
}
