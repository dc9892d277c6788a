/** What the learner's pages know of films: no schemas, so that they may load it as it is. */
export { chapterAt } from './chapter-at.ts';
export { writeLength } from './length.ts';
export { united } from './runs.ts';
export type { Run } from './runs.ts';
