/** What is asked with a file: its name, and the upload in which it has come, where it does not come as the body. */
import { fileNameSchema, idSchema } from '@itinerary/core';
import { z } from 'zod';

export const fileQuery = z.object({ name: fileNameSchema, upload: idSchema.optional() });
