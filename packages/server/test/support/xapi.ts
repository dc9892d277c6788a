/** A statement as IEEE 9274.1.1 (xAPI 2.0), clause 4.2, has it: nothing that it does not name, everything in its form. */
import { z } from 'zod';

/** Absolute, as RFC 3987 has it: a scheme, and no spaces. */
const iri = z.string().regex(/^[a-z][a-z0-9+.-]*:[^\s<>"{}|\\^`]+$/i);
/** RFC 4122: a version from 1 to 5, and its variant. */
const uuid = z.string().regex(/^[0-9a-f]{8}-[0-9a-f]{4}-[1-5][0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/);
/** By RFC 5646. */
const languageMap = z.record(z.string().regex(/^[a-z]{2,3}(-[A-Za-z0-9]{2,8})*$/), z.string());
const extensions = z.record(iri, z.unknown());

/** Known in exactly one way. */
const agentSchema = z
  .strictObject({
    objectType: z.literal('Agent').optional(),
    name: z.string().optional(),
    mbox: z.string().startsWith('mailto:').optional(),
    mbox_sha1sum: z.string().length(40).optional(),
    openid: iri.optional(),
    account: z.strictObject({ homePage: iri, name: z.string().min(1) }).optional(),
  })
  .refine((one) => [one.mbox, one.mbox_sha1sum, one.openid, one.account].filter(Boolean).length === 1);

const activitySchema = z.strictObject({
  objectType: z.literal('Activity'),
  id: iri,
  definition: z
    .strictObject({
      name: languageMap.optional(),
      description: languageMap.optional(),
      type: iri.optional(),
      moreInfo: iri.optional(),
      extensions: extensions.optional(),
    })
    .optional(),
});
const activities = z.array(activitySchema).min(1).optional();

export const statementSchema = z.strictObject({
  id: uuid,
  actor: agentSchema,
  verb: z.strictObject({ id: iri, display: languageMap.optional() }),
  object: activitySchema,
  result: z
    .strictObject({
      score: z
        .strictObject({
          scaled: z.number().min(-1).max(1).optional(),
          raw: z.number().optional(),
          min: z.number().optional(),
          max: z.number().optional(),
        })
        .optional(),
      success: z.boolean().optional(),
      completion: z.boolean().optional(),
      response: z.string().optional(),
      duration: z.iso.duration().optional(),
      extensions: extensions.optional(),
    })
    .optional(),
  context: z
    .strictObject({
      registration: uuid.optional(),
      instructor: agentSchema.optional(),
      contextActivities: z
        .strictObject({ parent: activities, grouping: activities, category: activities, other: activities })
        .optional(),
      revision: z.string().optional(),
      platform: z.string().optional(),
      language: z.string().optional(),
      extensions: extensions.optional(),
    })
    .optional(),
  timestamp: z.iso.datetime({ offset: true }).optional(),
  version: z
    .string()
    .regex(/^2\.0\.\d+$/)
    .optional(),
});

/** A file of them is one list, each with an id of its own. */
export const statementsSchema = z
  .array(statementSchema)
  .refine((all) => new Set(all.map(({ id }) => id)).size === all.length);
