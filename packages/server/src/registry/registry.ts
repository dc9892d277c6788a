/** The institution's registry, read by OneRoster 1.2 (1EdTech, Rostering service, REST binding). */
import { z } from 'zod';

export interface RegistrySettings {
  /** Up to and with `v1p2`, without a slash at its end. */
  readonly url: string;
  /** Where a token is asked for (OAuth 2, client credentials). */
  readonly tokens: string;
  readonly name: string;
  readonly secret: string;
}

const MOST_LETTERS = 300;
const word = z.string().max(MOST_LETTERS);
const id = word.min(1);
const guid = z.object({ sourcedId: id });
const status = z.string().default('active');

/** What is read of each; what the standard has besides is passed over. */
const SCHEMAS = {
  terms: z.object({ sourcedId: id, status, title: word, startDate: word, endDate: word }),
  courses: z.object({ sourcedId: id, status, title: word, courseCode: word.nullish() }),
  classes: z.object({
    sourcedId: id,
    status,
    title: word,
    classCode: word.nullish(),
    course: guid.nullish(),
    terms: z.array(guid).max(50).default([]),
  }),
  users: z.object({
    sourcedId: id,
    status,
    identifier: word.nullish(),
    givenName: word.nullish(),
    familyName: word.nullish(),
    email: word.nullish(),
    username: word.nullish(),
  }),
  enrollments: z.object({ sourcedId: id, status, role: word, user: guid, class: guid }),
};
export type Collection = keyof typeof SCHEMAS;
/** As its answer has them. */
const NAMES: Readonly<Record<Collection, string>> = {
  terms: 'academicSessions',
  courses: 'courses',
  classes: 'classes',
  users: 'users',
  enrollments: 'enrollments',
};

export type ReadTerm = z.infer<typeof SCHEMAS.terms>;
export type ReadCourse = z.infer<typeof SCHEMAS.courses>;
export type ReadClass = z.infer<typeof SCHEMAS.classes>;
export type ReadUser = z.infer<typeof SCHEMAS.users>;
export type ReadEnrolment = z.infer<typeof SCHEMAS.enrollments>;

export interface RegistryReading {
  readonly terms: readonly ReadTerm[];
  readonly courses: readonly ReadCourse[];
  readonly classes: readonly ReadClass[];
  readonly users: readonly ReadUser[];
  readonly enrolments: readonly ReadEnrolment[];
  readonly unread: readonly Unread[];
}

/** What could not be taken: what was known of it before stands. */
export interface Unread {
  readonly of: Collection;
  readonly id: string;
  /** The place and what was expected. */
  readonly why: string;
}

export interface Registry {
  /** All that is not to be deleted. @throws RegistryAway */
  readonly read: () => Promise<RegistryReading>;
}

/** No answer came, or none that can be read whole: what was read before stands. */
export class RegistryAway extends Error {}

const TIME_OUT_MS = 30_000;
const AT_ONCE = 500;
const MOST = 500_000;
const MOST_BYTES = 20_000_000;
/** What changes while it is being read is read again from its beginning. */
const TRIES = 3;

async function bodyOf(response: Response): Promise<string> {
  const parts: Uint8Array[] = [];
  let bytes = 0;
  for await (const part of response.body ?? []) {
    bytes += part.length;
    if (bytes > MOST_BYTES) throw new RegistryAway(`the registry answers with more than ${MOST_BYTES} bytes`);
    parts.push(part);
  }
  return Buffer.concat(parts).toString('utf8');
}

async function ask(
  url: string,
  init: RequestInit,
): Promise<{ readonly json: unknown; readonly response: Response }> {
  let response: Response;
  let text: string;
  try {
    response = await fetch(url, { ...init, redirect: 'error', signal: AbortSignal.timeout(TIME_OUT_MS) });
    text = await bodyOf(response);
  } catch (error) {
    if (error instanceof RegistryAway) throw error;
    throw new RegistryAway(`the registry does not answer: ${(error as Error).message}`);
  }
  if (!response.ok) throw new RegistryAway(`the registry answers ${response.status}`);
  try {
    return { json: JSON.parse(text), response };
  } catch {
    throw new RegistryAway('the registry answers something that is not JSON');
  }
}

