/** What somebody has begun to write in a discussion, kept for them alone, each change built on the one before. */
import { MAX_POST_FILES } from '@itinerary/contract';
import type { PostDraft, PostDraftBody } from '@itinerary/contract';
import { largestFile } from '@itinerary/core';
import type { HandedFile } from '@itinerary/core';
import { InstitutionRow, PostDraftRow, PostRow, ThreadRow } from '../../../db/entities.ts';
import type { EntityManager } from '../../../db/orm.ts';
import type { PostDraftRecord } from '../../../db/entities/talk.ts';
import { Failure } from '../../failure.ts';
import { nothingHere } from '../../nothing-here.ts';
import { lockWork, mustBeOn } from '../draft.ts';
import { notPosted, talkingIn } from './talking.ts';
import type { Talker, Talking } from './talking.ts';

interface Place {
  readonly itemId: string;
  /** `new`, the thread that is answered, or the post that is changed. */
  readonly place: string;
}
interface Key extends Place {
  readonly courseId: string;
  readonly personId: string;
}

const keyOf = ({ course, node, person }: Talking, place: string): Key => ({
  courseId: course.id,
  itemId: node.id,
  // Whoever talks is signed in.
  personId: person?.id ?? '',
  place,
});

export async function postDraft(
  em: EntityManager,
  talker: Talker,
  { itemId, place }: Place,
  institutionId: string,
  now: string,
): Promise<PostDraft> {
  const talking = await talkingIn(em, talker, itemId, now);
  const { largestUpload } = await em.findOneOrFail(InstitutionRow, { id: institutionId });
  const draft = await em.findOne(PostDraftRow, keyOf(talking, place));
  const { version = 0, title = '', html = '', files = [] } = draft ?? {};
  const { megabytes } = largestFile(largestUpload, talker.course.largestUpload, null);
  return { version, title, html, files: [...files], megabytes };
}

/** @throws Failure `changed_elsewhere` where another window has gone on with it, `bad_input` for a file that is not theirs */
export async function keepPostDraft(
  em: EntityManager,
  talker: Talker,
  { itemId, place }: Place,
  { version, title, html, files }: PostDraftBody,
  now: string,
): Promise<void> {
  const talking = await talkingIn(em, talker, itemId, now);
  const key = keyOf(talking, place);
  await mustBePlace(em, key);
  await em.transactional(async (inner) => {
    const draft = await lockedDraft(inner, key);
    mustBeOn(draft, version);
    const kept = await filesOfPlace(inner, key, files);
    write(inner, draft, key, { title, html, files: kept }, now);
  });
}

export async function dropPostDraft(
  em: EntityManager,
  talker: Talker,
  { itemId, place }: Place,
  now: string,
): Promise<void> {
  const talking = await talkingIn(em, talker, itemId, now);
  await forgetDraft(em, keyOf(talking, place));
}

/** What has been posted is no longer begun. */
export async function forgetDraft(em: EntityManager, key: Key): Promise<void> {
  await em.nativeDelete(PostDraftRow, { ...key });
}

/** A file that has wholly arrived stands in what is begun from now on, whatever is typed meanwhile. */
export async function addToPostDraft(
  em: EntityManager,
  talker: Talker,
  { itemId, place }: Place,
  file: HandedFile,
  now: string,
): Promise<void> {
  const talking = await talkingIn(em, talker, itemId, now);
  mustAttach(talking);
  const key = keyOf(talking, place);
  await mustBePlace(em, key);
  await em.transactional(async (inner) => {
    const draft = await lockedDraft(inner, key);
    const before = (draft?.files ?? []).filter(({ hash }) => hash !== file.hash);
    if (before.length >= MAX_POST_FILES) {
      throw new Failure('bad_input', `No more than ${MAX_POST_FILES} files go with a post`, [
        { path: 'file', value: before.length + 1, expected: `at most ${MAX_POST_FILES} files` },
      ]);
    }
    const { title, html } = draft ?? { title: '', html: '' };
    write(inner, draft, key, { title, html, files: [...before, file] }, now);
  });
}

/** One draft for each place that there is: nobody fills the table with places that there are not. */
async function mustBePlace(em: EntityManager, { courseId, itemId, personId, place: id }: Key): Promise<void> {
  if (id === 'new' || (await em.count(ThreadRow, { id, courseId, itemId })) > 0) return;
  if ((await em.count(PostRow, { id, courseId, itemId, authorId: personId })) === 0) throw nothingHere();
}

export function mustAttach({ node, mayPost }: Talking): void {
  if (!mayPost) throw notPosted('shut', 'Nothing is posted here now');
  if (!node.mayAttach) throw notPosted('files', 'No files go with posts here');
}

/**
 * Files that may go with what is written there: of what is begun, and of the post that is changed.
 *
 * @throws Failure `bad_input` for any other
 */
export async function filesOfPlace(
  em: EntityManager,
  key: Key,
  wanted: readonly string[],
): Promise<readonly HandedFile[]> {
  if (wanted.length === 0) return [];
  const draft = await em.findOne(PostDraftRow, { ...key });
  const { courseId, itemId, personId: authorId } = key;
  const post = await em.findOne(PostRow, { id: key.place, courseId, itemId, authorId });
  const known = new Map([...(post?.files ?? []), ...(draft?.files ?? [])].map((file) => [file.hash, file]));
  return [...new Set(wanted)].map((hash, at): HandedFile => {
    const file = known.get(hash);
    if (file !== undefined) return file;
    throw new Failure('bad_input', 'One of the files is none of yours here', [
      { path: `files.${at}`, value: hash, expected: 'a file that was added to this post' },
    ]);
  });
}

async function lockedDraft(em: EntityManager, key: Key): Promise<PostDraftRecord | null> {
  await lockWork(em, key.courseId, key.personId, key.itemId);
  return em.findOne(PostDraftRow, { ...key });
}

function write(
  em: EntityManager,
  draft: PostDraftRecord | null,
  key: Key,
  what: { readonly title: string; readonly html: string; readonly files: readonly HandedFile[] },
  now: string,
): void {
  const values = { ...what, at: now, version: (draft?.version ?? 0) + 1 };
  if (draft !== null) em.assign(draft, values);
  else em.persist(em.create(PostDraftRow, { ...key, ...values }));
}
