/** The server in miniature: it answers, refuses, stumbles, or is away. */
import { afterEach, beforeEach, jest } from '@jest/globals';
import type { MovesAnswer } from '@itinerary/contract';
import { applyChange } from '@itinerary/core';
import type { Change, Course, Edit, TakenChange, TextFacts } from '@itinerary/core';
import { createPinia, setActivePinia } from 'pinia';
import type { Pinia } from 'pinia';
import { smallCourse } from '../../../core/test/support/arbitraries.ts';

interface Sent {
  readonly since: number;
  readonly changes: readonly Change[];
  readonly texts: Readonly<Record<string, string>>;
}

type Trouble =
  | 'none'
  | 'away'
  | 'lost answer'
  | 'away from the database'
  | 'signed out'
  | 'too large'
  | 'too many'
  | 'broken';

/** Takes changes as the real one does; `trouble` says how the next requests go. */
export class MiniServer {
  course: Course = smallCourse();
  log: TakenChange[] = [];
  sent: Sent[] = [];
  texts = new Map<string, string>();
  trouble: Trouble = 'none';
  /** What it keeps of some texts instead: from hash to hash. */
  renamed: Record<string, string> = {};
  facts: Record<string, TextFacts> = {};
  learners = 2;
  groupSizes: Record<string, number> = {};
  /** Who would be done with more or less, whatever is asked about; null: it does not say. */
  moves: MovesAnswer | null = { gains: [], loses: [], keeping: 0 };
  weighed: (readonly Edit[])[] = [];

  readonly fetch = (path: string | URL | Request, init?: RequestInit): Promise<Response> => {
    const address = String(path);
    if (address.endsWith('/plan')) {
      const rights = { plan: true, state: true, members: true };
      return this.answer({
        course: this.course,
        seq: this.log.length,
        learners: 2,
        places: 0,
        texts: this.facts,
        rights,
      });
    }
    if (address.includes('/texts/')) {
      const html = this.texts.get(address.split('/').at(-1) ?? '');
      return html === undefined ? this.problem(404, 'not_found') : this.answer({ html });
    }
    if (address.endsWith('/progress/moves')) {
      this.weighed.push((JSON.parse(String(init?.body)) as { edits: readonly Edit[] }).edits);
      return this.moves === null ? this.problem(503, 'database_away') : this.answer(this.moves);
    }
    const body = JSON.parse(String(init?.body)) as Sent;
    this.sent.push(body);
    if (this.trouble === 'away') return Promise.reject(new TypeError('Failed to fetch'));
    if (this.trouble === 'away from the database') return this.problem(503, 'database_away');
    if (this.trouble === 'signed out') return this.problem(401, 'not_signed_in');
    if (this.trouble === 'too large' && body.changes.length > 2) return this.problem(413, 'too_large');
    if (this.trouble === 'too many') return this.problem(429, 'too_many_attempts');
    if (this.trouble === 'broken') return this.problem(500, 'internal');
    const answer = this.take(body);
    if (this.trouble === 'lost answer') return Promise.reject(new TypeError('Failed to fetch'));
    return this.answer(answer);
  };

  take({ since, changes, texts }: Sent, author = 'Inês'): object {
    for (const [hash, html] of Object.entries(texts)) this.texts.set(hash, html);
    const refused: object[] = [];
    for (const sent of changes) {
      const edits = sent.edits.map((edit) =>
        edit.kind === 'set' && typeof edit.value === 'string'
          ? { ...edit, value: this.renamed[edit.value] ?? edit.value }
          : edit,
      );
      const change = { ...sent, edits };
      if (this.log.some((taken) => taken.change.id === change.id)) continue;
      const applied = applyChange(this.course, change);
      if (!applied.ok) {
        refused.push({ id: change.id, refusal: applied.refusal });
        continue;
      }
      this.course = applied.course;
      this.log.push({ seq: this.log.length + 1, change, author, mine: author === 'Inês' });
    }
    const taken = this.log.filter(({ seq }) => seq > since);
    return {
      seq: this.log.length,
      taken,
      refused,
      texts: this.facts,
      renamed: this.renamed,
      learners: this.learners,
      places: 0,
      groupSizes: this.groupSizes,
    };
  }

  /** Somebody else's change, taken by the server. */
  other(change: Change): void {
    this.take({ since: 0, changes: [change], texts: {} }, 'Tunde');
  }

  private answer(body: unknown): Promise<Response> {
    return Promise.resolve(
      new Response(JSON.stringify(body), { headers: { 'content-type': 'application/json' } }),
    );
  }

  private problem(status: number, code: string): Promise<Response> {
    const body = JSON.stringify({ type: 'urn', title: code, status, code });
    return Promise.resolve(
      new Response(body, { status, headers: { 'content-type': 'application/problem+json' } }),
    );
  }
}

export interface Miniature {
  readonly server: MiniServer;
  readonly pinia: Pinia;
}

export interface Answering {
  /** By address: answers to what the server in miniature does not know. */
  answers: Record<string, unknown>;
  /** What was asked: method and address. */
  readonly asked: string[];
}

/** To be called after `miniature`: empty again for each test of a file. */
export function answering(at: Miniature): Answering {
  const its: Answering = { answers: {}, asked: [] };
  beforeEach(() => {
    its.answers = {};
    its.asked.length = 0;
    globalThis.fetch = (path, init) => {
      const address = String(path);
      its.asked.push(`${init?.method ?? 'GET'} ${address}`);
      if (!(address in its.answers)) return at.server.fetch(path, init);
      const body = JSON.stringify(its.answers[address]);
      return Promise.resolve(new Response(body, { headers: { 'content-type': 'application/json' } }));
    };
  });
  return its;
}

/** A server in miniature, empty stores, and time that passes when it is told to: anew for each test of a file. */
export function miniature(): Miniature {
  const at: { server: MiniServer; pinia: Pinia } = { server: new MiniServer(), pinia: createPinia() };
  const realFetch = globalThis.fetch;
  beforeEach(() => {
    jest.useFakeTimers({ doNotFake: ['queueMicrotask', 'nextTick'] });
    at.pinia = createPinia();
    setActivePinia(at.pinia);
    at.server = new MiniServer();
    globalThis.fetch = at.server.fetch;
  });
  afterEach(() => {
    jest.useRealTimers();
    globalThis.fetch = realFetch;
  });
  return at;
}
