/** Courses of one's own desk, found by their words: there can be thousands. */
import { ask } from '../../api/client.ts';

export interface CourseChoice {
  readonly id: string;
  readonly name: string;
  /** With its code: courses of several terms are called alike. */
  readonly title: string;
}

/**
 * @param words nothing: those that stand on the desk first
 * @param but the course that somebody is in, which names no other than itself
 */
export async function coursesFound(words: string, but: string | undefined): Promise<readonly CourseChoice[]> {
  const find = words.trim();
  const { courses } = await ask('GET /api/desk', { query: find === '' ? {} : { find } });
  return courses
    .filter(({ id }) => id !== but)
    .map(({ id, title, code }) => ({ id, name: title, title: `${title} (${code})` }));
}
