/** `node main.js` runs a server; the environment says how (docs/operating.md). */
import { isTold } from './config/clock.ts';
import { readConfig } from './config/config.ts';
import { startServer } from './server.ts';
import type { RunningServer } from './server.ts';

async function main(): Promise<void> {
  const config = readConfig(process.env);
  const running = await startServer(config);
  console.log(`listening at ${running.address}`);
  stopOn(['SIGINT', 'SIGTERM'], running);
  const { clock } = config;
  if (isTold(clock)) process.on('message', (instant) => clock.tell(String(instant)));
}

function stopOn(signals: readonly NodeJS.Signals[], running: RunningServer): void {
  for (const signal of signals) {
    process.once(signal, () => {
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
