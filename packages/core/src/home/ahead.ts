/** What is due, held or opening, read off the course as one person gets it. */
import { addDays, dayOf, weekdayOnOrAfter } from '../calendar/days.ts';
import { isReadable } from '../access/answer.ts';
import type { MomentView } from '../views/moment-view.ts';
import type { CourseView, ItemView, SectionView } from '../views/course-view.ts';
import type { AheadView, WeekView } from '../views/home-view.ts';

type Dated = (what: AheadView['what'], node: ItemView | SectionView, moment: MomentView) => void;

/** Everything with a date that this person gets, in the order of the course. */
export function visitDated(view: CourseView, found: Dated): void {
  const add = (what: AheadView['what'], node: ItemView | SectionView, moment: MomentView | null): void => {
    if (moment !== null) found(what, node, moment);
  };
  const visit = (items: readonly ItemView[]): void => {
    for (const item of items) {
      if (isReadable(item.state)) {
        add('due', item, item.due);
        add('held', item, item.held);
      }
      if (item.state === 'named') add('opens', item, item.opens);
      visit(item.items);
    }
  };
  for (const section of view.sections) {
    if (section.state === 'named') add('opens', section, section.opens);
    visit(section.items);
  }
  if (view.around !== null) visit([view.around]);
}

/** What this node is called, and what kind it is; null: a section. */
export const calledIn = (
  node: ItemView | SectionView,
): Pick<AheadView, 'id' | 'kind' | 'number' | 'title'> => ({
  id: node.id,
  kind: 'kind' in node ? node.kind : null,
  number: node.number,
  title: node.title,
});

/** In the order of the dates. What is done is not ahead of anybody. */
export function datedThings(view: CourseView): readonly AheadView[] {
  const found: AheadView[] = [];
  visitDated(view, (what, node, moment) => {
    const isDone = what === 'due' && 'done' in node && node.done?.isDone === true;
    if (!isDone) found.push({ what, ...calledIn(node), moment });
  });
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
