import { takenRule } from './taken.ts';

/** An assignment that takes neither text nor address nor file. The cure has it take text. */
export const takesNothing = takenRule('takes_nothing', ['assignment'], {
  isWrong: ({ takes: { text, address, files } }) => !text && !address && files === 0,
  cure: { field: 'takes', cured: ({ takes }) => ({ ...takes, text: true }) },
});
