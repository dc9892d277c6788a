/** Who is named in the preview, by what its reader gets: the answer that the learner's pages would have. */
import { contactsOf, isReadable } from '@itinerary/core';
import type { ContactView, CourseView } from '@itinerary/core';
import { computed } from 'vue';
import type { ComputedRef } from 'vue';
import { usePlan } from '../../stores/plan.ts';

export function usePreviewPeople(view: () => CourseView | null): {
  readonly contacts: ComputedRef<readonly ContactView[]>;
  /** Who teaches it, by name. */
  readonly staff: ComputedRef<readonly string[]>;
} {
  const plan = usePlan();
  return {
    contacts: computed(() => {
      const seen = view();
      if (plan.course === null || seen === null || !isReadable(seen.access)) return [];
      return contactsOf(plan.course, plan.face.staff);
    }),
    staff: computed(() =>
      plan.face.staff
        .filter(({ role }) => role === 'instructor')
        .map(({ name }) => name)
        .sort((a, b) => a.localeCompare(b)),
    ),
  };
}
