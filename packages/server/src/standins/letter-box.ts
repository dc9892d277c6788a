/** `node letter-box.js` runs the stand-in for a mail service; the environment says on which ports. */
import { createServer } from 'node:http';
import { openLetterBox } from './mail/letter-box.ts';
import { letterBoxPage } from './mail/letter-box-page.ts';
import { portOf } from './page.ts';

async function main(): Promise<void> {
  const box = await openLetterBox({
    port: portOf('LETTER_BOX_SMTP'),
    returnsPort: portOf('LETTER_BOX_RETURNS'),
    file: process.env['LETTER_BOX_FILE'] ?? null,
  });
  const http = createServer(letterBoxPage(box));
  await new Promise<void>((resolve, reject) => {
    http.once('error', reject);
    http.listen(portOf('LETTER_BOX_PORT'), '127.0.0.1', resolve);
  });
  console.log(`letter box at http://127.0.0.1:${portOf('LETTER_BOX_PORT')}`);
  for (const signal of ['SIGINT', 'SIGTERM'] as const) {
    process.once(signal, () => {
      http.closeAllConnections();
      http.close();
      void box.close().then(() => process.exit(0));
    });
  }
}

main().catch((error: unknown) => {
  console.error(`The letter box did not start: ${(error as Error).message}`);
  process.exit(1);
});
