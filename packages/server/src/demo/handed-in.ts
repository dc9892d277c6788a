/** What learners of the live course have handed in so far of one assignment, and how some of it was marked. */
import { createHash } from 'node:crypto';
import { allLivingItems, livingSections, momentsOf, planCourse, receiptWords } from '@itinerary/core';
import type { Course } from '@itinerary/core';
import { HandInForRow, HandInRow, MarkRow } from '../db/entities.ts';
import type { EntityManager } from '../db/orm.ts';
import { idFor } from './build-course.ts';

const TITLE = 'Your own tide table';

const TEXTS = [
  'Low water 07:24 at 0.9 m by my staff, 07:10 at 0.8 m in the table. I read it every five minutes and took the middle of the three lowest.\n\nThe wind was on shore all morning, which would hold the water up.',
  'I missed the low by about ten minutes and drew the curve through what I had. The dashed part is a guess, and marked as one.',
  'Three readings at each mark, written down before we talked about them. They agree to two centimetres until the ferry passed.',
  'My marker post leaned. I have measured by how much and put every height right; the table says so in its last column.',
];
const COMMENTS = [
  {
    points: 17,
    comment: 'You say how you read it, so that I can do it again. Now put the wind beside the difference.',
  },
  { points: 14, comment: 'A guess that is marked as one is worth more than a smooth curve.' },
  { points: 18.5, comment: '' },
];

const HOUR_MS = 3_600_000;

/** @param learners by id, some of whom have handed in @param by who marked it */
export function handIn(
  em: EntityManager,
  course: Course,
  learners: readonly string[],
  by: string,
  now: string,
): void {
  const item = livingSections(course)
    .flatMap((section) => allLivingItems(section))
    .find(({ title }) => title === TITLE);
  if (item === undefined) return;
  const { due } = momentsOf(planCourse(course), item.id);
  const end = due?.kind === 'at' ? Math.min(due.instant, Date.parse(now)) : Date.parse(now);
  const before = (hours: number): string => new Date(end - hours * HOUR_MS).toISOString();
  learners.forEach((person, which) => {
    // Every fourth has nothing yet.
    if (which % 4 === 3) return;
    const id = idFor(course.code, 'hand-in', which);
    const at = before(learners.length - which);
    const what = { text: TEXTS[which % TEXTS.length] ?? '', address: '', files: [] };
    const key = { courseId: course.id, itemId: item.id };
    const words = receiptWords({ ...what, course: course.id, item: item.id, person, attempt: 1, at });
    const hash = createHash('sha256').update(words).digest('hex');
    em.persist(em.create(HandInRow, { id, ...key, personId: person, attempt: 1, ...what, at, hash }));
    em.persist(em.create(HandInForRow, { handInId: id, personId: person, ...key, isLate: false }));
    const mark = COMMENTS[which];
    if (mark === undefined) return;
    const markId = idFor(course.code, 'mark', which);
    em.persist(em.create(MarkRow, { id: markId, handInId: id, after: null, ...mark, by, at: now }));
  });
}
