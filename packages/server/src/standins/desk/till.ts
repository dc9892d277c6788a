/**
 * A stand-in for a payment desk: payments are opened by whoever has its secret, paid or refused on a page of their
 * own, and told by signed notices. Can be told to be away, and to notify twice, late, or never.
 */
import { randomUUID } from 'node:crypto';
import { appendFileSync, existsSync, mkdirSync, readFileSync } from 'node:fs';
import { dirname } from 'node:path';
import { signatureOf } from '../../desk/payment-desk.ts';
import type { DeskState, Notice, Wanted } from '../../desk/payment-desk.ts';

export interface TillPayment extends Wanted {
  readonly id: string;
  readonly at: string;
  state: DeskState;
  /** How often money was taken: never more than once. */
  charged: number;
}

/** How notices go out; `away`: nothing that is asked is answered either. */
export const NOTICES = ['once', 'twice', 'late', 'never', 'away'] as const;
export type Notices = (typeof NOTICES)[number];

interface Settings {
  readonly secret: string;
  /** What has happened is written here before it is said; null: it is kept in memory alone. */
  readonly file: string | null;
}

const LATE_MS = 5000;
const AGAIN_MS = [500, 2000, 8000, 30_000, 120_000];

export class Till {
  notices: Notices = 'once';
  /** Of a card that has no money any more. */
  refusesAgain = false;
  private readonly byId = new Map<string, TillPayment>();
  private readonly byReference = new Map<string, TillPayment>();
  private readonly timers = new Set<ReturnType<typeof setTimeout>>();

  constructor(private readonly settings: Settings) {
    const { file } = settings;
    if (file === null) return;
    mkdirSync(dirname(file), { recursive: true });
    const lines = existsSync(file) ? readFileSync(file, 'utf8').split('\n') : [];
    // A line that a fall cut in the middle was never said.
    for (const line of lines) if (line.endsWith('}')) this.remember(JSON.parse(line) as TillPayment);
    for (const one of this.byId.values()) if (one.state === 'open') this.lapse(one);
  }

  get payments(): readonly TillPayment[] {
    return [...this.byId.values()].reverse();
  }

  find(id: string): TillPayment | undefined {
    return this.byId.get(id);
  }

  /** Asked for twice, it is one. */
  open(wanted: Wanted): TillPayment {
    const before = this.byReference.get(wanted.reference);
    if (before !== undefined) return before;
    const payment: TillPayment = {
      ...wanted,
      id: randomUUID(),
      at: new Date().toISOString(),
      state: 'open',
      charged: 0,
    };
    this.write(payment);
    this.lapse(payment);
    return payment;
  }

  /** From whoever has paid before, without a page of their own; asked for twice, it is one. */
  again(before: TillPayment, wanted: Wanted): TillPayment {
    const isNew = !this.byReference.has(wanted.reference);
    const payment = this.open(wanted);
    if (isNew) this.decide(payment, before.state === 'paid' && !this.refusesAgain ? 'paid' : 'refused');
    return payment;
  }

  /** Only what is open is paid, refused or timed out. */
  decide(payment: TillPayment, state: 'paid' | 'refused' | 'timed_out'): void {
    if (payment.state !== 'open') return;
    payment.state = state;
    if (state === 'paid') payment.charged += 1;
    this.write(payment);
    this.notify(payment);
  }

  payBack(payment: TillPayment): void {
    if (payment.state !== 'paid') return;
    payment.state = 'taken_back';
    this.write(payment);
    this.notify(payment);
  }

  close(): void {
    for (const timer of this.timers) clearTimeout(timer);
  }

  private remember(payment: TillPayment): void {
    this.byId.set(payment.id, payment);
    this.byReference.set(payment.reference, payment);
  }

  private write(payment: TillPayment): void {
    const { file } = this.settings;
    if (file !== null) appendFileSync(file, `${JSON.stringify(payment)}\n`);
    this.remember(payment);
  }

  private later(ms: number, act: () => void): void {
    const timer = setTimeout(() => {
      this.timers.delete(timer);
      act();
    }, ms);
    this.timers.add(timer);
  }

  private lapse(payment: TillPayment): void {
    const left = Date.parse(payment.at) + payment.lasts * 1000 - Date.now();
    this.later(Math.max(0, left), () => this.decide(payment, 'timed_out'));
  }

  private notify(payment: TillPayment): void {
    if (this.notices === 'never' || this.notices === 'away') return;
    const { id, reference, state, amount, currency } = payment;
    const notice: Notice = { id, reference, state, amount, currency };
    this.later(this.notices === 'late' ? LATE_MS : 0, () => void this.tell(payment, notice, 0));
    if (this.notices === 'twice') this.later(50, () => void this.tell(payment, notice, 0));
  }

  /** Until it has been heard. */
  private async tell(payment: TillPayment, notice: Notice, tries: number): Promise<void> {
    const signature = signatureOf(this.settings.secret, notice);
    const heard = await fetch(payment.notify, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ ...notice, signature }),
    }).then(
      ({ status }) => status < 500 && status !== 429,
      () => false,
    );
    const wait = AGAIN_MS[tries];
    if (!heard && wait !== undefined) this.later(wait, () => void this.tell(payment, notice, tries + 1));
  }
}
