/** What setup knows of a course beside its document: who is on it, and how it stands at its ways in. */
import type { ChangesAnswer, PlanAnswer } from '@itinerary/contract';
import { ref, shallowRef } from 'vue';
import type { Ref, ShallowRef } from 'vue';

export interface PlanFacts {
  readonly learners: Ref<number>;
  /** Of them, those who have no account yet. */
  readonly places: Ref<number>;
  readonly passphrase: Ref<PlanAnswer['passphrase']>;
  readonly groupSizes: ShallowRef<PlanAnswer['groupSizes']>;
  /** The institution's pages, and who is on the staff. */
  readonly face: ShallowRef<PlanAnswer['face']>;
  readonly door: ShallowRef<PlanAnswer['door'] | null>;
}

export function planFacts(): {
  readonly facts: PlanFacts;
  /** All of it, as the plan comes; of changes, what they may have changed. */
  readonly takeFacts: (
    answer: PlanAnswer | Pick<ChangesAnswer, 'learners' | 'places' | 'groupSizes'>,
  ) => void;
} {
  const facts: PlanFacts = {
    learners: ref(0),
    places: ref(0),
    passphrase: ref('none'),
    groupSizes: shallowRef({}),
    face: shallowRef({ pages: [], staff: [] }),
    door: shallowRef(null),
  };
  return {
    facts,
    takeFacts: (answer) => {
      facts.learners.value = answer.learners;
      facts.places.value = answer.places;
      facts.groupSizes.value = answer.groupSizes;
      if (!('face' in answer)) return;
      facts.passphrase.value = answer.passphrase;
      facts.face.value = answer.face;
      facts.door.value = answer.door;
    },
  };
}
