/** What the server package offers to tools and tests. */
export { standingClock, systemClock } from './config/clock.ts';
export { readConfig } from './config/config.ts';
export type { Config } from './config/config.ts';
export { startServer } from './server.ts';
export type { RunningServer } from './server.ts';
