/** Passwords, kept as scrypt hashes (RFC 7914): `scrypt$N$r$p$salt$hash`, base64url. */
import { randomBytes, scrypt, timingSafeEqual } from 'node:crypto';

const COST = { N: 16_384, r: 8, p: 5 } as const;
const KEY_BYTES = 32;

function derive(password: string, salt: Buffer, cost: { N: number; r: number; p: number }): Promise<Buffer> {
  return new Promise((resolve, reject) => {
    scrypt(password.normalize('NFKC'), salt, KEY_BYTES, cost, (error, key) => {
      if (error === null) resolve(key);
      else reject(error);
    });
  });
}

export async function hashPassword(password: string): Promise<string> {
  const salt = randomBytes(16);
  const key = await derive(password, salt, COST);
  return ['scrypt', COST.N, COST.r, COST.p, salt.toString('base64url'), key.toString('base64url')].join('$');
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
