/** The one in the middle of some numbers: what a round that was disturbed does not move. */
export const middle = (numbers: readonly number[]): number =>
  [...numbers].sort((a, b) => a - b)[Math.floor(numbers.length / 2)] as number;
