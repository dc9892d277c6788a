import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

/** The course's picture says nothing to those who do not see it, and nobody has said that it is decoration. */
export const coursePictureSilent: Rule = {
  id: 'course_picture_silent',
  stop: 'look',
  purposes: WITH_PEOPLE,
  find: ({ course: { banner, thumbnail } }) => {
    const silent = [banner, thumbnail].filter((picture) => picture !== null && picture.file.alt === null);
    if (silent.length === 0) return null;
    return {
      severity: 'advice',
      field: banner?.file.alt === null ? 'banner' : 'thumbnail',
      values: { count: silent.length },
    };
  },
};
