/** Answers to a quiz as staff look at them: people, questions, one question's answers, and all judged anew. */
import type { AlikeAnswers, AnewAnswer, QuizListAnswer } from '@itinerary/contract';
import { shallowRef } from 'vue';
import type { ShallowRef } from 'vue';
import { ask } from '../../api/client.ts';

export type Alike = AlikeAnswers['answers'][number];

export interface Answers {
  readonly list: ShallowRef<QuizListAnswer | null>;
  readonly looked: ShallowRef<AlikeAnswers | null>;
  readonly anew: ShallowRef<AnewAnswer | null>;
  readonly load: () => Promise<void>;
  readonly look: (question: string | null) => Promise<void>;
  /** All of them alike. */
  readonly mark: (group: Alike, points: number, comment: string) => Promise<void>;
  readonly lookAnew: () => Promise<void>;
  /** Exactly what was looked at. */
  readonly judgeAnew: () => Promise<void>;
}

/** What somebody is marking does not change places under their hands. */
function inOrderOf(before: AlikeAnswers | null, answer: AlikeAnswers): AlikeAnswers {
  const places = new Map(
    (before?.answers ?? []).flatMap(({ from }, at) => from.map(({ attempt }) => [attempt, at] as const)),
  );
  const placeOf = ({ from }: Alike): number =>
    Math.min(...from.map(({ attempt }) => places.get(attempt) ?? Infinity));
  return { ...answer, answers: [...answer.answers].sort((a, b) => placeOf(a) - placeOf(b)) };
}

export function useAnswers(course: string, item: string): Answers {
  const params = { course, item };
  const list = shallowRef<QuizListAnswer | null>(null);
  const looked = shallowRef<AlikeAnswers | null>(null);
  const anew = shallowRef<AnewAnswer | null>(null);
  let wanted: string | null = null;

  async function load(): Promise<void> {
    list.value = await ask('GET /api/courses/{course}/items/{item}/quiz', { params });
  }
  async function look(question: string | null): Promise<void> {
    wanted = question;
    if (question === null || looked.value?.question.id !== question) looked.value = null;
    if (question === null) return;
    const answer = await ask('GET /api/courses/{course}/items/{item}/quiz/questions/{question}', {
      params: { ...params, question },
    });
    // Another one is looked at by now.
    if (wanted === question) looked.value = answer;
  }
  async function mark(group: Alike, points: number, comment: string): Promise<void> {
    const question = looked.value?.question.id;
    if (question === undefined) return;
    const answer = await ask('POST /api/courses/{course}/items/{item}/quiz/questions/{question}/marks', {
      params: { ...params, question },
      body: {
        answers: group.from.map(({ attempt, mark: after }) => ({ attempt, after })),
        points,
        comment,
      },
    });
    if (wanted === question) looked.value = inOrderOf(looked.value, answer);
    await load();
  }
  async function lookAnew(): Promise<void> {
    anew.value = null;
    anew.value = await ask('GET /api/courses/{course}/items/{item}/quiz/anew', { params });
  }
  async function judgeAnew(): Promise<void> {
    const token = anew.value?.token;
    if (token === undefined) return;
    list.value = await ask('POST /api/courses/{course}/items/{item}/quiz/anew', { params, body: { token } });
  }
  return { list, looked, anew, load, look, mark, lookAnew, judgeAnew };
}
