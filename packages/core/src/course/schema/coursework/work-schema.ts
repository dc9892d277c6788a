/** What an assignment takes, and by when. */
import { z } from 'zod';

/** Kinds of files as people speak of them; each is several media types (work/file-groups.ts). */
export const FILE_GROUPS = ['document', 'table', 'slides', 'picture', 'sound', 'film', 'archive'] as const;
export type FileGroup = (typeof FILE_GROUPS)[number];

export const MAX_HANDED_FILES = 20;
export const MAX_GRACE = 24 * 60;
export const MAX_TRIES = 20;
export const MAX_POINTS = 10_000;

export const takesSchema = z.strictObject({
  text: z.boolean(),
  address: z.boolean(),
  /** How many at most; 0: none. */
  files: z.int().min(0).max(MAX_HANDED_FILES),
  /** Empty: any that the course takes. */
  kinds: z.array(z.enum(FILE_GROUPS)).max(FILE_GROUPS.length),
});
export type Takes = z.infer<typeof takesSchema>;

/** As an assignment is before anybody has said otherwise. */
export const USUAL_TAKES: Takes = { text: true, address: false, files: 5, kinds: [] };

export const graceSchema = z.int().min(0).max(MAX_GRACE);
export const triesSchema = z.int().min(1).max(MAX_TRIES);
export const pointsSchema = z.number().min(0).max(MAX_POINTS);
