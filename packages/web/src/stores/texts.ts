/** Long texts of the course being set up, by hash: those loaded, and those written here and not yet sent. */
import type { TextAnswer } from '@itinerary/contract';
import { defineStore } from 'pinia';
import { shallowReactive } from 'vue';
import { ask, path } from '../api/client.ts';

export async function hashText(html: string): Promise<string> {
  const digest = await crypto.subtle.digest('SHA-256', new TextEncoder().encode(html));
  return [...new Uint8Array(digest)].map((byte) => byte.toString(16).padStart(2, '0')).join('');
}

export const useTexts = defineStore('texts', () => {
  const known = shallowReactive(new Map<string, string>());
  const asked = new Set<string>();
  let course = '';

  function start(courseId: string): void {
    if (course === courseId) return;
    course = courseId;
    known.clear();
    asked.clear();
  }

  /** The text when it is here; otherwise null, and it is fetched. */
  function read(hash: string | null): string | null {
    if (hash === null) return null;
    const here = known.get(hash);
    if (here === undefined) void load(hash);
    return here ?? null;
  }

  async function load(hash: string): Promise<string | null> {
    const here = known.get(hash);
    if (here !== undefined) return here;
    if (asked.has(hash)) return null;
    asked.add(hash);
    try {
      const { html } = await ask<TextAnswer>(path`/api/courses/${course}/texts/${hash}`);
      known.set(hash, html);
      return html;
    } catch {
      // Asked again when it is next looked at.
      asked.delete(hash);
      return null;
    }
  }

  async function keep(html: string): Promise<string> {
    const hash = await hashText(html);
    known.set(hash, html);
    return hash;
  }

  return { known, start, read, load, keep };
});
