/** How a course stands with the registry once it has followed it, kept for whoever looks; and what has changed. */
import type { RegistryStep } from '@itinerary/contract';
import { calledOf } from '@itinerary/core/people';
import type { Following, RegistryPerson } from '@itinerary/core/people';
import type { LockedCourse } from '../../db/kept-courses.ts';
import { RegistryLinkRow, RegistryNewsRow, RegistryStandingRow } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';
import { calledBy } from './bring-in.ts';

export interface Noted {
  readonly em: EntityManager;
  readonly loaded: LockedCourse;
  readonly now: string;
  readonly news: readonly RegistryStep[];
  /** Who does not come in yet, by why. */
  readonly expected: ReadonlyMap<string, number>;
  /** The instant at which more of them may, in milliseconds. */
  readonly next: number | null;
}

/** What there is to say of it until the next time. */
export async function noteStanding(
  { em, loaded, now, news, expected, next }: Noted,
  { questions, broken, held }: Following,
  people: readonly RegistryPerson[],
  readAt: string,
): Promise<void> {
  const courseId = loaded.course.id;
  const known = new Map((await em.find(RegistryLinkRow, { courseId })).map((one) => [one.registryId, one]));
  const values = {
    followedAt: now,
    nextAt: next,
    listed: people.filter(({ role }) => role === 'learner').length,
    expected: [...expected].map(([because, count]) => ({ because, count })),
    questions: questions.map((question) => ({
      entries: (question.kind === 'conflict' ? question.entries : [question.entry]).map(({ key, row }) => ({
        key,
        name: calledOf(row),
        id: row.id ?? '',
        address: row.address ?? '',
      })),
      members: question.members.map((one) => ({ key: one.key, name: calledOf(one) || (one.address ?? '') })),
    })),
    broken: broken.map((one) => {
      const said = known.get(one.registry)?.said;
      const isKept = said !== undefined && calledBy(said) !== calledBy(one);
      return { name: calledBy(one), known: isKept ? calledBy(said) : null };
    }),
    held: held.map(({ said }) => ({ registry: said.registry, name: calledBy(said) })),
  };
  const row = await em.findOne(RegistryStandingRow, { courseId });
  if (row === null) em.persist(em.create(RegistryStandingRow, { courseId, ...values }));
  else em.assign(row, values);
  if (news.length > 0)
    em.persist(em.create(RegistryNewsRow, { courseId, at: now, readAt, steps: [...news] }));
  await em.flush();
}
