/** Browsers on which somebody has signed in before: a cookie that only this installation can write. */
import { createHmac, timingSafeEqual } from 'node:crypto';

/** A shared browser has a few people; the one who came last goes first. */
const MOST = 5;
const SHAPE = /^[A-Za-z0-9_-]{43}$/;

const signOf = (secret: string, address: string): string =>
  createHmac('sha256', secret).update(`known browser of ${address}`).digest('base64url');

const signsIn = (cookie: string): readonly string[] =>
  cookie
    .split('.')
    .filter((sign) => SHAPE.test(sign))
    .slice(0, MOST);

/** @param cookie as it came; anything that was not written here is nothing. */
export function isKnownBrowser(secret: string, cookie: string, address: string): boolean {
  const expected = Buffer.from(signOf(secret, address));
  return signsIn(cookie).some((sign) => timingSafeEqual(Buffer.from(sign), expected));
}

/** The cookie with this account first. */
export function knowBrowser(secret: string, cookie: string, address: string): string {
  const own = signOf(secret, address);
  return [own, ...signsIn(cookie).filter((sign) => sign !== own)].slice(0, MOST).join('.');
}
