/** Dragging a line of the outline by its handle, and dropping it on the upper or lower half of another. */
import { combine } from '@atlaskit/pragmatic-drag-and-drop/combine';
import { draggable, dropTargetForElements } from '@atlaskit/pragmatic-drag-and-drop/element/adapter';
import { attachClosestEdge, extractClosestEdge } from '@atlaskit/pragmatic-drag-and-drop-hitbox/closest-edge';
import { onBeforeUnmount, onMounted, ref } from 'vue';
import type { Ref } from 'vue';
import type { Drop } from './moves.ts';

export interface RowDrag {
  readonly isDragging: Ref<boolean>;
  readonly edge: Ref<'top' | 'bottom' | null>;
}

export function useRowDrag(
  id: string,
  row: Ref<HTMLElement | null>,
  handle: Ref<HTMLElement | null>,
  dropped: (dragged: string, drop: Drop) => void,
): RowDrag {
  const isDragging = ref(false);
  const edge = ref<'top' | 'bottom' | null>(null);
  let stop: (() => void) | undefined;

  onMounted(() => {
    const element = row.value;
    const grip = handle.value;
    if (element === null || grip === null) return;
    stop = combine(
      draggable({
        element,
        dragHandle: grip,
        getInitialData: () => ({ outlineRow: id }),
        onDragStart: () => (isDragging.value = true),
        onDrop: () => (isDragging.value = false),
      }),
      dropTargetForElements({
        element,
        canDrop: ({ source }) =>
          typeof source.data['outlineRow'] === 'string' && source.data['outlineRow'] !== id,
        getData: ({ input }) => attachClosestEdge({}, { element, input, allowedEdges: ['top', 'bottom'] }),
        onDrag: ({ self }) => (edge.value = extractClosestEdge(self.data) as 'top' | 'bottom' | null),
        onDragLeave: () => (edge.value = null),
        onDrop: ({ self, source }) => {
          edge.value = null;
          const where = extractClosestEdge(self.data);
          if (where !== 'top' && where !== 'bottom') return;
          dropped(String(source.data['outlineRow']), { on: id, edge: where });
        },
      }),
    );
  });
  onBeforeUnmount(() => stop?.());
  return { isDragging, edge };
}
