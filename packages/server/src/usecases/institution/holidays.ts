/** The institution's holidays: read from a calendar file by its staff, offered to every course as pauses. */
import { createHash } from 'node:crypto';
import type { HolidaysAnswer } from '@itinerary/contract';
import { dayOf } from '@itinerary/core';
import { HolidayRow, InstitutionRow } from '../../db/entities.ts';
import type { HolidayRecord } from '../../db/entities.ts';
import { underInstitution } from '../../db/locks.ts';
import type { EntityManager } from '../../db/orm.ts';
import { readCalendar } from '../../text/icalendar.ts';
import { Failure } from '../failure.ts';

const MAX_HOLIDAYS = 2000;

function holidayOf({ id, name, firstDay, lastDay }: HolidayRecord): HolidaysAnswer['holidays'][number] {
  return { id, name, first: firstDay, last: lastDay };
}

async function listHolidays(em: EntityManager, institutionId: string): Promise<HolidaysAnswer> {
  const rows = await em.find(HolidayRow, { institutionId }, { orderBy: { firstDay: 'asc', id: 'asc' } });
  return { holidays: rows.map(holidayOf) };
}

/** Takes a file whole or not at all; an event that is there already is replaced. */
export async function readHolidays(
  em: EntityManager,
  institutionId: string,
  calendar: string,
  now: string,
): Promise<HolidaysAnswer> {
  const institution = await em.findOneOrFail(InstitutionRow, { id: institutionId });
  const read = readCalendar(calendar, (instant) => dayOf(instant, institution.zone));
  if (!read.ok) {
    const { path, value, expected } = read.mistake;
    throw new Failure('bad_input', `At ${path} stands "${value}"; expected: ${expected}`, [read.mistake]);
  }
  // What is over for more than a year is offered to nobody.
  const since = `${Number(now.slice(0, 4)) - 1}${now.slice(4, 10)}`;
  const days = read.days.filter(({ last }) => last >= since);
  await underInstitution(em, institutionId, async (inner) => {
    const known = new Map((await inner.find(HolidayRow, { institutionId })).map((row) => [row.id, row]));
    for (const { uid, name, first, last } of days) {
      const id = createHash('sha256').update(uid).digest('hex').slice(0, 32);
      const values = { name, firstDay: first, lastDay: last };
      const row = known.get(id);
      if (row === undefined) {
        const made = inner.create(HolidayRow, { institutionId, id, ...values });
        known.set(id, made);
        inner.persist(made);
      } else inner.assign(row, values);
    }
    if (known.size > MAX_HOLIDAYS) {
      throw new Failure('bad_input', `With this file there would be ${known.size} holidays`, [
        { path: 'calendar', value: `${known.size} holidays`, expected: `at most ${MAX_HOLIDAYS}` },
      ]);
    }
  });
  return listHolidays(em.fork(), institutionId);
}

export async function removeHoliday(
  em: EntityManager,
  institutionId: string,
  id: string,
): Promise<HolidaysAnswer> {
  await em.nativeDelete(HolidayRow, { institutionId, id });
  return listHolidays(em, institutionId);
}
