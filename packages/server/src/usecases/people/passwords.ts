/** Passwords, kept as scrypt hashes (RFC 7914): `scrypt$N$r$p$salt$hash`, base64url. */
import { randomBytes, scrypt, timingSafeEqual } from 'node:crypto';
import { openLane } from '../../lanes/lane.ts';

interface Cost {
  readonly N: number;
  readonly r: number;
  readonly p: number;
}
const COST: Cost = { N: 16_384, r: 8, p: 5 };
/** For a password that everybody is told: guessing it need not be dear, and coming in need not take long. */
export const COST_OF_PUBLIC: Cost = { N: 1024, r: 8, p: 1 };
const KEY_BYTES = 32;

/** One at a time: the other processor and the other threads answer whoever is in already. */
const inTurn = openLane({ doing: 'people are signing in', mostWaiting: 100, retryAfter: 10 });

const derive = (password: string, salt: Buffer, cost: Cost): Promise<Buffer> =>
  inTurn(() => deriveNow(password, salt, cost));

function deriveNow(password: string, salt: Buffer, cost: Cost): Promise<Buffer> {
  return new Promise((resolve, reject) => {
    scrypt(password.normalize('NFKC'), salt, KEY_BYTES, cost, (error, key) => {
      if (error === null) resolve(key);
      else reject(error);
    });
  });
}

export async function hashPassword(password: string, cost = COST): Promise<string> {
  const salt = randomBytes(16);
  const key = await derive(password, salt, cost);
  return ['scrypt', cost.N, cost.r, cost.p, salt.toString('base64url'), key.toString('base64url')].join('$');
}

/** A hash that no password has: checking against it costs the same time as against a real one. */
const NOBODY = `scrypt$${COST.N}$${COST.r}$${COST.p}$${'A'.repeat(22)}$${'A'.repeat(43)}`;

/** With no hash (nobody has this address) the answer is no, and takes as long as if there were one. */
export async function passwordMatches(password: string, stored: string | null): Promise<boolean> {
  const [scheme, N, r, p, salt, hash] = (stored ?? NOBODY).split('$');
  if (scheme !== 'scrypt' || salt === undefined || hash === undefined) return false;
  const expected = Buffer.from(hash, 'base64url');
  const key = await derive(password, Buffer.from(salt, 'base64url'), {
    N: Number(N),
    r: Number(r),
    p: Number(p),
  });
  return stored !== null && key.length === expected.length && timingSafeEqual(key, expected);
}
