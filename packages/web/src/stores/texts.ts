/** Long texts of the course being set up, by hash: those loaded, and those written here and not yet sent. */
import { textFacts } from '@itinerary/core';
import type { TextFacts } from '@itinerary/core';
import { defineStore } from 'pinia';
import { shallowReactive } from 'vue';
import { ask } from '../api/client.ts';

export async function hashText(html: string): Promise<string> {
  const digest = await crypto.subtle.digest('SHA-256', new TextEncoder().encode(html));
  return [...new Uint8Array(digest)].map((byte) => byte.toString(16).padStart(2, '0')).join('');
}

export const useTexts = defineStore('texts', () => {
  const known = shallowReactive(new Map<string, string>());
  const asked = new Set<string>();
  /** What they hold besides words; also of those that are not here. */
  const facts = shallowReactive(new Map<string, TextFacts>());
  let course = '';

  function start(courseId: string): void {
    if (course === courseId) return;
    course = courseId;
    known.clear();
    facts.clear();
    asked.clear();
  }

  /** The text when it is here; otherwise null, and it is fetched. */
  function read(hash: string | null): string | null {
    if (hash === null) return null;
    const here = known.get(hash);
    if (here === undefined) void load(hash);
    return here ?? null;
  }

  /**
   * What was sent was kept under other hashes. One's own version stands there until the kept one has come, so
   * that nobody is stopped in the middle of a word.
   */
  function rename(renamed: Readonly<Record<string, string>>): void {
    for (const [sent, kept] of Object.entries(renamed)) {
      const own = known.get(sent);
      if (own === undefined || known.has(kept)) continue;
      known.set(kept, own);
      void fetchText(kept);
    }
  }

  async function load(hash: string): Promise<string | null> {
    const here = known.get(hash);
    if (here !== undefined) return here;
    if (asked.has(hash)) return null;
    asked.add(hash);
    const html = await fetchText(hash);
    // Asked again when it is next looked at.
    if (html === null) asked.delete(hash);
    return html;
  }

  async function fetchText(hash: string): Promise<string | null> {
    try {
      const { html } = await ask('GET /api/courses/{course}/texts/{hash}', { params: { course, hash } });
      known.set(hash, html);
      return html;
    } catch {
      return null;
    }
  }

  function learn(told: Readonly<Record<string, TextFacts>>): void {
    for (const [hash, one] of Object.entries(told)) facts.set(hash, one);
  }

  async function keep(html: string): Promise<string> {
    const hash = await hashText(html);
    known.set(hash, html);
    const held = textFacts(html);
    if (held !== null) facts.set(hash, held);
    return hash;
  }

  return { known, facts, start, read, load, learn, rename, keep };
});
