/** What is left to settle in the course being set up, and the press that is offered for each of it. */
import { findings, offeredCure } from '@itinerary/core';
import type { Course, CoursePlan, Edit, Finding, ReadinessFacts, Term } from '@itinerary/core';
import { computed } from 'vue';
import type { ComputedRef, Ref } from 'vue';
import { useSession } from './session.ts';
import { useTexts } from './texts.ts';

/** What readiness is asked of; each is known once the plan has come. */
export interface Known {
  readonly course: Readonly<Ref<Course | null>>;
  readonly planned: Readonly<Ref<CoursePlan | null>>;
  readonly learners: Readonly<Ref<number>>;
  readonly passphrase: Readonly<Ref<NonNullable<ReadinessFacts['passphrase']> | null>>;
  readonly groupSizes: Readonly<Ref<NonNullable<ReadinessFacts['groupSizes']> | null>>;
  readonly face: Readonly<Ref<NonNullable<ReadinessFacts['face']> | null>>;
  readonly door: Readonly<Ref<NonNullable<ReadinessFacts['door']> | null>>;
}

export interface Readiness {
  readonly term: ComputedRef<Term | null>;
  readonly found: ComputedRef<readonly Finding[]>;
  /** The press that is offered for a finding; it takes as long as finding out anew. */
  readonly cureOf: (finding: Finding) => readonly Edit[] | null;
}

export function useReadiness({ course, planned, ...known }: Known): Readiness {
  const session = useSession();
  const texts = useTexts();
  const term = computed<Term | null>(() => {
    const code = course.value?.term ?? null;
    return session.me?.institution.terms.find((one) => one.code === code) ?? null;
  });
  const facts = computed<ReadinessFacts>(() => ({
    moment: session.now(),
    learners: known.learners.value,
    passphrase: known.passphrase.value,
    groupSizes: known.groupSizes.value,
    face: known.face.value,
    door: known.door.value,
    term: term.value,
    // A copy, so that every text that comes is looked at.
    texts: new Map(texts.facts),
  }));
  const found = computed(() => {
    if (course.value === null || planned.value === null) return [];
    return findings(course.value, facts.value, planned.value);
  });
  return {
    term,
    found,
    cureOf: (finding) =>
      course.value === null || planned.value === null
        ? null
        : offeredCure(course.value, facts.value, planned.value, found.value, finding),
  };
}
