/**
 * Following a thread: a letter when something is posted in it, and the next one only once one has read up to there, so
 * that a lively thread fills nobody's box.
 */
import { PersonRow, PostRow, ThreadFollowRow, ThreadRow } from '../../../db/entities.ts';
import { addJob } from '../../../db/queue.ts';
import type { EntityManager } from '../../../db/orm.ts';
import { keptCourse } from '../../../db/kept-courses.ts';
import { viewerOf } from '../../access/viewer.ts';
import { Failure } from '../../failure.ts';
import { post } from '../../mail/post.ts';
import { namesTold } from '../../members/names-told.ts';
import { threadFor } from './reading.ts';
import { talkingIn } from './talking.ts';
import type { Talker } from './talking.ts';

/** From this post on; whoever follows it already, is told as before. */
export async function follow(
  em: EntityManager,
  threadId: string,
  personId: string,
  told: number,
): Promise<void> {
  await em.execute(
    `insert into thread_follow (thread_id, person_id, told) values (?, ?, ?)
     on conflict (thread_id, person_id) do nothing`,
    [threadId, personId, told],
  );
}

export async function followThread(
  em: EntityManager,
  talker: Talker,
  { itemId, threadId }: { readonly itemId: string; readonly threadId: string },
  isOn: boolean,
  now: string,
): Promise<void> {
  const talking = await talkingIn(em, talker, itemId, now);
  const { posts } = await threadFor(em, talking, threadId);
  const personId = talker.person?.id ?? '';
  if (isOn) await follow(em, threadId, personId, posts);
  else await em.nativeDelete(ThreadFollowRow, { threadId, personId });
}

/** In the transaction of the post: a job that goes with it. */
export async function tellFollowers(em: EntityManager, thread: string): Promise<void> {
  await addJob(em, 'thread_posted', { thread }, { key: `thread ${thread}` });
}

/** Those who follow it and have read all of which they were told; each as they get the thread now, or not at all. */
export async function writeToFollowers(em: EntityManager, threadId: string, now: string): Promise<void> {
  const thread = await em.findOne(ThreadRow, { id: threadId });
  const loaded = thread === null ? null : await keptCourse(em, thread.courseId);
  if (thread === null || loaded === null) return;
  const behind = await em.execute<{ person_id: string }[]>(
    `select person_id from thread_follow f where thread_id = ? and told < ?
       and exists (select 1 from thread_read r where r.thread_id = f.thread_id and r.person_id = f.person_id
         and r.number >= f.told and r.number < ?)`,
    [threadId, thread.posts, thread.posts],
  );
  for (const { person_id: personId } of behind) {
    await em.fork().transactional(async (inner) => {
      const person = await inner.findOne(PersonRow, { id: personId });
      if (person?.address == null) return;
      const viewer = await viewerOf(inner, person, loaded.course, now);
      const talker = { course: loaded.course, viewer, person };
      const last = await lastFor(inner, talker, thread, now);
      // Two runs of one job may meet: whoever says it first, writes.
      const told = await inner.nativeUpdate(
        ThreadFollowRow,
        { threadId, personId, told: { $lt: thread.posts } },
        { told: thread.posts },
      );
      if (last === null || told === 0) return;
      await post(
        inner,
        {
          kind: 'posted',
          address: person.address,
          lang: person.lang,
          institutionId: person.institutionId,
          courseId: loaded.course.id,
          about: threadId,
          facts: {
            course: loaded.course.title,
            thread: thread.title,
            ...(last.by === null ? {} : { by: last.by }),
            path: `/courses/${loaded.course.id}/items/${thread.itemId}?thread=${threadId}`,
          },
        },
        now,
      );
    });
  }
}

/** Who posted last of what they have not read, where that is somebody else and they get the thread; null: nothing. */
async function lastFor(
  em: EntityManager,
  talker: Talker & { readonly person: { readonly id: string } },
  { id, itemId }: { readonly id: string; readonly itemId: string },
  now: string,
): Promise<{ readonly by: string | null } | null> {
  try {
    const talking = await talkingIn(em, talker, itemId, now);
    await threadFor(em, talking, id);
    if (talking.mustPost) return null;
  } catch (error) {
    // They have left the course, or do not get it any more.
    if (error instanceof Failure) return null;
    throw error;
  }
  const [last] = await em.find(
    PostRow,
    { threadId: id, removedAt: null, authorId: { $ne: talker.person.id } },
    { orderBy: { number: 'desc' }, limit: 1 },
  );
  if (last === undefined) return null;
  const names = await namesTold(em, talker.course, talker, [last.authorId]);
  return { by: names.get(last.authorId) ?? null };
}
