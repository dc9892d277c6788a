/** Attempts at a quiz: what whoever answers is told, and what staff see. Nothing that is right is in the first before it may be. */
import {
  idSchema,
  MAX_ASKED,
  MAX_PART,
  MAX_PARTS,
  MAX_POINTS,
  MAX_QUESTIONS,
  revealsSchema,
  shownQuestionSchema,
  solutionSchema,
  storableSchema,
} from '@itinerary/core';
import type { DeepReadonly } from '@itinerary/core';
import { z } from 'zod';

/** Of a long answer, in characters. */
export const MAX_LONG_ANSWER = 20_000;
/** What a part is called in the attempt. */
const partName = storableSchema.max(100);

export const quizAnswerSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('single'), chosen: partName.nullable() }),
  z.strictObject({ kind: z.literal('several'), chosen: z.array(partName).max(MAX_PARTS) }),
  z.strictObject({ kind: z.literal('truth'), chosen: z.boolean().nullable() }),
  z.strictObject({ kind: z.literal('short'), text: storableSchema.max(MAX_PART) }),
  z.strictObject({ kind: z.literal('long'), text: storableSchema.max(MAX_LONG_ANSWER) }),
  z.strictObject({
    kind: z.literal('number'),
    text: storableSchema.max(MAX_PART),
    /** In which the question was read. */
    language: z.enum(['en', 'es', 'fr', 'ar']),
  }),
  z.strictObject({
    kind: z.literal('matching'),
    placed: z
      .record(partName, partName)
      .refine((pairs) => Object.keys(pairs).length <= MAX_PARTS, `at most ${MAX_PARTS} pairs`),
  }),
  z.strictObject({ kind: z.literal('order'), placed: z.array(partName).max(MAX_PARTS).nullable() }),
]);
export type QuizAnswer = DeepReadonly<z.infer<typeof quizAnswerSchema>>;

/** Share of what can be reached, 0…1. */
const share = z.number().min(0).max(1);

const answeredSchema = z.object({
  question: z.string(),
  answer: quizAnswerSchema,
  /** Rises with every change: what is built on another is not taken. */
  version: z.int(),
  at: z.iso.datetime(),
  /** What is right has been shown: it is not changed any more. */
  isChecked: z.boolean(),
});

/** What an answer came to, once it may be told. */
const toldAnswerSchema = z.object({
  question: z.string(),
  /** Null: the points are not shown. */
  points: z.number().nullable(),
  share,
  isOpen: z.boolean(),
  isUnanswered: z.boolean(),
  comment: z.string(),
  /** Null: what is right is not shown, or not yet. */
  solution: solutionSchema.nullable(),
});

export const ownAttemptSchema = z.object({
  id: z.string(),
  number: z.int(),
  begun: z.iso.datetime(),
  /** The first instant at which an answer is refused; null: it has no end of its own. */
  end: z.iso.datetime().nullable(),
  ended: z.iso.datetime().nullable(),
  /** By whom it ended: by handing in, by its time, or by its time with nothing in it. */
  endedBy: z.enum(['hand', 'time', 'nothing']).nullable(),
  isLate: z.boolean(),
  /** SHA-256 over what was handed in. */
  hash: z.string().nullable(),
  /** Points on the quiz's scale; null: it is under way, or there is nothing to reach. */
  points: z.number().nullable(),
  isFinal: z.boolean(),
});

export const ownQuizSchema = z.object({
  questions: z.int(),
  total: z.number(),
  passAt: z.number().nullable(),
  /** Minutes; null: none. */
  limit: z.int().nullable(),
  layout: z.enum(['all', 'one']),
  reveals: revealsSchema,
  counts: z.enum(['best', 'last', 'average']),
  /** A learner to whom it is open now. */
  mayAnswer: z.boolean(),
  mayMark: z.boolean(),
  /** Why no attempt can be begun now; null: one can. */
  fault: z.enum(['over', 'under_way', 'no_questions', 'no_tries', 'wait']).nullable(),
  /** From when on another one can be begun, while one has to wait. */
  from: z.iso.datetime().nullable(),
  punctual: z.enum(['on_time', 'late', 'over']),
  due: z.iso.datetime().nullable(),
  takenTo: z.iso.datetime().nullable(),
  now: z.iso.datetime(),
  zone: z.string(),
  tries: z.object({ most: z.int().nullable(), used: z.int() }),
  /** The latest first. */
  attempts: z.array(ownAttemptSchema),
  /** What counts of all that have ended; null: none has. */
  result: z
    .object({ points: z.number(), share, isFinal: z.boolean(), hasPassed: z.boolean().nullable() })
    .nullable(),
  /** The attempt that is under way, or the one that is looked at. */
  open: z
    .object({
      attempt: z.string(),
      questions: z.array(shownQuestionSchema),
      answers: z.array(answeredSchema),
      told: z.array(toldAnswerSchema),
    })
    .nullable(),
});
export type OwnQuizAnswer = DeepReadonly<z.infer<typeof ownQuizSchema>>;

