import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = join(dirname(fileURLToPath(import.meta.url)), '..', '..');
export const DATA = join(ROOT, '.data');
export const WEB_DIST = join(ROOT, 'packages/web/dist');
export const SERVER_DIST = join(ROOT, 'packages/server/dist');
export const CLI_DIST = join(ROOT, 'packages/cli/dist');
export const bin = (name) => join(ROOT, 'node_modules', '.bin', name);
