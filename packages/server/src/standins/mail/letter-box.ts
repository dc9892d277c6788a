/**
 * A stand-in for a mail service: takes letters by SMTP and keeps them to be read, one for each id however often it
 * comes; can be told to refuse, to be away, and to send letters back.
 */
import { appendFileSync, existsSync, mkdirSync, readFileSync } from 'node:fs';
import { dirname } from 'node:path';
import { simpleParser } from 'mailparser';
import { createTransport } from 'nodemailer';
import { SMTPServer } from 'smtp-server';

export interface KeptLetter {
  readonly id: string;
  readonly at: string;
  readonly to: string;
  readonly subject: string;
  readonly text: string;
  readonly html: string;
  /** How often it has come: a service that falls in the middle may send again. */
  times: number;
}

/** `takes` letters; refuses them for `now`, or for `good`; is `away`: hangs up at once. */
export const MANNERS = ['takes', 'now', 'good', 'away'] as const;
export type Manner = (typeof MANNERS)[number];

export interface LetterBox {
  readonly port: number;
  readonly letters: readonly KeptLetter[];
  manner: Manner;
  /** Addresses, folded, whose letters are taken and come back. */
  readonly comesBack: Set<string>;
  readonly close: () => Promise<void>;
}

interface Settings {
  readonly port: number;
  /** Where letters that come back are sent; null: nowhere. */
  readonly returnsPort: number | null;
  /** What has been taken is written here before that is said; null: it is kept in memory alone. */
  readonly file: string | null;
}

export async function openLetterBox({ port, returnsPort, file }: Settings): Promise<LetterBox> {
  const byId = new Map<string, KeptLetter>();
  const letters: KeptLetter[] = [];
  const keep = (letter: KeptLetter): void => {
    const before = byId.get(letter.id);
    if (before !== undefined) {
      before.times += 1;
      return;
    }
    byId.set(letter.id, letter);
    letters.unshift(letter);
  };
  if (file !== null) {
    mkdirSync(dirname(file), { recursive: true });
    const lines = existsSync(file) ? readFileSync(file, 'utf8').split('\n') : [];
    // A line that a fall cut in the middle was never said to be taken.
    for (const line of lines) if (line.endsWith('}')) keep({ ...(JSON.parse(line) as KeptLetter), times: 1 });
  }
  const box: { manner: Manner } = { manner: 'takes' };
  const comesBack = new Set<string>();
  const refusal = (code: number, says: string): Error =>
    Object.assign(new Error(says), { responseCode: code });
  const server = new SMTPServer({
    disabledCommands: ['AUTH', 'STARTTLS'],
    logger: false,
    onConnect: (_session, done) => done(box.manner === 'away' ? refusal(421, 'nobody is here') : null),
    onRcptTo: (_address, _session, done) => {
      if (box.manner === 'good') done(refusal(550, '5.1.1 nobody here has this address'));
      else done(box.manner === 'now' ? refusal(451, '4.3.0 come again later') : null);
    },
    onData: (stream, { envelope }, done) => {
      simpleParser(stream, {})
        .then(async (mail) => {
          const to = envelope.rcptTo[0]?.address ?? '';
          const letter: KeptLetter = {
            id: mail.messageId ?? '',
            at: new Date().toISOString(),
            to,
            subject: mail.subject ?? '',
            text: mail.text ?? '',
            html: mail.html === false ? '' : (mail.html ?? ''),
            times: 1,
          };
          if (file !== null) appendFileSync(file, `${JSON.stringify(letter)}\n`);
          keep(letter);
          done();
          const back = envelope.mailFrom === false ? '' : envelope.mailFrom.address;
          if (returnsPort !== null && comesBack.has(to.toLowerCase())) await sendBack(back, to, returnsPort);
        })
        .catch((error: unknown) => done(error as Error));
    },
  });
  server.on('error', () => undefined);
  await new Promise<void>((resolve, reject) => {
    server.server.once('error', reject);
    server.listen(port, '127.0.0.1', resolve);
  });
  const at = server.server.address();
  return Object.assign(box, {
    port: typeof at === 'object' && at !== null ? at.port : port,
    letters,
    comesBack,
    close: () => new Promise<void>((resolve) => void server.close(() => resolve())),
  });
}

/** A report of non-delivery, RFC 3464. */
async function sendBack(back: string, to: string, port: number): Promise<void> {
  const transport = createTransport({ host: '127.0.0.1', port, secure: false, ignoreTLS: true });
  const postmaster = 'postmaster@letter-box.example';
  try {
    await transport.sendMail({
      envelope: { from: postmaster, to: back },
      from: postmaster,
      to: back,
      subject: 'Your letter could not be delivered',
      text: `The letter to ${to} could not be delivered.`,
      attachments: [
        {
          contentType: 'message/delivery-status',
          content: [
            'Reporting-MTA: dns; letter-box.example',
            '',
            `Final-Recipient: rfc822; ${to}`,
            'Action: failed',
            'Status: 5.1.1',
            'Diagnostic-Code: smtp; 550 5.1.1 nobody has this address',
            '',
          ].join('\n'),
        },
      ],
    });
  } finally {
    transport.close();
  }
}
