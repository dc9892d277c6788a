/** Errors as problem documents, RFC 9457. `code` is for programs, `title` and `detail` are for people. */
import { z } from 'zod';

export const problemCodes = [
  'bad_input',
  'not_signed_in',
  'wrong_name_or_password',
  'wrong_passphrase',
  'too_many_attempts',
  'too_often',
  'not_allowed',
  'not_found',
  'code_taken',
  'blocked',
  'foreign_origin',
  'too_large',
  'out_of_step',
  'members_changed',
  'cannot_join',
  'cannot_choose',
  'cannot_hand_in',
  'changed_elsewhere',
  'busy',
  'database_away',
  'disk_full',
  'internal',
] as const;
export type ProblemCode = (typeof problemCodes)[number];

export const fieldProblemSchema = z.object({
  /** Where: a path into the body, the query or the address. */
  path: z.string(),
  /** What stands there, shortened where it is long. */
  value: z.unknown(),
  expected: z.string(),
});
export type FieldProblem = z.infer<typeof fieldProblemSchema>;

export const problemSchema = z.object({
  type: z.string(),
  title: z.string(),
  status: z.int(),
  detail: z.string().optional(),
  code: z.enum(problemCodes),
  errors: z.array(fieldProblemSchema).optional(),
});
export type Problem = z.infer<typeof problemSchema>;
