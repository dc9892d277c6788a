/** Why a change was not taken. `edit` is the index of the edit that stopped it; wording is the reader's. */
import { z } from 'zod';
import type { DeepReadonly } from '../schema/readonly.ts';
import type { Course } from '../schema/schema.ts';
import { fieldValueSchema } from './edits.ts';
import type { Edit } from './edits.ts';

const stopped = { edit: z.int(), target: z.string() };

export const refusalSchema = z.discriminatedUnion('code', [
  z.object({ ...stopped, code: z.literal('unknown_target') }),
  z.object({ ...stopped, code: z.literal('removed_target') }),
  z.object({ ...stopped, code: z.literal('unknown_parent'), parent: z.string() }),
  z.object({ ...stopped, code: z.literal('removed_parent'), parent: z.string() }),
  z.object({ ...stopped, code: z.literal('unknown_neighbour'), after: z.string() }),
  z.object({ ...stopped, code: z.literal('wrong_parent'), parent: z.string() }),
  z.object({ ...stopped, code: z.literal('inside_itself'), parent: z.string() }),
  z.object({ ...stopped, code: z.literal('too_deep'), most: z.int() }),
  z.object({ ...stopped, code: z.literal('id_taken') }),
  z.object({ ...stopped, code: z.literal('unknown_field'), field: z.string() }),
  z.object({
    ...stopped,
    code: z.literal('bad_value'),
    field: z.string(),
    value: fieldValueSchema,
    expected: z.string(),
  }),
  z.object({ ...stopped, code: z.literal('too_many'), most: z.int() }),
  z.object({
    ...stopped,
    code: z.literal('changed_since'),
    field: z.string(),
    now: fieldValueSchema,
    wanted: fieldValueSchema,
  }),
]);
export type Refusal = DeepReadonly<z.infer<typeof refusalSchema>>;

export type Applied =
  | {
      readonly ok: true;
      readonly course: Course;
      readonly inverse: readonly Edit[];
    }
  | { readonly ok: false; readonly refusal: Refusal };
