/** Who is on the course that is being set up. What changes it is asked of the server, and shown as the server has it. */
import type {
  EditMembers,
  FirstMembersAnswer,
  ListsAnswer,
  MembersAnswer,
  TakeList,
} from '@itinerary/contract';
import type { Role } from '@itinerary/core';
import { defineStore } from 'pinia';
import { ref, shallowRef } from 'vue';
import { ask } from '../api/client.ts';
import type { Locale } from '../words/i18n.ts';
import { usePlan } from './plan.ts';

/** A class is here at once; of more than a large one, as many as nobody looks through. */
const FIRST = 120;
/** Of those who are found by letters, as many as a screen holds. */
const FIRST_FOUND = 40;

export type Member = MembersAnswer['members'][number];

export const useMembers = defineStore('members', () => {
  const plan = usePlan();
  const courseId = ref('');
  const all = shallowRef<readonly Member[]>([]);
  const lists = shallowRef<ListsAnswer['lists']>([]);
  const isThere = ref(false);
  /** On the course: more than are here, where only the first have come. */
  const total = ref(0);
  const isWhole = ref(false);

  function take(answer: Partial<MembersAnswer & ListsAnswer>): void {
    if (answer.lists !== undefined) lists.value = answer.lists;
    if (answer.members === undefined) return;
    all.value = answer.members;
    total.value = answer.members.length;
    isThere.value = true;
    isWhole.value = true;
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
  function enter(course: string): void {
    if (courseId.value === course) return;
    courseId.value = course;
    all.value = [];
    lists.value = [];
    total.value = 0;
    isThere.value = false;
    isWhole.value = false;
  }
  const readLists = async (): Promise<Partial<ListsAnswer>> =>
    plan.rights.members ? ask('GET /api/courses/{course}/lists', { params: params() }) : {};

  /** Those with whom the table begins, and the others only where these are not all; who are all here already stay. */
  async function load(course: string, lang: Locale): Promise<void> {
    enter(course);
    if (isWhole.value) return loadAll(course);
    asked += 1;
    const mine = asked;
    const before = changed;
    const [page, listed] = await Promise.all([first('', lang), readLists()]);
    if (mine !== asked) return;
    // Changed meanwhile, they are all here: and asked once more, since somebody else may have changed something too.
    if (before !== changed) return loadAll(course);
    if (page.members.length === page.total) take({ ...listed, members: page.members });
    else {
      take(listed);
      all.value = page.members;
      total.value = page.total;
      isThere.value = true;
    }
  }
  const first = (find: string, lang: Locale): Promise<FirstMembersAnswer> =>
    ask('GET /api/courses/{course}/members/first', {
      params: params(),
      query: { first: find === '' ? FIRST : FIRST_FOUND, find, lang },
    });

  async function loadAll(course: string): Promise<void> {
    enter(course);
    asked += 1;
    const mine = asked;
    for (;;) {
      const before = changed;
      const [answer, listed] = await Promise.all([
        ask('GET /api/courses/{course}/members', { params: params() }),
        readLists(),
      ]);
      if (mine !== asked) return;
      // Changed meanwhile, it is asked once more: somebody else may have changed something too.
      if (before !== changed) continue;
      take({ ...answer, ...listed });
      return;
    }
  }
  let wholeUnderWay: Promise<void> | null = null;
  /** For whatever is about all of them: those who are not here yet come. */
  function whole(): Promise<void> {
    if (isWhole.value) return Promise.resolve();
    wholeUnderWay ??= loadAll(courseId.value).finally(() => (wholeUnderWay = null));
    return wholeUnderWay;
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

  return { all, lists, total, isThere, isWhole, load, first, whole, add, edit, takeList, takeBackList };
});
