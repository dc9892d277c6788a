/** The menu as the learner's own pages show it: what is seen of it, group by group. */
import { z } from 'zod';
import { areaSchema, menuGroupSchema } from '../course/schema/menu-schema.ts';
import type { DeepReadonly } from '../course/schema/readonly.ts';
import { wordsSchema } from '../course/schema/words-schema.ts';

const menuItemViewSchema = z.object({
  id: z.string(),
  to: z.enum(['area', 'item', 'address', 'institution', 'divider']),
  area: areaSchema.nullable(),
  /** Id of the item that it opens. */
  item: z.string().nullable(),
  address: z.string().nullable(),
  /** Own names of the entry; where there is none in the reader's language, `names` of what it leads to. */
  names: wordsSchema,
  /** The title of an item; the host of an address. */
  title: z.string().nullable(),
  staffOnly: z.boolean(),
});
export type MenuItemView = DeepReadonly<z.infer<typeof menuItemViewSchema>>;

const menuGroupViewSchema = z.object({
  /** Null: what stands before the first group. */
  id: z.string().nullable(),
  group: menuGroupSchema.nullable(),
  names: wordsSchema,
  entries: z.array(menuItemViewSchema),
});
export type MenuGroupView = DeepReadonly<z.infer<typeof menuGroupViewSchema>>;

const linkViewSchema = z.object({ names: wordsSchema, address: z.string() });

export const menuViewSchema = z.object({
  groups: z.array(menuGroupViewSchema),
  /** The institution's own first page. */
  site: linkViewSchema.nullable(),
  /** Help, by the area that it stands beside; under `''` that for everything else. */
  help: z.record(z.string(), linkViewSchema),
});
export type MenuView = DeepReadonly<z.infer<typeof menuViewSchema>>;
