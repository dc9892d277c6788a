/** The page of the letter box: its letters to read, and how it is to behave. */
import express from 'express';
import type { Express, Response } from 'express';
import { escapeHtml } from '@itinerary/core';
import { MANNERS } from './letter-box.ts';
import type { KeptLetter, LetterBox, Manner } from './letter-box.ts';

const SAYS: Readonly<Record<Manner, string>> = {
  takes: 'Takes every letter',
  now: 'Refuses every letter for now (451): it comes again',
  good: 'Refuses every letter for good (550)',
  away: 'Is away: hangs up at once (421)',
};

const STYLE = `body{margin:0;background:#eef2ee;color:#15241f;font:15px/1.45 system-ui,sans-serif}
header{padding:12px 20px;background:#15493b;color:#fff}h1{margin:0;font-size:20px}
main{display:grid;gap:16px;max-width:860px;margin:0 auto;padding:20px}
section,article{padding:14px 18px;border-top:3px solid #a8720a;background:#fff}
label{display:block;padding:3px 0}button,input[type=email]{min-height:34px;padding:4px 12px;font:inherit}
ol{margin:0;padding:0;list-style:none}li{padding:8px 0;border-bottom:1px solid #d5dcd6}
.soft{color:#4b5a54}a{color:#15493b}pre{white-space:pre-wrap;overflow-wrap:anywhere}
iframe{width:100%;min-height:520px;border:1px solid #d5dcd6}`;

const page = (
  title: string,
  body: string,
): string => `<!doctype html><html lang="en"><head><meta charset="utf-8">
<meta name="viewport" content="width=device-width"><title>${escapeHtml(title)}</title><style>${STYLE}</style></head>
<body><header><h1>Letter box</h1>A stand-in for a mail service. Nothing leaves this machine.</header>
<main>${body}</main></body></html>`;

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
  return page(
    'Letter box',
    `<section><h2>Letters</h2>${lines(letters)}</section>
<section><h2>How it behaves</h2><form method="post" action="/manner">${choices}<button>Behave so</button></form></section>
<section><h2>Comes back</h2><p>Letters to these addresses are taken, and come back as undeliverable.</p>
<ol>${back}</ol><form method="post" action="/comes-back"><label>Address
<input type="email" name="address" required></label><button>Send back what goes there</button></form></section>`,
  );
}

const send = (response: Response, html: string): void => {
  response.set(
    'Content-Security-Policy',
    "default-src 'none'; style-src 'unsafe-inline'; frame-src 'self'; form-action 'self'",
  );
  response.type('html').send(html);
};

export function letterBoxPage(box: LetterBox): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(express.urlencoded({ extended: false, limit: '10kb' }));
  app.get('/', (_request, response) => send(response, home(box)));
  app.get('/letters.json', ({ query }, response) => {
    const to = typeof query['to'] === 'string' ? query['to'].toLowerCase() : null;
    response.json(box.letters.filter((letter) => to === null || letter.to.toLowerCase() === to));
  });
  app.get('/letters/:id', ({ params }, response) => {
    const letter = box.letters.find(({ id }) => id === params.id);
    if (letter === undefined) {
      response.status(404);
      send(response, page('No such letter', '<p>There is no such letter. <a href="/">All letters</a></p>'));
      return;
    }
    send(
      response,
      page(
        letter.subject,
        `<p><a href="/">All letters</a></p><article><h2>${escapeHtml(letter.subject)}</h2>
<p class="soft">to ${escapeHtml(letter.to)}, ${escapeHtml(letter.at)}</p>
<iframe sandbox="allow-popups allow-popups-to-escape-sandbox" title="As it looks" srcdoc="${escapeHtml(
          letter.html.replace('<head>', '<head><base target="_blank">'),
        )}"></iframe><h3>As plain text</h3><pre>${escapeHtml(letter.text)}</pre></article>`,
      ),
    );
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
