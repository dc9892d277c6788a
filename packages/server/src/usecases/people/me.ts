/** Who is signed in, the clock, and the institution as they may know it. */
import type { MeAnswer, PersonAnswer } from '@itinerary/contract';
import type { Config } from '../../config/config.ts';
import type { Person } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';
import { mayCreateCourses } from '../access/viewer.ts';
import { institutionTold } from '../institution/told.ts';
import { inOrderOfUse } from '../institution/institution-pages.ts';

export async function me(
  em: EntityManager,
  { clock, demo }: Config,
  person: Person | null,
  now: string,
): Promise<MeAnswer> {
  const institution = await institutionTold(em, person?.institutionId ?? null);
  return {
    person: person === null ? null : shownPerson(person),
    mayCreate: person !== null && mayCreateCourses(person),
    now,
    clockStands: clock.stands,
    demo,
    institution: {
      ...institution,
      // What it keeps is for those who have come in.
      ...(person === null
        ? { departments: [], terms: [], holidays: [], pages: [] }
        : { pages: inOrderOfUse(institution.pages) }),
    },
  };
}

export function shownPerson({
  id,
  name,
  address,
  kind,
}: Pick<Person, 'id' | 'name' | 'address' | 'kind'>): PersonAnswer {
  // Whoever is shown so has an account, and an account has an address.
  return { id, name, address: address ?? '', kind };
}
