/** As whom the course is looked at in setup: an example, or somebody who is on it. Nothing done there counts. */
import type { StandingAnswer } from '@itinerary/contract';
import { NOTHING_DONE, startOfDay } from '@itinerary/core';
import type { Viewer } from '@itinerary/core';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { ask } from '../api/client.ts';
import { exampleDeeds } from './example-deeds.ts';
import type { Progress } from './example-deeds.ts';
import { usePlan } from './plan.ts';

export type SeenRole = 'learner' | 'assistant' | 'visitor' | 'passer_by';

export interface Pinned {
  readonly viewer: Viewer;
  /** ISO, UTC. */
  readonly moment: string;
  readonly name: string;
}

export const useSeeing = defineStore('seeing', () => {
  const plan = usePlan();
  const role = ref<SeenRole>('learner');
  /** A learner who is on the course; null: an example. */
  const person = shallowRef<{ readonly id: string; readonly standing: StandingAnswer } | null>(null);
  const progress = ref<Progress>('nothing');
  /** ISO day; null: nobody in particular. */
  const joined = ref<string | null>(null);
  const groups = ref<readonly string[]>([]);
  /** Somebody at some moment, to be compared with. */
  const pinned = shallowRef<Pinned | null>(null);

  const viewer = computed<Viewer>(() => {
    const { course } = plan;
    const real = person.value?.standing ?? null;
    if (role.value === 'passer_by') return { role: null, institutionStaff: false, here: true };
    if (role.value !== 'learner') return { role: role.value, institutionStaff: false, here: true };
    if (real !== null) {
      return {
        role: 'learner',
        institutionStaff: false,
        here: true,
        joinedAt: real.joinedAt,
        groups: real.groups,
        exceptions: real.exceptions,
        deeds: {
          done: new Set(real.done),
          scores: new Map(Object.entries(real.scores)),
          courses: new Set(real.courses),
        },
      };
    }
    const zone = course?.dates.zone ?? 'UTC';
    return {
      role: 'learner',
      institutionStaff: false,
      here: true,
      joinedAt: joined.value === null ? null : startOfDay(joined.value, zone),
      groups: groups.value,
      deeds: course === null ? NOTHING_DONE : exampleDeeds(course, progress.value),
    };
  });
  /** Anybody but the example learner that everything starts with. */
  const isChosen = computed(
    () =>
      role.value !== 'learner' ||
      person.value !== null ||
      progress.value !== 'nothing' ||
      joined.value !== null ||
      groups.value.length > 0,
  );

  async function choosePerson(courseId: string, id: string): Promise<void> {
    const standing = await ask('GET /api/courses/{course}/members/{person}/standing', {
      params: { course: courseId, person: id },
    });
    role.value = 'learner';
    person.value = { id, standing };
  }

  function chooseExample(next: SeenRole): void {
    role.value = next;
    person.value = null;
  }

  function reset(): void {
    chooseExample('learner');
    progress.value = 'nothing';
    joined.value = null;
    groups.value = [];
    pinned.value = null;
  }

  return {
    role,
    person,
    progress,
    joined,
    groups,
    pinned,
    viewer,
    isChosen,
    choosePerson,
    chooseExample,
    reset,
  };
});
