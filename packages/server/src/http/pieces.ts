/** Files in pieces, over HTTP: whoever is signed in sends, and gets at nothing but what they have sent themselves. */
import type { Express, Request } from 'express';
import { InstitutionRow, PersonRow } from '../db/entities.ts';
import { PIECES_PATH } from '../files/pieces.ts';
import { Failure } from '../usecases/failure.ts';
import { MEGABYTE } from '../usecases/files/stored.ts';
import { nothingHere } from '../usecases/nothing-here.ts';
import type { Ground, IncomingFile } from './call.ts';
import { endUnread } from './end-unread.ts';

/** As long may somebody ask again whose answer was lost. */
const STAYS_MS = 60_000;

/**
 * The file that a route takes: the body of its request, or one that has come in pieces before.
 *
 * @throws Failure `not_found` for one that is not theirs, or not whole
 */
export async function incomingFile(
  { pieces }: Pick<Ground, 'pieces'>,
  request: Request,
  { upload, person }: { readonly upload: string | null; readonly person: string | null },
): Promise<{ readonly file: IncomingFile; readonly done: (is: 'taken' | 'refused' | 'broken') => void }> {
  if (upload === null) {
    const length = request.headers['content-length'];
    const announced = length === undefined ? null : Number(length);
    return { file: { stream: request, announced }, done: () => undefined };
  }
  const whole = person === null ? null : await pieces.whole(upload, person);
  if (whole === null) throw nothingHere();
  const { stream, size } = whole;
  const forget = (): void => void pieces.forget(upload).catch(() => undefined);
  const done = (is: 'taken' | 'refused' | 'broken'): void => {
    // Refused before it was read to its end, it is not kept open.
    stream.destroy();
    if (is === 'broken') return;
    if (is === 'refused') {
      forget();
      return;
    }
    void pieces.taken(upload).catch(() => undefined);
    setTimeout(forget, STAYS_MS).unref();
  };
  return { file: { stream, announced: size }, done };
}

export function takePieces(app: Express, { database, pieces }: Ground): void {
  app.all([PIECES_PATH, `${PIECES_PATH}/:id`], async (request, response) => {
    const em = database.em.fork();
    const id = request.session.person;
    const person = id === undefined ? null : await em.findOne(PersonRow, { id });
    if (person === null) throw new Failure('not_signed_in', 'Sign in first');
    const upload = request.params['id'];
    if (upload !== undefined && !(await pieces.isTheirs(String(upload), person.id))) throw nothingHere();
    // What has come is taken by the route that it is for, and read back by nobody.
    if (request.method === 'GET') throw nothingHere();
    const { largestUpload } = await em.findOneOrFail(InstitutionRow, { id: person.institutionId });
    const sender = { person: person.id, most: largestUpload * MEGABYTE };
    const size = Number(request.headers['upload-length'] ?? 0);
    if (request.method === 'POST' && size > sender.most) {
      throw new Failure('too_large', `A file has at most ${largestUpload} MB here`, [
        { path: 'file', value: size, expected: `at most ${largestUpload} MB` },
      ]);
    }
    if (request.method === 'POST' && (await pieces.isFull(sender, size))) {
      const seconds = Math.ceil(STAYS_MS / 1000);
      throw new Failure(
        'too_often',
        'Many files are on their way already; wait until some have come',
        [],
        seconds,
      );
    }
    endUnread(request, response);
    await pieces.handle(request, response, sender);
  });
}
