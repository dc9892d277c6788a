/** What is wrong with the questions of a quiz. */
import { isFixed, pooled, questionsOf, worthOf } from '../../coursework/quiz/planned.ts';
import { questionFault } from '../../coursework/quiz/making.ts';
import { picturesOf } from '../../course/file.ts';
import type { Quiz } from '../../course/schema/items-schema.ts';
import type { DeepReadonly } from '../../course/schema/readonly.ts';
import { takenRule } from './taken.ts';

/** A quiz that asks nothing. */
export const noQuestions = takenRule('no_questions', ['quiz'], {
  isWrong: (quiz) => worthOf(quiz).asked === 0,
});

/** Questions that nobody can answer rightly: nothing is right, or there is nothing to choose between. */
export const questionUnanswerable = takenRule('question_unanswerable', ['quiz'], {
  isWrong: (quiz) => questionsOf(quiz).some((question) => questionFault(question) !== null),
  values: (quiz) => ({
    question: questionsOf(quiz).findIndex((question) => questionFault(question) !== null) + 1,
  }),
});

/** A picture to choose, and nothing that says what it shows to those who do not see it. */
export const choiceUnseen = takenRule('choice_unseen', ['quiz'], {
  isWrong: (quiz) => unseen(quiz) !== -1,
  values: (quiz) => ({ question: unseen(quiz) + 1 }),
});
const unseen = (quiz: DeepReadonly<Quiz>): number =>
  questionsOf(quiz).findIndex((question) => picturesOf(question).some(({ alt }) => (alt ?? '') === ''));

/** The questions come to another sum than the quiz gives in all. The cure lets it give their sum. */
export const pointsUnlikeTotal = takenRule('points_unlike_total', ['quiz'], {
  isWrong: (quiz) => {
    const { points, asked } = worthOf(quiz);
    return quiz.total !== null && asked > 0 && points !== quiz.total;
  },
  values: (quiz) => ({ points: worthOf(quiz).points, total: quiz.total ?? 0 }),
  cure: { field: 'total', cured: () => null },
});

/** More is drawn from a pool than it has, or its questions give unlike points, so that attempts are worth unlike sums. */
export const poolUneven = takenRule('pool_uneven', ['quiz'], {
  isWrong: (quiz) =>
    worthOf(quiz).uneven.length > 0 ||
    [...pooled(quiz)].some(([pool, questions]) => questions.length < (quiz.pools[pool]?.draws ?? 0)),
  values: (quiz) => {
    const short = [...pooled(quiz)].find(
      ([pool, questions]) => questions.length < (quiz.pools[pool]?.draws ?? 0),
    );
    const pool = short?.[0] ?? worthOf(quiz).uneven[0] ?? '';
    return {
      variant: short === undefined ? '' : 'short',
      pool: quiz.pools[pool]?.name ?? '',
      has: questionsOf(quiz).filter((one) => !isFixed(one, quiz) && one.pool === pool).length,
      draws: quiz.pools[pool]?.draws ?? 0,
    };
  },
});
