/** Whether it is well, and what is told while somebody looks. */
import { z } from 'zod';

export const healthSchema = z.object({
  status: z.enum(['ok', 'degraded']),
  database: z.enum(['ok', 'away']),
});
