/** What pages that are gone have left unsent on this device, by the courses that it is for. */
import { ask, ProblemError } from '../api/client.ts';
import { leftBehind } from '../stores/device/kept.ts';

export interface KeptCourse {
  readonly id: string;
  readonly title: string;
  /** How many changes. */
  readonly count: number;
}

/** In milliseconds: first so soon, then less and less often. */
const [AGAIN_MS, MOST_MS] = [1000, 30_000];

/** What the course is called; null: it is no longer theirs, and nobody could send anything to it. */
async function titleOf(course: string, isWanted: () => boolean): Promise<string | null> {
  for (let wait = AGAIN_MS; isWanted(); wait = Math.min(2 * wait, MOST_MS)) {
    try {
      return (await ask('GET /api/learn/{course}/frame', { params: { course } })).title;
    } catch (error) {
      const code = error instanceof ProblemError ? error.problem.code : null;
      if (code === 'not_found' || code === 'not_allowed' || code === 'not_signed_in') return null;
    }
    // A server that is busy, or away, takes nothing from what is kept.
    await new Promise((resolve) => setTimeout(resolve, wait));
  }
  return null;
}

/** @param tell each of them as soon as its title is known; while `isWanted`, the server is asked until it says */
export async function keptOnDevice(
  person: string,
  tell: (course: KeptCourse) => void,
  isWanted: () => boolean,
): Promise<void> {
  const left = await leftBehind(person);
  const ids = [...new Set(left.map(({ course }) => course))];
  await Promise.all(
    ids.map(async (id) => {
      const count = left.flatMap(({ course, changes }) => (course === id ? changes : [])).length;
      const title = count === 0 ? null : await titleOf(id, isWanted);
      if (title !== null && isWanted()) tell({ id, title, count });
    }),
  );
}
