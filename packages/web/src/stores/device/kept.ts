/**
 * What the server has not answered yet, on this device: it outlives the page and the browser.
 *
 * Each open page keeps its own, and holds a lock for as long as it lives. What a page left behind is taken up by
 * the next one that opens the course; whoever sends a change twice harms nobody, since each is taken once.
 */
import type { Change } from '@itinerary/core';
import { createStore, del, entries, set } from 'idb-keyval';
import type { UseStore } from 'idb-keyval';
import { newId } from '../new-id.ts';

export interface Kept {
  readonly person: string;
  readonly course: string;
  /** The page that it was made on. */
  readonly page: string;
  /** What had been seen of the course. */
  readonly seq: number;
  readonly changes: readonly Change[];
  /** The long texts that the changes name, by hash. */
  readonly texts: Readonly<Record<string, string>>;
}

const LOCK = 'itinerary.kept.';
export const THIS_PAGE = newId();

const locks = (): LockManager | undefined =>
  'navigator' in globalThis && 'locks' in navigator ? navigator.locks : undefined;

let store: UseStore | null | undefined;

/** Null where the browser keeps nothing for us. */
function room(): UseStore | null {
  if (store !== undefined) return store;
  store = typeof indexedDB === 'undefined' ? null : createStore('itinerary', 'kept');
  // Held until the page is gone.
  if (store !== null) void locks()?.request(LOCK + THIS_PAGE, () => new Promise(() => undefined));
  return store;
}

const keyOf = ({ person, course, page }: Omit<Kept, 'seq' | 'changes' | 'texts'>): string =>
  JSON.stringify([person, course, page]);

/** Of this page's own, what is on its way to the device or off it. */
const newest = new Map<string, Kept>();

/** All that is kept for somebody, of pages that are open too. Nothing where it cannot be read. */
export async function keptFor(person: string): Promise<readonly Kept[]> {
  const at = room();
  if (at === null) return [];
  try {
    const all = await entries<string, Kept>(at);
    return all
      .map(([key, kept]) => newest.get(key) ?? kept)
      .filter((kept) => kept.person === person && kept.changes.length > 0);
  } catch {
    return [];
  }
}

/** What pages that are gone have left. This page's own counts as left behind, once it is elsewhere. */
export async function leftBehind(person: string, course?: string): Promise<readonly Kept[]> {
  const kept = (await keptFor(person)).filter((one) => course === undefined || one.course === course);
  const standing = kept.length === 0 ? undefined : await locks()?.query();
  if (standing === undefined) return kept;
  const { held = [] } = standing;
  const living = new Set(held.map(({ name }) => name));
  return kept.filter(({ page }) => page === THIS_PAGE || !living.has(LOCK + page));
}

/** Calls back when a page that has something kept is gone. */
export async function whenLeft(person: string, course: string, left: (kept: Kept) => void): Promise<void> {
  if (locks() === undefined) return;
  for (const one of await keptFor(person)) {
    if (one.course !== course || one.page === THIS_PAGE) continue;
    void locks()?.request(LOCK + one.page, async () => {
      // It may have sent it all before it went.
      const now = (await keptFor(person)).find((kept) => keyOf(kept) === keyOf(one));
      if (now !== undefined) left(now);
    });
  }
}

export async function forget(kept: Kept): Promise<void> {
  const at = room();
  if (at !== null) await del(keyOf(kept), at).catch(() => undefined);
}

/**
 * Keeps the newest of what it is handed, one at a time: what changes while something is being written waits, and only
 * the last of it is written. Resolves when nothing waits any more.
 *
 * @param done told after each: whether it is on the device, and what it was.
 */
export function keeper(done: (isKept: boolean, kept: Kept) => void): (kept: Kept) => Promise<void> {
  const waiting = new Map<string, Kept>();
  let writing: Promise<void> | null = null;
  async function write(): Promise<void> {
    for (const [key, kept] of waiting) {
      waiting.delete(key);
      done(await put(kept), kept);
    }
    if (waiting.size > 0) await write();
  }
  return (kept) => {
    waiting.set(keyOf(kept), kept);
    newest.set(keyOf(kept), kept);
    writing ??= write().finally(() => (writing = null));
    return writing;
  };
}

async function put(kept: Kept): Promise<boolean> {
  const at = room();
  if (at === null) return false;
  try {
    await (kept.changes.length === 0 ? del(keyOf(kept), at) : set(keyOf(kept), kept, at));
    return true;
  } catch {
    return false;
  }
}
