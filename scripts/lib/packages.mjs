// npm packages and Debian packages, installed when they are missing.
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, statfsSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './paths.mjs';
import { command } from './processes.mjs';
import { say, stop } from './say.mjs';

const STAMP = join(ROOT, 'node_modules', '.itinerary-lock');

function lockHash() {
  return createHash('sha256')
    .update(readFileSync(join(ROOT, 'package-lock.json')))
    .digest('hex');
}

const NEEDED_BYTES = 1.5e9;

/** `npm ci`, when node_modules is missing or was made from another lock file. */
export async function ensureNpmPackages() {
  const wanted = lockHash();
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === wanted) return;
  const { bavail, bsize } = statfsSync(ROOT);
  if (bavail * bsize < NEEDED_BYTES) {
    stop(
      `The disk has ${Math.round((bavail * bsize) / 1e6)} MB left; Itinerary needs about 1500 MB to install.`,
    );
  }
  say('Installing npm packages (about a minute)');
  await command('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], { quiet: true });
  writeFileSync(STAMP, wanted);
}

/** Installs a Debian package as root; anybody else is told the one command to type. */
export async function ensureDebianPackage(name, isThere, what) {
  if (isThere()) return;
  if (process.getuid?.() !== 0) {
    stop(`${what} is missing. Type this, then start again:\n\n  sudo apt-get install -y ${name}`);
  }
  if (!existsSync('/usr/bin/apt-get'))
    stop(`${what} is missing, and this is not Debian. Install ${name} by hand.`);
  say(`Installing ${what} from Debian's packages`);
  // Debian's own package would start a server of its own; ours runs under .data/ instead.
  const env = { DEBIAN_FRONTEND: 'noninteractive', RUNLEVEL: '1' };
  await command('apt-get', ['update', '-qq'], { quiet: true, env });
  await command('apt-get', ['install', '-y', '-qq', '--no-install-recommends', name], { quiet: true, env });
  if (!isThere()) stop(`${name} was installed, but ${what} is still not there.`);
}
