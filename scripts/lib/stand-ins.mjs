// Small servers on this machine alone, in place of services outside: they ship with the product.
import { randomBytes } from 'node:crypto';
import { createServer } from 'node:net';
import { join } from 'node:path';
import { SERVER_DIST } from './paths.mjs';
import { freePort } from './postgres.mjs';
import { end, service } from './processes.mjs';

/**
 * All of them, each with what the server has to know of it.
 *
 * @param at the port of the first page, the others after it; null: any that are free
 * @param folder where they keep what they take; undefined: in memory alone
 * @param now the instant at which the registry begins; undefined: it begins today
 */
export async function startStandIns({ at = null, folder, now } = {}) {
  const file = (name) => (folder === undefined ? undefined : join(folder, name));
  const letterBox = await startLetterBox({ at: await pagePort(at), file: file('letters.jsonl') });
  const payDesk = await startPayDesk({
    at: await pagePort(at === null ? null : at + 1),
    file: file('payments.jsonl'),
  });
  const registry = await startRegistry({
    at: await pagePort(at === null ? null : at + 2),
    file: file('registry.jsonl'),
    now,
  });
  return {
    env: { ...letterBox.env, ...payDesk.env, ...registry.env },
    letterBox,
    payDesk,
    registry,
    stop: async () => {
      await end(letterBox.child);
      await end(payDesk.child);
      await end(registry.child);
    },
  };
}

/** Where one looks for it, or anywhere: it is said in the end. */
async function pagePort(port) {
  if (port === null) return null;
  const isFree = await new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', () => resolve(false));
    probe.listen(port, '127.0.0.1', () => probe.close(() => resolve(true)));
  });
  return isFree ? port : null;
}

async function startRegistry({ at, file, now }) {
  const port = at ?? (await freePort());
  const secret = randomBytes(24).toString('hex');
  const env = {
    REGISTRY_PORT: String(port),
    REGISTRY_SECRET: secret,
    ...(file === undefined ? {} : { REGISTRY_FILE: file }),
    ...(now === undefined ? {} : { ITINERARY_NOW: now }),
  };
  const child = await service('The registry', process.execPath, [join(SERVER_DIST, 'registry.js')], {
    env,
    ready: /registry at/,
    ownGroup: true,
  });
  const url = `http://127.0.0.1:${port}`;
  return {
    child,
    url,
    env: {
      ITINERARY_REGISTRY: `${url}/ims/oneroster/rostering/v1p2`,
      ITINERARY_REGISTRY_TOKENS: `${url}/token`,
      ITINERARY_REGISTRY_NAME: 'itinerary',
      ITINERARY_REGISTRY_SECRET: secret,
    },
  };
}

async function startPayDesk({ at, file }) {
  const port = at ?? (await freePort());
  const secret = randomBytes(24).toString('hex');
  const env = {
    PAY_DESK_PORT: String(port),
    PAY_DESK_SECRET: secret,
    ...(file === undefined ? {} : { PAY_DESK_FILE: file }),
  };
  const child = await service('The payment desk', process.execPath, [join(SERVER_DIST, 'pay-desk.js')], {
    env,
    ready: /payment desk at/,
    ownGroup: true,
  });
  const url = `http://127.0.0.1:${port}`;
  return { child, url, env: { ITINERARY_DESK: url, ITINERARY_DESK_SECRET: secret } };
}

/**
 * @param at the port of its page; null: any that is free
 * @param file where it keeps what it takes; undefined: in memory alone
 * @returns the process, where its page is, and what the server has to know of it
 */
async function startLetterBox({ at = null, file } = {}) {
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
