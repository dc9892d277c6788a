/** The line whose panel stands beside the outline, while it is there. */
import { findNode } from '@itinerary/core';
import type { CourseNode } from '@itinerary/core';
import { computed, onBeforeUnmount, ref, watch } from 'vue';
import type { ComputedRef, Ref, WritableComputedRef } from 'vue';
import { usePlan } from '../../../stores/plan.ts';
import { useActs } from '../../frame/acts.ts';

export interface Opened {
  readonly opened: WritableComputedRef<string | null>;
  readonly openedNode: ComputedRef<CourseNode | null>;
  /** Opened by its own button, the panel takes the focus; beside a new line, whose title is typed next, it does not. */
  readonly isPressed: Ref<boolean>;
  /** Its own button: opens it, or closes it again. */
  readonly press: (id: string) => void;
}

/** What is typed in the panel counts for the line that it was typed for, and not for the one that comes into it. */
function leaveField(): void {
  const field = document.activeElement;
  if (field instanceof HTMLElement && field.closest('[data-panel]') !== null) field.blur();
}

export function useOpened(): Opened {
  const plan = usePlan();
  const { isItemOpen } = useActs();
  const id = ref<string | null>(null);
  const isPressed = ref(false);
  const opened = computed({
    get: () => id.value,
    set: (next) => {
      if (next !== id.value) leaveField();
      isPressed.value = false;
      id.value = next;
    },
  });
  const openedNode = computed(() => {
    const place = id.value === null || plan.course === null ? null : findNode(plan.course, id.value);
    const isThere = place !== null && !place.node.removed && place.above.every(({ removed }) => !removed);
    return isThere ? place.node : null;
  });
  watch(openedNode, (now) => (isItemOpen.value = now !== null));
  onBeforeUnmount(() => (isItemOpen.value = false));
  return {
    opened,
    openedNode,
    isPressed,
    press: (next) => {
      opened.value = opened.value === next ? null : next;
      isPressed.value = true;
    },
  };
}
