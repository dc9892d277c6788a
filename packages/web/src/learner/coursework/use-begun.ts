/**
 * What somebody has begun to write, with its files: what is typed is kept on the device at once and by the server soon
 * after, each change built on the one before; what another window or device has changed meanwhile is never written over.
 */
import { computed, onScopeDispose, ref, shallowRef } from 'vue';
import type { ComputedRef, Ref, ShallowRef } from 'vue';
import { ProblemError, UnreachableError } from '../../api/client.ts';
import { sendFile, Stopped } from '../../api/upload.ts';
import type { Sending } from '../../api/upload.ts';
import { newId } from '../../stores/new-id.ts';
import { freshly } from './fresh.ts';
import type { Device } from '../../stores/device/on-device.ts';

/** `kept` by the server; `typing`: soon; `here`: on this device alone; `nowhere`: not even there; `elsewhere`: changed there. */
export type Keeping = 'kept' | 'typing' | 'here' | 'nowhere' | 'elsewhere';

export interface OnItsWay {
  readonly id: string;
  readonly name: string;
  readonly size: number;
  readonly sent: number;
  /** It waits for the line. */
  readonly isAway: boolean;
  /** What went wrong; null: it is on its way. */
  readonly error: unknown;
}

/** A file of it, as far as it has to be known here. */
interface Named {
  readonly hash: string;
  readonly name: string;
  readonly size: number;
}
type Words = Readonly<Record<string, string>>;

/** As the server has it. */
export interface BegunThere<Typed> {
  /** 0: nothing has been begun. */
  readonly version: number;
  readonly typed: Typed;
  readonly files: readonly Named[];
}

export interface Begins<Typed extends Words, Answer> {
  readonly device: Device<Typed & { readonly version: number }>;
  /** With which it begins. */
  readonly nothing: Typed;
  readonly read: () => Promise<Answer>;
  readonly keep: (body: Typed & { version: number; files: string[] }) => Promise<Answer>;
  /** Takes a file as it is, and its name in the query. */
  readonly uploadTo: string;
  readonly there: (answer: Answer) => BegunThere<Typed>;
  readonly mayWrite: (answer: Answer) => boolean;
}

export interface Begun<Typed extends Words, Answer> {
  readonly answer: ShallowRef<Answer | null>;
  readonly typed: Ref<Typed>;
  readonly keeping: Ref<Keeping>;
  readonly uploads: ShallowRef<readonly OnItsWay[]>;
  readonly files: ComputedRef<readonly Named[]>;
  /** What this device had typed, where it was changed elsewhere meanwhile. */
  readonly mine: ShallowRef<Typed | null>;
  readonly failure: ShallowRef<unknown>;
  readonly version: () => number;
  readonly load: () => Promise<void>;
  readonly type: (change: Partial<Typed>) => void;
  readonly add: (files: readonly File[]) => void;
  readonly stop: (id: string) => void;
  readonly remove: (hash: string) => Promise<void>;
  /** What was typed here takes the place of what came from elsewhere. */
  readonly takeMine: () => void;
  readonly dropMine: () => void;
  /** Takes the place of all that is there. */
  readonly write: (files: readonly string[], typed: Typed) => Promise<void>;
  /** All of it is with the server. @throws UnreachableError where that cannot be */
  readonly settle: () => Promise<void>;
  /** The server's answer to what changes it, whichever that is. */
  readonly change: (ask: () => Promise<Answer>) => Promise<Answer>;
  /** What was begun is done with: the server has it no more, and neither has this device. */
  readonly done: (answer: Answer | null) => void;
}

const SOON_MS = 800;
const AGAIN_MS = 4000;

