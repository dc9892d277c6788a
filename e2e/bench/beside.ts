/**
 * How long others wait for an answer while the worst request of each kind is at work, against the same answer alone; and a
 * desk under the event streams of a college, against none. Prints `ratio NAME N`.
 */
import { createHash } from 'node:crypto';
import sharp from 'sharp';
import { cookieOf, demoPeople } from './support/enter.ts';
import { middle } from './support/middle.ts';

const base = process.env['E2E_URL'];
if (base === undefined) throw new Error('E2E_URL is missing: the address of a server with the demo data');
const json = { 'content-type': 'application/json', origin: base };

const as = (wanted: string): Promise<string> => cookieOf(base, ({ part }) => part === wanted);
const instructor = await as('instructor');
const learner = await as('learner');
const { courses } = (await (await fetch(`${base}/api/desk`, { headers: { cookie: instructor } })).json()) as {
  courses: { id: string; state: string }[];
};
const id = courses.find(({ state }) => state === 'draft')?.id ?? '';

async function desk(cookie = learner): Promise<number> {
  const begun = performance.now();
  const answer = await fetch(`${base}/api/desk`, { headers: { cookie } });
  if (!answer.ok) throw new Error(`the desk answers ${answer.status}`);
  await answer.text();
  return performance.now() - begun;
}

const send = (path: string, body: string | Buffer, type = 'application/json'): Promise<Response> =>
  fetch(`${base}${path}`, {
    method: 'POST',
    headers: { ...json, 'content-type': type, cookie: instructor },
    body: body as never,
  });
const sha = (text: string): string => createHash('sha256').update(text).digest('hex');
const changes = (texts: readonly string[]): Promise<Response> =>
  send(
    `/api/courses/${id}/changes`,
    JSON.stringify({
      since: 0,
      changes: [],
      texts: Object.fromEntries(texts.map((text) => [sha(text), text])),
    }),
  );

const side = 7700;
const noise = Buffer.alloc(side * side * 3);
for (let at = 0; at < noise.length; at += 1) noise[at] = (at * 7919) >> 5;
const picture = await sharp(noise, { raw: { width: side, height: side, channels: 3 } })
  .jpeg({ quality: 50 })
  .toBuffer();

/** The worst that is known of each kind; each is sent as often as it takes to be at work for a while. */
const WORST: Readonly<Record<string, () => Promise<unknown>>> = {
  'lists in lists': () => changes([`<p>x</p>${'<ul><li>'.repeat(24_000)}`]),
  'four megabytes of text': () =>
    changes(
      Array.from({ length: 19 }, (_, at) => `<p>${at} ${'<em>mud</em> &amp; <b>silt</b> '.repeat(6000)}</p>`),
    ),
  'six pictures of 59 megapixels': () =>
    Promise.all(
      Array.from({ length: 6 }, (_, at) =>
        send(`/api/courses/${id}/files?name=${at}.jpg`, picture, 'application/octet-stream'),
      ),
    ),
  'forty strangers': () =>
    Promise.all(
      Array.from({ length: 40 }, (_, at) =>
        send('/api/session', JSON.stringify({ address: `stranger-${at}@terns.example`, password: 'x' })),
      ),
    ),
  'a body nested without end': () =>
    send(`/api/courses/${id}/changes`, '['.repeat(1_900_000) + ']'.repeat(1_900_000)),
};

const ROUNDS = 40;
const rounds = async (many: number): Promise<number[]> => {
  const waits: number[] = [];
  for (let at = 0; at < many; at += 1) waits.push(await desk());
  return waits;
};
/** One in twenty takes longer: the slowest of all is as often the machine's doing as ours. */
const slow = (waits: readonly number[]): number =>
  [...waits].sort((a, b) => a - b)[Math.floor(waits.length * 0.95)] as number;

await rounds(ROUNDS);
const alone = slow(await rounds(ROUNDS));
console.log(`  alone: ${alone.toFixed(1)} ms`);
let worst = 0;
for (const [kind, work] of Object.entries(WORST)) {
  let isAtWork = true;
  const done = work().finally(() => (isAtWork = false));
  const waits: number[] = [];
  while (isAtWork || waits.length < 5) waits.push(await desk());
  await done;
  const ratio = slow(waits) / alone;
  console.log(`  beside ${kind}: ${ratio.toFixed(2)}, of ${waits.length} answers`);
  worst = Math.max(worst, ratio);
}
console.log(`ratio answer-beside-worst ${worst.toFixed(2)}`);

const none = middle(await rounds(ROUNDS));
const parts = [...new Set((await demoPeople(base)).map(({ part }) => part))];
const cookies = await Promise.all(parts.map(as));
const leaving = new AbortController();
const STREAMS = 200;
// As many windows as one person may have, of as many people as there are; then of the first again in new sessions.
const streams = await Promise.all(
  Array.from({ length: STREAMS }, (_, at) =>
    fetch(`${base}/api/events`, {
      headers: { cookie: cookies[at % cookies.length] ?? '' },
      signal: leaving.signal,
    }),
  ),
);
const open = streams.filter(({ ok }) => ok).length;
await rounds(ROUNDS / 2);
const under = middle(await rounds(ROUNDS));
leaving.abort();
console.log(`  ${open} event streams`);
console.log(`ratio desk-beside-streams ${(under / none).toFixed(2)}`);
