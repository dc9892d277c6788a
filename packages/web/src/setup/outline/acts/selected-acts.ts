/** What is done with all the selected lines at once, each as one change. */
import { duplicateNodes, findNode, setField } from '@itinerary/core';
import type { Edit } from '@itinerary/core';
import { computed } from 'vue';
import type { ComputedRef } from 'vue';
import { useI18n } from 'vue-i18n';
import { newId } from '../../../stores/new-id.ts';
import { usePlan } from '../../../stores/plan.ts';
import { relinkCopies } from '../../text/copied-links.ts';
import type { Selection } from '../table/selection.ts';

export interface SelectedActs {
  /** In the order of the lines; what a filter hides is not among them. */
  readonly chosenIds: ComputedRef<readonly string[]>;
  /** Those of them that can have a due moment. */
  readonly dueIds: ComputedRef<readonly string[]>;
  readonly showAll: (shown: boolean) => void;
  readonly removeAll: () => void;
  readonly duplicateAll: () => Promise<void>;
}

export function useSelectedActs(selection: Selection, order: ComputedRef<readonly string[]>): SelectedActs {
  const { t } = useI18n();
  const plan = usePlan();
  const course = computed(() => plan.course!);
  const chosenIds = computed(() => order.value.filter((id) => selection.ids.value.has(id)));
  const dueIds = computed(() =>
    chosenIds.value.filter((id) => {
      const node = findNode(course.value, id)?.node;
      return node !== undefined && 'due' in node;
    }),
  );
  return {
    chosenIds,
    dueIds,
    showAll: (shown) => {
      const nodes = chosenIds.value.flatMap((id) => findNode(course.value, id)?.node ?? []);
      const others = nodes.filter((node) => node.shown !== shown);
      plan.change(others.map((node) => setField(node, 'shown', shown)));
    },
    removeAll: () => {
      const ids = chosenIds.value;
      const edits = ids.map((target): Edit => ({ kind: 'remove', target }));
      const title = t('setup.outline.lines', { count: ids.length }, ids.length);
      if (plan.change(edits)) plan.tell({ kind: 'removed', title, of: plan.lastStep });
      selection.clear();
    },
    duplicateAll: async () => {
      const edits = duplicateNodes(course.value, chosenIds.value, newId);
      // Each copy stands after what it was made from.
      plan.change(await relinkCopies(course.value, edits, ({ after }) => after));
    },
  };
}
