/** How learners of the live course have taken one quiz: some knew more than others, and nobody has read the last answers yet. */
import { createHash } from 'node:crypto';
import {
  allLivingItems,
  drawn,
  judgeAttempt,
  livingSections,
  momentsOf,
  planCourse,
  questionsOf,
} from '@itinerary/core';
import type { AskedQuestion, Course, QuestionAnswer, Quiz } from '@itinerary/core';
import { QuizAnswerRow, QuizAttemptRow } from '../db/entities.ts';
import type { EntityManager } from '../db/orm.ts';
import { idFor } from './build-course.ts';

const TITLE = 'Salt, heat and density';
const HOUR_MS = 3_600_000;
const MINUTE_MS = 60_000;

const OPENLY = [
  'Take it again with a rinsed probe, and write both down.',
  'Leave the probe in the water until it stands still, and only then begin to count.',
  'I would strike it out. It is always the first one.',
  'Keep it, say that it is odd, and compare the first readings of all days.',
];
const NAMED = ['halocline', 'Halocline', 'a halocline', 'thermocline', 'the salt line', 'pycnocline'];
const GRAMS = ['7 g', '7 g', '7.1 g', '35 g', '7', '7,0 g'];

/** A figure from nought to one that is always the same for the same names. */
const chance = (...names: readonly (string | number)[]): number =>
  Number.parseInt(createHash('sha256').update(names.join('/')).digest('hex').slice(0, 8), 16) / 0xffffffff;

/** Right as often as they know it; null: they have left it out. */
function answerOf(question: AskedQuestion, who: number, knows: number): QuestionAnswer | null {
  const draw = chance('knows', who, question.text);
  const isRight = draw < knows;
  if (draw > 0.96) return null;
  const pick = <T>(all: readonly T[]): T => all[Math.floor(chance(who, question.text) * all.length)]!;
  switch (question.kind) {
    case 'single':
      return { kind: 'single', chosen: isRight ? question.right : pick(question.choices).id };
    case 'several':
      return { kind: 'several', chosen: isRight ? question.right : [pick(question.choices).id] };
    case 'truth':
      return { kind: 'truth', chosen: isRight === (question.right === true) };
    case 'short':
      return { kind: 'short', text: isRight ? NAMED[who % 3]! : pick(NAMED) };
    case 'number':
      return { kind: 'number', text: isRight ? GRAMS[0]! : pick(GRAMS), language: 'en' };
    case 'order': {
      const right = question.entries.map(({ id }) => id);
      return { kind: 'order', placed: isRight ? right : [...right.slice(1), right[0]!] };
    }
    case 'matching': {
      const [first, ...others] = question.rights.map(({ id }) => id);
      const turned = [...others, first!];
      const placed = question.lefts.map(({ id }, at) => [id, isRight ? question.pairs[id]! : turned[at]!]);
      return { kind: 'matching', placed: Object.fromEntries(placed) as Record<string, string> };
    }
    case 'long':
      return { kind: 'long', text: OPENLY[who % OPENLY.length]! };
  }
}

export function takeQuiz(em: EntityManager, course: Course, learners: readonly string[], now: string): void {
  const quiz = livingSections(course)
    .flatMap((section) => allLivingItems(section))
    .find((item): item is Quiz => item.kind === 'quiz' && item.title === TITLE);
  if (quiz === undefined) return;
  const { due } = momentsOf(planCourse(course), quiz.id);
  const end = Math.min(due?.kind === 'at' ? due.instant : Infinity, Date.parse(now));
  const iso = (at: number): string => new Date(at).toISOString();
  const questions = questionsOf(quiz);
  learners.forEach((personId, who) => {
    // Every seventh has not taken it.
    if (who % 7 === 6) return;
    const id = idFor(course.code, 'attempt', who);
    const begun = end - (learners.length - who + 2) * HOUR_MS;
    const ended = iso(begun + (9 + (who % 13)) * MINUTE_MS);
    const knows = 0.35 + 0.6 * chance('knows', who);
    const answers = questions.flatMap((question): [string, QuestionAnswer][] => {
      const answer = answerOf(question, who, knows);
      return answer === null ? [] : [[question.id, answer]];
    });
    const hash = createHash('sha256')
      .update(JSON.stringify([id, answers]))
      .digest('hex');
    em.persist(
      em.create(QuizAttemptRow, {
        ...{ id, courseId: course.id, itemId: quiz.id, personId, number: 1, begun: iso(begun) },
        ...{ asks: drawn(quiz, id), ended, endedBy: 'hand', isLate: false, hash },
        judged: judgeAttempt(questions, new Map(answers)),
      }),
    );
    for (const [questionId, answer] of answers) {
      const at = iso(begun + MINUTE_MS);
      em.persist(
        em.create(QuizAnswerRow, { attemptId: id, questionId, answer, version: 1, at, isChecked: false }),
      );
    }
  });
}
