/** What the outline does to the course: where new things go, how lines move, what is done with many at once. */
import { beforeEach, describe, expect, jest, test } from '@jest/globals';
import { findNode, livingItems, livingSections, newItem, newSection } from '@itinerary/core';
import type { Course } from '@itinerary/core';
import { computed, ref } from 'vue';
import { smallCourse } from '../../../core/test/support/arbitraries.ts';
import { useAdding } from '../../src/setup/outline/acts/adding.ts';
import type { Adding } from '../../src/setup/outline/acts/adding.ts';
import { useMoving } from '../../src/setup/outline/acts/moving.ts';
import { useSelectedActs } from '../../src/setup/outline/acts/selected-acts.ts';
import { useSelection } from '../../src/setup/outline/table/selection.ts';
import type { Selection } from '../../src/setup/outline/table/selection.ts';
import { usePlan } from '../../src/stores/plan.ts';
import { inSetup } from '../support/in-setup.ts';
import { miniature } from '../support/mini-server.ts';

const at = miniature();

/** Opens a course that the server has. */
async function opened(course: Course = smallCourse()): Promise<ReturnType<typeof usePlan>> {
  at.server.course = course;
  const plan = usePlan();
  await plan.open('course');
  return plan;
}

const now = (): Course => usePlan().course as Course;
/** "A[a1 a2] B[b1]", a folder as "f[…]". */
function shape(): string {
  const items = (of: Parameters<typeof livingItems>[0]): string =>
    livingItems(of)
      .map((item) => (item.kind === 'folder' ? `${item.id}[${items(item)}]` : item.id))
      .join(' ');
  return livingSections(now())
    .map((section) => `${section.id}[${items(section)}]`)
    .join(' ');
}

describe('adding', () => {
  const focused: string[] = [];
  const prepared: string[] = [];
  const openedItems: string[] = [];
  const outline = {
    focus: (id: string) => {
      focused.push(id);
      return Promise.resolve();
    },
    prepare: (parent: string) => void prepared.push(parent),
    open: (id: string) => void openedItems.push(id),
  };
  const adding = async (): Promise<Adding> =>
    (await inSetup(() => useAdding(outline), { pinia: at.pinia })).used;
  beforeEach(() => [focused, prepared, openedItems].forEach((list) => (list.length = 0)));

  test('an item goes to the end of the last section when no line is in focus', async () => {
    await opened();
    const { addItem } = await adding();
    await addItem('quiz');
    const [id] = focused;
    expect(shape()).toBe(`A[a1 a2 a3] B[b1 ${id}]`);
    expect([prepared, openedItems]).toEqual([['B'], [id]]);
    expect(findNode(now(), id ?? '')?.node).toMatchObject({ kind: 'quiz', title: 'New quiz' });
  });

  test('an item goes after the item in focus, and into a section in focus', async () => {
    await opened();
    const { addItem, focusedRow } = await adding();
    focusedRow.value = 'a1';
    await addItem('page');
    expect(shape()).toBe(`A[a1 ${focused[0]} a2 a3] B[b1]`);
    focusedRow.value = 'A';
    await addItem('page');
    expect(shape()).toBe(`A[a1 ${focused[0]} a2 a3 ${focused[1]}] B[b1]`);
  });

  test('an item goes where it is asked for, whatever is in focus', async () => {
    await opened();
    const { addItem, focusedRow } = await adding();
    focusedRow.value = 'a1';
    await addItem('link', 'B');
    expect(shape()).toBe(`A[a1 a2 a3] B[b1 ${focused[0]}]`);
  });

  test('headings and folders have nothing to open', async () => {
    await opened();
    const { addItem } = await adding();
    await addItem('heading');
    await addItem('folder');
    expect(focused).toHaveLength(2);
    expect(openedItems).toEqual([]);
  });

  test('a course without sections gets one first', async () => {
    await opened({ ...smallCourse(), sections: [] });
    const { addItem } = await adding();
    await addItem('page');
    expect(shape()).toBe(`${focused[0]}[${focused[1]}]`);
  });

  test('a course that takes no more sections says so, and is not asked again and again', async () => {
    // What has been removed is kept, and counts to a limit of its own.
    const gone = Array.from({ length: 4000 }, (_, at) => ({
      ...newSection({ id: `s${at}` }),
      removed: true,
    }));
    const plan = await opened({ ...smallCourse(), sections: gone });
    const { addItem, addSection } = await adding();
    await addItem('page');
    expect(shape()).toBe('');
    expect(plan.told).toMatchObject([{ kind: 'refused', refusal: { code: 'too_many' } }]);
    expect(await addSection()).toBe(false);
    expect(focused).toEqual([]);
  });

  test('a section goes after the one in which the focus is', async () => {
    await opened();
    const { addSection, focusedRow } = await adding();
    focusedRow.value = 'a2';
    expect(await addSection()).toBe(true);
    expect(shape()).toBe(`A[a1 a2 a3] ${focused[0]}[] B[b1]`);
  });

  test('a line that has been removed is in focus no more', async () => {
    const plan = await opened();
    const { here, focusedRow, addItem } = await adding();
    focusedRow.value = 'a1';
    expect(here.value?.node.id).toBe('a1');
    plan.change([{ kind: 'remove', target: 'a1' }]);
    expect(here.value).toBeNull();
    await addItem('page');
    expect(shape()).toBe(`A[a2 a3] B[b1 ${focused[0]}]`);
  });
});

