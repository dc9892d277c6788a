/** What letters are sent by. */
import { storableSchema } from '@itinerary/core';
import { z } from 'zod';

/** The languages that letters are written in. */
export const languageSchema = z.enum(['en', 'es', 'fr', 'ar']);
export const mailAddressSchema = storableSchema.trim().pipe(z.email()).pipe(z.string().max(200));
