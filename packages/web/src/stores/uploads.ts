/** Files on their way to the course that is set up: a few at a time, each with its progress, each can be stopped. */
import type { UploadAnswer } from '@itinerary/contract';
import { defineStore } from 'pinia';
import { computed, shallowRef } from 'vue';
import { path } from '../api/client.ts';
import { sendFile, Stopped } from '../api/upload.ts';
import type { Sending } from '../api/upload.ts';
import { newId } from './new-id.ts';
import { usePlan } from './plan.ts';
import { useSession } from './session.ts';

const MEGABYTE = 1_000_000;
/** More would only share one line. */
const AT_ONCE = 2;

export type UploadState = 'waiting' | 'sending' | 'failed';

export interface UploadEntry {
  readonly id: string;
  readonly name: string;
  readonly size: number;
  readonly sent: number;
  /** It waits for the line. */
  readonly isAway: boolean;
  readonly state: UploadState;
  /** What went wrong, for the reader's language to say. */
  readonly error: unknown;
}

/** Larger than the course takes: known before a byte is sent. */
export class LargerThan extends Error {
  constructor(readonly megabytes: number) {
    super(`larger than ${megabytes} MB`);
  }
}

interface Job {
  readonly entry: UploadEntry;
  readonly file: File;
  readonly course: string;
  readonly arrived: (answer: UploadAnswer) => void;
}

export const useUploads = defineStore('uploads', () => {
  const session = useSession();
  const plan = usePlan();
  const entries = shallowRef<readonly UploadEntry[]>([]);
  const waiting: Job[] = [];
  const sending = new Map<string, Sending<UploadAnswer>>();

  const limit = computed(() => {
    const institution = session.me?.institution.largestUpload ?? 0;
    return Math.min(plan.course?.largestUpload ?? institution, institution);
  });

  function update(id: string, change: Partial<UploadEntry>): void {
    entries.value = entries.value.map((entry) => (entry.id === id ? { ...entry, ...change } : entry));
  }

  const drop = (id: string): void => {
    entries.value = entries.value.filter((entry) => entry.id !== id);
  };

  function add(file: File, arrived: (answer: UploadAnswer) => void): void {
    const { course } = plan;
    if (course === null) return;
    const base = { id: newId(), name: file.name, size: file.size, sent: 0, isAway: false };
    const isTooLarge = file.size > limit.value * MEGABYTE;
    const entry: UploadEntry = isTooLarge
      ? { ...base, state: 'failed', error: new LargerThan(limit.value) }
      : { ...base, state: 'waiting', error: null };
    entries.value = [...entries.value, entry];
    if (isTooLarge) return;
    waiting.push({ entry, file, course: course.id, arrived });
    next();
  }

  function next(): void {
    while (sending.size < AT_ONCE) {
      const job = waiting.shift();
      if (job === undefined) return;
      void start(job);
    }
  }

  async function start({ entry, file, course, arrived }: Job): Promise<void> {
    update(entry.id, { state: 'sending' });
    const one = sendFile<UploadAnswer>(path`/api/courses/${course}/files`, file, {
      progress: (sent) => update(entry.id, { sent }),
      away: (isAway) => update(entry.id, { isAway }),
    });
    sending.set(entry.id, one);
    try {
      arrived(await one.done);
      drop(entry.id);
    } catch (error) {
      if (error instanceof Stopped) drop(entry.id);
      else update(entry.id, { state: 'failed', error });
    } finally {
      sending.delete(entry.id);
      next();
    }
  }

  /** Stops it, or takes a failed one off the list. */
  function stop(id: string): void {
    const at = waiting.findIndex(({ entry }) => entry.id === id);
    if (at >= 0) waiting.splice(at, 1);
    const one = sending.get(id);
    if (one === undefined) drop(id);
    else one.stop();
  }

  return { entries, limit, add, stop };
});
