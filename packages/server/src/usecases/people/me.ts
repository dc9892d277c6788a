/** Who is signed in, the clock, and the institution as they may know it. */
import type { MeAnswer, PersonAnswer } from '@itinerary/contract';
import type { Config } from '../../config/config.ts';
import { DepartmentRow, HolidayRow, InstitutionRow, TermRow } from '../../db/entities.ts';
import type { Person } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';
import { mayCreateCourses } from '../access/viewer.ts';
import { holidayOf } from '../institution/holidays.ts';
import { institutionPages } from '../institution/institution-pages.ts';

export async function me(
  em: EntityManager,
  { clock, demo }: Config,
  person: Person | null,
  now: string,
): Promise<MeAnswer> {
  const institution =
    person === null
      ? (await em.find(InstitutionRow, {}, { orderBy: { id: 'asc' }, limit: 1 }))[0]
      : await em.findOne(InstitutionRow, { id: person.institutionId });
  return {
    person: person === null ? null : shownPerson(person),
    mayCreate: person !== null && mayCreateCourses(person),
    now,
    clockStands: clock.stands,
    demo,
    institution: {
      name: institution?.name ?? '',
      zone: institution?.zone ?? 'UTC',
      largestUpload: institution?.largestUpload ?? 0,
      nameOrder: institution?.nameOrder ?? 'given_first',
      ...(person === null ? NOTHING_MORE : await keptBy(em, person.institutionId)),
    },
  };
}

type Kept = Pick<MeAnswer['institution'], 'departments' | 'terms' | 'holidays' | 'pages'>;

const NOTHING_MORE: Kept = { departments: [], terms: [], holidays: [], pages: [] };

async function keptBy(em: EntityManager, institutionId: string): Promise<Kept> {
  const holidays = await em.find(HolidayRow, { institutionId }, { orderBy: { firstDay: 'asc', id: 'asc' } });
  const departments = await em.find(DepartmentRow, { institutionId }, { orderBy: { name: 'asc' } });
  const terms = await em.find(TermRow, { institutionId }, { orderBy: { firstDay: 'asc' } });
  return {
    departments: departments.map(({ code, name }) => ({ code, name })),
    terms: terms.map(({ code, name, firstDay, lastDay }) => ({ code, name, firstDay, lastDay })),
    holidays: holidays.map(holidayOf),
    pages: await institutionPages(em, institutionId),
  };
}

export function shownPerson({ id, name, address, kind }: Person): PersonAnswer {
  // Whoever is shown so has an account, and an account has an address.
  return { id, name, address: address ?? '', kind };
}
