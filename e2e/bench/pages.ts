/**
 * How many pages of a course are answered in a second, to twenty who read without a pause, against an Express handler that
 * asks one question on a pool of the same database and sends the same bytes: `ratio course-page-vs-one-question N`. The
 * same of the desk: `ratio desk-vs-one-question N`.
 */
import { spawn } from 'node:child_process';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import express from 'express';
import pg from 'pg';
import { cookieOf } from './support/enter.ts';
import { middle } from './support/middle.ts';

const url = process.env['DATABASE_URL'];
if (url === undefined) throw new Error('DATABASE_URL is missing');

/** In a process of its own, as the server is. */
async function peer(body: string): Promise<{ readonly url: string; readonly end: () => void }> {
  const child = spawn(process.execPath, ['--import', 'tsx', import.meta.filename, 'peer'], {
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
  });
  const ready = new Promise<string>((resolve) => child.once('message', (said) => resolve(String(said))));
  child.send(body);
  return { url: await ready, end: () => void child.kill() };
}

if (process.argv[2] === 'peer') {
  const body = await new Promise<string>((resolve) =>
    process.once('message', (said) => resolve(String(said))),
  );
  const pool = new pg.Pool({ connectionString: url, max: 10 });
  const app = express();
  app.get('/', async (_request, response) => {
    await pool.query('select id, seq from course limit 1');
    response.type('application/json').send(body);
  });
  const server = createServer(app);
  server.listen(0, '127.0.0.1', () => {
    process.send?.(`http://127.0.0.1:${(server.address() as AddressInfo).port}/`);
  });
} else {
  const base = process.env['E2E_URL'];
  if (base === undefined) throw new Error('E2E_URL is missing');
  const READERS = 20;
  const ROUND_MS = 4000;
  const ROUNDS = 5;
  const cookie = await cookieOf(base, ({ name }) => name === 'Noor Rahimi');
  // What is sent is the same for both: neither packs it.
  const headers = { cookie, 'accept-encoding': 'identity' };

  const perSecond = async (address: string): Promise<number> => {
    const until = performance.now() + ROUND_MS;
    let pages = 0;
    await Promise.all(
      Array.from({ length: READERS }, async () => {
        while (performance.now() < until) {
          const answer = await fetch(address, { headers });
          if (!answer.ok) throw new Error(`${address} answers ${answer.status}`);
          await answer.arrayBuffer();
          pages += 1;
        }
      }),
    );
    return pages / (ROUND_MS / 1000);
  };

  const { courses } = (await (await fetch(`${base}/api/desk`, { headers })).json()) as {
    courses: { id: string; code: string }[];
  };
  const id = courses.find(({ code }) => code === 'EFM-210-SPR27')?.id ?? '';
  for (const [name, address] of [
    ['course-page', `${base}/api/learn/${id}`],
    ['desk', `${base}/api/desk`],
  ] as const) {
    const body = await (await fetch(address, { headers })).text();
    const other = await peer(body);
    const [ours, theirs]: [number[], number[]] = [[], []];
    for (let round = 0; round < ROUNDS; round += 1) {
      ours.push(await perSecond(address));
      theirs.push(await perSecond(other.url));
    }
    other.end();
    const [one, two] = [middle(ours), middle(theirs)];
    console.log(
      `  ${name}: ${one.toFixed(0)} a second, ${two.toFixed(0)} where one question is asked and the same ${(body.length / 1000).toFixed(0)} kB are sent`,
    );
    console.log(`ratio ${name}-vs-one-question ${(one / two).toFixed(2)}`);
  }
}
