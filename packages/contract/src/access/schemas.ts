/** The passphrase with which visitors look at a course. */
import { storableSchema } from '@itinerary/core';
import { z } from 'zod';

/** Whether there is a passphrase for visitors, and whether it can be guessed. */
export const passphraseStateSchema = z.enum(['none', 'easy', 'good']);

export const passphraseAnswerSchema = z.object({ passphrase: passphraseStateSchema });

/** Null takes it away. */
export const passphraseSchema = z.strictObject({
  passphrase: storableSchema.trim().min(1).max(200).nullable(),
});

export const visitSchema = z.strictObject({ passphrase: z.string().min(1).max(200) });