describe('moving', () => {
  const base = smallCourse();
  const folder = newItem('folder', {
    id: 'f',
    title: 'Readings',
    items: [newItem('page', { id: 'f1', title: 'f1' })],
  });
  const withFolder: Course = {
    ...base,
    sections: base.sections.map((section) =>
      section.id === 'A' ? { ...section, items: [...section.items, folder] } : section,
    ),
  };
  const exists = (id: string): boolean => findNode(now(), id)?.node.removed === false;
  const moving = async (): Promise<{ selection: Selection } & ReturnType<typeof useMoving>> => {
    const selection = useSelection(exists);
    return { selection, ...(await inSetup(() => useMoving(selection), { pinia: at.pinia })).used };
  };
  const never = (): boolean => false;

  test('by a step within a section, into an open folder, out of it, and on into the next section', async () => {
    await opened(withFolder);
    const { stepBy } = await moving();
    const shapes: string[] = [];
    for (let at = 0; at < 4; at += 1) {
      stepBy('a3', 'down', never);
      shapes.push(shape());
    }
    expect(shapes).toEqual([
      'A[a1 a2 f[a3 f1]] B[b1]',
      'A[a1 a2 f[f1 a3]] B[b1]',
      'A[a1 a2 f[f1] a3] B[b1]',
      'A[a1 a2 f[f1]] B[a3 b1]',
    ]);
  });

  test('and the same way back; a folded folder is passed over', async () => {
    await opened(withFolder);
    const { stepBy } = await moving();
    stepBy('b1', 'up', never);
    expect(shape()).toBe('A[a1 a2 a3 f[f1] b1] B[]');
    stepBy('b1', 'up', never);
    expect(shape()).toBe('A[a1 a2 a3 f[f1 b1]] B[]');
    stepBy('b1', 'up', never);
    stepBy('b1', 'up', never);
    expect(shape()).toBe('A[a1 a2 a3 b1 f[f1]] B[]');
    stepBy('b1', 'down', () => true);
    expect(shape()).toBe('A[a1 a2 a3 f[f1] b1] B[]');
  });

  test('says where it went, and that learners see it when they do', async () => {
    const plan = await opened();
    const { stepBy, said } = await moving();
    stepBy('a1', 'down', never);
    expect(said.value).toContain('1.2');
    const asDraft = said.value;
    plan.set('course', 'state', 'live', 'draft');
    stepBy('a1', 'up', never);
    stepBy('a1', 'down', never);
    expect(said.value).toContain('1.2');
    expect(said.value).not.toBe(asDraft);
  });

  test('where there is no further, nothing moves and nothing is said', async () => {
    await opened();
    const { stepBy, said } = await moving();
    stepBy('a1', 'up', never);
    stepBy('A', 'up', never);
    stepBy('b1', 'down', never);
    expect([shape(), said.value]).toEqual(['A[a1 a2 a3] B[b1]', '']);
  });

  test('all that are selected go with the one that is moved; others go alone', async () => {
    await opened();
    const { selection, group, drop } = await moving();
    selection.toggle('a3');
    selection.toggle('a1');
    expect([group('a1'), group('a2')]).toEqual([['a1', 'a3'], ['a2']]);
    drop('a1', { on: 'b1', edge: 'bottom' });
    expect(shape()).toBe('A[a2] B[b1 a1 a3]');
    drop('a2', { on: 'B', edge: 'into' });
    expect(shape()).toBe('A[] B[b1 a1 a3 a2]');
  });

  test('what is inside something selected goes along once', async () => {
    await opened(withFolder);
    const { selection, group, drop } = await moving();
    selection.all(['a2', 'f', 'f1']);
    expect(group('f')).toEqual(['a2', 'f']);
    drop('f', { on: 'b1', edge: 'top' });
    expect(shape()).toBe('A[a1 a3] B[a2 f[f1] b1]');
    // Not into itself.
    drop('f', { on: 'f1', edge: 'top' });
    expect(shape()).toBe('A[a1 a3] B[a2 f[f1] b1]');
  });

  test('sections move among sections, wherever in one they are dropped', async () => {
    await opened();
    const { drop } = await moving();
    drop('A', { on: 'b1', edge: 'top' });
    expect(shape()).toBe('B[b1] A[a1 a2 a3]');
    drop('A', { on: 'B', edge: 'top' });
    expect(shape()).toBe('A[a1 a2 a3] B[b1]');
  });

  test('to a place that was chosen for them, as one change that is taken back as one', async () => {
    const plan = await opened();
    const { moving: asked, move } = await moving();
    asked.value = ['a1', 'a2'];
    move({ parent: 'B', after: null });
    expect([shape(), asked.value]).toEqual(['A[a3] B[a1 a2 b1]', null]);
    plan.undo();
    expect(shape()).toBe('A[a1 a2 a3] B[b1]');
  });
});

