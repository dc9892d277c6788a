/** Taking a quiz, and what staff make of it. */
import type { OwnQuizAnswer, QUIZ_ROUTES } from '@itinerary/contract';
import { markAnswers, quizAnswers } from '../../usecases/coursework/quiz/alike.ts';
import { judgeAllAnew, lookAnew } from '../../usecases/coursework/quiz/anew.ts';
import {
  beginAttempt,
  checkAnswer,
  handInAttempt,
  putAnswer,
  settle,
} from '../../usecases/coursework/quiz/attempt.ts';
import { quizList } from '../../usecases/coursework/quiz/looking.ts';
import { ownQuiz, quizPicture } from '../../usecases/coursework/quiz/own-quiz.ts';
import type { Call, HandlersOf } from '../call.ts';
import { workerOf } from './coursework.ts';

type Asked = Pick<Call<'beginAttempt'>, 'em' | 'who' | 'params' | 'now' | 'config'>;

/** As it stands after what has been done. @param attempt the one that is looked at; null: the one under way */
async function asItStands(
  { em, who, params, now, config }: Asked,
  attempt: string | null = null,
): Promise<OwnQuizAnswer> {
  const worker = workerOf(who);
  await settle(em.fork(), worker, params.item, now);
  return ownQuiz(em.fork(), worker, params.item, { attempt, secret: config.sessionSecret }, now);
}

export const QUIZ: HandlersOf<typeof QUIZ_ROUTES> = {
  ownQuiz: (call) => asItStands(call, call.query.attempt ?? null),
  quizPicture: ({ em, store, who, params, now }) => {
    const { item: itemId, hash } = params;
    return quizPicture(em.fork(), store, workerOf(who), { itemId, hash }, now);
  },
  beginAttempt: async (call) => {
    await beginAttempt(call.em.fork(), workerOf(call.who), call.params.item, call.body.id, call.now);
    return asItStands(call);
  },
  putAnswer: ({ em, who, params, body, config, now }) =>
    putAnswer(
      em.fork(),
      workerOf(who),
      { itemId: params.item, attemptId: params.attempt, questionId: params.question },
      body,
      config.sessionSecret,
      now,
    ),
  checkOwnAnswer: async (call) => {
    const { item: itemId, attempt: attemptId, question: questionId } = call.params;
    const place = { itemId, attemptId, questionId };
    await checkAnswer(call.em.fork(), workerOf(call.who), place, call.body.version, call.now);
    return asItStands(call);
  },
  endAttempt: async (call) => {
    const { item: itemId, attempt: attemptId } = call.params;
    const { answers } = call.body;
    await handInAttempt(call.em.fork(), workerOf(call.who), { itemId, attemptId }, answers, call.now);
    return asItStands(call, attemptId);
  },
  quizList: ({ em, who, params, now }) => quizList(em.fork(), who.loaded.course, params.item, now),
  quizAnswers: ({ em, who, params, now }) =>
    quizAnswers(em.fork(), who.loaded.course, params.item, params.question, now),
  markAnswers: async ({ em, who, params, body, now }) => {
    const { course } = who.loaded;
    const place = { itemId: params.item, questionId: params.question };
    await markAnswers(em.fork(), course, place, body, who.person.id, now);
    return quizAnswers(em.fork(), course, params.item, params.question, now);
  },
  lookAnew: ({ em, who, params, now }) => lookAnew(em.fork(), who.loaded.course, params.item, now),
  judgeAnew: async ({ em, who, params, body, now }) => {
    await judgeAllAnew(em.fork(), who.loaded.course, params.item, body.token, now);
    return quizList(em.fork(), who.loaded.course, params.item, now);
  },
};
