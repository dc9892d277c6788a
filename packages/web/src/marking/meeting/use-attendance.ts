/** The list of a meeting: what is said of one or of many is built on what stands there. */
import type { AttendanceAnswer } from '@itinerary/contract';
import { computed, ref, shallowRef } from 'vue';
import type { ComputedRef, Ref, ShallowRef } from 'vue';
import { ask, ProblemError } from '../../api/client.ts';
import { newId } from '../../stores/new-id.ts';

export type Attendee = AttendanceAnswer['people'][number];
export type Attended = NonNullable<Attendee['attended']>;

export const EVERYBODY = '';

export interface Attendance {
  readonly list: ShallowRef<AttendanceAnswer | null>;
  /** A group or class; empty: all. */
  readonly group: Ref<string>;
  readonly people: ComputedRef<readonly Attendee[]>;
  /** Of those who are listed. */
  readonly unsaid: ComputedRef<readonly Attendee[]>;
  /** Somebody else has said something else meanwhile; the list is as it is now. */
  readonly isChanged: Ref<boolean>;
  readonly load: () => Promise<void>;
  readonly say: (people: readonly Attendee[], attended: Attended | null) => Promise<void>;
  readonly newCode: () => Promise<void>;
}

export function useAttendance(course: string, item: string): Attendance {
  const params = { course, item };
  const list = shallowRef<AttendanceAnswer | null>(null);
  const group = ref(EVERYBODY);
  const isChanged = ref(false);
  /** Asked for again it is the same code, until there is an answer. */
  let codeId = newId();
  let asked = 0;
  const people = computed(() =>
    (list.value?.people ?? []).filter(
      ({ groups }) => group.value === EVERYBODY || groups.includes(group.value),
    ),
  );
  /** The answer to what was asked last stands. */
  async function take(answering: () => Promise<AttendanceAnswer>): Promise<void> {
    asked += 1;
    const mine = asked;
    const answer = await answering();
    if (mine === asked) list.value = answer;
  }
  const load = (): Promise<void> =>
    take(() => ask('GET /api/courses/{course}/items/{item}/meeting', { params }));
  return {
    list,
    group,
    people,
    unsaid: computed(() => people.value.filter(({ attended }) => attended === null)),
    isChanged,
    load,
    say: async (whom, attended) => {
      if (whom.length === 0) return;
      isChanged.value = false;
      const said = whom.map((one) => ({ person: one.person, attended, was: one.attended }));
      try {
        await take(() =>
          ask('PUT /api/courses/{course}/items/{item}/meeting/people', { params, body: { people: said } }),
        );
      } catch (error) {
        if (!(error instanceof ProblemError) || error.problem.code !== 'changed_elsewhere') throw error;
        isChanged.value = true;
        await load();
      }
    },
    newCode: async () => {
      await take(() =>
        ask('POST /api/courses/{course}/items/{item}/meeting/codes', { params, body: { id: codeId } }),
      );
      codeId = newId();
    },
  };
}
