/**
 * Files that come in pieces, by the tus protocol 1.0 (tus.io/protocols/resumable-upload): what has arrived stays for a day, so that
 * whoever was cut off goes on from there. They are nobody's but the sender's, and name nothing until they are taken.
 */
import { createReadStream } from 'node:fs';
import { mkdir, readdir, rm, stat, statfs, writeFile } from 'node:fs/promises';
import type { IncomingMessage, ServerResponse } from 'node:http';
import { join } from 'node:path';
import type { Readable } from 'node:stream';
import { FileStore } from '@tus/file-store';
import { Server } from '@tus/server';
import type { Upload } from '@tus/server';

export const PIECES_PATH = '/api/uploads';
/** As many that are not taken yet, for one sender, and as much as so many of the largest. */
const MOST_AT_ONCE = 20;
const MOST_OF_LARGEST = 10;
const ID = /^[0-9a-f]{32}$/;
/** Ends the name of what stands beside an upload that was taken. */
const TAKEN = '.taken';
const DAY_MS = 24 * 60 * 60 * 1000;

export interface Sender {
  readonly person: string;
  /** The largest file that they may send, in bytes. */
  readonly most: number;
}

/** Takes nothing. */
const NOBODY: Sender = { person: '', most: 0 };

export interface Whole {
  readonly stream: Readable;
  /** In bytes. */
  readonly size: number;
}

/** As little as that is nothing: in bytes. */
const NO_ROOM = 16_384;

/** The store of pieces says of every writing that fails the same: the disk is asked what it was. */
async function isForWantOfRoom(
  directory: string,
  error: Error | { readonly status_code: number },
): Promise<boolean> {
  const { code, status_code: status = 500 } = error as {
    readonly code?: string;
    readonly status_code?: number;
  };
  if (code === 'ENOSPC' || code === 'EDQUOT') return true;
  if (status < 500) return false;
  const { bavail, bsize } = await statfs(directory);
  return bavail * bsize < NO_ROOM;
}

export interface Pieces {
  /** @returns false: there is no such upload of theirs */
  readonly isTheirs: (id: string, person: string) => Promise<boolean>;
  readonly handle: (request: IncomingMessage, response: ServerResponse, sender: Sender) => Promise<void>;
  /** Null: it is not theirs, or not whole. */
  readonly whole: (id: string, person: string) => Promise<Whole | null>;
  /** Whether this sender has as much on its way already as anybody may, were so many bytes to come. */
  readonly isFull: (sender: Sender, size: number) => Promise<boolean>;
  /** It was taken: it counts for nobody any more, and stays until it is forgotten. */
  readonly taken: (id: string) => Promise<void>;
  readonly forget: (id: string) => Promise<void>;
  /** Takes away what has lain there for more than a day. @returns how many */
  readonly tidy: () => Promise<number>;
}

/** What is said where the disk is full. */
interface NoRoom {
  readonly status: number;
  readonly body: string;
}

export async function openPieces(filesFolder: string, noRoom: () => NoRoom): Promise<Pieces> {
  const directory = join(filesFolder, 'pieces');
  await mkdir(directory, { recursive: true });
  const datastore = new FileStore({ directory, expirationPeriodInMilliseconds: DAY_MS });
  /** Whose a request is, as the session says. */
  const senders = new WeakMap<object, Sender>();
  const senderOf = ({
    runtime,
  }: {
    readonly runtime?: { readonly node?: { readonly req: object } };
  }): Sender => senders.get(runtime?.node?.req ?? {}) ?? NOBODY;
  const server = new Server({
    path: PIECES_PATH,
    datastore,
    relativeLocation: true,
    maxSize: (request) => senderOf(request).most,
    onResponseError: async (_request, error) => {
      if (!(await isForWantOfRoom(directory, error))) return undefined;
      const { status, body } = noRoom();
      return { status_code: status, body };
    },
    onUploadCreate: (request, { metadata }) =>
      Promise.resolve({ metadata: { ...metadata, owner: senderOf(request).person } }),
  });
  const found = (id: string): Promise<Upload | null> =>
    ID.test(id) ? datastore.getUpload(id).catch(() => null) : Promise.resolve(null);
  /** Whose each is, and how large it is said to be: read once, however many come at one moment. */
  const known = new Map<string, { readonly owner: string; readonly size: number }>();
  async function ownedBy(person: string): Promise<readonly number[]> {
    const names = await readdir(directory);
    const ids = new Set(names.filter((name) => ID.test(name)));
    // Said on the disk, so that whoever starts anew knows it too.
    const over = new Set(
      names.filter((name) => name.endsWith(TAKEN)).map((name) => name.slice(0, -TAKEN.length)),
    );
    for (const id of known.keys()) if (!ids.has(id)) known.delete(id);
    for (const id of ids) {
      if (known.has(id)) continue;
      const upload = await found(id);
      if (upload !== null) known.set(id, { owner: upload.metadata?.['owner'] ?? '', size: upload.size ?? 0 });
    }
    return [...known]
      .filter(([id, { owner }]) => owner === person && !over.has(id))
      .map(([, { size }]) => size);
  }
  async function isFull({ person, most }: Sender, size: number): Promise<boolean> {
    const own = await ownedBy(person);
    const sum = own.reduce((all, one) => all + one, size);
    return own.length >= MOST_AT_ONCE || sum > MOST_OF_LARGEST * most;
  }
  const theirs = async (id: string, person: string): Promise<Upload | null> => {
    const upload = await found(id);
    return upload?.metadata?.['owner'] === person ? upload : null;
  };
  return {
    isTheirs: async (id, person) => (await theirs(id, person)) !== null,
    handle: async (request, response, sender) => {
      senders.set(request, sender);
      await server.handle(request, response);
    },
    whole: async (id, person) => {
      const upload = await theirs(id, person);
      if (upload?.size === undefined || upload.offset !== upload.size) return null;
      return { stream: createReadStream(join(directory, id)), size: upload.size };
    },
    isFull,
    taken: (id) => writeFile(join(directory, `${id}${TAKEN}`), ''),
    forget: async (id) => {
      await Promise.all(
        [id, `${id}.json`, `${id}${TAKEN}`].map((name) => rm(join(directory, name), { force: true })),
      );
    },
    tidy: async () => {
      const names = await readdir(directory);
      const old = await Promise.all(
        names.map(async (name) => {
          const at = await stat(join(directory, name)).catch(() => null);
          return at !== null && Date.now() - at.mtimeMs > DAY_MS;
        }),
      );
      const gone = names.filter((_name, at) => old[at]);
      await Promise.all(gone.map((name) => rm(join(directory, name), { force: true })));
      return gone.filter((name) => ID.test(name)).length;
    },
  };
}
