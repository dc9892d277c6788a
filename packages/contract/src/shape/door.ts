/** How it stands at a course's ways in, as readiness asks for it. */
import type { DeepReadonly } from '@itinerary/core';
import { WAYS } from '@itinerary/core/people';
import { z } from 'zod';

export const doorFactsSchema = z.object({
  hasMail: z.boolean(),
  hasDesk: z.boolean(),
  bounced: z.int(),
  /** For a week. */
  unanswered: z.int(),
  requests: z.int(),
  waiting: z.array(z.object({ way: z.enum(WAYS), count: z.int() })),
  instructors: z.int(),
  ungrouped: z.int(),
  leftClasses: z.array(z.string()),
  registry: z
    .object({
      listed: z.int(),
      asked: z.int(),
      readAt: z.iso.datetime().nullable(),
      isAway: z.boolean(),
    })
    .nullable(),
});
export type DoorFactsAnswer = DeepReadonly<z.infer<typeof doorFactsSchema>>;
