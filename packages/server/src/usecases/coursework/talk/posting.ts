/** Posting: under the thread's lock, so that every post has its number, once, however often it is sent. */
import type { LeadThread } from '@itinerary/contract';
import { likened } from '@itinerary/core';
import { PersonRow, PostBeforeRow, PostRow, ThreadRow } from '../../../db/entities.ts';
import type { EntityManager } from '../../../db/orm.ts';
import type { PostRecord } from '../../../db/entities/talk.ts';
import type { Cleaning } from '../../../text/cleaning.ts';
import { plainText } from '../../../text/plain-text.ts';
import { FOLDED } from '../../../text/read-texts.ts';
import { hashText } from '../../../text/rich-text.ts';
import { viewerOf } from '../../access/viewer.ts';
import { Failure } from '../../failure.ts';
import { paceOf } from '../../pace.ts';
import { nothingHere } from '../../nothing-here.ts';
import { admitTexts } from '../../plan/new-texts.ts';
import { record } from '../../progress/record.ts';
import { mustBeWords } from '../../reading/page-words.ts';
import { lockWork } from '../draft.ts';
import { filesOfPlace, forgetDraft, mustAttach } from './drafts.ts';
import { follow, tellFollowers } from './following.ts';
import { noteRead, threadFor } from './reading.ts';
import { groupsOfNew, inThread, notPosted, talkingIn } from './talking.ts';
import type { Talker, Talking } from './talking.ts';

/** As many in so long a time: nobody has more to say that others should read. */
const POSTS = paceOf(20, 5, 'posts');
const MOST_POSTS = 20_000;

interface Words {
  readonly html: string;
  readonly plain: string;
}

/** Sanitised by the same allow list as every text. @throws Failure `bad_input` where nothing is said, or more than words */
async function wordsOf(cleaning: Cleaning, html: string): Promise<Words> {
  mustBeWords(html);
  const hash = hashText(html);
  const { renamed, kept } = await admitTexts(cleaning, { [hash]: html });
  const clean = kept.get(renamed.get(hash) ?? hash) ?? '';
  const plain = plainText(clean);
  if (plain === '') {
    throw new Failure('bad_input', 'There are no words in it', [
      { path: 'html', value: html.slice(0, 200), expected: 'some words' },
    ]);
  }
  return { html: clean, plain: likened(plain, FOLDED) };
}

async function mustNotHurry(em: EntityManager, talking: Talking, now: string): Promise<void> {
  const { course, node, person } = talking;
  const key = { courseId: course.id, itemId: node.id, authorId: person?.id ?? '' };
  const recent = await em.find(
    PostRow,
    { ...key, at: { $gt: POSTS.since(now) } },
    { orderBy: { at: 'asc' }, fields: ['at'] },
  );
  POSTS.mustNotHurry(recent, now);
}

interface Posting {
  readonly em: EntityManager;
  readonly cleaning: Cleaning;
  readonly talker: Talker;
  readonly itemId: string;
  readonly now: string;
}

/** Sent again, it is there: whose it is and where, it has to be the same. */
async function isThere(
  em: EntityManager,
  { course, node, person }: Talking,
  post: string,
  thread: string,
): Promise<boolean> {
  const there = await em.findOne(PostRow, { id: post });
  if (there === null) return false;
  const isSame = there.authorId === person?.id && there.threadId === thread;
  if (!isSame || there.courseId !== course.id || there.itemId !== node.id)
    throw notPosted('known', 'That has been posted as something else');
  return true;
}

