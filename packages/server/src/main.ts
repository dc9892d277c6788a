/** `node main.js` runs a server; the environment says how (docs/operating.md). */
import { setFlagsFromString } from 'node:v8';
import { isTold } from './config/clock.ts';
import { readConfig } from './config/config.ts';
import { startServer } from './server.ts';
import type { RunningServer } from './server.ts';

const LAST_MS = 10_000;
/**
 * What is no longer needed is given back once it is as much as this part of what is, in per cent: left to itself the
 * engine lets it grow to several times that on a large machine. It is no bound, and ends nothing that needs more.
 */
setFlagsFromString('--heap-growing-percent=30');

async function main(): Promise<void> {
  const config = readConfig(process.env);
  const running = await startServer(config);
  console.log(`listening at ${running.address}`);
  stopOn(['SIGINT', 'SIGTERM'], running);
  const { clock } = config;
  if (isTold(clock)) process.on('message', (instant) => clock.tell(String(instant)));
}

/**
 * The queue's library leaves a promise alone that fails while the database is away. Nothing is lost by that: what it
 * had in hand is taken up again. Anything else that nobody has foreseen ends the process, as it would have.
 */
process.on('unhandledRejection', (error) => {
  const { code = '', message = '' } = error as { code?: string; message?: string };
  const isAway =
    /^(ECONN|EPIPE|ETIMEDOUT|57P0|08)/.test(code) ||
    /connection (terminated|ended)|not queryable/i.test(message);
  if (isAway) console.error(`While the database was away: ${message}`);
  else throw error;
});

function stopOn(signals: readonly NodeJS.Signals[], running: RunningServer): void {
  for (const signal of signals) {
    process.once(signal, () => {
      // What is on its way gets its end; what does not come to one, because the database is away, keeps nobody.
      setTimeout(() => process.exit(1), LAST_MS).unref();
      void running.stop().then(() => process.exit(0));
    });
  }
}

main().catch((error: unknown) => {
  const { code, message } = error as NodeJS.ErrnoException;
  if (code === 'EADDRINUSE') {
    console.error(`Port ${process.env['PORT'] ?? '4600'} is in use; set PORT to another one`);
  } else {
    console.error(`The server did not start: ${message}`);
  }
  process.exit(1);
});
