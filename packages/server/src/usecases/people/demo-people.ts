/** The people of the demo, by whom one can come in with one press. */
import type { DemoPeopleAnswer } from '@itinerary/contract';
import { PersonRow } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';
import { shownPerson } from './me.ts';

export async function demoPeople(em: EntityManager): Promise<DemoPeopleAnswer> {
  const people = await em.find(PersonRow, { demoPart: { $ne: null } });
  return {
    people: people.flatMap((person) =>
      person.demoPart == null ? [] : [{ ...shownPerson(person), part: person.demoPart }],
    ),
  };
}
