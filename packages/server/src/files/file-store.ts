/**
 * Uploaded files by the SHA-256 of their content. On disk here; anything that can put, find and stream by hash
 * (an S3-compatible store) can stand behind the same interface.
 */
import { createHash, randomUUID } from 'node:crypto';
import { createWriteStream } from 'node:fs';
import {
  access,
  appendFile,
  mkdir,
  open,
  readdir,
  readFile,
  rename,
  rm,
  stat,
  writeFile,
} from 'node:fs/promises';
import { join } from 'node:path';
import { PassThrough, Transform } from 'node:stream';
import type { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';

export interface Received {
  readonly hash: string;
  /** In bytes. */
  readonly size: number;
  /** Its first bytes, for telling what it is. */
  readonly head: Uint8Array;
  /** Where it lies until it is kept or dropped. */
  readonly path: string;
  /** Keeps it under its hash; the same content twice is one file. */
  readonly keep: () => Promise<void>;
  readonly drop: () => Promise<void>;
}

export interface FileStore {
  /** Takes a stream to its end, or stops it as soon as it is larger than `most` bytes. */
  readonly receive: (stream: Readable, most: number) => Promise<Received>;
  /** Where the content lies, or null. */
  readonly find: (hash: string) => Promise<string | null>;
  /** Takes away what has lain there for longer than that. @returns whether it has gone */
  readonly drop: (hash: string, olderThanMs: number) => Promise<boolean>;
  /** Writes down that a database has its files here. @returns every one that ever had */
  readonly usedBy: (database: string) => Promise<ReadonlySet<string>>;
  /** All that is kept, by hash, in no order. */
  readonly all: () => AsyncIterable<string>;
  /** Takes away what came in, or was being made, longer ago than that, and is nothing yet. @returns how many */
  readonly dropIncoming: (olderThanMs: number) => Promise<number>;
  /** Where a file that can be made again lies; made when it is not there. */
  readonly made: (name: string, make: () => Promise<Buffer>) => Promise<string>;
  /** Whether something can be kept just now, found out by keeping it for a moment. */
  readonly state: () => Promise<DiskState>;
}

/** `away`: nothing can be written there, for another reason than that it is full. */
export type DiskState = 'ok' | 'full' | 'away';

/** Thrown while the stream is still arriving. */
export class TooLarge extends Error {}

/** The sender has gone away in the middle. */
export class BrokenOff extends Error {}

/** What the longest known signature needs. */
const HEAD_BYTES = 4100;

export function diskStore(folder: string): FileStore {
  const placeOf = (hash: string): string => join(folder, hash.slice(0, 2), hash);
  let known = Promise.resolve<DiskState>('ok');
  let asked = -ASKED_MS;
  return {
    receive: async (stream, most) => {
      const incoming = join(folder, 'incoming');
      await mkdir(incoming, { recursive: true });
      const path = join(incoming, randomUUID());
      const drop = (): Promise<void> => rm(path, { force: true });
      try {
        const { hash, size, head } = await write(stream, path, most);
        return {
          hash,
          size,
          head,
          path,
          drop,
          keep: () => keep(path, placeOf(hash), join(folder, hash.slice(0, 2))),
        };
      } catch (error) {
        await drop();
        throw error;
      }
    },
    find: async (hash) => {
      const path = placeOf(hash);
      return access(path).then(
        () => path,
        () => null,
      );
    },
    drop: async (hash, olderThanMs) => {
      const path = placeOf(hash);
      const isOld = (await ageOf(path)) > olderThanMs;
      if (isOld) await rm(path, { force: true });
      return isOld;
    },
    usedBy: async (database) => {
      await mkdir(folder, { recursive: true });
      const place = join(folder, USED_BY);
      const users = async (): Promise<ReadonlySet<string>> =>
        new Set((await readFile(place, 'utf8').catch(() => '')).split('\n').filter(Boolean));
      if (!(await users()).has(database)) await appendFile(place, `${database}\n`);
      return users();
    },
    all: async function* () {
      for (const shelf of await namesIn(folder)) {
        if (!SHELF.test(shelf)) continue;
        for (const name of await namesIn(join(folder, shelf))) if (HASH.test(name)) yield name;
      }
    },
    dropIncoming: async (olderThanMs) => {
      const incoming = join(folder, 'incoming');
      const making = join(folder, 'made');
      const parts = (await namesIn(making)).filter((name) => name.endsWith(PART));
      const paths = [
        ...(await namesIn(incoming)).map((name) => join(incoming, name)),
        ...parts.map((name) => join(making, name)),
      ];
      let gone = 0;
      for (const path of paths) {
        if ((await ageOf(path)) <= olderThanMs) continue;
        await rm(path, { force: true });
        gone += 1;
      }
      return gone;
    },
    made: (name, make) => made(join(folder, 'made'), name, make),
    state: () => {
      const now = performance.now();
      if (now - asked < ASKED_MS) return known;
      asked = now;
      known = stateOf(join(folder, 'incoming'));
      return known;
    },
  };
}

/** In milliseconds; 0: there is no such file. */
const ageOf = (path: string): Promise<number> =>
  stat(path).then(
    ({ mtimeMs }) => Date.now() - mtimeMs,
    () => 0,
  );

const namesIn = (folder: string): Promise<readonly string[]> =>
  readdir(folder).catch((error: NodeJS.ErrnoException) => {
    // Nothing has come yet.
    if (error.code === 'ENOENT') return [];
    throw error;
  });

/** Names the databases whose files are here, a line each. */
const USED_BY = 'used-by';
const SHELF = /^[0-9a-f]{2}$/;
const HASH = /^[0-9a-f]{64}$/;
/** Ends the name of what is being written. */
const PART = '.part';

/** In bytes: with less room than this hardly a page of text finds a place. */
const A_LITTLE = 65_536;

/** So long one answer holds for all who ask; anybody may. In milliseconds. */
const ASKED_MS = 500;

async function stateOf(folder: string): Promise<DiskState> {
  const probe = join(folder, randomUUID());
  try {
    await mkdir(folder, { recursive: true });
    await writeFile(probe, Buffer.alloc(A_LITTLE));
    return 'ok';
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    return code === 'ENOSPC' || code === 'EDQUOT' ? 'full' : 'away';
  } finally {
    await rm(probe, { force: true }).catch(() => undefined);
  }
}

async function made(folder: string, name: string, make: () => Promise<Buffer>): Promise<string> {
  const place = join(folder, name);
  const isThere = await access(place).then(
    () => true,
    () => false,
  );
  if (isThere) return place;
  const bytes = await make();
  await mkdir(folder, { recursive: true });
  const part = join(folder, `${randomUUID()}${PART}`);
  try {
    await writeFile(part, bytes);
    // Two who ask at once make it twice, and the second takes the first one's place.
    await rename(part, place);
  } catch (error) {
    await rm(part, { force: true });
    throw error;
  }
  return place;
}

async function write(
  stream: Readable,
  path: string,
  most: number,
): Promise<{ readonly hash: string; readonly size: number; readonly head: Uint8Array }> {
  const digest = createHash('sha256');
  const heads: Buffer[] = [];
  let size = 0;
  const measure = new Transform({
    transform(chunk: Buffer, _encoding, done) {
      if (size < HEAD_BYTES) heads.push(chunk.subarray(0, HEAD_BYTES - size));
      size += chunk.length;
      if (size > most) {
        done(new TooLarge());
        return;
      }
      digest.update(chunk);
      done(null, chunk);
    },
  });
  await pipeline(decoupled(stream), measure, createWriteStream(path, { flags: 'wx' }));
  const file = await open(path, 'r');
  await file.sync();
  await file.close();
  return { hash: digest.digest('hex'), size, head: new Uint8Array(Buffer.concat(heads)) };
}

/** A stream that can be stopped without its source: a request has to live on until it has been answered. */
function decoupled(source: Readable): PassThrough {
  const pass = new PassThrough();
  source.once('close', () => {
    if (!source.readableEnded) pass.destroy(new BrokenOff());
  });
  pass.once('close', () => source.unpipe(pass));
  return source.pipe(pass);
}

async function keep(path: string, place: string, folder: string): Promise<void> {
  await mkdir(folder, { recursive: true });
  await rename(path, place);
}

/** The first bytes of what is stored there. */
export async function headOf(path: string): Promise<Uint8Array> {
  const file = await open(path, 'r');
  try {
    const head = new Uint8Array(HEAD_BYTES);
    const { bytesRead } = await file.read(head, 0, HEAD_BYTES, 0);
    return head.subarray(0, bytesRead);
  } finally {
    await file.close();
  }
}
