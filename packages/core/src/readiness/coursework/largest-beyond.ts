import { takenRule } from './taken.ts';

/** An assignment says that it takes larger files than the course does. The cure leaves it to the course. */
export const largestBeyond = takenRule('largest_beyond', ['assignment'], {
  isWrong: ({ largest, takes }, { course: { largestUpload } }) =>
    largestUpload !== null && largest !== null && largest > largestUpload && takes.files > 0,
  values: ({ largest }, { course: { largestUpload } }) => ({
    limit: largestUpload ?? 0,
    largest: largest ?? 0,
  }),
  cure: { field: 'largest', cured: () => null },
});
