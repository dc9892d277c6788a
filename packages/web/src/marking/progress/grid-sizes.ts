/** The grid of learners by items, in points, as its style has them too; and the column of the first item, after the names. */
export const ROW = 34;
export const COLUMN = 34;
export const HEAD = 132;
export const NAMES = 250;
export const FIRST_COLUMN = 2;