describe('many at once', () => {
  const ORDER = ['A', 'a1', 'a2', 'a3', 'B', 'b1'];
  const acts = async (
    order = ORDER,
  ): Promise<{ selection: Selection } & ReturnType<typeof useSelectedActs>> => {
    const selection = useSelection((id) => findNode(now(), id)?.node.removed === false);
    const lines = ref(order);
    const ordered = computed(() => lines.value);
    return {
      selection,
      ...(await inSetup(() => useSelectedActs(selection, ordered), { pinia: at.pinia })).used,
    };
  };

  test('a run is selected from where selecting began, either way', async () => {
    await opened();
    const { selection, chosenIds } = await acts();
    selection.extendTo('a2', ORDER);
    expect(chosenIds.value).toEqual(['a2']);
    selection.extendTo('B', ORDER);
    expect(chosenIds.value).toEqual(['a2', 'a3', 'B']);
    selection.clear();
    selection.toggle('b1');
    selection.extendTo('a3', ORDER);
    expect(chosenIds.value).toEqual(['a3', 'B', 'b1']);
    selection.toggle('B');
    expect(chosenIds.value).toEqual(['a3', 'b1']);
  });

  test('what a filter hides is not among them', async () => {
    await opened();
    const { selection, chosenIds } = await acts(['A', 'a2']);
    selection.all(ORDER);
    expect(chosenIds.value).toEqual(['A', 'a2']);
  });

  test('hidden at once: only those that are shown are set, and it is taken back at once', async () => {
    const plan = await opened();
    plan.set('a2', 'shown', false, true);
    const { selection, showAll, chosenIds } = await acts();
    selection.all(['a1', 'a2', 'a3']);
    showAll(false);
    // They are those that the next act is for.
    expect(chosenIds.value).toEqual(['a1', 'a2', 'a3']);
    const shownOf = (): (boolean | undefined)[] =>
      ['a1', 'a2', 'a3'].map((id) => findNode(now(), id)?.node.shown);
    expect(shownOf()).toEqual([false, false, false]);
    await jest.advanceTimersByTimeAsync(100);
    const sent = at.server.sent.flatMap(({ changes }) => changes.map(({ edits }) => edits));
    expect(sent.map((edits) => edits.map((edit) => 'target' in edit && edit.target))).toContainEqual([
      'a1',
      'a3',
    ]);
    plan.undo();
    expect(shownOf()).toEqual([true, false, true]);
  });

  test('removed at once, with their number said; nothing stays selected; and all come back', async () => {
    const plan = await opened();
    const { selection, removeAll, chosenIds } = await acts();
    selection.all(['a1', 'a3']);
    removeAll();
    expect([shape(), chosenIds.value]).toEqual(['A[a2] B[b1]', []]);
    expect(plan.told).toMatchObject([{ kind: 'removed', title: '2 lines' }]);
    plan.undo();
    expect([shape(), chosenIds.value]).toEqual(['A[a1 a2 a3] B[b1]', []]);
    // Selecting begins anew: it does not run on from what was removed.
    selection.extendTo('b1', ORDER);
    expect(chosenIds.value).toEqual(['b1']);
  });

  test('copied at once, each after what it was made from', async () => {
    await opened();
    const { selection, duplicateAll, chosenIds } = await acts();
    selection.all(['a1', 'b1']);
    await duplicateAll();
    expect(chosenIds.value).toEqual(['a1', 'b1']);
    expect(livingSections(now()).map((section) => livingItems(section).map(({ title }) => title))).toEqual([
      ['a1', 'a1', 'a2', 'a3'],
      ['b1', 'b1'],
    ]);
  });

  test('those that can be due are found', async () => {
    const base = smallCourse();
    const quiz = newItem('quiz', { id: 'q', title: 'Salt' });
    await opened({
      ...base,
      sections: base.sections.map((section) =>
        section.id === 'B' ? { ...section, items: [...section.items, quiz] } : section,
      ),
    });
    const { selection, dueIds } = await acts([...ORDER, 'q']);
    selection.all([...ORDER, 'q']);
    expect(dueIds.value).toEqual(['q']);
  });
});
