/** A second server process on the same database, whose clock is another one. */
import { spawn } from 'node:child_process';
import { createServer } from 'node:net';
import type { AddressInfo } from 'node:net';

export interface SecondServer {
  readonly url: string;
  /** It is this instant now, on a server whose clock is told. */
  readonly tell: (instant: string) => void;
  /** Once more is no matter. */
  readonly stop: () => Promise<void>;
}

async function freePort(): Promise<number> {
  const probe = createServer();
  await new Promise<void>((resolve) => probe.listen(0, '127.0.0.1', resolve));
  const { port } = probe.address() as AddressInfo;
  await new Promise((resolve) => probe.close(resolve));
  return port;
}

/**
 * @param clock `stands` at `now`, `runs` on from it, or stands until it is `told`.
 * @param again where one was before, for a server that comes back.
 */
export async function secondServer(
  now: string,
  clock: 'stands' | 'runs' | 'told',
  again?: SecondServer,
): Promise<SecondServer> {
  const main = process.env['E2E_SERVER'];
  if (main === undefined) throw new Error('E2E_SERVER is not set; end-to-end tests are run by npm test');
  const port = again === undefined ? await freePort() : Number(new URL(again.url).port);
  const env = { ...process.env, PORT: String(port), ITINERARY_NOW: now, ITINERARY_CLOCK: clock };
  const child = spawn(process.execPath, [main], { env, stdio: ['ignore', 'pipe', 'inherit', 'ipc'] });
  // A test that fails stops nothing: then it goes with the process that has run the test.
  const end = (): void => void child.kill('SIGKILL');
  process.once('exit', end);
  await new Promise<void>((resolve, reject) => {
    child.once('exit', (code) => reject(new Error(`the second server ended with ${String(code)}`)));
    child.stdout?.on('data', (said: Buffer) => {
      if (said.toString().includes('listening at')) resolve();
    });
  });
  return {
    url: `http://127.0.0.1:${port}`,
    tell: (instant) => void child.send(instant),
    stop: () =>
      new Promise((resolve) => {
        process.off('exit', end);
        if (child.exitCode !== null || child.signalCode !== null) {
          resolve();
          return;
        }
        child.removeAllListeners('exit');
        child.once('exit', () => resolve());
        child.kill('SIGTERM');
      }),
  };
}
