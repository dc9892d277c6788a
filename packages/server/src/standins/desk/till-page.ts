/** The pages of the payment desk: one for each payment, and one that says how it is to behave. */
import { timingSafeEqual } from 'node:crypto';
import express from 'express';
import type { Express, RequestHandler, Response } from 'express';
import { escapeHtml } from '@itinerary/core';
import { amountWords } from '@itinerary/core/people';
import { z } from 'zod';
import { page, sendPage } from '../page.ts';
import { NOTICES } from './till.ts';
import type { Notices, Till, TillPayment } from './till.ts';

const wantedSchema = z.strictObject({
  reference: z.string().min(1).max(100),
  amount: z.int().min(1),
  currency: z.string().regex(/^[A-Z]{3}$/),
  what: z.string().max(500),
  notify: z.url(),
  back: z.url(),
  lasts: z.int().min(1),
});

const SAYS: Readonly<Record<Notices, string>> = {
  once: 'Tells once what became of a payment',
  twice: 'Tells it twice',
  late: 'Tells it five seconds late',
  never: 'Never tells it: one has to ask',
  away: 'Is away: answers nothing',
};
const STATES: Readonly<Record<TillPayment['state'], string>> = {
  open: 'waits to be paid',
  paid: 'paid',
  refused: 'refused',
  timed_out: 'its time is over',
  taken_back: 'paid back',
};

const title = 'Payment desk';
const lead = 'A stand-in for a payment service. No money moves.';
const amountOf = ({ amount, currency }: TillPayment): string =>
  escapeHtml(amountWords(amount, currency, 'en-GB'));

function home(till: Till): string {
  const lines = till.payments
    .map(
      (one) =>
        `<li><a href="/pay/${one.id}">${amountOf(one)}</a> ${escapeHtml(one.what)}<br>
<span class="soft">${STATES[one.state]}, ${escapeHtml(one.at)}</span></li>`,
    )
    .join('');
  const choices = NOTICES.map(
    (one) =>
      `<label><input type="radio" name="notices" value="${one}"${one === till.notices ? ' checked' : ''}> ${SAYS[one]}</label>`,
  ).join('');
  return page(title, lead, [
    `<h2>Payments</h2>${lines === '' ? '<p class="soft">Nobody has paid yet.</p>' : `<ol>${lines}</ol>`}`,
    `<h2>How it behaves</h2><form method="post" action="/notices">${choices}
<label><input type="checkbox" name="refuses"${till.refusesAgain ? ' checked' : ''}> Refuses to take for another period</label><button>Behave so</button></form>`,
  ]);
}

function paying(payment: TillPayment): string {
  const acts =
    payment.state === 'open'
      ? `<form method="post" action="/pay/${payment.id}"><button name="act" value="paid">Pay ${amountOf(payment)}</button>
<button name="act" value="refused">Refuse it</button> <button name="act" value="timed_out">Let its time run out</button></form>`
      : `<p>This payment: <strong>${STATES[payment.state]}</strong>.</p>
<p><a href="${escapeHtml(payment.back)}">Back to the course</a></p>`;
  const back =
    payment.state === 'paid'
      ? `<form method="post" action="/pay/${payment.id}"><button name="act" value="back">Take it back</button></form>`
      : '';
  return page(title, lead, [
    `<h2>${amountOf(payment)}</h2><p>For ${escapeHtml(payment.what)}</p>${acts}${back}`,
  ]);
}

export function tillPage(till: Till, secret: string, site: () => string): Express {
  const app = express();
  app.disable('x-powered-by');
  const mustBeOurs: RequestHandler = (request, response, next) => {
    const [given, wanted] = [request.get('authorization') ?? '', `Bearer ${secret}`].map((text) =>
      Buffer.from(text),
    );
    if (till.notices === 'away') request.destroy();
    else if (given?.length === wanted?.length && timingSafeEqual(given as Buffer, wanted as Buffer)) next();
    else response.status(401).json({ error: 'who asks?' });
  };
  const json = express.json({ limit: '10kb' });
  app.post('/payments', mustBeOurs, json, (request, response) => {
    const wanted = wantedSchema.safeParse(request.body);
    if (!wanted.success) {
      response.status(400).json({ error: wanted.error.message });
      return;
    }
    const { id } = till.open(wanted.data);
    response.status(201).json({ id, page: `${site()}/pay/${id}` });
  });
  app.post('/payments/:id/again', mustBeOurs, json, (request, response) => {
    const wanted = wantedSchema.safeParse(request.body);
    const before = till.find(String(request.params['id']));
    if (!wanted.success || before === undefined) {
      response.status(wanted.success ? 404 : 400).json({ error: wanted.error?.message ?? 'unknown' });
      return;
    }
    const { id, state } = till.again(before, wanted.data);
    response.status(201).json({ id, state });
  });
  app.get('/payments/:id', mustBeOurs, (request, response) =>
    known(till, String(request.params['id']), response),
  );
  app.post('/payments/:id/back', mustBeOurs, (request, response) => {
    const payment = till.find(String(request.params['id']));
    if (payment !== undefined) till.payBack(payment);
    known(till, String(request.params['id']), response);
  });

  const form = express.urlencoded({ extended: false, limit: '10kb' });
  app.get('/', (_request, response) => sendPage(response, home(till)));
  app.get('/payments.json', (_request, response) => void response.json(till.payments));
  app.post('/notices', form, (request, response) => {
    const notices = NOTICES.find((one) => one === (request.body as { notices?: unknown }).notices);
    if (notices !== undefined) till.notices = notices;
    till.refusesAgain = (request.body as { refuses?: unknown }).refuses === 'on';
    response.redirect(303, '/');
  });
  app.get('/pay/:id', ({ params }, response) => {
    const payment = till.find(params.id);
    if (payment === undefined) response.status(404);
    sendPage(
      response,
      payment === undefined ? page(title, lead, ['<p>There is no such payment.</p>']) : paying(payment),
    );
  });
  app.post('/pay/:id', form, (request, response) => {
    const payment = till.find(String(request.params['id']));
    const { act } = request.body as { act?: unknown };
    if (payment === undefined) {
      response.redirect(303, '/');
      return;
    }
    if (act === 'back') till.payBack(payment);
    else if (act === 'paid' || act === 'refused' || act === 'timed_out') till.decide(payment, act);
    response.redirect(303, `/pay/${payment.id}`);
  });
  return app;
}

function known(till: Till, id: string, response: Response): void {
  const payment = till.find(id);
  if (payment === undefined) response.status(404).json({ error: 'there is no such payment' });
  else response.json({ state: payment.state });
}
