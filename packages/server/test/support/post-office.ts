/** A mail service for tests: takes letters, refuses them, or is away, and sends back what cannot be delivered. */
import { createTransport } from 'nodemailer';
import { simpleParser } from 'mailparser';
import type { ParsedMail } from 'mailparser';
import { SMTPServer } from 'smtp-server';

export interface Delivered {
  readonly id: string;
  readonly to: string;
  /** Where it comes back to. */
  readonly back: string;
  readonly mail: ParsedMail;
}

export interface PostOffice {
  readonly url: string;
  readonly letters: Delivered[];
  /** Answers with this to each letter; null: takes it. */
  refuses: { readonly code: number; readonly says: string } | null;
  /** Sends a report that this one could not be delivered. */
  readonly sendBack: (letter: Delivered, port: number, why: string) => Promise<void>;
  readonly close: () => Promise<void>;
}

export async function openPostOffice(): Promise<PostOffice> {
  const letters: Delivered[] = [];
  const office: { refuses: PostOffice['refuses'] } = { refuses: null };
  const server = new SMTPServer({
    disabledCommands: ['AUTH', 'STARTTLS'],
    logger: false,
    onRcptTo: (_address, _session, done) => {
      const no = office.refuses;
      done(no === null ? null : Object.assign(new Error(no.says), { responseCode: no.code }));
    },
    onData: (stream, { envelope }, done) => {
      void simpleParser(stream, {}).then((mail) => {
        const back = envelope.mailFrom === false ? '' : envelope.mailFrom.address;
        letters.push({ id: mail.messageId ?? '', to: envelope.rcptTo[0]?.address ?? '', back, mail });
        done();
      });
    },
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const at = server.server.address();
  const port = typeof at === 'object' && at !== null ? at.port : 0;
  return Object.assign(office, {
    url: `smtp://127.0.0.1:${port}`,
    letters,
    sendBack: async ({ back }: Delivered, to: number, why: string) => {
      const transport = createTransport({ host: '127.0.0.1', port: to, secure: false, ignoreTLS: true });
      await transport.sendMail({
        envelope: { from: 'postmaster@away.example', to: back },
        from: 'postmaster@away.example',
        to: back,
        subject: 'Undelivered',
        text: 'It could not be delivered.',
        attachments: [
          {
            contentType: 'message/delivery-status',
            content: `Final-Recipient: rfc822; x\nAction: failed\nStatus: 5.1.1\nDiagnostic-Code: smtp; ${why}\n`,
          },
        ],
      });
    },
    close: () => new Promise<void>((resolve) => void server.close(() => resolve())),
  });
}

/** The page that a letter leads to, from the site's own address on. */
export const pathIn = ({ mail }: Delivered): string =>
  /http:\/\/itinerary\.example(\/\S+)/.exec(mail.text ?? '')?.[1] ?? '';
