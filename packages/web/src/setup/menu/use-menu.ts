/** The menu of the course being set up: its entries, what learners get of each, and every act on them. */
import { menuEntries, nextPlace, onceLive, reordered, resolveMenu, setEntry } from '@itinerary/core';
import type { Edit, Leads, MenuAnswer, MenuEntry } from '@itinerary/core';
import type { ComputedRef } from 'vue';
import { computed } from 'vue';
import { newId } from '../../stores/new-id.ts';
import { usePlan } from '../../stores/plan.ts';
import { useSeeing } from '../../stores/seeing.ts';
import { useActs } from '../frame/acts.ts';

export interface MenuHandle {
  /** In their order, without the removed ones. */
  readonly standing: ComputedRef<readonly MenuAnswer[]>;
  readonly removed: ComputedRef<readonly MenuAnswer[]>;
  readonly change: (id: string, part: Partial<MenuEntry>) => void;
  /** By so many places among those that stand. */
  readonly move: (id: string, by: number) => void;
  /** Before or after another one. */
  readonly drop: (id: string, target: string, edge: 'top' | 'bottom') => void;
  /** In one change with what it leads to, where that is made for it. Returns its id; null: it was refused, and the plan says why. */
  readonly add: (leads: Leads, names?: MenuEntry['names'], others?: readonly Edit[]) => string | null;
}

export function useMenu(): MenuHandle {
  const plan = usePlan();
  const seeing = useSeeing();
  const { marker } = useActs();
  const answers = computed<readonly MenuAnswer[]>(() => {
    if (plan.course === null) return [];
    return resolveMenu(onceLive(plan.course), seeing.viewer, marker.moment.value, plan.face, plan.planned);
  });
  const standing = computed(() => answers.value.filter(({ entry }) => !entry.removed));
  const removed = computed(() => answers.value.filter(({ entry }) => entry.removed));

  function change(id: string, part: Partial<MenuEntry>): void {
    const entry = plan.course?.menu[id];
    if (plan.course !== null && entry !== undefined)
      plan.change([setEntry(plan.course, id, { ...entry, ...part })]);
  }

  /** To the place of another: removed ones keep theirs, and are passed over. */
  function place(id: string, to: number): void {
    const { course } = plan;
    if (course === null) return;
    const all = menuEntries(course);
    const edits = [...reordered(all, id, to)].map(([one, at]): Edit => {
      const entry = course.menu[one] as MenuEntry;
      return setEntry(course, one, { ...entry, at });
    });
    plan.change(edits);
  }

  function indexOf(id: string): number {
    return plan.course === null ? -1 : menuEntries(plan.course).findIndex(([one]) => one === id);
  }

  function move(id: string, by: number): void {
    const among = standing.value.map((answer) => answer.id);
    const neighbour = among[among.indexOf(id) + by];
    if (neighbour !== undefined) place(id, indexOf(neighbour));
  }

  function drop(id: string, target: string, edge: 'top' | 'bottom'): void {
    if (id === target) return;
    const [from, to] = [indexOf(id), indexOf(target)];
    const after = edge === 'bottom' ? to + 1 : to;
    place(id, from < after ? after - 1 : after);
  }

  function add(leads: Leads, names: MenuEntry['names'] = {}, others: readonly Edit[] = []): string | null {
    const { course } = plan;
    if (course === null) return null;
    const id = newId();
    const entry: MenuEntry = {
      leads,
      names,
      at: nextPlace(course.menu),
      shown: true,
      staffOnly: false,
      removed: false,
    };
    return plan.change([...others, setEntry(course, id, entry)]) ? id : null;
  }

  return { standing, removed, change, move, drop, add };
}
