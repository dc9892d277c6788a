/**
 * A change to the dates is looked at before it is done: what moves, what leaves, what stays behind. Where
 * nothing stands yet that could move, it is done at once.
 */
import { allLivingItems, applyChange, livingSections, whatIf } from '@itinerary/core';
import type { Course, Edit, WhatIf } from '@itinerary/core';
import { shallowRef } from 'vue';
import type { ShallowRef } from 'vue';
import { usePlan } from '../../stores/plan.ts';

export interface Proposal {
  readonly edits: readonly Edit[];
  readonly result: WhatIf;
  readonly after: Course;
}

export interface Proposals {
  readonly open: ShallowRef<Proposal | null>;
  readonly propose: (edits: readonly Edit[]) => void;
  readonly accept: (cures: readonly Edit[]) => void;
  readonly drop: () => void;
}

/** Nothing has been written into the course yet, so no date of it can be missed. */
export function isUnwritten(course: Course): boolean {
  return livingSections(course).every(
    (section) => section.title === null && allLivingItems(section).length === 0,
  );
}

export function useProposals(): Proposals {
  const plan = usePlan();
  const open = shallowRef<Proposal | null>(null);

  function propose(edits: readonly Edit[]): void {
    const { course } = plan;
    if (course === null || edits.length === 0) return;
    const applied = applyChange(course, { id: 'what-if', edits: [...edits] });
    if (!applied.ok || isUnwritten(course)) {
      // A refusal is told by the store, in the words of every other.
      plan.change(edits);
      return;
    }
    const result = whatIf(course, applied.course);
    if (result.shifts.length === 0 && result.aside.length === 0) {
      plan.change(edits);
      return;
    }
    open.value = { edits, result, after: applied.course };
  }

  return {
    open,
    propose,
    accept: (cures) => {
      const proposal = open.value;
      open.value = null;
      if (proposal !== null) plan.change([...proposal.edits, ...cures]);
    },
    drop: () => {
      open.value = null;
    },
  };
}
