/** Whom learners can turn to: each card written once, wherever it is shown. */
import type { Course } from '../course/schema/schema.ts';
import type { ContactView, StaffProfile } from '../views/messages-view.ts';

/**
 * In their order; cards that are hidden, or of somebody who is not on the staff any more, are left out.
 * Instructors for whom nobody has made a card come last, as their profile has them: a course always has somebody
 * to turn to.
 */
export function contactsOf(course: Course, staff: readonly StaffProfile[]): readonly ContactView[] {
  return [...writtenCards(course, staff), ...unwrittenCards(course, staff)];
}

function unwrittenCards(course: Course, staff: readonly StaffProfile[]): readonly ContactView[] {
  const written = new Set(
    Object.values(course.contacts).flatMap((card) => (card.who === 'staff' ? [card.person] : [])),
  );
  return staff
    .filter(({ id, role }) => role === 'instructor' && !written.has(id))
    .map(({ id, name, role, mail }) => ({ ...NOTHING_MORE, id, name, role, mail }));
}

const NOTHING_MORE = {
  does: null,
  phone: null,
  link: null,
  reach: null,
  hours: null,
  picture: null,
} as const;

function writtenCards(course: Course, staff: readonly StaffProfile[]): readonly ContactView[] {
  return Object.entries(course.contacts)
    .filter(([, { shown }]) => shown)
    .sort(([, a], [, b]) => a.at - b.at)
    .flatMap(([id, card]): readonly ContactView[] => {
      const { phone, link, reach, hours, picture } = card;
      const shared = { id, phone, link, reach, hours, picture };
      if (card.who === 'other') {
        return [{ ...shared, name: card.name, role: null, does: card.does, mail: card.mail }];
      }
      const profile = staff.find((one) => one.id === card.person);
      if (profile === undefined) return [];
      const { name, role, mail } = profile;
      return [{ ...shared, name, role, does: null, mail: card.mailShown ? mail : null }];
    });
}
