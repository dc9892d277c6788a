/** The page of the letter box: its letters to read, and how it is to behave. */
import express from 'express';
import type { Express } from 'express';
import { escapeHtml } from '@itinerary/core';
import { page, sendPage } from '../page.ts';
import { MANNERS } from './letter-box.ts';
import type { KeptLetter, LetterBox, Manner } from './letter-box.ts';

const SAYS: Readonly<Record<Manner, string>> = {
  takes: 'Takes every letter',
  now: 'Refuses every letter for now (451): it comes again',
  good: 'Refuses every letter for good (550)',
  away: 'Is away: hangs up at once (421)',
};

const title = 'Letter box';
const lead = 'A stand-in for a mail service. Nothing leaves this machine.';

function lines(letters: readonly KeptLetter[]): string {
  if (letters.length === 0) return '<p class="soft">No letter has come yet.</p>';
  return `<ol>${letters
    .map(
      ({ id, to, subject, at, times }) =>
        `<li><a href="/letters/${encodeURIComponent(id)}">${escapeHtml(subject)}</a><br>
<span class="soft">to ${escapeHtml(to)}, ${escapeHtml(at)}${times > 1 ? `, came ${times} times and is kept once` : ''}</span></li>`,
    )
    .join('')}</ol>`;
}

function home({ letters, manner, comesBack }: LetterBox): string {
  const choices = MANNERS.map(
    (one) =>
      `<label><input type="radio" name="manner" value="${one}"${one === manner ? ' checked' : ''}> ${SAYS[one]}</label>`,
  ).join('');
  const back = [...comesBack].map((address) => `<li>${escapeHtml(address)}</li>`).join('');
  return page(title, lead, [
    `<h2>Letters</h2>${lines(letters)}`,
    `<h2>How it behaves</h2><form method="post" action="/manner">${choices}<button>Behave so</button></form>`,
    `<h2>Comes back</h2><p>Letters to these addresses are taken, and come back as undeliverable.</p>
<ol>${back}</ol><form method="post" action="/comes-back"><label>Address
<input type="email" name="address" required></label><button>Send back what goes there</button></form>`,
  ]);
}

function reading({ subject, to, at, html, text }: KeptLetter): string {
  const looks = escapeHtml(html.replace('<head>', '<head><base target="_blank">'));
  return page(title, lead, [
    `<p><a href="/">All letters</a></p><h2>${escapeHtml(subject)}</h2>
<p class="soft">to ${escapeHtml(to)}, ${escapeHtml(at)}</p>
<iframe sandbox="allow-popups allow-popups-to-escape-sandbox" title="As it looks" srcdoc="${looks}"></iframe>
<h3>As plain text</h3><pre>${escapeHtml(text)}</pre>`,
  ]);
}

export function letterBoxPage(box: LetterBox): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(express.urlencoded({ extended: false, limit: '10kb' }));
  app.get('/', (_request, response) => sendPage(response, home(box)));
  app.get('/letters.json', ({ query }, response) => {
    const to = typeof query['to'] === 'string' ? query['to'].toLowerCase() : null;
    response.json(box.letters.filter((letter) => to === null || letter.to.toLowerCase() === to));
  });
  app.get('/letters/:id', ({ params }, response) => {
    const letter = box.letters.find(({ id }) => id === params.id);
    if (letter === undefined) response.status(404);
    const none = page(title, lead, ['<p>There is no such letter. <a href="/">All letters</a></p>']);
    sendPage(response, letter === undefined ? none : reading(letter));
  });
  app.post('/manner', (request, response) => {
    const manner = MANNERS.find((one) => one === (request.body as { manner?: unknown }).manner);
    if (manner !== undefined) box.manner = manner;
    response.redirect(303, '/');
  });
  app.post('/comes-back', (request, response) => {
    const { address } = request.body as { address?: unknown };
    if (typeof address === 'string' && address.includes('@')) box.comesBack.add(address.trim().toLowerCase());
    response.redirect(303, '/');
  });
  return app;
}