export async function startThread(
  { em, cleaning, talker, itemId, now }: Posting,
  {
    id,
    post,
    title,
    html,
    files,
  }: {
    readonly id: string;
    readonly post: string;
    readonly title: string;
    readonly html: string;
    readonly files: readonly string[];
  },
): Promise<void> {
  const talking = await talkingIn(em, talker, itemId, now);
  const { course, node, person, mayPost, mayLead } = talking;
  if (await isThere(em, talking, post, id)) return;
  if (!mayPost) throw notPosted('shut', 'Nothing is posted here now');
  if (!mayLead && node.starts !== 'everybody') throw notPosted('starts', 'Staff begin the threads here');
  if (files.length > 0) mustAttach(talking);
  // Whoever hurries is told so before their words are looked through, and again where they are counted.
  await mustNotHurry(em, talking, now);
  const words = await wordsOf(cleaning, html);
  const authorId = person?.id ?? '';
  await em.fork().transactional(async (inner) => {
    // Whoever posts twice in one moment is counted one after the other.
    await lockWork(inner, course.id, authorId, itemId);
    if (await isThere(inner, talking, post, id)) return;
    await mustNotHurry(inner, talking, now);
    const where = { courseId: course.id, itemId };
    const begun = { ...where, personId: authorId, place: 'new' };
    const named = await filesOfPlace(inner, begun, files);
    const key = { ...where, authorId, at: now };
    if ((await inner.findOne(ThreadRow, { id })) !== null)
      throw notPosted('known', 'That has been posted as something else');
    inner.persist(
      inner.create(ThreadRow, {
        ...{ ...key, id, title, byStaff: mayLead, lastAt: now, posts: 1, groupIds: groupsOfNew(talking) },
        ...{ pinned: false, closed: false },
      }),
    );
    inner.persist(
      inner.create(PostRow, { ...key, ...words, files: named, id: post, threadId: id, number: 1 }),
    );
    await inner.flush();
    await forgetDraft(inner, begun);
    // Whoever asks wants to know what is answered.
    await follow(inner, id, authorId, 1);
    await counted(inner, talking, { threadId: id, number: 1 }, now);
  });
}

/** It counts as done, and what one has said oneself is read. */
async function counted(
  em: EntityManager,
  { course, viewer, node, person }: Talking,
  { threadId, number }: Pick<PostRecord, 'threadId' | 'number'>,
  now: string,
): Promise<void> {
  if (person === null) return;
  await noteRead(em, threadId, person.id, number);
  if (viewer.role !== 'learner') return;
  const deed = { kind: number === 1 ? 'posted' : 'replied' } as const;
  await record(em, course, { personId: person.id, viewer }, node.id, deed, now);
}

export async function addPost(
  { em, cleaning, talker, itemId, now }: Posting,
  threadId: string,
  {
    id,
    html,
    answers,
    files,
  }: {
    readonly id: string;
    readonly html: string;
    readonly answers: string | null;
    readonly files: readonly string[];
  },
): Promise<void> {
  const talking = await talkingIn(em, talker, itemId, now);
  const row = await threadFor(em, talking, threadId);
  if (await isThere(em, talking, id, threadId)) return;
  const { course, person, mayPost, mayLead } = talking;
  if (!mayPost || inThread(talking, row) !== 'work') throw notPosted('shut', 'Nothing is posted here now');
  if (files.length > 0) mustAttach(talking);
  // Whoever hurries is told so before their words are looked through, and again where they are counted.
  await mustNotHurry(em, talking, now);
  const words = await wordsOf(cleaning, html);
  const authorId = person?.id ?? '';
  await em.fork().transactional(async (inner) => {
    // Whoever posts twice in one moment is counted one after the other.
    await lockWork(inner, course.id, authorId, itemId);
    await inner.execute('select id from thread where id = ? for update', [threadId]);
    const thread = await inner.findOneOrFail(ThreadRow, { id: threadId }, { refresh: true });
    if (await isThere(inner, talking, id, threadId)) return;
    if (thread.closed && !mayLead) throw notPosted('closed', 'This thread is closed');
    await mustNotHurry(inner, talking, now);
    if (thread.posts >= MOST_POSTS) throw notPosted('full', 'This thread is full; begin another one');
    const answered = answers === null ? null : await inner.findOne(PostRow, { id: answers, threadId });
    if (answers !== null && answered === null) throw nothingHere();
    const number = thread.posts + 1;
    const where = { courseId: course.id, itemId };
    const begun = { ...where, personId: authorId, place: threadId };
    const named = await filesOfPlace(inner, begun, files);
    inner.persist(
      inner.create(PostRow, {
        ...{ ...where, ...words, threadId, id, authorId, number, at: now, answers: answered?.number ?? null },
        files: named,
      }),
    );
    inner.assign(thread, { posts: number, lastAt: now });
    await inner.flush();
    await forgetDraft(inner, begun);
    await counted(inner, talking, { threadId, number }, now);
    await tellFollowers(inner, threadId);
  });
}

async function ownPost(
  em: EntityManager,
  talking: Talking,
  threadId: string,
  postId: string,
): Promise<PostRecord> {
  await threadFor(em, talking, threadId);
  await em.execute('select id from post where id = ? for update', [postId]);
  const post = await em.findOne(PostRow, { id: postId, threadId }, { refresh: true });
  if (post === null) throw nothingHere();
  return post;
}