export const quizQuery = z.object({
  /** The attempt to be looked at; none: the one that is under way. */
  attempt: idSchema.optional(),
});
/** Made by the client: sent again, it is the same. */
export const beginAttemptSchema = z.strictObject({ id: z.uuid() });
export const attemptParams = z.object({ course: idSchema, item: idSchema, attempt: idSchema });
export const attemptQuestionParams = attemptParams.extend({ question: idSchema });
const version = z.int().min(0).max(1_000_000_000);
export const putAnswerSchema = z.strictObject({ version, answer: quizAnswerSchema });
export const checkAnswerSchema = z.strictObject({ version });
/** What whoever hands it in has before them: the version of each answer. With another one there, nothing is handed in. */
export const endAttemptSchema = z.strictObject({
  answers: z
    .record(idSchema, version)
    .refine((all) => Object.keys(all).length <= MAX_QUESTIONS, `at most ${MAX_QUESTIONS} answers`),
});

export const keptAnswerSchema = z.object({
  version: z.int(),
  at: z.iso.datetime(),
  now: z.iso.datetime(),
});
export type KeptAnswer = DeepReadonly<z.infer<typeof keptAnswerSchema>>;

const figures = {
  question: z.string(),
  asked: z.int(),
  unanswered: z.int(),
  open: z.int(),
  right: z.number().nullable(),
  tells: z.number().nullable(),
};
export const quizListSchema = z.object({
  item: z.object({
    id: z.string(),
    title: z.string(),
    total: z.number(),
    passAt: z.number().nullable(),
  }),
  zone: z.string(),
  /** In the order in which they are asked; a question that was taken out has no words any more. */
  questions: z.array(
    z.object({
      ...figures,
      number: z.int(),
      text: z.string().max(MAX_ASKED),
      kind: z.string(),
      points: z.number(),
    }),
  ),
  people: z.array(
    z.object({
      person: z.string(),
      name: z.string(),
      groups: z.array(z.string()),
      attempts: z.array(
        z.object({
          id: z.string(),
          number: z.int(),
          begun: z.iso.datetime(),
          ended: z.iso.datetime().nullable(),
          endedBy: z.enum(['hand', 'time', 'nothing']).nullable(),
          isLate: z.boolean(),
          points: z.number().nullable(),
          isFinal: z.boolean(),
        }),
      ),
      points: z.number().nullable(),
      isFinal: z.boolean(),
      hasPassed: z.boolean().nullable(),
    }),
  ),
});
export type QuizListAnswer = DeepReadonly<z.infer<typeof quizListSchema>>;

export const quizPictureParams = z.object({ course: idSchema, item: idSchema, hash: idSchema });
export const quizQuestionParams = z.object({ course: idSchema, item: idSchema, question: idSchema });
/** Answers that are alike, together: marked once, they are marked for all. */
export const alikeSchema = z.object({
  question: z.object({
    id: z.string(),
    number: z.int(),
    text: z.string(),
    kind: z.string(),
    points: z.number(),
    right: z.array(z.string()),
    why: z.string(),
  }),
  answers: z.array(
    z.object({
      /** As it was given, or what was chosen, a line for each. */
      words: z.array(z.string()),
      isOpen: z.boolean(),
      share,
      /** What staff have said of it; null: nothing, or not the same of all. */
      mark: z.object({ points: z.number(), comment: z.string() }).nullable(),
      from: z.array(
        z.object({
          attempt: z.string(),
          /** Null: it is left out until the answer is marked. */
          name: z.string().nullable(),
          /** The mark that stands; null: there is none. */
          mark: z.string().nullable(),
        }),
      ),
    }),
  ),
});
export type AlikeAnswers = DeepReadonly<z.infer<typeof alikeSchema>>;

export const markAnswersSchema = z.strictObject({
  answers: z
    .array(z.strictObject({ attempt: idSchema, after: z.string().max(100).nullable() }))
    .min(1)
    .max(10_000),
  points: z.number().min(0).max(MAX_POINTS),
  comment: storableSchema.max(10_000),
});
export type MarkAnswers = DeepReadonly<z.infer<typeof markAnswersSchema>>;

/** Where somebody stands, or would; null: nothing can be reached. */
const standSchema = z.object({ points: z.number(), share }).nullable();
export const anewSchema = z.object({
  /** Of what was looked at: what is then done is exactly that. */
  token: z.string(),
  /** Attempts that come out otherwise. */
  attempts: z.int(),
  /** Whoever stands elsewhere for it. */
  people: z.array(z.object({ person: z.string(), name: z.string(), from: standSchema, to: standSchema })),
});
export type AnewAnswer = DeepReadonly<z.infer<typeof anewSchema>>;
export const judgeAnewSchema = z.strictObject({ token: z.string().max(100) });
