/** Everybody in the classes of the registry that a course follows, each once. */
import type { RegistryPerson } from '@itinerary/core/people';
import type { InferEntity } from '@mikro-orm/core';
import type { RegistryFollowRow } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';

type Follow = InferEntity<typeof RegistryFollowRow>;

interface Told {
  readonly id: string;
  readonly identifier: string | null;
  readonly given: string | null;
  readonly family: string | null;
  readonly address: string | null;
  readonly user_name: string | null;
  readonly enrolled: { class: string; role: RegistryPerson['role'] }[];
}

/** Whoever teaches one class and sits in another leads the course. */
const FIRST: readonly RegistryPerson['role'][] = ['instructor', 'assistant', 'learner'];

export async function peopleFollowed(
  em: EntityManager,
  institutionId: string,
  follows: readonly Follow[],
): Promise<readonly RegistryPerson[]> {
  const groups = new Map(follows.map(({ classId, groupId }) => [classId, groupId ?? null]));
  const rows = await em.execute<Told[]>(
    `select p.id, p.identifier, p.given, p.family, p.address, p.user_name,
       json_agg(json_build_object('class', e.class_id, 'role', e.role) order by e.class_id) as enrolled
     from registry_enrolment e
     join registry_class c on c.institution_id = e.institution_id and c.id = e.class_id
     join registry_person p on p.institution_id = e.institution_id and p.id = e.person_id
     where e.institution_id = ? and e.class_id in (select jsonb_array_elements_text(?::jsonb))
     group by p.id, p.identifier, p.given, p.family, p.address, p.user_name order by p.family, p.given, p.id`,
    [institutionId, JSON.stringify([...groups.keys()])],
  );
  return rows.map((row) => ({
    registry: row.id,
    id: row.identifier,
    given: row.given,
    family: row.family,
    address: row.address,
    userName: row.user_name,
    role: FIRST.find((role) => row.enrolled.some((one) => one.role === role)) ?? 'learner',
    classes: [...new Set(row.enrolled.flatMap((one) => groups.get(one.class) ?? []))],
  }));
}
