/**
 * Answering a survey. Who has answered is one row, with its moment; what is answered stands in a batch, without person
 * and moment. A batch is one row that is written anew with each answer, so that neither a row's place nor the
 * transaction that wrote it tells whose is whose.
 */
import type { OwnSurvey, SurveyTotals } from '@itinerary/contract';
import { added, askedOf, hasRight, readAnswers, totalsOf, wholeBatches } from '@itinerary/core';
import type { Course, SurveyAnswers } from '@itinerary/core';
import { SurveyAnsweredRow, SurveyBatchRow } from '../../../db/entities.ts';
import type { EntityManager } from '../../../db/orm.ts';
import { Failure } from '../../failure.ts';
import { record } from '../../progress/record.ts';
import type { Worker } from '../own-work.ts';
import { itemFor, takenWork } from '../taken-work.ts';

export async function ownSurvey(
  em: EntityManager,
  { course, viewer, personId }: Worker,
  itemId: string,
  now: string,
): Promise<OwnSurvey> {
  const { node, isOpen } = itemFor(course, viewer, itemId, 'survey', now);
  const key = { courseId: course.id, itemId, personId: personId ?? '' };
  const isLearner = viewer.role === 'learner' && personId !== null;
  const hasAnswered = isLearner && (await em.count(SurveyAnsweredRow, key)) > 0;
  return {
    asks: askedOf(node).map((ask): OwnSurvey['asks'][number] => {
      const { id, text } = ask;
      if (ask.kind === 'scale')
        return { id, text, kind: ask.kind, steps: ask.steps, low: ask.low, high: ask.high };
      if (ask.kind === 'open') return { id, text, kind: ask.kind };
      return {
        id,
        text,
        kind: ask.kind,
        choices: ask.choices.map((one) => ({ id: one.id, text: one.text })),
      };
    }),
    mayAnswer: isLearner && isOpen && !hasAnswered,
    hasAnswered,
    least: node.least,
    mayLook: hasRight(viewer, 'mark'),
  };
}

/** Sent again it changes nothing: whose answer it is, nobody knows any more. */
export async function answerSurvey(
  em: EntityManager,
  { course, viewer, personId }: Worker,
  itemId: string,
  given: SurveyAnswers,
  now: string,
): Promise<void> {
  const { node, isOpen } = itemFor(course, viewer, itemId, 'survey', now);
  const courseId = course.id;
  const notTaken = (path: string, sentence: string, expected: string): Failure =>
    new Failure('cannot_hand_in', sentence, [{ path, value: path, expected }]);
  if (viewer.role !== 'learner' || personId === null || !isOpen)
    throw notTaken('item', 'Nothing is answered here now', 'a survey that is open to a learner');
  const read = readAnswers(node, given);
  if (!read.ok) {
    if (read.ask === null)
      throw notTaken('empty', 'There is nothing in it yet', 'an answer to some question');
    throw notTaken('changed', 'What is asked has changed meanwhile', 'answers to what is asked now');
  }
  await em.transactional(async (inner) => {
    await inner.execute('select pg_advisory_xact_lock(hashtextextended(?, 6))', [`${courseId} ${itemId}`]);
    const key = { courseId, itemId, personId };
    if ((await inner.count(SurveyAnsweredRow, key)) > 0) return;
    const [last] = await inner.find(
      SurveyBatchRow,
      { courseId, itemId },
      { orderBy: { number: 'desc' }, limit: 1 },
    );
    const batch = added(last ?? null, node.least, read.answers);
    if (last?.number === batch.number) inner.assign(last, { answers: batch.answers });
    else inner.persist(inner.create(SurveyBatchRow, { courseId, itemId, ...batch }));
    inner.persist(inner.create(SurveyAnsweredRow, { ...key, at: now }));
    await inner.flush();
    await record(inner, course, { personId, viewer }, itemId, { kind: 'handed_in' }, now);
  });
}

export async function surveyTotals(
  em: EntityManager,
  course: Course,
  itemId: string,
  now: string,
): Promise<SurveyTotals> {
  const node = takenWork(course, itemId, 'survey', now);
  const where = { courseId: course.id, itemId };
  const batches = await em.find(SurveyBatchRow, where);
  const shown = wholeBatches(batches);
  return {
    item: { id: node.id, title: node.title },
    answered: await em.count(SurveyAnsweredRow, where),
    counted: shown.length,
    least: batches.find(({ number }) => number === 0)?.size ?? node.least,
    asks: totalsOf(node, shown),
  };
}