export function useBegun<Typed extends Words, Answer>({
  device,
  nothing,
  read,
  keep,
  uploadTo,
  there,
  mayWrite,
}: Begins<Typed, Answer>): Begun<Typed, Answer> {
  const answer = shallowRef<Answer | null>(null);
  const typed = shallowRef<Typed>(nothing) as Ref<Typed>;
  const keeping = ref<Keeping>('kept');
  const uploads = shallowRef<readonly OnItsWay[]>([]);
  const mine = shallowRef<Typed | null>(null) as ShallowRef<Typed | null>;
  const failure = shallowRef<unknown>(null);
  const sending = new Map<string, Sending<Answer>>();
  const fresh = freshly();
  let timer: ReturnType<typeof setTimeout> | null = null;
  /** As the server has it, as far as this page knows. */
  let known: Typed = nothing;
  let underWay: Promise<void> | null = null;

  const isSame = (one: Typed, other: Typed): boolean =>
    Object.keys(nothing).every((name) => one[name] === other[name]);
  const bare = (what: Typed): Typed =>
    Object.fromEntries(Object.keys(nothing).map((name) => [name, what[name] ?? ''])) as Typed;
  const begunBy = (from: Answer): BegunThere<Typed> => there(from);
  /** That what is typed here is built on, while the server has said nothing yet. */
  let basis = 0;
  const version = (): number => (answer.value === null ? basis : begunBy(answer.value).version);
  const files = computed(() => (answer.value === null ? [] : begunBy(answer.value).files));
  const hashes = (): string[] => files.value.map(({ hash }) => hash);

  /** What the server answers is newer than what is known, and may hold what another window has typed. */
  function take(came: Answer): void {
    const before = known;
    const isTyping = !isSame(typed.value, before);
    answer.value = came;
    known = begunBy(came).typed;
    if (!isTyping) typed.value = known;
    else if (!isSame(known, before) && !isSame(known, typed.value)) {
      mine.value = typed.value;
      typed.value = known;
      keeping.value = 'elsewhere';
      return;
    }
    if (isSame(typed.value, known)) {
      device.forget();
      if (keeping.value !== 'elsewhere') keeping.value = 'kept';
    }
  }

  /** Without a line there is what this device has, and it goes on its way once there is one. */
  function beginHere(): void {
    const left = device.read();
    if (left !== null && isSame(typed.value, nothing)) {
      basis = left.version;
      typed.value = bare(left);
      keeping.value = 'here';
    }
    later(AGAIN_MS);
  }
  async function load(): Promise<void> {
    let came: Answer;
    try {
      came = await fresh.read(read);
    } catch (error) {
      if (answer.value === null && error instanceof UnreachableError) beginHere();
      throw error;
    }
    // What an earlier page left behind is read before anything that is with the server is forgotten here.
    const left = answer.value === null ? leftHere() : null;
    if (left !== null) typed.value = known;
    take(came);
    if (left === null || !mayWrite(came) || isSame(left, known)) return;
    if (left.version === version()) {
      typed.value = bare(left);
      keeping.value = keepHere() ? 'typing' : 'nowhere';
      later(0);
    } else {
      mine.value = bare(left);
      keeping.value = 'elsewhere';
    }
  }

  function leftHere(): (Typed & { readonly version: number }) | null {
    const kept = device.read();
    if (kept !== null || isSame(typed.value, nothing)) return kept;
    // This browser keeps nothing for us: there is what is typed on this page.
    return { ...typed.value, version: basis };
  }

  /** This page is left: the device has what is not sent, for whichever page comes next. */
  let isLeft = false;
  function later(ms: number): void {
    if (isLeft && keeping.value !== 'nowhere') return;
    if (timer !== null) clearTimeout(timer);
    timer = setTimeout(() => void send(), ms);
  }

  /** One at a time: each is built on the answer to the one before. */
  function send(): Promise<void> {
    underWay = (underWay ?? Promise.resolve()).then(sendOnce);
    return underWay;
  }
  async function sendOnce(): Promise<void> {
    if (timer !== null) clearTimeout(timer);
    timer = null;
    // Nothing has come yet of what it is built on: that first, and what is typed goes with it.
    if (answer.value === null) return load().catch(() => undefined);
    const what = typed.value;
    if (keeping.value === 'elsewhere' || isSame(what, known)) return;
    try {
      const came = await fresh.change(() => keep({ version: version(), ...what, files: hashes() }));
      known = what;
      failure.value = null;
      take(came);
      if (!isSame(typed.value, known)) later(SOON_MS);
    } catch (error) {
      await recover(error);
    }
  }
  async function recover(error: unknown): Promise<void> {
    if (error instanceof UnreachableError) {
      keeping.value = keepHere() ? 'here' : 'nowhere';
      later(AGAIN_MS);
    } else if (error instanceof ProblemError && error.problem.code === 'changed_elsewhere') {
      // A file that has arrived meanwhile changes nothing of what is typed: then it is sent once more.
      await load().catch(() => undefined);
      if ((keeping.value as Keeping) !== 'elsewhere') later(0);
    } else {
      keeping.value = keepHere() ? 'here' : 'nowhere';
      failure.value = error;
    }
  }
  const keepHere = (): boolean => device.keep({ ...typed.value, version: version() });

  function type(change: Partial<Typed>): void {
    typed.value = { ...typed.value, ...change };
    keeping.value = keepHere() ? 'typing' : 'nowhere';
    later(SOON_MS);
  }

  const update = (id: string, change: Partial<OnItsWay>): void => {
    uploads.value = uploads.value.map((one) => (one.id === id ? { ...one, ...change } : one));
  };
  const drop = (id: string): void => {
    uploads.value = uploads.value.filter((one) => one.id !== id);
  };
  function add(chosen: readonly File[]): void {
    for (const file of chosen) {
      const id = newId();
      uploads.value = [
        ...uploads.value,
        { id, name: file.name, size: file.size, sent: 0, isAway: false, error: null },
      ];
      const one = sendFile<Answer>(uploadTo, file, {
        progress: (sent) => update(id, { sent }),
        away: (isAway) => update(id, { isAway }),
      });
      sending.set(id, one);
      fresh
        .change(() => one.done)
        .then(
          (came) => {
            take(came);
            drop(id);
          },
          (error: unknown) => (error instanceof Stopped ? drop(id) : update(id, { error })),
        )
        .finally(() => sending.delete(id));
    }
  }
  function stop(id: string): void {
    const one = sending.get(id);
    if (one === undefined) drop(id);
    else one.stop();
  }

  async function write(kept: readonly string[], what: Typed): Promise<void> {
    failure.value = null;
    await send();
    try {
      const body = { version: version(), ...what, files: [...kept] };
      known = what;
      typed.value = what;
      take(await fresh.change(() => keep(body)));
    } catch (error) {
      failure.value = error;
      await load().catch(() => undefined);
    }
  }

  onScopeDispose(() => {
    isLeft = true;
    if (timer !== null) {
      clearTimeout(timer);
      void send();
    }
    for (const one of sending.values()) one.stop();
  });

  return {
    answer,
    typed,
    keeping,
    uploads,
    files,
    mine,
    failure,
    version,
    load,
    type,
    add,
    stop,
    remove: (hash) =>
      write(
        hashes().filter((one) => one !== hash),
        typed.value,
      ),
    takeMine: () => {
      const what = mine.value;
      mine.value = null;
      keeping.value = 'typing';
      if (what !== null) type(what);
    },
    dropMine: () => {
      mine.value = null;
      device.forget();
      keeping.value = 'kept';
    },
    write,
    settle: async () => {
      await send();
      if (!isSame(typed.value, known)) throw new UnreachableError('not kept yet');
    },
    change: (asks) => fresh.change(asks),
    done: (came) => {
      if (timer !== null) clearTimeout(timer);
      timer = null;
      known = came === null ? nothing : begunBy(came).typed;
      typed.value = known;
      device.forget();
      keeping.value = 'kept';
      if (came !== null) take(came);
    },
  };
}
