/** The courses that are measured. */
import { newCourse, newDates, newItem, newSection } from '../src/index.ts';
import type { Course, Item } from '../src/index.ts';

function blank(): Course {
  const start = { id: 'course', title: 'Large', code: 'L-1', purpose: 'learners' as const };
  const rest = { department: null, term: null, firstDay: '2027-01-11', weeks: 15, zone: 'Europe/Lisbon' };
  return newCourse({ ...start, ...rest, sectionIds: [] });
}

/** Sections of pages. */
export function courseOfPages(sections: number, items: number): Course {
  const of = blank();
  return {
    ...of,
    dates: { ...of.dates, weeks: sections },
    sections: Array.from({ length: sections }, (_, at) =>
      newSection({
        id: `s${at}`,
        title: `Section ${at}`,
        items: Array.from({ length: items }, (_item, index) =>
          newItem('page', { id: `s${at}i${index}`, title: `Page ${index}`, minutes: 10 }),
        ),
      }),
    ),
  };
}

export const WEEKDAYS = [1, 2, 3, 4, 5] as const;
export const TIMES = ['09:00', '12:30', '18:00', '23:59'] as const;

/** Fifteen weeks with a spring break, and 500 pieces of work, each due on a weekday of its week at some time. */
export function courseOfWork(): Course {
  const of = blank();
  const work = (section: number, index: number): Item =>
    newItem('assignment', {
      id: `s${section}w${index}`,
      title: `Work ${index}`,
      minutes: 30,
      due: {
        kind: 'relative',
        anchor: { of: 'section', at: 'start', section: null },
        shift: null,
        weekday: WEEKDAYS[index % WEEKDAYS.length] as number,
        time: TIMES[index % TIMES.length] as string,
      },
    });
  const sizes = Array.from({ length: 15 }, (_, at) => (at < 5 ? 34 : 33));
  return {
    ...of,
    dates: newDates({
      firstDay: '2027-01-11',
      weeks: 15,
      zone: 'Europe/Lisbon',
      pauses: { p: { name: 'Spring break', first: '2027-03-08', last: '2027-03-14', policy: 'between' } },
    }),
    sections: sizes.map((size, at) =>
      newSection({ id: `s${at}`, items: Array.from({ length: size }, (_, index) => work(at, index)) }),
    ),
  };
}