const tokenSchema = z.object({ access_token: z.string().min(1).max(4000) });

async function tokenOf({ tokens, name, secret }: RegistrySettings): Promise<string> {
  const { json } = await ask(tokens, {
    method: 'POST',
    headers: {
      authorization: `Basic ${Buffer.from(`${name}:${secret}`).toString('base64')}`,
      'content-type': 'application/x-www-form-urlencoded',
    },
    body: new URLSearchParams({
      grant_type: 'client_credentials',
      scope: 'https://purl.imsglobal.org/spec/or/v1p2/scope/roster-core.readonly',
    }).toString(),
  });
  const token = tokenSchema.safeParse(json);
  if (!token.success) throw new RegistryAway('the registry gives no token');
  return token.data.access_token;
}

/** Page after page, in one order; null: it has changed meanwhile. */
async function pagesOf(
  settings: RegistrySettings,
  token: string,
  of: Collection,
): Promise<readonly unknown[] | null> {
  const found: unknown[] = [];
  let total = 0;
  do {
    const query = new URLSearchParams({
      limit: String(AT_ONCE),
      offset: String(found.length),
      sort: 'sourcedId',
      orderBy: 'asc',
    });
    const { json, response } = await ask(`${settings.url}/${of}?${query.toString()}`, {
      headers: { authorization: `Bearer ${token}` },
    });
    const page = (json as Record<string, unknown> | null)?.[NAMES[of]];
    if (!Array.isArray(page)) throw new RegistryAway(`the registry answers without ${NAMES[of]}`);
    const says = Number(response.headers.get('x-total-count') ?? found.length + page.length);
    if (!Number.isInteger(says) || says > MOST)
      throw new RegistryAway(`the registry has ${says} ${NAMES[of]}, more than ${MOST}`);
    if (found.length > 0 && says !== total) return null;
    total = says;
    if (page.length === 0 && found.length < total) {
      throw new RegistryAway(`the registry has ${total} ${NAMES[of]} and gives ${found.length}`);
    }
    found.push(...(page as unknown[]));
  } while (found.length < total);
  return found;
}

async function collectionOf<Of extends Collection>(
  settings: RegistrySettings,
  token: string,
  of: Of,
  unread: Unread[],
): Promise<readonly z.infer<(typeof SCHEMAS)[Of]>[]> {
  for (let tries = 0; tries < TRIES; tries += 1) {
    const pages = await pagesOf(settings, token, of);
    if (pages === null) continue;
    const byId = new Map<string, z.infer<(typeof SCHEMAS)[Of]>>();
    for (const one of pages) {
      const parsed = SCHEMAS[of].safeParse(one);
      if (parsed.success) {
        if (parsed.data.status !== 'tobedeleted')
          byId.set(parsed.data.sourcedId, parsed.data as z.infer<(typeof SCHEMAS)[Of]>);
        continue;
      }
      const [issue] = parsed.error.issues;
      const which = (one as Record<string, unknown> | null)?.['sourcedId'];
      unread.push({
        of,
        id: typeof which === 'string' ? which.slice(0, MOST_LETTERS) : '',
        why: `${issue?.path.join('.') ?? ''}: ${issue?.message ?? ''}`.slice(0, MOST_LETTERS),
      });
    }
    return [...byId.values()];
  }
  throw new RegistryAway(`the registry’s ${NAMES[of]} change while they are being read`);
}

export function openRegistry(settings: RegistrySettings): Registry {
  return {
    read: async () => {
      const token = await tokenOf(settings);
      const unread: Unread[] = [];
      const read = <Of extends Collection>(of: Of): Promise<readonly z.infer<(typeof SCHEMAS)[Of]>[]> =>
        collectionOf(settings, token, of, unread);
      return {
        terms: await read('terms'),
        courses: await read('courses'),
        classes: await read('classes'),
        users: await read('users'),
        enrolments: await read('enrollments'),
        unread,
      };
    },
  };
}
