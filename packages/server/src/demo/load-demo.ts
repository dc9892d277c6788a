/** Migrates, and loads the demo data when the database is empty; `--fresh` empties it first. */
import { Readable } from 'node:stream';
import { filesFolderOf } from '../config/config.ts';
import { standingClock, systemClock } from '../config/clock.ts';
import { InstitutionRow } from '../db/entities.ts';
import { diskStore } from '../files/file-store.ts';
import { connect, migrate } from '../db/orm.ts';
import { emptyDatabase, writeDemoCollege } from './demo-college.ts';

async function main(): Promise<void> {
  const now = process.env['ITINERARY_NOW'];
  const clock = now === undefined || now === '' ? systemClock : standingClock(now);
  const database = await connect(process.env['DATABASE_URL'] ?? '');
  try {
    await migrate(database);
    const em = database.em.fork();
    if (process.argv.includes('--fresh')) await emptyDatabase(em);
    if ((await em.count(InstitutionRow)) > 0) return;
    process.stderr.write('· Loading the demo data\n');
    const store = diskStore(filesFolderOf(process.env));
    await writeDemoCollege(em, clock.now(), async (bytes) => {
      const received = await store.receive(Readable.from([bytes]), bytes.length);
      await received.keep();
    });
  } finally {
    await database.close(true);
  }
}

main().catch((error: unknown) => {
  const { code, message } = error as { code?: string; message: string };
  const away =
    code === 'ECONNREFUSED'
      ? 'The database at DATABASE_URL does not answer'
      : `The demo data could not be loaded: ${message}`;
  process.stderr.write(`${away}\n`);
  process.exitCode = 1;
});
