/** The files of the project as they stand in the working tree, those that are new among them. */
import { execFileSync } from 'node:child_process';
import { existsSync, readFileSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = join(dirname(fileURLToPath(import.meta.url)), '../../..');

export const read = (file: string): string => readFileSync(join(ROOT, file), 'utf8');

export const FILES: readonly string[] = execFileSync(
  'git',
  ['ls-files', '--cached', '--others', '--exclude-standard'],
  { cwd: ROOT, encoding: 'utf8' },
)
  .split('\n')
  .filter((file) => file !== '' && existsSync(join(ROOT, file)) && statSync(join(ROOT, file)).isFile());
