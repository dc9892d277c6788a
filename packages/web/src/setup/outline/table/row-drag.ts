/** Dragging a line of a list by its handle, and dropping it above, below or into another. */
import { combine } from '@atlaskit/pragmatic-drag-and-drop/combine';
import { draggable, dropTargetForElements } from '@atlaskit/pragmatic-drag-and-drop/element/adapter';
import { onBeforeUnmount, onMounted, ref } from 'vue';
import type { Ref } from 'vue';
import type { Drop } from '../acts/moves.ts';

type Edge = Drop['edge'];

export interface RowDrag {
  readonly isDragging: Ref<boolean>;
  readonly edge: Ref<Edge | null>;
}

/** The middle of a folder's line means into it; of any other, the nearer edge counts. */
export function edgeAt(share: number, mayHold: boolean): Edge {
  if (mayHold && share > 0.3 && share < 0.7) return 'into';
  return share < 0.5 ? 'top' : 'bottom';
}

export function useRowDrag(
  id: () => string,
  mayHold: () => boolean,
  row: Ref<HTMLElement | null>,
  handle: Ref<HTMLElement | null>,
  dropped: (dragged: string, drop: Drop) => void,
  /** Lines of one list are not dropped into another. */
  list = 'outline',
): RowDrag {
  const isDragging = ref(false);
  const edge = ref<Edge | null>(null);
  let stop: (() => void) | undefined;

  onMounted(() => {
    const element = row.value;
    const grip = handle.value;
    if (element === null || grip === null) return;
    const at = (clientY: number): Edge => {
      const { top, height } = element.getBoundingClientRect();
      return edgeAt((clientY - top) / height, mayHold());
    };
    stop = combine(
      draggable({
        element,
        dragHandle: grip,
        getInitialData: () => ({ row: id(), list }),
        onDragStart: () => (isDragging.value = true),
        onDrop: () => (isDragging.value = false),
      }),
      dropTargetForElements({
        element,
        canDrop: ({ source: { data } }) => data['list'] === list && data['row'] !== id(),
        onDrag: ({ location }) => (edge.value = at(location.current.input.clientY)),
        onDragLeave: () => (edge.value = null),
        onDrop: ({ location, source }) => {
          edge.value = null;
          dropped(String(source.data['row']), { on: id(), edge: at(location.current.input.clientY) });
        },
      }),
    );
  });
  onBeforeUnmount(() => stop?.());
  return { isDragging, edge };
}
