/** What is due, held or opening, read off the course as one person gets it. */
import { addDays, dayOf, weekdayOnOrAfter } from '../calendar/days.ts';
import { isReadable } from '../access/answer.ts';
import type { MomentView } from '../views/moment-view.ts';
import type { CourseView, ItemView, SectionView } from '../views/course-view.ts';
import type { AheadView, WeekView } from '../views/home-view.ts';

/** Everything with a date, in the order of the dates. What is done is not ahead of anybody. */
export function datedThings(view: CourseView): readonly AheadView[] {
  const found: AheadView[] = [];
  const add = (what: AheadView['what'], node: ItemView | SectionView, moment: MomentView | null): void => {
    if (moment === null) return;
    const kind = 'kind' in node ? node.kind : null;
    found.push({ what, id: node.id, kind, number: node.number, title: node.title, moment });
  };
  const visit = (items: readonly ItemView[]): void => {
    for (const item of items) {
      const isDone = item.done?.isDone === true;
      if (isReadable(item.state) && !isDone) add('due', item, item.due);
      if (isReadable(item.state)) add('held', item, item.held);
      if (item.state === 'named') add('opens', item, item.opens);
      visit(item.items);
    }
  };
  for (const section of view.sections) {
    if (section.state === 'named') add('opens', section, section.opens);
    visit(section.items);
  }
  if (view.around !== null) visit([view.around]);
  return found.sort(byInstant);
}

function byInstant(a: AheadView, b: AheadView): number {
  const [one, other] = [Date.parse(a.moment.instant), Date.parse(b.moment.instant)];
  return one - other || (a.id < b.id ? -1 : 1);
}

/** From this instant on, within so many days: the day of the moment is day 0, and counts. */
export function aheadWithin(view: CourseView, moment: string, days: number): readonly AheadView[] {
  const at = Date.parse(moment);
  const last = addDays(dayOf(moment, view.zone), days);
  return datedThings(view).filter(
    (thing) => Date.parse(thing.moment.instant) >= at && thing.moment.day <= last,
  );
}

/** The teaching week that a moment is in; null where nothing stands in it. */
export function weekOf(view: CourseView, moment: string, weekStart: number): WeekView | null {
  const today = dayOf(moment, view.zone);
  const first = weekdayOnOrAfter(addDays(today, -6), weekStart);
  const things = datedThings(view);
  const days = Array.from({ length: 7 }, (_, at) => {
    const day = addDays(first, at);
    return { day, events: things.filter((thing) => thing.moment.day === day) };
  });
  return days.some(({ events }) => events.length > 0) ? { days } : null;
}
