/** Settings of one server process, from the environment. */
import { join } from 'node:path';
import type { Clock } from './clock.ts';
import type { DeskSettings } from '../desk/payment-desk.ts';
import type { RegistrySettings } from '../registry/registry.ts';
import type { MailSettings } from '../mail/carrier.ts';
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
  /** Where people reach it, as letters say it: `https://host`, without a slash at its end. */
  readonly site: string;
  /** Null: letters wait until there is a mail service. */
  readonly mail: MailSettings | null;
  /** Null: nobody pays here. */
  readonly desk: DeskSettings | null;
  /** Null: the institution has none that can be read. */
  readonly registry: RegistrySettings | null;
  /** Jobs of the queue are done by this process. */
  readonly jobs: boolean;
  /** The port, on this machine alone, at which its figures are read; null: they are not told. */
  readonly figuresPort: number | null;
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
    site: siteOf(env['ITINERARY_SITE'] ?? `http://${env['HOST'] ?? '127.0.0.1'}:${port}`),
    mail: mailOf(env),
    desk: deskOf(env),
    registry: registryOf(env),
    jobs: env['ITINERARY_JOBS'] !== '0',
    figuresPort: portOf(env, 'ITINERARY_FIGURES_PORT'),
    checksAnswers: env['ITINERARY_CHECK_ANSWERS'] === '1',
  };
}

function siteOf(text: string): string {
  if (!URL.canParse(text) || !/^https?:$/.test(new URL(text).protocol)) {
    throw new Error(`ITINERARY_SITE is "${text}"; expected an address such as https://courses.example`);
  }
  return text.replace(/\/+$/, '');
}

function mailOf(env: Environment): MailSettings | null {
  const smtp = env['ITINERARY_SMTP'];
  if (smtp === undefined || smtp === '') return null;
  if (!/^smtps?:\/\/./.test(smtp) || !URL.canParse(smtp)) {
    throw new Error(`ITINERARY_SMTP is "${smtp}"; expected an address such as smtp://127.0.0.1:25`);
  }
  const returnsPort = portOf(env, 'ITINERARY_RETURNS_PORT');
  return { smtp, from: env['ITINERARY_MAIL_FROM'] ?? 'itinerary@localhost', returnsPort };
}

/** Null: it is not set. */
function portOf(env: Environment, name: string): number | null {
  const text = env[name];
  if (text === undefined || text === '') return null;
  const port = Number(text);
  if (!(Number.isInteger(port) && port >= 0 && port <= 65_535)) {
    throw new Error(`${name} is "${text}"; expected a whole number up to 65535`);
  }
  return port;
}

function deskOf(env: Environment): DeskSettings | null {
  const url = env['ITINERARY_DESK'];
  if (url === undefined || url === '') return null;
  if (!URL.canParse(url)) {
    throw new Error(`ITINERARY_DESK is "${url}"; expected an address such as https://desk.example`);
  }
  return { url: url.replace(/\/+$/, ''), secret: required(env, 'ITINERARY_DESK_SECRET') };
}

function registryOf(env: Environment): RegistrySettings | null {
  const text = env['ITINERARY_REGISTRY'];
  if (text === undefined || text === '') return null;
  const [url, tokens] = (['ITINERARY_REGISTRY', 'ITINERARY_REGISTRY_TOKENS'] as const).map((name) => {
    const address = required(env, name);
    if (URL.canParse(address) && /^https?:$/.test(new URL(address).protocol))
      return address.replace(/\/+$/, '');
    throw new Error(
      `${name} is "${address}"; expected an address such as https://registry.example/ims/oneroster/rostering/v1p2`,
    );
  });
  return {
    url: url ?? '',
    tokens: tokens ?? '',
    name: required(env, 'ITINERARY_REGISTRY_NAME'),
    secret: required(env, 'ITINERARY_REGISTRY_SECRET'),
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
