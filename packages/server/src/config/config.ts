/** Settings of one server process, from the environment. */
import { join } from 'node:path';
import type { Clock } from './clock.ts';
import { runningClock, standingClock, systemClock, toldClock } from './clock.ts';

export interface Config {
  readonly port: number;
  readonly host: string;
  readonly databaseUrl: string;
  readonly sessionSecret: string;
  readonly demo: boolean;
  readonly clock: Clock;
  /** Folder of the built web application; null when something else serves it. */
  readonly webFolder: string | null;
  /** Folder of the uploaded files. */
  readonly filesFolder: string;
  readonly logLevel: string;
  /** Behind a proxy that speaks https: cookies are marked secure. */
  readonly secure: boolean;
  /** Every answer is held against the contract: for tests and developing, since it takes its time. */
  readonly checksAnswers: boolean;
}

type Environment = Readonly<Record<string, string | undefined>>;

export function readConfig(env: Environment): Config {
  const port = Number(env['PORT'] ?? '4600');
  if (!Number.isInteger(port) || port < 1 || port > 65_535) {
    throw new Error(`PORT is "${env['PORT'] ?? ''}"; expected a whole number from 1 to 65535`);
  }
  const now = env['ITINERARY_NOW'];
  return {
    port,
    host: env['HOST'] ?? '127.0.0.1',
    databaseUrl: required(env, 'DATABASE_URL'),
    sessionSecret: required(env, 'SESSION_SECRET'),
    demo: env['ITINERARY_DEMO'] === '1',
    clock: clockOf(now, env['ITINERARY_CLOCK']),
    webFolder: env['ITINERARY_WEB'] ?? null,
    filesFolder: filesFolderOf(env),
    logLevel: env['LOG_LEVEL'] ?? 'info',
    secure: env['ITINERARY_SECURE'] === '1',
    checksAnswers: env['ITINERARY_CHECK_ANSWERS'] === '1',
  };
}

/** `told`: the process that started this one says when it is later, by a message with the instant. */
const WAYS: readonly string[] = ['', 'stands', 'runs', 'told'];

function clockOf(now: string | undefined, way: string | undefined): Clock {
  if (way !== undefined && !WAYS.includes(way)) {
    throw new Error(`ITINERARY_CLOCK is "${way}"; expected stands, runs or told`);
  }
  if (now === undefined || now === '') return systemClock;
  if (way === 'told') return toldClock(now);
  return way === 'runs' ? runningClock(now) : standingClock(now);
}

/** Where uploaded files lie. */
export function filesFolderOf(env: Environment): string {
  return env['ITINERARY_FILES'] ?? join(process.cwd(), '.data', 'files');
}

function required(env: Environment, name: string): string {
  const value = env[name];
  if (value === undefined || value === '') throw new Error(`${name} is not set, and the server needs it`);
  return value;
}
