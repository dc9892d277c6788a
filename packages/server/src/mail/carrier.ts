/** Handing letters to a mail service, by SMTP. */
import { createHmac, timingSafeEqual } from 'node:crypto';
import { createTransport } from 'nodemailer';
import type { Composed } from './letters.ts';

export interface MailSettings {
  /** `smtp://host:port`, or with `user:password@`. */
  readonly smtp: string;
  /** Whom letters are from. */
  readonly from: string;
  /** The port at which letters that come back are taken in; null: they are not. */
  readonly returnsPort: number | null;
}

export interface Carrier {
  /**
   * Resolves once the service has taken it.
   *
   * @throws Refused where the service says that this address takes nothing; anything else is tried again
   */
  readonly carry: (letter: Composed & { readonly id: string; readonly to: string }) => Promise<void>;
  readonly close: () => void;
}

/** The other side has said no for good. */
export class Refused extends Error {}

const SIGN = 16;
const sign = (secret: string, id: string): string =>
  createHmac('sha256', secret).update(`letter ${id}`).digest('hex').slice(0, SIGN);

const domainOf = (address: string): string => address.slice(address.lastIndexOf('@') + 1);

/** Where a letter comes back to: says which it was, in a way that only this installation can have written. */
export const returnAddress = (secret: string, id: string, from: string): string =>
  `returned+${id}.${sign(secret, id)}@${domainOf(from)}`;

/** @returns the letter's id; null: it is nobody's that was sent from here */
export function letterOfReturn(secret: string, address: string): string | null {
  const found = /^returned\+([0-9a-f-]{36})\.([0-9a-f]{16})@/.exec(address.toLowerCase());
  const [, id, signed] = found ?? [];
  if (id === undefined || signed === undefined) return null;
  return timingSafeEqual(Buffer.from(signed), Buffer.from(sign(secret, id))) ? id : null;
}

const TIME_OUT_MS = 15_000;

export function openCarrier({ smtp, from }: MailSettings, secret: string): Carrier {
  const transport = createTransport({
    url: smtp,
    pool: false,
    connectionTimeout: TIME_OUT_MS,
    greetingTimeout: TIME_OUT_MS,
    socketTimeout: TIME_OUT_MS,
    // A mail service on this machine has no certificate that anybody knows.
    tls: { rejectUnauthorized: !/\/\/([^@]*@)?(127\.0\.0\.1|localhost)(?=[:/]|$)/.test(smtp) },
  });
  return {
    carry: async ({ id, to, subject, text, html }) => {
      try {
        await transport.sendMail({
          // Sent a second time after a fall in the middle, it is known to be the same.
          messageId: `<${id}@${domainOf(from)}>`,
          from,
          to: { name: '', address: to },
          envelope: { from: returnAddress(secret, id, from), to },
          subject,
          text,
          html,
          headers: { 'Auto-Submitted': 'auto-generated' },
        });
      } catch (error) {
        const { responseCode, message } = error as { responseCode?: number; message: string };
        if (responseCode !== undefined && responseCode >= 500) throw new Refused(message);
        throw error;
      }
    },
    close: () => transport.close(),
  };
}
