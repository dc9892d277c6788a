/** The registry as it is asked by OneRoster 1.2 over REST, and a page on which time passes. */
import { randomBytes, timingSafeEqual } from 'node:crypto';
import express from 'express';
import type { Express, RequestHandler, Response } from 'express';
import { escapeHtml } from '@itinerary/core';
import { page, sendPage } from '../page.ts';
import { bundleOf, COLLECTIONS } from './oneroster.ts';
import { EVENTS, MOODS } from './register.ts';
import type { Mood, Register, RegistryEvent } from './register.ts';
import { BadSelection, select } from './selection.ts';

export const BASE = '/ims/oneroster/rostering/v1p2';
const SCOPE = 'https://purl.imsglobal.org/spec/or/v1p2/scope/roster-core.readonly';
const LASTS_S = 3600;

const PRESSES: Readonly<Record<RegistryEvent, string>> = {
  late: 'Two come late',
  drop: 'Somebody drops a class',
  split: 'A class is split in two',
  one: 'Two classes are taught as one',
  teacher: 'Somebody else teaches a class',
  address: 'An address is corrected',
  broken: 'A name comes out in pieces',
  mended: 'The name is whole again',
};
const SAYS: Readonly<Record<Mood, string>> = {
  up: 'Answers as it should',
  down: 'Is down: answers nothing',
  failing: 'Answers that it cannot',
  halfway: 'Fails in the middle of a list',
};

const title = 'Registry';
const lead =
  'A stand-in for a college’s registry, which speaks OneRoster 1.2. All of its people are made up.';

function home(register: Register): string {
  const presses = EVENTS.map(
    (event) => `<button name="event" value="${event}">${PRESSES[event]}</button>`,
  ).join(' ');
  const happened = [...register.happened]
    .reverse()
    .map(({ says, at }) => `<li>${escapeHtml(says)}<br><span class="soft">${escapeHtml(at)}</span></li>`)
    .join('');
  const moods = MOODS.map(
    (one) =>
      `<label><input type="radio" name="mood" value="${one}"${one === register.mood ? ' checked' : ''}> ${SAYS[one]}</label>`,
  ).join('');
  const classes = [...register.classes.values()]
    .filter(({ status }) => status === 'active')
    .map(({ one }) => {
      const people = [...register.enrolments.values()].filter(
        (held) => held.status === 'active' && held.one.class === one.sourcedId,
      );
      const names = (isTeacher: boolean): string =>
        people
          .filter(({ one: { role } }) => (role === 'student') !== isTeacher)
          .map(({ one: { user } }) => register.users.get(user)?.one)
          .map((user) => (user === undefined ? '' : `${user.givenName} ${user.familyName}`))
          .join(', ');
      return `<li><strong>${escapeHtml(one.title)}</strong>, taught by ${escapeHtml(names(true))}<br>${escapeHtml(names(false))}</li>`;
    })
    .join('');
  return page(title, lead, [
    `<h2>Time passes</h2><form method="post" action="/events">${presses}</form>${happened === '' ? '<p class="soft">Nothing has happened yet.</p>' : `<ol>${happened}</ol>`}`,
    `<h2>How it behaves</h2><form method="post" action="/mood">${moods}<button>Behave so</button></form>`,
    `<h2>Classes</h2><ol>${classes}</ol><p><a href="/bundle.zip">All of it as a bundle of CSV files</a></p>`,
  ]);
}

function failure(response: Response, status: number, description: string): void {
  response.status(status).json({
    imsx_codeMajor: 'failure',
    imsx_severity: 'error',
    imsx_description: description,
  });
}

const isSame = (one: string, other: string): boolean => {
  const [a, b] = [Buffer.from(one), Buffer.from(other)];
  return a.length === b.length && timingSafeEqual(a, b);
};

/** @param secret of whoever may read; its name is `itinerary` */
export function registerPage(register: Register, secret: string): Express {
  const app = express();
  app.disable('x-powered-by');
  const tokens = new Set<string>();
  const form = express.urlencoded({ extended: false, limit: '10kb' });
  const asItFeels: RequestHandler = (request, response, next) => {
    if (register.mood === 'down') request.destroy();
    else if (register.mood === 'failing') failure(response, 503, 'the registry cannot be read now');
    else next();
  };
  app.post('/token', asItFeels, form, (request, response) => {
    const wanted = `Basic ${Buffer.from(`itinerary:${secret}`).toString('base64')}`;
    const { grant_type: grant } = request.body as { grant_type?: unknown };
    if (!isSame(request.get('authorization') ?? '', wanted) || grant !== 'client_credentials') {
      response.status(401).json({ error: 'invalid_client' });
      return;
    }
    const token = randomBytes(24).toString('base64url');
    tokens.add(token);
    response.json({ access_token: token, token_type: 'Bearer', expires_in: LASTS_S, scope: SCOPE });
  });
  const mayRead: RequestHandler = (request, response, next) => {
    if (tokens.has((request.get('authorization') ?? '').replace(/^Bearer /, ''))) next();
    else failure(response, 401, 'who asks?');
  };
  app.get(`${BASE}/:collection`, asItFeels, mayRead, (request, response) => {
    const collection = COLLECTIONS[String(request.params['collection'])];
    if (collection === undefined) {
      failure(response, 404, 'there is no such collection');
      return;
    }
    try {
      const query = request.query as Record<string, string | undefined>;
      const { all, total, limit, offset } = select(collection.all(register), query);
      if (register.mood === 'halfway' && offset + all.length >= total / 2) {
        failure(response, 500, 'something broke');
        return;
      }
      response.set('X-Total-Count', String(total));
      if (offset + limit < total) {
        const next = new URLSearchParams({ ...query, limit: String(limit), offset: String(offset + limit) });
        response.set('Link', `<${request.path}?${next.toString()}>; rel="next"`);
      }
      response.json({ [collection.name]: all });
    } catch (error) {
      if (!(error instanceof BadSelection)) throw error;
      failure(response, 400, error.message);
    }
  });

  app.get('/', (_request, response) => sendPage(response, home(register)));
  app.get('/enrolments.json', (_request, response) => {
    const active = [...register.enrolments.values()].filter(({ status }) => status === 'active');
    response.json(active.map(({ one }) => one));
  });
  app.get('/bundle.zip', (_request, response) => {
    response.attachment('oneroster.zip').send(Buffer.from(bundleOf(register)));
  });
  app.post('/events', form, (request, response) => {
    const event = EVENTS.find((one) => one === (request.body as { event?: unknown }).event);
    if (event !== undefined) register.happen(event);
    response.redirect(303, '/');
  });
  app.post('/mood', form, (request, response) => {
    const mood = MOODS.find((one) => one === (request.body as { mood?: unknown }).mood);
    if (mood !== undefined) register.mood = mood;
    response.redirect(303, '/');
  });
  return app;
}
