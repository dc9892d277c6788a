// A copy of all that an installation holds, and the way back: the database as it is at one moment, and its files.
import {
  cpSync,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { DATA } from './paths.mjs';
import { postgresProgram } from './postgres.mjs';
import { command } from './processes.mjs';
import { say, stop } from './say.mjs';

const DUMP = 'database.dump';
const FILES = 'files';
const ABOUT = 'about.json';
/** Files lie under the first two digits of their hash; what lies beside that is on its way, or can be made again. */
const BY_HASH = /^[0-9a-f]{2}$/;

const filesFolder = () => resolve(process.env.ITINERARY_FILES ?? join(DATA, 'files'));

/** How PostgreSQL's programs are told where the database is: not by their words, which everybody on the machine can read. */
function environmentOf(databaseUrl) {
  const url = new URL(databaseUrl);
  return {
    PGHOST: url.hostname,
    PGPORT: url.port || '5432',
    PGUSER: decodeURIComponent(url.username),
    PGPASSWORD: decodeURIComponent(url.password),
    PGDATABASE: decodeURIComponent(url.pathname.slice(1)),
  };
}

async function ask(databaseUrl, sql) {
  const { code, output } = await command(await postgresProgram('psql'), ['--no-psqlrc', '-Atc', sql], {
    env: environmentOf(databaseUrl),
    quiet: true,
    allowFailure: true,
  });
  if (code !== 0) stop(`The database does not answer: ${output.trim()}`);
  return output.trim();
}

const hashFolders = (folder) =>
  existsSync(folder) ? readdirSync(folder).filter((name) => BY_HASH.test(name)) : [];
const count = (folder) =>
  hashFolders(folder).reduce((sum, name) => sum + readdirSync(join(folder, name)).length, 0);

/** Files never change, and go a day after nothing names them: those that the dump names are there when it has been made. */
export async function backUp(databaseUrl, folder) {
  if (existsSync(folder))
    stop(`${folder} is there already. Name a folder that is not: a copy is never written over.`);
  const making = `${folder}.part`;
  rmSync(making, { recursive: true, force: true });
  mkdirSync(making, { recursive: true });
  try {
    const release = await ask(databaseUrl, 'select name from mikro_orm_migrations order by id desc limit 1');
    await command(
      await postgresProgram('pg_dump'),
      ['--format=custom', '--no-owner', '--no-privileges', `--file=${join(making, DUMP)}`],
      { env: environmentOf(databaseUrl), quiet: true },
    );
    for (const name of hashFolders(filesFolder()))
      cpSync(join(filesFolder(), name), join(making, FILES, name), { recursive: true });
    const about = {
      of: 'itinerary',
      at: new Date().toISOString(),
      release,
      files: count(join(making, FILES)),
    };
    writeFileSync(join(making, ABOUT), `${JSON.stringify(about, null, 2)}\n`);
    mkdirSync(dirname(resolve(folder)), { recursive: true });
    renameSync(making, folder);
    say(`Kept in ${folder}: the database as of ${release}, and ${about.files} files`);
  } catch (error) {
    rmSync(making, { recursive: true, force: true });
    throw error;
  }
}

/** Into an installation that holds nothing yet; the server brings the tables up to its release when it starts. */
export async function bringBack(databaseUrl, folder, migrations) {
  const about = readAbout(folder);
  if (!migrations.includes(about.release)) {
    stop(
      `The copy is of a later release than this one: it was made at ${about.release}, and this release knows up to ${migrations.at(-1)}. Bring it back into that later release.`,
    );
  }
  const tables = await ask(
    databaseUrl,
    `select count(*) from pg_tables where schemaname not in ('pg_catalog', 'information_schema')`,
  );
  if (tables !== '0')
    stop(
      `The database holds ${tables} tables already. A copy is brought back into an empty one: make another, and name it in DATABASE_URL.`,
    );
  if (count(filesFolder()) > 0)
    stop(`There are files in ${filesFolder()} already. Name an empty folder in ITINERARY_FILES.`);
  await command(
    await postgresProgram('pg_restore'),
    [
      '--no-owner',
      '--no-privileges',
      '--exit-on-error',
      '--single-transaction',
      `--dbname=${environmentOf(databaseUrl).PGDATABASE}`,
      join(folder, DUMP),
    ],
    { env: environmentOf(databaseUrl), quiet: true },
  );
  const kept = join(folder, FILES);
  for (const name of hashFolders(kept))
    cpSync(join(kept, name), join(filesFolder(), name), { recursive: true });
  const there = count(filesFolder());
  if (there !== about.files) stop(`The copy should hold ${about.files} files, and ${there} have come back.`);
  say(`Brought back from ${folder}: the database as of ${about.release}, and ${there} files`);
}

function readAbout(folder) {
  const file = join(folder, ABOUT);
  if (!existsSync(file)) stop(`There is no copy in ${folder}: ${ABOUT} is missing.`);
  let about = null;
  try {
    about = JSON.parse(readFileSync(file, 'utf8'));
  } catch {
    stop(`${file} is not JSON, so that nothing is known of this copy.`);
  }
  if (about?.of !== 'itinerary' || typeof about.release !== 'string' || typeof about.files !== 'number')
    stop(`${file} does not say what a copy says: of, release, files.`);
  if (!existsSync(join(folder, DUMP))) stop(`The copy in ${folder} is not whole: ${DUMP} is missing.`);
  return about;
}
