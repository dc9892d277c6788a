/**
 * What there is of each kind of item: the one table that everything else asks, and that the learner's pages may load
 * as it is. A kind has its fields in `items-schema.ts`, its sign in the web application, and its names with
 * the languages; what the compiler or a test misses of it, it says.
 */

import type { Area } from './menu-schema.ts';
import type { DoneBy } from './progress-schema.ts';

export interface KindTraits {
  /**
   * A `mark` stands between others and is never opened; a `holder` holds others; `content` is what is read, watched,
   * worked on or met for.
   */
  readonly part: 'mark' | 'holder' | 'content';
  /** Something is made in it by a moment at which it is due. */
  readonly isDue: boolean;
  /** Brings a file of its own, or can. */
  readonly file: 'none' | 'any' | 'film';
  /** Leads to an address, or can; one that leads out has no page of its own. */
  readonly address: 'none' | 'film' | 'out';
  /** The area that lists it; with `ifFile`, once it has its file. */
  readonly area: { readonly name: Area; readonly ifFile: boolean } | null;
  /** What can count as done. */
  readonly doneBy: readonly DoneBy[];
  /** Has words of its own, and may be empty for want of them. */
  readonly isText: boolean;
  /** It is nothing to a learner while it has none of these; with none named here it says enough by itself. */
  readonly emptyWithout: readonly ('text' | 'address' | 'file')[];
}

const READ = ['opened', 'ticked'] as const;
const CONTENT = {
  part: 'content',
  isDue: false,
  file: 'none',
  address: 'none',
  area: null,
  doneBy: READ,
  isText: false,
  emptyWithout: [],
} as const satisfies KindTraits;
const NO_CONTENT = { ...CONTENT, doneBy: [] } as const;
const HANDED_IN = {
  ...CONTENT,
  isDue: true,
  doneBy: [...READ, 'handed_in', 'scored', 'passed'],
  emptyWithout: ['text'],
} as const;

/** In the order in which they are offered. */
export const KINDS = {
  page: { ...CONTENT, isText: true, emptyWithout: ['text'] },
  file: { ...CONTENT, file: 'any', area: { name: 'files', ifFile: false }, emptyWithout: ['file'] },
  link: { ...CONTENT, address: 'out', emptyWithout: ['address'] },
  video: {
    ...CONTENT,
    file: 'film',
    address: 'film',
    area: { name: 'files', ifFile: true },
    doneBy: [...READ, 'watched'],
    emptyWithout: ['file', 'address'],
  },
  assignment: { ...HANDED_IN, area: { name: 'assignments', ifFile: false } },
  quiz: { ...HANDED_IN, area: { name: 'quizzes', ifFile: false }, emptyWithout: [] },
  discussion: {
    ...CONTENT,
    isDue: true,
    area: { name: 'discussions', ifFile: false },
    doneBy: [...READ, 'posted', 'replied'],
    emptyWithout: ['text'],
  },
  meeting: { ...CONTENT, area: { name: 'meetings', ifFile: false }, doneBy: [...READ, 'attended'] },
  survey: { ...CONTENT, doneBy: [...READ, 'handed_in'] },
  heading: { ...NO_CONTENT, part: 'mark' },
  folder: { ...NO_CONTENT, part: 'holder' },
} as const satisfies Readonly<Record<string, KindTraits>>;

export type ItemKind = keyof typeof KINDS;
type KindsOf<Part> = {
  [Kind in ItemKind]: (typeof KINDS)[Kind]['part'] extends Part ? Kind : never;
}[ItemKind];
export type ContentKind = KindsOf<'content'>;
export type HolderKind = KindsOf<'holder'>;
export type WorkKind = {
  [Kind in ItemKind]: (typeof KINDS)[Kind]['isDue'] extends true ? Kind : never;
}[ItemKind];

export const ITEM_KINDS = Object.keys(KINDS) as [ItemKind, ...ItemKind[]];

/** Any node's kind: sections have none of these traits. */
interface OfKind {
  readonly kind: string;
}

const NO_ITEM: KindTraits = { ...NO_CONTENT, part: 'holder' };

export function traitsOf({ kind }: OfKind): KindTraits {
  return Object.hasOwn(KINDS, kind) ? KINDS[kind as ItemKind] : NO_ITEM;
}

/** It has a page, an expected time, and outcomes can point at it. */
export const isContentKind = (kind: string): kind is ContentKind => traitsOf({ kind }).part === 'content';

/** A section, or an item that holds others. */
export const isHolderKind = (kind: string): kind is HolderKind | 'section' =>
  traitsOf({ kind }).part === 'holder';

/** Something is made in it by a due moment. */
export const isWorkKind = (kind: string): kind is WorkKind => traitsOf({ kind }).isDue;

/** Whether an area lists it. */
export function isInArea(area: Area, item: OfKind & { readonly file?: unknown }): boolean {
  const own = traitsOf(item).area;
  return own !== null && own.name === area && (!own.ifFile || (item.file ?? null) !== null);
}
