/** What learners of the live course have said so far in one discussion. */
import { allLivingItems, likened, livingSections } from '@itinerary/core';
import type { Course } from '@itinerary/core';
import { PostRow, ThreadRow } from '../db/entities.ts';
import type { EntityManager } from '../db/orm.ts';
import { plainText } from '../text/plain-text.ts';
import { idFor } from './build-course.ts';

const TITLE = 'Where is your nearest estuary?';
const HOUR_MS = 3_600_000;
const STAFF = -1;

interface Said {
  /** Which of the learners; `STAFF`. */
  readonly by: number;
  readonly html: string;
  /** Which post of the thread it answers, from 1. */
  readonly answers?: number;
}

const THREADS: readonly {
  readonly title: string;
  readonly posts: readonly Said[];
  readonly answer?: number;
}[] = [
  {
    title: 'How to begin',
    posts: [
      {
        by: STAFF,
        html: '<p>Begin with what flows in and what lives there. A sketch helps more than a photograph.</p><p>Then ask <strong>one</strong> question about somebody else’s.</p>',
      },
    ],
  },
  {
    title: 'A river that runs backwards',
    posts: [
      {
        by: 0,
        html: '<p>Ours turns twice a day as far up as the old bridge. As children we timed it with a bottle.</p>',
      },
      { by: 1, html: '<p>How far up does the salt come? Are there barnacles on the bridge?</p>', answers: 1 },
      {
        by: 0,
        html: '<p>Barnacles up to the second arch, none on the third. I had never asked myself why.</p>',
        answers: 2,
      },
      {
        by: STAFF,
        html: '<p>That line on the third arch is worth a reading of its own. Bring it along in week four.</p>',
        answers: 3,
      },
    ],
    answer: 3,
  },
  {
    title: 'No estuary, only a beach',
    posts: [
      {
        by: 2,
        html: '<p>Where I grew up three streams end in the sand and are gone. Does that count?</p><ul><li>no mud</li><li>much weed</li><li>gulls, always</li></ul>',
      },
      { by: 3, html: '<p>It counts in winter, when they break through.</p>', answers: 1 },
    ],
  },
];

/** @param learners by id, some of whom have said something @param staff who leads the course */
export function talkOf(
  em: EntityManager,
  course: Course,
  learners: readonly string[],
  staff: string,
  now: string,
): void {
  const item = livingSections(course)
    .flatMap((section) => allLivingItems(section))
    .find(({ title, kind }) => kind === 'discussion' && title === TITLE);
  if (item === undefined) return;
  const key = { courseId: course.id, itemId: item.id };
  const who = (by: number): string => (by === STAFF ? staff : (learners[by] ?? staff));
  THREADS.forEach(({ title, posts, answer }, which) => {
    const id = idFor(course.code, 'thread', which);
    const postId = (at: number): string => idFor(course.code, 'post', which, at);
    const at = (index: number): string =>
      new Date(Date.parse(now) - (THREADS.length - which) * 26 * HOUR_MS + index * HOUR_MS).toISOString();
    const author = posts[0]?.by ?? STAFF;
    em.persist(
      em.create(ThreadRow, {
        ...{ ...key, id, title, authorId: who(author), byStaff: author === STAFF, at: at(0) },
        ...{ lastAt: at(posts.length - 1), posts: posts.length, groupIds: [], pinned: author === STAFF },
        ...{ closed: false, answerId: answer === undefined ? null : postId(answer) },
      }),
    );
    posts.forEach(({ by, html, answers }, index) => {
      const plain = likened(plainText(html), { case: true, accents: true });
      const number = index + 1;
      em.persist(
        em.create(PostRow, {
          ...{ ...key, id: postId(number), threadId: id, authorId: who(by), number, at: at(index) },
          ...{ html, plain, answers: answers ?? null },
        }),
      );
    });
  });
}
