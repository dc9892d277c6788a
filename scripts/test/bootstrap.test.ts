/** The commands speak in sentences: what is wrong, where, and what to type. Never a stack trace. */
import { afterAll, describe, expect, test } from '@jest/globals';
import { spawn } from 'node:child_process';
import { mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
// @ts-expect-error the bootstrap scripts are plain JavaScript
import { DATA, ROOT } from '../lib/paths.mjs';
// @ts-expect-error the bootstrap scripts are plain JavaScript
import { freePort, startPostgres } from '../lib/postgres.mjs';
// @ts-expect-error the bootstrap scripts are plain JavaScript
import { command, end, isAlive, service } from '../lib/processes.mjs';
// @ts-expect-error the bootstrap scripts are plain JavaScript
import { Stop } from '../lib/say.mjs';

const root = ROOT as string;
const node = process.execPath;

interface Ended {
  readonly code: number | null;
  readonly output: string;
}

function script(name: string, words: readonly string[], env: Record<string, string> = {}): Promise<Ended> {
  const child = spawn(node, [join(root, 'scripts', name), ...words], { env: { ...process.env, ...env } });
  let output = '';
  child.stdout.on('data', (data: Buffer) => (output += data.toString()));
  child.stderr.on('data', (data: Buffer) => (output += data.toString()));
  return new Promise((resolve) => child.once('close', (code) => resolve({ code, output })));
}

function expectSentence({ code, output }: Ended, sentence: string | RegExp): void {
  expect(output).toMatch(sentence);
  expect(output).not.toMatch(/\n\s+at .*:\d+/);
  expect(code).toBe(1);
}

describe('npm run demo', () => {
  test('says that a port is in use, and how to take another', async () => {
    const holder = createServer();
    await new Promise<void>((resolve) => holder.listen(0, '127.0.0.1', resolve));
    const { port } = holder.address() as AddressInfo;
    try {
      const ended = await script('demo.mjs', [], { PORT: String(port) });
      expectSentence(ended, `Port ${port} is in use`);
      expect(ended.output).toContain(`PORT=${port + 1} npm run demo`);
    } finally {
      holder.close();
    }
  });

  test.each(['http', '0', '70000', '46.5'])('does not take %s for a port', async (port) => {
    expectSentence(
      await script('demo.mjs', [], { PORT: port }),
      `PORT is "${port}"; a whole number from 1 to 65535 is needed.`,
    );
  });

  test('does not guess what a word means', async () => {
    expectSentence(await script('demo.mjs', ['--frsh']), '"--frsh" is not known here; only --fresh is');
  });

  test('says that the database it was given does not answer', async () => {
    const free = String(await freePort());
    const env = { PORT: String(await freePort()), DATABASE_URL: `postgresql://x:y@127.0.0.1:${free}/z` };
    expectSentence(await script('demo.mjs', [], env), 'The database at DATABASE_URL does not answer');
  });
});

test('npm test knows its parts', async () => {
  expectSentence(
    await script('test.mjs', ['everything']),
    '"everything" is not a part of the tests; the parts are checks, unit, server, e2e.',
  );
});

test('data of another version of PostgreSQL is left alone, and said to be', async () => {
  const folder = join(DATA as string, 'of-another-version');
  mkdirSync(folder, { recursive: true });
  writeFileSync(join(folder, 'PG_VERSION'), '9\n');
  try {
    await expect(startPostgres('of-another-version') as Promise<unknown>).rejects.toThrow(
      /was made by PostgreSQL 9, and this machine has \d+\. Install postgresql-9, or move that folder away/,
    );
    await expect(startPostgres('of-another-version') as Promise<unknown>).rejects.toBeInstanceOf(Stop);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
});

describe('processes', () => {
  const children: { kill: (signal: string) => void }[] = [];
  afterAll(() => children.forEach((child) => child.kill('SIGKILL')));

  test('a command gives its output, and its failure with what it said', async () => {
    expect(await command(node, ['-e', 'console.log("low tide")'], { quiet: true })).toEqual({
      code: 0,
      output: 'low tide\n',
    });
    const failing = ['-e', 'console.error("aground"); process.exit(3)'];
    await expect(command(node, failing, { quiet: true }) as Promise<unknown>).rejects.toThrow(
      /ended with 3\naground/,
    );
    expect(await command(node, failing, { quiet: true, allowFailure: true })).toEqual({
      code: 3,
      output: 'aground\n',
    });
  });

  test('a service is there when it says so, and ends when it is asked', async () => {
    const child = await service(
      'A service',
      node,
      ['-e', 'console.log("ready"); setInterval(() => {}, 1000)'],
      { ready: /ready/ },
    );
    children.push(child);
    expect(isAlive(child.pid)).toBe(true);
    await end(child);
    expect(isAlive(child.pid)).toBe(false);
    await end(child);
  });

  test('a service that ends before it is ready is said to have failed, with its last words', async () => {
    const starting = service('A service', node, ['-e', 'console.error("no water"); process.exit(2)'], {
      ready: /ready/,
    });
    await expect(starting as Promise<unknown>).rejects.toThrow(/A service did not start \(2\)\.\nno water/);
  });

  test('a free port can be listened at', async () => {
    const port = (await freePort()) as number;
    const server = createServer();
    await new Promise<void>((resolve) => server.listen(port, '127.0.0.1', resolve));
    expect((server.address() as AddressInfo).port).toBe(port);
    server.close();
  });
});
