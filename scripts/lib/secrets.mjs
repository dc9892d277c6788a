import { randomBytes } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { DATA } from './paths.mjs';

/** The secret that signs session cookies: made once, so that a restart signs nobody out. */
export function sessionSecret() {
  const file = join(DATA, 'session.key');
  if (existsSync(file)) return readFileSync(file, 'utf8');
  mkdirSync(DATA, { recursive: true });
  const made = randomBytes(32).toString('base64url');
  writeFileSync(file, made, { mode: 0o600 });
  return made;
}
