/** Where somebody is signed in: they see it, and end what is not theirs. */
import type { SessionsAnswer } from '@itinerary/contract';
import { announceEnd, markOfSession } from '../../db/announce.ts';
import type { EntityManager } from '../../db/orm.ts';
import { Failure } from '../failure.ts';

interface SessionRecord {
  readonly sid: string;
  readonly since: string | null;
  readonly browser: string | null;
}

const sessionsOf = (em: EntityManager, person: string): Promise<SessionRecord[]> =>
  em.execute(
    `select sid, sess ->> 'since' as since, sess ->> 'browser' as browser from session
     where sess ->> 'person' = ? and expire > now() order by sess ->> 'since' desc`,
    [person],
  );

/** @param own the session in which it is asked */
export async function sessions(em: EntityManager, person: string, own: string): Promise<SessionsAnswer> {
  const found = await sessionsOf(em, person);
  return {
    sessions: found.map(({ sid, since, browser }) => ({
      // Its mark: whoever reads the answer can do nothing else with it.
      id: markOfSession(sid),
      since,
      browser: browser ?? '',
      isThis: sid === own,
    })),
  };
}

export async function endOne(em: EntityManager, person: string, mark: string): Promise<void> {
  const found = (await sessionsOf(em, person)).find(({ sid }) => markOfSession(sid) === mark);
  if (found === undefined) throw new Failure('not_found', 'You are not signed in there any more');
  await em.transactional(async (inner) => {
    await inner.execute('delete from session where sid = ?', [found.sid]);
    await announceEnd(inner, found.sid);
  });
}

/** @param but the one that stays; null: none does */
export async function endSessionsOf(em: EntityManager, person: string, but: string | null): Promise<void> {
  const ended = await em.execute<{ sid: string }[]>(
    `delete from session where sess ->> 'person' = ? and sid is distinct from ? returning sid`,
    [person, but],
  );
  for (const { sid } of ended) await announceEnd(em, sid);
}
