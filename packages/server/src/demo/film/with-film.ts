/** The film that the demo brings along, in the place of the address where it was to stand. */
import { mapTops } from '@itinerary/core';
import type { CourseNode } from '@itinerary/core';
import type { BuiltCourse } from '../build-course.ts';
import { CORE_CAPTIONS, CORE_CHAPTERS, CORE_LASTS, coreFilm } from './core-film.ts';

export const FILM_TITLE = 'A core, taken in one breath';

export async function withFilm(built: BuiltCourse): Promise<BuiltCourse> {
  const film = await coreFilm();
  const [{ bytes, ...file }, { bytes: words, ...captions }] = [film, CORE_CAPTIONS];
  let isThere = false;
  const put = <Node extends CourseNode>(node: Node): Node => {
    if (node.kind === 'section') return { ...node, items: node.items.map(put) };
    if (node.kind !== 'video' || node.title !== FILM_TITLE) return node;
    isThere = true;
    return {
      ...node,
      address: null,
      seconds: CORE_LASTS,
      file: { ...file, size: bytes.length },
      captions: [{ language: 'en', file: { ...captions, size: words.length } }],
      chapters: CORE_CHAPTERS,
    };
  };
  const course = mapTops(built.course, put);
  return isThere ? { ...built, course, files: [...built.files, film, CORE_CAPTIONS] } : built;
}
