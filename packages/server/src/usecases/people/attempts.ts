/**
 * Tries at passwords and passphrases. Each is counted before it is checked, so that many at once are as many as one
 * after another; one that was right gives back its own count and nobody else's.
 */
import { createHash } from 'node:crypto';
import type { Pool } from 'pg';
import { RateLimiterPostgres, RateLimiterRes } from 'rate-limiter-flexible';
import { Failure } from '../failure.ts';

/** Of one place at one account or course. */
export const MAX_TRIES = 10;
/** Of one place at whatever it likes: a school's worth of people behind one address mistype now and then. */
export const MAX_OF_PLACE = 300;
/** At one account from everywhere, by browsers that it has never been signed in on. */
export const MAX_OF_STRANGERS = 100;
/** To one address, by which accounts are made and passwords set anew. */
export const MAX_LETTERS = 5;
const WINDOW_S = 15 * 60;

export interface Try {
  /** It was right: as if it had not been one. */
  readonly giveBack: () => Promise<void>;
}

export interface SignInTry {
  /** The account's address, folded. */
  readonly address: string;
  /** Where it comes from on the network. */
  readonly place: string;
  /** Whether somebody has signed in as this account on this browser before: strangers cannot lock it out. */
  readonly isKnown: boolean;
}

export interface Attempts {
  /** @throws Failure `too_many_attempts`. */
  readonly signIn: (of: SignInTry) => Promise<Try>;
  /** @throws Failure `too_many_attempts`. */
  readonly visit: (of: { readonly course: string; readonly place: string }) => Promise<Try>;
  /** @throws Failure `too_many_attempts`. */
  readonly join: (of: { readonly place: string }) => Promise<Try>;
  /**
   * Codes by which somebody says that they are at a meeting.
   *
   * @throws Failure `too_many_attempts`.
   */
  readonly attend: (of: {
    readonly person: string;
    readonly meeting: string;
    readonly place: string;
  }) => Promise<Try>;
  /**
   * Letters to an address, whether somebody has it or not.
   *
   * @throws Failure `too_many_attempts`.
   */
  readonly letter: (of: { readonly address: string; readonly place: string }) => Promise<Try>;
}

type Counted = readonly [RateLimiterPostgres, string];

export function openAttempts(pool: Pool): Attempts {
  const limiter = (keyPrefix: string, points: number): RateLimiterPostgres =>
    new RateLimiterPostgres({
      storeClient: pool,
      storeType: 'pool',
      tableName: 'attempt',
      tableCreated: true,
      keyPrefix,
      points,
      duration: WINDOW_S,
    });
  const pair = limiter('pair', MAX_TRIES);
  const known = limiter('known', MAX_TRIES);
  const place = limiter('place', MAX_OF_PLACE);
  const strangers = limiter('strangers', MAX_OF_STRANGERS);
  const letters = limiter('letters', MAX_LETTERS);
  const guests = limiter('guests', MAX_OF_STRANGERS);
  return {
    signIn: (of) =>
      count(
        of.isKnown
          ? [[known, of.address]]
          : [
              [pair, `${of.place} ${of.address}`],
              [place, of.place],
              [strangers, of.address],
            ],
        'Too many wrong passwords',
      ),
    visit: (of) =>
      count(
        [
          [pair, `${of.place} visit ${of.course}`],
          [place, of.place],
          [guests, of.course],
        ],
        'Too many wrong passphrases for this course',
      ),
    letter: (of) =>
      count(
        [
          [letters, of.address],
          [place, `${of.place} letters`],
        ],
        'Too many letters to this address',
      ),
    join: (of) => count([[place, `${of.place} join`]], 'Too many wrong codes'),
    attend: (of) =>
      count(
        [
          [pair, `${of.person} attend ${of.meeting}`],
          [place, `${of.place} attend`],
        ],
        'Too many wrong codes',
      ),
  };
}

/** Addresses are as long as somebody likes to type, and the table's keys are not. */
const keyOf = (text: string): string => createHash('sha256').update(text).digest('base64url');

async function count(counted: readonly Counted[], what: string): Promise<Try> {
  const done: Counted[] = [];
  const giveBack = async (): Promise<void> => {
    await Promise.all(done.map(([limiter, key]) => limiter.reward(keyOf(key), 1)));
  };
  for (const [limiter, key] of counted) {
    try {
      await limiter.consume(keyOf(key), 1);
      done.push([limiter, key]);
    } catch (error) {
      await giveBack();
      if (!(error instanceof RateLimiterRes)) throw error;
      const seconds = Math.max(1, Math.ceil(error.msBeforeNext / 1000));
      throw new Failure('too_many_attempts', `${what}; try again in ${minutes(seconds)}`, [], seconds);
    }
  }
  return { giveBack };
}

function minutes(seconds: number): string {
  const whole = Math.ceil(seconds / 60);
  return whole === 1 ? 'a minute' : `${whole} minutes`;
}
