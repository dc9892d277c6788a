/** As whom the course is looked at in setup: an example, or somebody who is on it. Nothing done there counts. */
import type { StandingAnswer } from '@itinerary/contract';
import { countingOf, coursesNamed, factsUntil, pretended, startOfDay, withFacts } from '@itinerary/core';
import type { Pretended, Viewer } from '@itinerary/core';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { ask } from '../api/client.ts';
import { usePlan } from './plan.ts';
import { useSession } from './session.ts';

/** How much an example learner has done: so much, or the items that are chosen. */
export const HAS_DONE = ['nothing', 'planned', 'half', 'everything', 'chosen'] as const;
export type HasDone = (typeof HAS_DONE)[number];

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
  const hasDone = ref<HasDone>('nothing');
  /** Ids of items; what an example learner has done where they are chosen one by one. */
  const doneItems = ref<readonly string[]>([]);
  /** ISO day; null: nobody in particular. */
  const joined = ref<string | null>(null);
  const groups = ref<readonly string[]>([]);
  /** Somebody at some moment, to be compared with. */
  const pinned = shallowRef<Pinned | null>(null);

  const session = useSession();
  /** ISO, UTC: the moment that they are looked at. */
  const momentOf = shallowRef<() => string>(() => session.now());

  /** With what they have done by a moment. */
  function viewerAt(moment: string): Viewer {
    const { course } = plan;
    const base = { institutionStaff: false, here: true };
    if (role.value === 'passer_by') return { ...base, role: null };
    if (role.value !== 'learner') return { ...base, role: role.value };
    const real = person.value?.standing ?? null;
    const at = Date.parse(moment);
    if (real !== null) {
      const { joinedAt, groups: own, exceptions, facts, courses } = real;
      const someone: Viewer = { ...base, role: 'learner', joinedAt, groups: own, exceptions };
      const known = Object.entries(facts).map(([id, all]) => [id, factsUntil(all, at)] as const);
      return course === null ? someone : withFacts(course, someone, new Map(known), new Set(courses), at);
    }
    const joinedAt = joined.value === null ? null : startOfDay(joined.value, course?.dates.zone ?? 'UTC');
    const example: Viewer = { ...base, role: 'learner', joinedAt, groups: groups.value };
    if (course === null) return example;
    const which: Pretended = hasDone.value === 'chosen' ? doneItems.value : hasDone.value;
    const facts = pretended(countingOf(course, example, at), which, at);
    const others = which === 'everything' ? coursesNamed(course) : [];
    return withFacts(course, example, facts, new Set(others), at);
  }
  const viewer = computed(() => viewerAt(momentOf.value()));
  /** With all that they have done until now: what changes for them, and when, is one answer for every moment. */
  const lasting = computed(() => viewerAt(session.now()));
  /** The item that they were in last, as far as that is known. */
  const last = computed(() => person.value?.standing.last ?? null);
  /** Anybody but the example learner that everything starts with. */
  const isChosen = computed(
    () =>
      role.value !== 'learner' ||
      person.value !== null ||
      hasDone.value !== 'nothing' ||
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
    hasDone.value = 'nothing';
    doneItems.value = [];
    joined.value = null;
    groups.value = [];
    pinned.value = null;
  }

  return {
    role,
    person,
    hasDone,
    doneItems,
    joined,
    groups,
    pinned,
    momentOf,
    viewer,
    lasting,
    last,
    isChosen,
    choosePerson,
    chooseExample,
    reset,
  };
});
