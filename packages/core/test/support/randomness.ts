/** Chance that comes the same each time. */
export { evenly as randomness } from '../../src/forecast/chance.ts';
