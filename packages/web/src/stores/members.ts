/** Who is on the course that is being set up. What changes it is asked of the server, and shown as the server has it. */
import type { EditMembers, ListsAnswer, MembersAnswer, TakeList } from '@itinerary/contract';
import type { Role } from '@itinerary/core';
import { defineStore } from 'pinia';
import { ref, shallowRef } from 'vue';
import { ask } from '../api/client.ts';
import { usePlan } from './plan.ts';

export type Member = MembersAnswer['members'][number];

export const useMembers = defineStore('members', () => {
  const plan = usePlan();
  const courseId = ref('');
  const all = shallowRef<readonly Member[]>([]);
  const lists = shallowRef<ListsAnswer['lists']>([]);
  const isThere = ref(false);

  function take(answer: Partial<MembersAnswer & ListsAnswer>): void {
    if (answer.lists !== undefined) lists.value = answer.lists;
    if (answer.members === undefined) return;
    all.value = answer.members;
    isThere.value = true;
    const learning = answer.members.filter(({ role }) => role === 'learner');
    plan.learners = learning.length;
    plan.places = learning.filter(({ isPlace }) => isPlace).length;
    const sizes: Record<string, number> = {};
    for (const id of learning.flatMap(({ groups }) => groups)) sizes[id] = (sizes[id] ?? 0) + 1;
    plan.groupSizes = sizes;
  }

  /** Of what is asked and answered out of turn, the last asked counts. */
  let asked = 0;
  let changed = 0;
  /** What was changed from here is answered as it is then: what was asked before that says nothing newer. */
  async function changing(work: () => Promise<Partial<MembersAnswer & ListsAnswer>>): Promise<void> {
    const answer = await work();
    changed += 1;
    take(answer);
  }

  const params = (): { course: string } => ({ course: courseId.value });
  async function load(course: string): Promise<void> {
    if (courseId.value !== course) {
      all.value = [];
      lists.value = [];
      isThere.value = false;
    }
    courseId.value = course;
    asked += 1;
    const mine = asked;
    for (;;) {
      const before = changed;
      const answer = {
        ...(await ask('GET /api/courses/{course}/members', { params: params() })),
        ...(plan.rights.members ? await ask('GET /api/courses/{course}/lists', { params: params() }) : {}),
      };
      if (mine !== asked) return;
      // Changed meanwhile, it is asked once more: somebody else may have changed something too.
      if (before !== changed) continue;
      take(answer);
      return;
    }
  }
  const add = (people: readonly string[], role: Role): Promise<void> =>
    changing(() => ask('POST /api/courses/{course}/members', { params: params(), body: { people, role } }));
  const edit = (body: EditMembers): Promise<void> =>
    changing(async () => {
      // The server has to know of a group first.
      await plan.flush();
      return ask('POST /api/courses/{course}/members/edit', { params: params(), body });
    });
  const takeList = (body: TakeList): Promise<void> =>
    changing(() => ask('POST /api/courses/{course}/lists', { params: params(), body }));
  const takeBackList = (list: string): Promise<void> =>
    changing(() => ask('DELETE /api/courses/{course}/lists/{list}', { params: { ...params(), list } }));

  return { all, lists, isThere, load, add, edit, takeList, takeBackList };
});
