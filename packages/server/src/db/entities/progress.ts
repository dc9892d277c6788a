/** What somebody has done in a course, and where they stand. */
import { defineEntity } from '@mikro-orm/core';
import type { InferEntity } from '@mikro-orm/core';
import type { Done, Facts, Reached } from '@itinerary/core';

export const DeedRow = defineEntity({
  name: 'DeedRow',
  tableName: 'deed',
  properties: (p) => ({
    courseId: p.string().primary(),
    personId: p.string().primary(),
    itemId: p.string().primary(),
    /** As it was reckoned when the last deed came: when it was done; null: it was not. */
    doneAt: p.string().nullable(),
    /** The highest mark that stood then, in percent of what can be reached. */
    score: p.float().nullable(),
    /** All that any done rule can ask about. */
    facts: p.json<Facts>().default('{}'),
  }),
});

/** Where somebody stands, as it was reckoned with their last deed. */
export const ProgressRow = defineEntity({
  name: 'ProgressRow',
  tableName: 'progress',
  properties: (p) => ({
    courseId: p.string().primary(),
    personId: p.string().primary(),
    /** By item that is done. */
    done: p.json<Readonly<Record<string, Done>>>().default('{}'),
    /** By section, and the course by its own id. */
    reached: p.json<Readonly<Record<string, Reached>>>().default('{}'),
    /** A sign of the rules by which that is. */
    basis: p.string().default(''),
    /** The moment of the last deed, in milliseconds: none comes before it. */
    lastAt: p.double().default(0),
    /** Under the same sign, one letter for each item that counts: the grid of a class asks for no more. */
    letters: p.string().default(''),
    /** Since when the course is done, in milliseconds; null: it is not. */
    completed: p.double().nullable(),
  }),
});

export type ProgressRecord = InferEntity<typeof ProgressRow>;
