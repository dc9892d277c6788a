/** Work looked at one after the other: who is there, what they handed in, and the next of it before it is asked for. */
import type { LookedAtAnswer, WorkListAnswer } from '@itinerary/contract';
import { computed, ref, shallowRef } from 'vue';
import type { ComputedRef, Ref, ShallowRef } from 'vue';
import { ask } from '../api/client.ts';

export type Worker = WorkListAnswer['people'][number];
export const SHOWN = ['all', 'to_mark', 'late', 'nothing'] as const;
export type Shown = (typeof SHOWN)[number];

export interface Marking {
  readonly list: ShallowRef<WorkListAnswer | null>;
  readonly shown: Ref<Shown>;
  readonly group: Ref<string | null>;
  readonly people: ComputedRef<readonly Worker[]>;
  /** The person who is looked at. */
  readonly person: Ref<string | null>;
  readonly looked: ShallowRef<LookedAtAnswer | null>;
  readonly counts: ComputedRef<Readonly<Record<Shown, number>>>;
  readonly load: () => Promise<void>;
  readonly look: (person: string) => Promise<void>;
  /** The next after this one that has handed in; null: there is none. */
  readonly next: ComputedRef<Worker | null>;
  readonly mark: (mark: Given) => Promise<void>;
  readonly note: (id: string, text: string) => Promise<void>;
  readonly dropNote: (id: string) => Promise<void>;
}

export interface Given {
  readonly points: number | null;
  readonly comment: string;
  readonly files: { hash: string; name: string }[];
}

const IS: Readonly<Record<Shown, (one: Worker) => boolean>> = {
  all: () => true,
  to_mark: ({ handIn, isMarked }) => handIn !== null && !isMarked,
  late: ({ isLate }) => isLate,
  nothing: ({ handIn }) => handIn === null,
};

export function useMarking(course: string, item: string): Marking {
  const list = shallowRef<WorkListAnswer | null>(null);
  const shown = ref<Shown>('all');
  const group = ref<string | null>(null);
  const person = ref<string | null>(null);
  const looked = shallowRef<LookedAtAnswer | null>(null);
  const ahead = new Map<string, Promise<LookedAtAnswer>>();

  const inGroup = computed(() =>
    (list.value?.people ?? []).filter(({ groups }) => group.value === null || groups.includes(group.value)),
  );
  const people = computed(() => inGroup.value.filter(IS[shown.value]));
  const counts = computed(
    () =>
      Object.fromEntries(SHOWN.map((one) => [one, inGroup.value.filter(IS[one]).length])) as Record<
        Shown,
        number
      >,
  );
  const fetchOne = (handIn: string): Promise<LookedAtAnswer> =>
    ask('GET /api/courses/{course}/coursework/{handed}', { params: { course, handed: handIn } });

  async function load(): Promise<void> {
    list.value = await ask('GET /api/courses/{course}/items/{item}/coursework', { params: { course, item } });
  }
  /** Whoever is marked may be out of what is shown: the next is the one after where they stood. */
  function after(whom: string | null): Worker | null {
    const all = inGroup.value;
    const from = all.findIndex((one) => one.person === whom);
    // What counts for several is looked at once, with the first of them.
    const isFirst = ({ handIn }: Worker, at: number): boolean =>
      all.findIndex((one) => one.handIn === handIn) === at;
    const isNext = (one: Worker, at: number): boolean =>
      at > from && one.handIn !== null && isFirst(one, at) && (shown.value === 'all' || IS[shown.value](one));
    return all.find(isNext) ?? null;
  }
  const next = computed(() => after(person.value));

  async function look(whom: string): Promise<void> {
    person.value = whom;
    const handIn = list.value?.people.find((one) => one.person === whom)?.handIn ?? null;
    looked.value = null;
    if (handIn === null) return;
    const under = ahead.get(handIn) ?? fetchOne(handIn);
    ahead.delete(handIn);
    const answer = await under;
    // Somebody else is looked at by now.
    if (person.value !== whom) return;
    looked.value = answer;
    const following = next.value?.handIn;
    if (following != null && !ahead.has(following)) {
      const coming = fetchOne(following);
      // What does not come now is asked for when it is wanted.
      coming.catch(() => ahead.delete(following));
      ahead.set(following, coming);
    }
  }
  /** What has come of the one that is looked at, if that is still it. */
  const take = (answer: LookedAtAnswer): void => {
    if (looked.value?.id === answer.id) looked.value = answer;
  };
  const here = (): { course: string; handed: string } => ({ course, handed: looked.value?.id ?? '' });
  async function mark({ points, comment, files }: Given): Promise<void> {
    const now = looked.value;
    if (now === null) return;
    const body = { after: now.marks[0]?.id ?? null, points, comment, files };
    const answer = await ask('PUT /api/courses/{course}/coursework/{handed}/mark', {
      params: { course, handed: now.id },
      body,
    });
    take(answer);
    if (list.value === null) return;
    // Who it is, where that was left out, is told with the mark.
    const name = answer.people.map((one) => one.name ?? '').join(', ');
    const people = list.value.people.map((one) =>
      one.handIn === answer.id ? { ...one, isMarked: true, points, name: one.name ?? name } : one,
    );
    list.value = { ...list.value, people };
  }
  const note = async (id: string, text: string): Promise<void> =>
    take(
      await ask('POST /api/courses/{course}/coursework/{handed}/notes', {
        params: here(),
        body: { id, text },
      }),
    );
  const dropNote = async (id: string): Promise<void> =>
    take(
      await ask('DELETE /api/courses/{course}/coursework/{handed}/notes/{note}', {
        params: { ...here(), note: id },
      }),
    );
  return { list, shown, group, people, person, looked, counts, load, look, next, mark, note, dropNote };
}
