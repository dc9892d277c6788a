// The database of the demo: DATABASE_URL, or a PostgreSQL of our own under .data/.
import { runningPostgres, startPostgres } from './postgres.mjs';
import { say } from './say.mjs';

export const DATABASE = 'itinerary';
export const CLUSTER = 'postgres';

/** @returns the address, and how to stop what was started for it. */
export async function demoDatabase() {
  const given = process.env.DATABASE_URL;
  if (given !== undefined) return { url: given, stop: async () => {} };
  say('Starting PostgreSQL');
  const postgres = await startPostgres(CLUSTER);
  try {
    await postgres.createDatabase(DATABASE);
  } catch (error) {
    await postgres.stop();
    throw error;
  }
  return { url: postgres.url(DATABASE), stop: postgres.stop };
}

/** With DATABASE_URL, or the demo's database: the running one, or one started for the occasion. */
export async function withDatabase(use) {
  const running = process.env.DATABASE_URL === undefined ? runningPostgres(CLUSTER) : null;
  if (running !== null) return use(running(DATABASE));
  const database = await demoDatabase();
  try {
    return await use(database.url);
  } finally {
    await database.stop();
  }
}
