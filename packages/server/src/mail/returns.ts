/** Letters that come back: a small SMTP door that takes nothing but those, and says which letter it was. */
import { SMTPServer } from 'smtp-server';
import { simpleParser } from 'mailparser';
import { letterOfReturn } from './carrier.ts';

export interface Returns {
  readonly port: number;
  readonly close: () => Promise<void>;
}

const LARGEST = 256 * 1024;
const LONGEST_WHY = 300;

/** What a report of non-delivery says of itself, RFC 3464; else the first words of the letter. */
export function reasonIn(report: string, text: string): string {
  const diagnostic = /^Diagnostic-Code:\s*(?:[\w-]+;)?\s*(.+(?:\r?\n[ \t].+)*)/im.exec(report)?.[1];
  const said = (diagnostic ?? text).replaceAll(/\s+/g, ' ').trim();
  return said.slice(0, LONGEST_WHY);
}

/** @param tell called with each letter that came back; taken in once it has resolved */
export async function openReturns(
  port: number,
  secret: string,
  tell: (letter: string, why: string) => Promise<void>,
): Promise<Returns> {
  const server = new SMTPServer({
    disabledCommands: ['AUTH', 'STARTTLS'],
    size: LARGEST,
    logger: false,
    onRcptTo: ({ address }, _session, done) => {
      const isOurs = letterOfReturn(secret, address) !== null;
      done(isOurs ? null : Object.assign(new Error('nobody here has this address'), { responseCode: 550 }));
    },
    onData: (stream, { envelope }, done) => {
      simpleParser(stream, {})
        .then(async (mail) => {
          // The report stands among the words, or beside them, as whoever sends it likes.
          const parts = mail.attachments.map(({ content }) => content.toString('utf8'));
          const why = reasonIn([mail.text ?? '', ...parts].join('\n'), mail.text ?? '');
          for (const { address } of envelope.rcptTo) {
            const letter = letterOfReturn(secret, address);
            if (letter !== null) await tell(letter, why);
          }
          done();
        })
        .catch((error: unknown) => done(error as Error));
    },
  });
  // Whoever hangs up in the middle is nobody's fault here.
  server.on('error', () => undefined);
  await new Promise<void>((resolve, reject) => {
    server.server.once('error', reject);
    server.listen(port, '127.0.0.1', resolve);
  });
  const at = server.server.address();
  return {
    port: typeof at === 'object' && at !== null ? at.port : port,
    close: () => new Promise((resolve) => void server.close(() => resolve())),
  };
}
