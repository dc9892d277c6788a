/** What a letter holds and nobody can guess: it is kept as its hash alone. */
import { createHash, randomBytes } from 'node:crypto';

export const newKey = (): string => randomBytes(32).toString('base64url');
export const hashOfKey = (key: string): string => createHash('sha256').update(key).digest('base64url');
export const isKey = (text: string): boolean => /^[A-Za-z0-9_-]{43}$/.test(text);
