/** Accounts that people make themselves, passwords set anew, and where somebody is signed in. */
import { storableSchema } from '@itinerary/core';
import type { DeepReadonly } from '@itinerary/core';
import { z } from 'zod';
import { languageSchema, mailAddressSchema } from '../shape/mail.ts';
import { meSchema } from '../people/schemas.ts';

/** Length, and nothing else: recipes make passwords that people write down. */
export const LEAST_PASSWORD = 10;
const passwordSchema = z.string().min(LEAST_PASSWORD).max(200);
export const MAX_NAME = 200;
const nameSchema = storableSchema.trim().min(1).max(MAX_NAME);
/** A page of our own. */
const onwardSchema = storableSchema
  .max(500)
  .regex(/^\/(?![/\\])/)
  .nullable();

export const newAccountSchema = z.strictObject({
  address: mailAddressSchema,
  name: nameSchema,
  lang: languageSchema,
  onward: onwardSchema,
});
export const forgottenSchema = z.strictObject({ address: mailAddressSchema, lang: languageSchema });
export const accountKeyParams = z.object({ key: storableSchema.min(1).max(60) });
export const accountKeySchema = z.object({
  kind: z.enum(['confirm', 'reset']),
  address: z.string(),
  name: z.string(),
});
export type AccountKeyAnswer = DeepReadonly<z.infer<typeof accountKeySchema>>;
export const byKeySchema = z.strictObject({ name: nameSchema.nullable(), password: passwordSchema });
export const inAgainSchema = z.object({ me: meSchema, onward: z.string().nullable() });
export const invitedAccountSchema = z.strictObject({
  key: storableSchema.min(1).max(60),
  name: nameSchema,
  password: passwordSchema,
});
export const changePasswordSchema = z.strictObject({
  old: z.string().min(1).max(200),
  password: passwordSchema,
});
export const ownAccountSchema = z.strictObject({ lang: languageSchema });
export const sessionParams = z.object({ session: storableSchema.min(1).max(60) });
export const sessionsSchema = z.object({
  sessions: z.array(
    z.object({
      id: z.string(),
      /** Null: from before it was kept. */
      since: z.string().nullable(),
      /** What the browser says of itself. */
      browser: z.string(),
      isThis: z.boolean(),
    }),
  ),
});
export type SessionsAnswer = DeepReadonly<z.infer<typeof sessionsSchema>>;
