/** Coming in as one of the demo's people, without a browser. */

export interface DemoPerson {
  readonly id: string;
  readonly name: string;
  readonly part: string;
}

export async function demoPeople(base: string): Promise<readonly DemoPerson[]> {
  const answer = await fetch(`${base}/api/demo/people`);
  return ((await answer.json()) as { people: DemoPerson[] }).people;
}

/** @returns the session's cookie, as a request sends it. */
export async function cookieOf(base: string, isWanted: (person: DemoPerson) => boolean): Promise<string> {
  const person = (await demoPeople(base)).find(isWanted)?.id;
  const entered = await fetch(`${base}/api/demo/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', origin: base },
    body: JSON.stringify({ person }),
  });
  return sessionIn(entered);
}

const sessionIn = ({ headers }: Response): string =>
  headers
    .getSetCookie()
    .find((one) => one.startsWith('itinerary='))
    ?.split(';')[0] ?? '';

/** Anybody of the demo, by their address. */
export async function signIn(base: string, address: string): Promise<string> {
  const entered = await fetch(`${base}/api/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', origin: base },
    body: JSON.stringify({ address, password: 'low-tide-at-nine' }),
  });
  if (!entered.ok) throw new Error(`${address} cannot sign in: ${await entered.text()}`);
  return sessionIn(entered);
}

export type Asking = <T>(path: string, body?: unknown) => Promise<T>;

/** Who leads courses, and asks; what is no answer is said. With a body it is a POST. */
export async function asInstructor(base: string): Promise<Asking> {
  const cookie = await cookieOf(base, ({ part }) => part === 'instructor');
  const headers = { 'content-type': 'application/json', origin: base, cookie };
  return async <T>(path: string, body?: unknown): Promise<T> => {
    const sent = body === undefined ? {} : { method: 'POST', body: JSON.stringify(body) };
    const answer = await fetch(`${base}${path}`, { headers, ...sent });
    if (!answer.ok)
      throw new Error(`${path} answers ${answer.status}: ${(await answer.text()).slice(0, 300)}`);
    return (await answer.json()) as T;
  };
}
