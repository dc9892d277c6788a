// The database of the demo: DATABASE_URL, or a PostgreSQL of our own under .data/.
import { startPostgres } from './postgres.mjs';
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
