/** Somebody who listens to what is told while they look. */
import { expect } from '@jest/globals';
import type { RunningServer } from '../../src/index.ts';
import { PEOPLE } from './server.ts';
import type { Who } from './server.ts';

export const readers: { close: () => void }[] = [];

export function leaveAll(): void {
  readers.splice(0).forEach((reader) => reader.close());
}

const sessionCookie = (cookies: readonly string[]): string =>
  cookies.find((one) => one.startsWith('itinerary='))?.split(';')[0] ?? '';

export interface Heard {
  readonly events: { event: string; data: unknown }[];
  readonly until: (event: string, count?: number) => Promise<void>;
  readonly cookie: string;
  /** When the line has ended. */
  readonly ended: Promise<void>;
}

export async function cookieOf(server: RunningServer, who: Who): Promise<string> {
  const signIn = await fetch(`${server.address}/api/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ address: PEOPLE[who], password: 'low-tide-at-nine' }),
  });
  return sessionCookie(signIn.headers.getSetCookie());
}

/** The line alone, whatever comes of it. */
export async function openEvents(server: RunningServer, cookie: string): Promise<Response> {
  const abort = new AbortController();
  readers.push({ close: () => abort.abort() });
  return fetch(`${server.address}/api/events`, { headers: { cookie }, signal: abort.signal });
}

/** @param known a cookie of theirs; without one, they sign in. */
export async function listenAs(server: RunningServer, who: Who, known?: string): Promise<Heard> {
  const cookie = known ?? (await cookieOf(server, who));
  const answer = await openEvents(server, cookie);
  expect(answer.headers.get('content-type')).toContain('text/event-stream');
  const events: Heard['events'] = [];
  const waiting = new Set<() => void>();
  const ended = (async () => {
    let rest = '';
    const decoder = new TextDecoder();
    for await (const part of answer.body as unknown as AsyncIterable<Uint8Array>) {
      rest += decoder.decode(part, { stream: true });
      const whole = rest.split('\n\n');
      rest = whole.pop() ?? '';
      for (const one of whole) {
        const event = /^event: (.*)$/m.exec(one)?.[1];
        const data = /^data: (.*)$/m.exec(one)?.[1];
        if (event !== undefined) events.push({ event, data: JSON.parse(data ?? 'null') as unknown });
      }
      waiting.forEach((wake) => wake());
    }
  })().catch(() => undefined);
  const until = async (event: string, count = 1): Promise<void> => {
    while (events.filter((one) => one.event === event).length < count) {
      await new Promise<void>((resolve) => {
        waiting.add(resolve);
      });
    }
  };
  await until('ready');
  return { events, until, cookie, ended };
}
