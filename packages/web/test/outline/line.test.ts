/**
 * A line of the outline says where it stands among all lines, and is not drawn for one that is added above it.
 *
 * @jest-environment ./scripts/jest/page.mjs
 */
import { expect, test } from '@jest/globals';
import { planCourse } from '@itinerary/core';
import { defineComponent, h, nextTick, onUpdated, provide, ref } from 'vue';
import { smallCourse } from '../../../core/test/support/arbitraries.ts';
import { OUTLINE_ACTS } from '../../src/setup/outline/acts/outline-acts.ts';
import type { OutlineActs } from '../../src/setup/outline/acts/outline-acts.ts';
import { LINE_INDEX } from '../../src/setup/outline/table/line-index.ts';
import OutlineLine from '../../src/setup/outline/table/OutlineLine.vue';
import { isNodeRow, outlineRows } from '../../src/setup/outline/table/rows.ts';
import { showing } from '../support/mounted.ts';

const show = showing();

test('its place is told to whoever cannot see it, and nothing else of it is drawn for that', async () => {
  const all = { matches: () => true, only: 'all', isOff: true } as const;
  const row = outlineRows(planCourse(smallCourse()), new Set(), all)
    .filter(isNodeRow)
    .find(({ id }) => id === 'a2');
  const places = ref(new Map([['a2', 2]]));
  let drawn = 0;
  const page = show(
    defineComponent({
      setup: () => {
        provide(LINE_INDEX, (id) => places.value.get(id) ?? 0);
        provide(OUTLINE_ACTS, {} as OutlineActs);
        onUpdated(() => (drawn += 1));
        return () =>
          h(OutlineLine, {
            row: row!,
            columns: ['minutes'],
            readonly: false,
            opened: false,
            selected: false,
            onVnodeUpdated: () => (drawn += 1),
          });
      },
    }),
  );
  // The line of headings is the first.
  expect(page.get('[data-row="a2"]').attributes('aria-rowindex')).toBe('4');
  places.value = new Map([['a2', 3]]);
  await nextTick();
  expect(page.get('[data-row="a2"]').attributes('aria-rowindex')).toBe('5');
  expect(drawn).toBe(0);
});
