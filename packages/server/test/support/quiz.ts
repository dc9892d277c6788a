/** A live course with one quiz, and what learners do in it. */
import { randomUUID } from 'node:crypto';
import type { OwnQuizAnswer, QuizAnswer, QuizListAnswer } from '@itinerary/contract';
import { newItem } from '@itinerary/core';
import type { PlannedQuestion, Quiz } from '@itinerary/core';
import type { Agent, Response } from 'supertest';
import { changeCourse, setting } from './server.ts';
import type { TestServer } from './server.ts';
import { DUE, openWith } from './coursework.ts';

const MARK = 'only-staff-know-';
const base = { why: `${MARK}why`, points: 1, required: false, pool: null };
const part = (id: string, text: string) => ({ id, text });
const choice = (id: string, text: string) => ({ ...part(id, text), why: `${MARK}choice`, picture: null });

/** What must reach nobody who answers, before it may. */
export const SECRET = MARK;

/** One of each kind; the ids of what is in order, or goes together, give it away to whoever is told of them. */
export const QUESTIONS: Readonly<Record<string, PlannedQuestion>> = {
  mud: {
    ...base,
    at: 1,
    kind: 'single',
    text: 'Which lives in mud?',
    choices: [choice('limpet', 'Limpet'), choice('cockle', 'Cockle')],
    right: 'cockle',
  },
  salt: {
    ...base,
    at: 2,
    kind: 'several',
    points: 2,
    text: 'Which grow in a salt marsh?',
    choices: [choice('a', 'Glasswort'), choice('b', 'Sea lavender'), choice('c', 'Oak')],
    right: ['a', 'b'],
    credit: 'by_part',
  },
  tide: { ...base, at: 3, kind: 'truth', text: 'Two high tides a day?', right: true },
  grass: {
    ...base,
    at: 4,
    kind: 'short',
    text: 'Name the seagrass',
    accepted: [{ text: `${MARK}zostera`, share: 1 }],
    folds: { case: true, accents: true },
    otherwise: 'staff',
  },
  range: {
    ...base,
    at: 5,
    kind: 'number',
    text: 'How high was the tide?',
    right: 3.25,
    tolerance: { of: 'absolute', value: 0.05 },
    units: [{ name: 'm', factor: 1 }],
  },
  pairs: {
    ...base,
    at: 6,
    kind: 'matching',
    text: 'What goes with what?',
    lefts: [part('l1', 'Cockle'), part('l2', 'Crab')],
    rights: [part('r1', 'Shell'), part('r2', 'Claw')],
    pairs: { l1: 'r1', l2: 'r2' },
    credit: 'by_part',
  },
  steps: {
    ...base,
    at: 7,
    kind: 'order',
    text: 'In which order?',
    entries: [part('s1', 'Dig'), part('s2', 'Sieve'), part('s3', 'Count')],
    credit: 'whole',
  },
  notes: { ...base, at: 8, kind: 'long', text: 'What did you see?', points: 4 },
};

export interface QuizCourse {
  readonly id: string;
  readonly item: string;
  readonly noor: string;
  readonly hye: string;
  readonly at: string;
  readonly set: (field: string, value: unknown, was?: unknown) => Promise<unknown>;
  readonly look: (agent: Agent, attempt?: string) => Promise<OwnQuizAnswer>;
  /** @returns the attempt */
  readonly begin: (agent: Agent, id?: string) => Promise<string>;
  readonly tryBegin: (agent: Agent, id?: string) => PromiseLike<Response>;
  readonly answer: (
    agent: Agent,
    attempt: string,
    question: string,
    answer: QuizAnswer,
    version?: number,
  ) => PromiseLike<Response>;
  readonly end: (agent: Agent, attempt: string) => Promise<Response>;
  readonly list: (agent?: Agent) => Promise<QuizListAnswer>;
  /** Where staff look at it. */
  readonly desk: string;
}

export async function openQuiz(
  server: TestServer,
  ines: Agent,
  code: string,
  settings: Partial<Quiz> = {},
): Promise<QuizCourse> {
  const node = {
    ...newItem('quiz', { id: '', title: 'The marsh' }),
    due: DUE,
    done: { by: 'scored', least: 50 },
    questions: QUESTIONS,
    ...settings,
  };
  const { id, item, noor, hye } = await openWith(server, ines, code, node as never);
  const at = `/api/learn/${id}/items/${item}/quiz`;
  const desk = `/api/courses/${id}/items/${item}/quiz`;
  const tryBegin = (agent: Agent, attempt: string = randomUUID()) =>
    agent.post(`${at}/attempts`).send({ id: attempt });
  return {
    id,
    item,
    noor,
    hye,
    at,
    desk,
    set: (field, value, was = null) => changeCourse(ines, id, [setting(item, field, value, was)]),
    look: async (agent, attempt) =>
      (
        await agent
          .get(at)
          .query(attempt === undefined ? {} : { attempt })
          .expect(200)
      ).body as OwnQuizAnswer,
    tryBegin,
    begin: async (agent, attempt = randomUUID()) => {
      const { status, body } = await tryBegin(agent, attempt);
      if (status !== 200) throw new Error(`not begun: ${JSON.stringify(body)}`);
      return attempt;
    },
    answer: (agent, attempt, question, answer, version = 0) =>
      agent.put(`${at}/attempts/${attempt}/answers/${question}`).send({ version, answer }),
    // As whoever has all of it before them.
    end: async (agent, attempt) => {
      const seen = (await agent.get(at).query({ attempt })).body as Partial<OwnQuizAnswer>;
      const answers = Object.fromEntries(
        (seen.open?.answers ?? []).map(({ question, version }) => [question, version]),
      );
      return agent.post(`${at}/attempts/${attempt}/handed`).send({ answers });
    },
    list: async (agent = ines) => (await agent.get(desk).expect(200)).body as QuizListAnswer,
  };
}

/** What a part of a question is called in an attempt, by its words. */
export function called(quiz: OwnQuizAnswer, question: string, text: string): string {
  const shown = quiz.open?.questions.find(({ id }) => id === question);
  const parts =
    shown === undefined
      ? []
      : 'choices' in shown
        ? shown.choices
        : 'entries' in shown
          ? shown.entries
          : 'lefts' in shown
            ? [...shown.lefts, ...shown.rights]
            : [];
  const found = parts.find((one) => one.text === text);
  if (found === undefined) throw new Error(`nothing called ${text} in ${question}`);
  return found.id;
}

/** An answer to each, all right but the long one, which staff look at. */
export function rightAnswers(quiz: OwnQuizAnswer): Readonly<Record<string, QuizAnswer>> {
  const of = (question: string, text: string): string => called(quiz, question, text);
  return {
    mud: { kind: 'single', chosen: of('mud', 'Cockle') },
    salt: { kind: 'several', chosen: [of('salt', 'Sea lavender'), of('salt', 'Glasswort')] },
    tide: { kind: 'truth', chosen: true },
    grass: { kind: 'short', text: ` ${MARK.toUpperCase()}Zostera ` },
    range: { kind: 'number', text: '3,3 m', language: 'fr' },
    pairs: {
      kind: 'matching',
      placed: {
        [of('pairs', 'Cockle')]: of('pairs', 'Shell'),
        [of('pairs', 'Crab')]: of('pairs', 'Claw'),
      },
    },
    steps: { kind: 'order', placed: ['Dig', 'Sieve', 'Count'].map((text) => of('steps', text)) },
    notes: { kind: 'long', text: 'Mud, and more of it.' },
  };
}
