/** Lines on the move: by a step, by a drag, to a place that was chosen; and where they went, said aloud. */
import { numberOf } from '@itinerary/core';
import type { MoveEdit } from '@itinerary/core';
import { computed, ref } from 'vue';
import type { Ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../../../stores/plan.ts';
import { movable, moveByDrop, moveByOne, placeAll } from './moves.ts';
import type { Drop, Seat } from './moves.ts';
import type { Selection } from '../table/selection.ts';

export interface Moving {
  /** Where what was moved last stands now, for those who do not see it. */
  readonly said: Ref<string>;
  /** Those that a dialog asks a place for; null: none does. */
  readonly moving: Ref<readonly string[] | null>;
  /** All that are selected, when the line is one of them; else the line alone. */
  readonly group: (id: string) => readonly string[];
  readonly stepBy: (id: string, way: 'up' | 'down', isFolded: (holder: string) => boolean) => void;
  readonly drop: (dragged: string, where: Drop) => void;
  readonly move: (seat: Seat) => void;
}

export function useMoving(selection: Selection): Moving {
  const { t } = useI18n();
  const plan = usePlan();
  const course = computed(() => plan.course!);
  const said = ref('');
  const moving = ref<readonly string[] | null>(null);

  const group = (id: string): readonly string[] =>
    selection.ids.value.has(id) ? movable(course.value, [...selection.ids.value], id) : [id];

  function moved(edits: readonly MoveEdit[] | null, id: string): void {
    if (edits === null || !plan.change(edits)) return;
    const place = plan.planned === null ? null : numberOf(plan.planned, id);
    said.value = t(course.value.state === 'live' ? 'setup.outline.movedLive' : 'setup.outline.movedTo', {
      place: place ?? '·',
    });
  }

  return {
    said,
    moving,
    group,
    stepBy: (id, way, isFolded) => moved(moveByOne(course.value, group(id), way, isFolded), id),
    drop: (dragged, where) => moved(moveByDrop(course.value, group(dragged), where), dragged),
    move: (seat) => {
      const ids = moving.value ?? [];
      moving.value = null;
      if (ids[0] !== undefined) moved(placeAll(ids, seat), ids[0]);
    },
  };
}
