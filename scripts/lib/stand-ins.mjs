// Small servers on this machine alone, in place of services outside: they ship with the product.
import { join } from 'node:path';
import { SERVER_DIST } from './paths.mjs';
import { freePort } from './postgres.mjs';
import { service } from './processes.mjs';

/**
 * @param at the port of its page; null: any that is free
 * @param file where it keeps what it takes; undefined: in memory alone
 * @returns the process, where its page is, and what the server has to know of it
 */
export async function startLetterBox({ at = null, file } = {}) {
  const [page, smtp, returns] = [at ?? (await freePort()), await freePort(), await freePort()];
  const env = {
    LETTER_BOX_PORT: String(page),
    LETTER_BOX_SMTP: String(smtp),
    LETTER_BOX_RETURNS: String(returns),
    ...(file === undefined ? {} : { LETTER_BOX_FILE: file }),
  };
  const child = await service('The letter box', process.execPath, [join(SERVER_DIST, 'letter-box.js')], {
    env,
    ready: /letter box at/,
    ownGroup: true,
  });
  return {
    child,
    url: `http://127.0.0.1:${page}`,
    env: {
      ITINERARY_SMTP: `smtp://127.0.0.1:${smtp}`,
      ITINERARY_RETURNS_PORT: String(returns),
      ITINERARY_MAIL_FROM: 'itinerary@ternpoint.example',
    },
  };
}
