/** For whom it is asked whether the course can be finished: anybody, those of a group, or one with moments of their own. */
import { ANY_LEARNER, feasibility } from '@itinerary/core';
import type { Course, Feasibility, PersonException, Viewer } from '@itinerary/core';
import { computed, ref, shallowRef } from 'vue';
import type { ComputedRef, Ref } from 'vue';
import { ask } from '../../api/client.ts';
import { usePlan } from '../../stores/plan.ts';
import { useProblemSentence } from '../../words/problems.ts';

export interface Asked {
  readonly id: string;
  readonly name: string;
  readonly isPerson: boolean;
  readonly viewer: Viewer;
}

/** Each of them is reckoned by themselves, while somebody waits. */
export const MOST_PERSONS = 50;

export interface Differing extends Asked {
  readonly can: Feasibility['can'];
  readonly day: string | null;
}

/** Those whose answer is another one than that of whoever is in no group, and has no moments of their own. */
export function differing(course: Course, asked: readonly Asked[]): readonly Differing[] {
  const usual = feasibility(course, ANY_LEARNER);
  return asked.flatMap((one) => {
    const { can, earliest } = feasibility(course, one.viewer);
    const isSame = can === usual.can && earliest?.day === usual.earliest?.day;
    return isSame ? [] : [{ ...one, can, day: earliest?.day ?? null }];
  });
}

async function personsOf(course: string): Promise<readonly Asked[]> {
  const params = { course };
  const { exceptions } = await ask('GET /api/courses/{course}/exceptions', { params });
  if (exceptions.length === 0) return [];
  const own = new Map<string, PersonException[]>();
  for (const { person, node, opens, due, until, factor = null, at } of exceptions) {
    own.set(person, [...(own.get(person) ?? []), { node, opens, due, until, factor, at }]);
  }
  const { members } = await ask('GET /api/courses/{course}/members', { params });
  return members.flatMap(({ person, name, role, joinedAt, groups }) => {
    const theirs = own.get(person);
    if (role !== 'learner' || theirs === undefined) return [];
    const viewer: Viewer = { ...ANY_LEARNER, joinedAt, groups, exceptions: theirs };
    return [{ id: person, name, isPerson: true, viewer }];
  });
}

export function useFinishFor(): {
  readonly asked: ComputedRef<readonly Asked[]>;
  readonly others: ComputedRef<readonly Differing[]>;
  /** How many of those with moments of their own are not among the others, because they are too many. */
  readonly unasked: ComputedRef<number>;
  /** Asks who has moments of their own. */
  readonly load: () => Promise<void>;
  /** Why it is not known who has moments of their own; null: it is. */
  readonly failure: Readonly<Ref<string | null>>;
} {
  const plan = usePlan();
  const sentence = useProblemSentence();
  const failure = ref<string | null>(null);
  const persons = shallowRef<readonly Asked[]>([]);
  async function load(): Promise<void> {
    if (plan.course === null) return;
    try {
      persons.value = await personsOf(plan.course.id);
    } catch (error) {
      failure.value = sentence(error);
    }
  }
  const groups = computed(() =>
    plan.groups.map(([id, { name }]): Asked => ({
      ...{ id, name, isPerson: false },
      viewer: { ...ANY_LEARNER, groups: [id] },
    })),
  );
  return {
    asked: computed(() => [...groups.value, ...persons.value]),
    others: computed(() =>
      plan.course === null
        ? []
        : differing(plan.course, [...groups.value, ...persons.value.slice(0, MOST_PERSONS)]),
    ),
    ...{ failure, load },
    unasked: computed(() => Math.max(0, persons.value.length - MOST_PERSONS)),
  };
}
