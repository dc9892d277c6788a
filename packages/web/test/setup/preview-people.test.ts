/** Who is named in the preview: who teaches, and whom to ask for whoever gets the course. */
import { expect, test } from '@jest/globals';
import { courseView } from '@itinerary/core';
import type { CourseView, Viewer } from '@itinerary/core';
import { smallCourse } from '../../../core/test/support/arbitraries.ts';
import { usePreviewPeople } from '../../src/setup/preview/people.ts';
import { usePlan } from '../../src/stores/plan.ts';
import { inSetup } from '../support/in-setup.ts';
import { miniature } from '../support/mini-server.ts';

const at = miniature();
async function named(viewer: Viewer): Promise<{ contacts: readonly string[]; staff: readonly string[] }> {
  const course = { ...smallCourse(), state: 'live' as const, find: 'here' as const };
  at.server.course = course;
  const plan = usePlan();
  await plan.open('course');
  plan.face = {
    ...plan.face,
    staff: [
      { id: 't', name: 'Tunde', role: 'instructor' },
      { id: 'i', name: 'Inês', role: 'instructor' },
      { id: 'a', name: 'Adaeze', role: 'assistant' },
    ] as never,
  };
  const view: CourseView | null = courseView(course, viewer, '2027-01-13T09:00:00Z');
  const { used } = await inSetup(() => usePreviewPeople(() => view), { pinia: at.pinia });
  return { contacts: used.contacts.value.map(({ name }) => name), staff: used.staff.value };
}

test('a learner gets the cards of those who teach, and who they are, by name', async () => {
  expect(await named({ role: 'learner', institutionStaff: false })).toEqual({
    contacts: ['Tunde', 'Inês'],
    staff: ['Inês', 'Tunde'],
  });
});

test('somebody passing by, to whom the course is only named, gets no card', async () => {
  const { contacts: cards } = await named({ role: null, institutionStaff: false, here: true });
  expect(cards).toEqual([]);
});
