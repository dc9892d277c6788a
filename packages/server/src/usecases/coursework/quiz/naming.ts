/** What the parts of a question are called in one attempt: nobody who has not the server's secret can tell where they stand. */
import { createHmac } from 'node:crypto';
import type { Naming } from '@itinerary/core';

export const namingFor =
  (secret: string, attempt: string, question: string): Naming =>
  (part) =>
    createHmac('sha256', secret).update(`${attempt}\n${question}\n${part}`).digest('base64url').slice(0, 16);
