/** Threads and posts as somebody reads them. */
import { likened, byName } from '@itinerary/core';
import { POSTS_A_PAGE } from '@itinerary/contract';
import type { TalkAnswer, ThreadAnswer, WhoPosted } from '@itinerary/contract';
import type { Course } from '@itinerary/core';
import { MemberRow, PostRow, ThreadFollowRow, ThreadReadRow, ThreadRow } from '../../../db/entities.ts';
import type { EntityManager } from '../../../db/orm.ts';
import type { PostRecord, ThreadRecord } from '../../../db/entities/talk.ts';
import type { FileStore } from '../../../files/file-store.ts';
import type { FileToSend } from '../../files/files.ts';
import { FOLDED } from '../../../text/read-texts.ts';
import { listedMembers } from '../../members/members.ts';
import { namesTold } from '../../members/names-told.ts';
import { nothingHere } from '../../nothing-here.ts';
import { sendable } from '../own-work.ts';
import { inThread, talkingIn } from './talking.ts';
import type { Talker, Talking } from './talking.ts';

/** More threads than anybody reads: they are found by a word. */
const MOST_THREADS = 200;

export async function talk(
  em: EntityManager,
  talker: Talker,
  itemId: string,
  find: string,
  now: string,
): Promise<TalkAnswer> {
  const talking = await talkingIn(em, talker, itemId, now);
  const { course, node, mayLead, mayPost, mustPost } = talking;
  const rows = await em.find(
    ThreadRow,
    { courseId: course.id, itemId },
    { orderBy: { pinned: 'desc', lastAt: 'desc', id: 'asc' } },
  );
  const seen = rows.filter((row) => isSeen(talking, row));
  const found = find === '' ? seen : await holding(em, seen, find, talking);
  const shown = found.slice(0, MOST_THREADS);
  const names = await namesTold(em, course, talker, [...new Set(shown.map(({ authorId }) => authorId))]);
  const read = await readUpTo(em, talking, shown);
  const followed = await followedOf(em, talking, shown);
  return {
    threads: shown.map((row) =>
      threadOf(talking, row, names, { read: read.get(row.id) ?? 0, isFollowed: followed.has(row.id) }),
    ),
    more: found.length > shown.length,
    mayStart: mayPost && (mayLead || node.starts === 'everybody'),
    mustPost,
    shut: node.shut,
    mayLead,
    mayAttach: node.mayAttach,
    zone: course.dates.zone,
  };
}

/** Before they have posted, learners see what staff and they themselves have begun. */
function isSeen(talking: Talking, row: ThreadRecord): boolean {
  if (inThread(talking, row) === 'nothing') return false;
  return !talking.mustPost || row.byStaff || row.authorId === talking.person?.id;
}

/** Those with the word in their title, or in a post that is shown. */
async function holding(
  em: EntityManager,
  rows: readonly ThreadRecord[],
  find: string,
  { mustPost }: Talking,
): Promise<readonly ThreadRecord[]> {
  const word = likened(find, FOLDED);
  const within = mustPost
    ? []
    : await em.execute<{ thread_id: string }[]>(
        `select distinct thread_id from post where thread_id in (select id from thread where course_id = ? and item_id = ?)
           and removed_at is null and position(? in plain) > 0`,
        [rows[0]?.courseId ?? '', rows[0]?.itemId ?? '', word],
      );
  const ids = new Set(within.map(({ thread_id: id }) => id));
  return rows.filter(({ id, title }) => ids.has(id) || likened(title, FOLDED).includes(word));
}

/** The last post of each that this person has read, by the thread's id. */
export async function readUpTo(
  em: EntityManager,
  { person }: Talker,
  rows: readonly ThreadRecord[],
): Promise<ReadonlyMap<string, number>> {
  const read = await em.find(ThreadReadRow, {
    personId: person?.id ?? '',
    threadId: { $in: rows.map(({ id }) => id) },
  });
  return new Map(read.map(({ threadId, number }) => [threadId, number]));
}

function threadOf(
  { course, person, mustPost }: Talking,
  row: ThreadRecord,
  names: ReadonlyMap<string, string>,
  { read, isFollowed }: { readonly read: number; readonly isFollowed: boolean },
): TalkAnswer['threads'][number] {
  const [group] = row.groupIds;
  return {
    id: row.id,
    title: row.title,
    author: names.get(row.authorId) ?? null,
    isOwn: row.authorId === person?.id,
    at: row.at,
    lastAt: row.lastAt,
    posts: mustPost ? null : row.posts,
    unread: mustPost ? 0 : Math.max(0, row.posts - read),
    pinned: row.pinned,
    closed: row.closed,
    isAnswered: row.answerId != null,
    group: group === undefined ? null : (course.groups[group]?.name ?? ''),
    isFollowed,
  };
}

async function followedOf(
  em: EntityManager,
  { person }: Talking,
  rows: readonly ThreadRecord[],
): Promise<ReadonlySet<string>> {
  const own = { personId: person?.id ?? '', threadId: { $in: rows.map(({ id }) => id) } };
  return new Set((await em.find(ThreadFollowRow, own)).map(({ threadId }) => threadId));
}

/** @throws Failure `not_found` for one that this person does not get */
export async function threadFor(em: EntityManager, talking: Talking, id: string): Promise<ThreadRecord> {
  const { course, node } = talking;
  const row = await em.findOne(ThreadRow, { id, courseId: course.id, itemId: node.id });
  if (row === null || !isSeen(talking, row)) throw nothingHere();
  return row;
}

