/** A server whose payment desk is in the test's hands. */
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { Till } from '../../src/standins/desk/till.ts';
import { tillPage } from '../../src/standins/desk/till-page.ts';
import type { Clock } from '../../src/config/clock.ts';
import { quietPort } from './mortal.ts';
import { testServer } from './server.ts';
import type { TestServer } from './server.ts';

export const DESK_SECRET = 'between the desk and us';

export interface WithTill {
  readonly till: Till;
  readonly server: TestServer;
  /** The desk answers nobody until what this gives is called. */
  readonly hold: () => () => void;
  readonly stop: () => Promise<void>;
}

export async function serverWithTill(clock: Clock): Promise<WithTill> {
  const till = new Till({ secret: DESK_SECRET, file: null });
  const answers = tillPage(till, DESK_SECRET, () => 'http://desk.example');
  let held: Promise<void> = Promise.resolve();
  const http = createServer((request, response) => void held.then(() => answers(request, response)));
  await new Promise<void>((resolve) => http.listen(0, '127.0.0.1', () => resolve()));
  const port = await quietPort();
  const url = `http://127.0.0.1:${(http.address() as AddressInfo).port}`;
  const desk = { url, secret: DESK_SECRET };
  const server = await testServer({ clock, port, site: `http://127.0.0.1:${port}`, desk });
  return {
    till,
    server,
    hold: () => {
      let release = (): void => undefined;
      held = new Promise((resolve) => (release = resolve));
      return release;
    },
    stop: async () => {
      till.close();
      await server.stop();
      await new Promise((resolve) => http.close(resolve));
    },
  };
}

/** Asked for a while, since the desk tells in its own time. */
export async function until<T>(what: () => Promise<T>, isThere: (now: T) => boolean): Promise<T> {
  for (let tries = 0; tries < 60; tries += 1) {
    const now = await what();
    if (isThere(now)) return now;
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
  return what();
}