export async function changePost(
  { em, cleaning, talker, itemId, now }: Posting,
  { threadId, postId }: { readonly threadId: string; readonly postId: string },
  {
    html,
    was,
    files,
  }: { readonly html: string; readonly was: string | null; readonly files: readonly string[] },
): Promise<void> {
  const talking = await talkingIn(em, talker, itemId, now);
  const words = await wordsOf(cleaning, html);
  await em.fork().transactional(async (inner) => {
    const post = await ownPost(inner, talking, threadId, postId);
    mustBeOwn(talking, post);
    const begun = {
      courseId: talking.course.id,
      itemId,
      personId: talking.person?.id ?? '',
      place: postId,
    };
    const named = await filesOfPlace(inner, begun, files);
    const isMore = named.some(({ hash }) => !post.files.some((one) => one.hash === hash));
    if (isMore) mustAttach(talking);
    if ((post.editedAt ?? null) !== was) {
      throw new Failure('changed_elsewhere', 'It has been changed in another window', [
        { path: 'was', value: was, expected: String(post.editedAt ?? null) },
      ]);
    }
    await forgetDraft(inner, begun);
    const isSame = post.html === words.html && JSON.stringify(post.files) === JSON.stringify(named);
    if (isSame) return;
    inner.persist(inner.create(PostBeforeRow, { postId, at: post.editedAt ?? post.at, html: post.html }));
    inner.assign(post, { ...words, files: named, editedAt: now });
  });
}

/** It counts no more among what its author has posted. */
async function uncounted(
  em: EntityManager,
  { course, node }: Talking,
  { authorId, number, at }: PostRecord,
  now: string,
): Promise<void> {
  const author = await em.findOne(PersonRow, { id: authorId });
  if (author === null) return;
  const viewer = await viewerOf(em, author, course, now);
  if (viewer.role !== 'learner') return;
  const deed = { kind: 'unposted', reply: number > 1, posted: Date.parse(at) } as const;
  await record(em, course, { personId: authorId, viewer }, node.id, deed, now);
}

function mustBeOwn({ node, person, mayLead, mayPost }: Talking, post: PostRecord): void {
  if (post.authorId !== person?.id || post.removedAt != null)
    throw new Failure('not_allowed', 'This post is somebody else’s, or has been taken away');
  if (!mayLead && (!node.ownEdits || !mayPost))
    throw new Failure('not_allowed', 'What has been posted here stays as it is');
}

export async function removePost(
  { em, talker, itemId, now }: Omit<Posting, 'cleaning'>,
  { threadId, postId }: { readonly threadId: string; readonly postId: string },
): Promise<void> {
  const talking = await talkingIn(em, talker, itemId, now);
  await em.fork().transactional(async (inner) => {
    const post = await ownPost(inner, talking, threadId, postId);
    // Twice is by whoever was first.
    if (post.removedAt != null && (talking.mayLead || post.authorId === talking.person?.id)) return;
    if (!talking.mayLead) mustBeOwn(talking, post);
    inner.assign(post, { removedAt: now, removedBy: talking.person?.id ?? null });
    await inner.flush();
    await uncounted(inner, talking, post, now);
  });
}

export async function leadThread(
  { em, talker, itemId, now }: Omit<Posting, 'cleaning'>,
  threadId: string,
  { pinned, closed, answer }: LeadThread,
): Promise<void> {
  const talking = await talkingIn(em, talker, itemId, now);
  const { mayLead, mayPost, person } = talking;
  await em.fork().transactional(async (inner) => {
    const row = await threadFor(inner, talking, threadId);
    if (!mayLead && (pinned !== undefined || closed !== undefined))
      throw new Failure('not_allowed', 'Staff pin and close threads');
    if (answer !== undefined && !mayLead && (row.authorId !== person?.id || !mayPost))
      throw new Failure('not_allowed', 'Whoever began the thread, and staff, say what answers it');
    if (answer != null && (await inner.count(PostRow, { id: answer, threadId })) === 0) throw nothingHere();
    inner.assign(row, {
      ...(pinned === undefined ? {} : { pinned }),
      ...(closed === undefined ? {} : { closed }),
      ...(answer === undefined ? {} : { answerId: answer }),
    });
  });
}
