/** Texts of the plan as a learner reads them: what the server does for learners, done here for the preview. */
import { fillText, linkTargets } from '@itinerary/core';
import type { CourseView } from '@itinerary/core';
import { computed } from 'vue';
import { path } from '../../api/client.ts';
import { formula } from './formulas.ts';

export function useFilled(view: () => CourseView | null): (html: string | null) => string | null {
  const targets = computed(() => {
    const now = view();
    return now === null ? new Map<string, never>() : linkTargets(now);
  });
  return (html) =>
    html === null
      ? null
      : fillText(html, {
          picture: (hash) => path`/api/courses/${view()?.id ?? ''}/files/${hash}`,
          formula,
          item: (id) => {
            const target = targets.value.get(id);
            return target === undefined
              ? null
              : { number: target.number, title: target.title, href: target.opens ? '#' : null };
          },
        });
}
