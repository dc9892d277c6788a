/** What somebody types into a field, and what is shown of it there. */
export { readColour } from './colours.ts';
export { readDay } from './days.ts';
export type { DayContext } from './days.ts';
export { readDuration } from './durations.ts';
export { readMoment } from './moments.ts';
export type { TypedMoment } from './moments.ts';
export { readNumber, writeNumber } from './numbers.ts';
export type { NumberBounds } from './numbers.ts';
export { TYPED_IN } from './reading.ts';
export type { Expected, Reading, TypedIn } from './reading.ts';
export { readTime } from './times.ts';
