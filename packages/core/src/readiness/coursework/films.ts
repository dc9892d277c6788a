/** What is wrong with films. */
import { conditionBy } from '../../course/schema/progress-schema.ts';
import { takenRule } from './taken.ts';

/** A film whose words nobody can read: no captions; at an address, nothing written beside it either. */
export const filmSilent = takenRule('film_silent', ['video'], {
  isWrong: ({ file, address, captions, text }) =>
    file === null ? address !== null && text === null : captions.length === 0,
});

/** Done by watching, where nobody notices: only a file whose length is known is followed. The cure lets opening count. */
export const watchUnnoticed = takenRule('watch_unnoticed', ['video'], {
  isWrong: ({ file, seconds, done }) =>
    conditionBy(done, 'watched') !== null && (file === null || seconds === null || seconds === 0),
  cure: { field: 'done', cured: () => ({ by: 'opened' }) },
});

/** A part that begins after the film is over. The cure takes such parts out. */
export const chapterBeyond = takenRule('chapter_beyond', ['video'], {
  isWrong: ({ seconds, chapters }) => seconds !== null && chapters.some(({ at }) => at >= seconds),
  cure: {
    field: 'chapters',
    cured: ({ seconds, chapters }) => chapters.filter(({ at }) => at < (seconds ?? Infinity)),
  },
});
