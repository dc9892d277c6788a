import { nextPlace } from '../../course/next-place.ts';
import type { Edit, FieldValue } from '../../course/edits/edits.ts';
import type { Panel } from '../../course/schema/home-schema.ts';
import type { Course } from '../../course/schema/schema.ts';
import { offeredEntries } from '../../menu/offered.ts';
import { contactsOf } from '../../messages/contacts.ts';
import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';
import type { ContactView } from '../../views/messages-view.ts';

function canBeReached({ role, mail, phone, link, reach, hours }: ContactView): boolean {
  return role !== null && [mail, phone, link, reach, hours].some((way) => way !== null);
}

/**
 * Learners have no way to reach the instructor: no card says how, or nothing leads to the cards. The cure for
 * the latter puts them on the home page.
 */
export const menuNoContact: Rule = {
  id: 'menu_no_contact',
  stop: 'menu',
  purposes: WITH_PEOPLE,
  find: ({ course, face }) => {
    if (face === null) return null;
    if (!contactsOf(course, face.staff).some(canBeReached)) {
      return { severity: 'advice', stop: 'messages', field: 'contacts', values: { variant: 'cards' } };
    }
    const inMenu = offeredEntries(course).some(
      ([, { leads }]) => leads.to === 'area' && leads.area === 'contact',
    );
    const onHome =
      course.areas['home'] !== 'off' &&
      Object.values(course.panels).some(({ kind, shown }) => kind === 'contact' && shown);
    if (inMenu || onHome) return null;
    return {
      severity: 'advice',
      field: 'panels',
      cure: course.areas['home'] === 'off' ? null : [onTheHomePage(course)],
    };
  },
};

function onTheHomePage(course: Course): Edit {
  const [id, panel] = Object.entries(course.panels).find(([, { kind }]) => kind === 'contact') ?? [
    'contact',
    null,
  ];
  const value: Panel =
    panel === null
      ? { kind: 'contact', column: 'side', at: nextPlace(course.panels), shown: true }
      : { ...panel, shown: true };
  const was = panel as FieldValue;
  return { kind: 'set', target: course.id, field: `panels.${id}`, value: value as FieldValue, was };
}