export async function readThread(
  em: EntityManager,
  talker: Talker,
  { itemId, threadId }: { readonly itemId: string; readonly threadId: string },
  after: number,
  now: string,
): Promise<ThreadAnswer> {
  const talking = await talkingIn(em, talker, itemId, now);
  const { course, node, person, mayLead, mayPost, mustPost } = talking;
  const row = await threadFor(em, talking, threadId);
  // Before they have posted, learners get what the thread begins with, and their own words.
  const most = mustPost ? 1 : POSTS_A_PAGE;
  const posts = await em.find(
    PostRow,
    { threadId, number: { $gt: mustPost ? 0 : after } },
    { orderBy: { number: 'asc' }, limit: most },
  );
  const authors = [...new Set([row.authorId, ...posts.map(({ authorId }) => authorId)])];
  const names = await namesTold(em, course, talker, authors);
  const roles = await em.find(MemberRow, { courseId: course.id, personId: { $in: authors } });
  const staff = new Set(roles.filter(({ role }) => role !== 'learner').map(({ personId }) => personId));
  const read = (await readUpTo(em, talking, [row])).get(threadId) ?? 0;
  const last = posts.at(-1)?.number ?? 0;
  if (person !== null && !mustPost && last > read) await noteRead(em, threadId, person.id, last);
  const isPostable = mayPost && !row.closed && inThread(talking, row) === 'work';
  return {
    ...threadOf(talking, row, names, {
      read: Math.max(read, last),
      isFollowed: (await followedOf(em, talking, [row])).has(threadId),
    }),
    page: posts.map((post) => postOf({ talking, row, names, staff, isPostable }, post)),
    count: mustPost ? posts.length : row.posts,
    mayPost: isPostable || (mayPost && mayLead),
    mustPost,
    mayLead,
    mayAnswer: mayLead || (row.authorId === person?.id && mayPost),
    mayAttach: node.mayAttach,
    zone: course.dates.zone,
  };
}

/** From where to read on, so that this post comes first. */
export async function beforePost(em: EntityManager, id: string): Promise<number> {
  const post = await em.findOne(PostRow, { id });
  return (post?.number ?? 1) - 1;
}

interface Showing {
  readonly talking: Talking;
  readonly row: ThreadRecord;
  readonly names: ReadonlyMap<string, string>;
  readonly staff: ReadonlySet<string>;
  readonly isPostable: boolean;
}

function postOf(
  { talking, row, names, staff, isPostable }: Showing,
  post: PostRecord,
): ThreadAnswer['page'][number] {
  const { node, person, mayLead } = talking;
  const isOwn = post.authorId === person?.id;
  const isRemoved = post.removedAt != null;
  const mayTouch = isOwn && isPostable && (mayLead || node.ownEdits) && !isRemoved;
  return {
    id: post.id,
    number: post.number,
    author: names.get(post.authorId) ?? null,
    isOwn,
    isStaff: staff.has(post.authorId),
    at: post.at,
    html: isRemoved && !mayLead ? '' : post.html,
    editedAt: post.editedAt ?? null,
    isRemoved,
    answers: post.answers ?? null,
    isAnswer: row.answerId === post.id,
    files: isRemoved && !mayLead ? [] : [...post.files],
    mayChange: mayTouch,
    mayRemove: mayTouch || (mayLead && !isRemoved),
  };
}

/** A file of a post that this person is shown. @throws Failure `not_found` for any other */
export async function postFile(
  em: EntityManager,
  store: FileStore,
  talker: Talker,
  { itemId, threadId, postId, hash }: PostFile,
  now: string,
): Promise<FileToSend> {
  const talking = await talkingIn(em, talker, itemId, now);
  const row = await threadFor(em, talking, threadId);
  const post = await em.findOne(PostRow, { id: postId, threadId: row.id });
  const isShown =
    post !== null &&
    (talking.mayLead || (post.removedAt == null && (!talking.mustPost || post.number === 1)));
  const file = isShown ? post.files.find((one) => one.hash === hash) : undefined;
  if (file === undefined) throw nothingHere();
  return sendable(em, store, talker.course.id, file);
}

interface PostFile {
  readonly itemId: string;
  readonly threadId: string;
  readonly postId: string;
  readonly hash: string;
}

/** Never backwards, whichever window was later. */
export async function noteRead(
  em: EntityManager,
  threadId: string,
  personId: string,
  number: number,
): Promise<void> {
  await em.execute(
    `insert into thread_read (thread_id, person_id, number) values (?, ?, ?)
     on conflict (thread_id, person_id) do update set number = greatest(thread_read.number, excluded.number)`,
    [threadId, personId, number],
  );
}

export async function whoPosted(em: EntityManager, course: Course, itemId: string): Promise<WhoPosted> {
  const counts = await em.execute<{ author_id: string; posts: string; last_at: string }[]>(
    `select author_id, count(*) as posts, max(at) as last_at from post
       where course_id = ? and item_id = ? and removed_at is null group by author_id`,
    [course.id, itemId],
  );
  const by = new Map(counts.map((one) => [one.author_id, one]));
  const members = (await listedMembers(em, course.id)).filter(({ role }) => role === 'learner');
  return {
    zone: course.dates.zone,
    people: members
      .map(({ person, name, groups }) => ({
        person,
        name,
        groups: [...groups],
        posts: Number(by.get(person)?.posts ?? 0),
        lastAt: by.get(person)?.last_at ?? null,
      }))
      // Whoever has not posted is whom one looks for.
      .sort((a, b) => Number(a.posts > 0) - Number(b.posts > 0) || byName(a.name, b.name)),
  };
}
