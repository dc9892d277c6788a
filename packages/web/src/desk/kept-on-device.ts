/** What pages that are gone have left unsent on this device, by the courses that it is for. */
import { ask } from '../api/client.ts';
import { leftBehind } from '../stores/device/kept.ts';

export interface KeptCourse {
  readonly id: string;
  readonly title: string;
  /** How many changes. */
  readonly count: number;
}

/** A course that is no longer theirs is left out: nobody could send anything to it. */
export async function keptOnDevice(person: string): Promise<readonly KeptCourse[]> {
  const left = await leftBehind(person);
  const ids = [...new Set(left.map(({ course }) => course))];
  const found = await Promise.all(
    ids.map(async (id): Promise<readonly KeptCourse[]> => {
      const frame = await ask('GET /api/learn/{course}/frame', { params: { course: id } }).catch(() => null);
      const count = left.flatMap(({ course, changes }) => (course === id ? changes : [])).length;
      return frame === null || count === 0 ? [] : [{ id, title: frame.title, count }];
    }),
  );
  return found.flat();
}
