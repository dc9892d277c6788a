/** New sections and items go where one is: into the line in focus when it holds things, else after it. */
import {
  findNode,
  isContentKind,
  isHolder,
  livingItems,
  livingSections,
  MAX_EDITS,
  MAX_TITLE,
  newItemIn,
  newSection,
  sectionOf,
} from '@itinerary/core';
import type { Edit, ItemKind, Place } from '@itinerary/core';
import { computed, ref } from 'vue';
import type { ComputedRef, Ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { newId } from '../../../stores/new-id.ts';
import { usePlan } from '../../../stores/plan.ts';
import { useUploads } from '../../../stores/uploads.ts';
import { asRef, titleOf } from '../../files/arrivals.ts';
import type { Seat } from './moves.ts';

export interface Outline {
  readonly focus: (id: string) => Promise<void>;
  /** Makes room to see something new in a section or folder: unfolded, and nothing filtered. */
  readonly prepare: (parent: string) => void;
  readonly open: (id: string) => void;
}

export interface Adding {
  readonly focusedRow: Ref<string | null>;
  readonly here: ComputedRef<Place | null>;
  readonly addSection: () => Promise<boolean>;
  readonly addItem: (kind: ItemKind, holderId?: string) => Promise<void>;
  /** As many more of its kind as there are titles; with `replacing`, the first becomes its own. */
  readonly addLines: (id: string, titles: readonly string[], replacing: boolean) => Promise<void>;
  readonly addFile: (file: File) => void;
}

export function useAdding({ focus, prepare, open }: Outline): Adding {
  const { t } = useI18n();
  const plan = usePlan();
  const uploads = useUploads();
  const course = computed(() => plan.course!);
  const sections = computed(() => livingSections(course.value));
  const focusedRow = ref<string | null>(null);
  const here = computed(() => {
    const place = focusedRow.value === null ? null : findNode(course.value, focusedRow.value);
    return place === null || place.node.removed ? null : place;
  });

  /** False: it was refused, and the plan says why. */
  async function addSection(): Promise<boolean> {
    const after = here.value === null ? (sections.value.at(-1)?.id ?? null) : sectionOf(here.value).id;
    const node = newSection({ id: newId() });
    if (!plan.change([{ kind: 'insert', parent: course.value.id, after, node }])) return false;
    await focus(node.id);
    return true;
  }

  const atEnd = (holderId: string): Seat | null => {
    const node = findNode(course.value, holderId)?.node;
    return node !== undefined && isHolder(node)
      ? { parent: node.id, after: livingItems(node).at(-1)?.id ?? null }
      : null;
  };

  function seat(holderId?: string): Seat | null {
    const place = here.value;
    const isAfter = holderId === undefined && place !== null && !isHolder(place.node);
    if (isAfter) return { parent: place.parent, after: place.node.id };
    const holder = holderId ?? place?.node.id ?? sections.value.at(-1)?.id;
    return holder === undefined ? null : atEnd(holder);
  }

  async function addItem(kind: ItemKind, holderId?: string): Promise<void> {
    const where = seat(holderId);
    if (where === null) {
      if (await addSection()) await addItem(kind);
      return;
    }
    const node = newItemIn(course.value, kind, { id: newId(), title: t(`setup.outline.fresh.${kind}`) });
    prepare(where.parent);
    if (!plan.change([{ kind: 'insert', ...where, node }])) return;
    if (isContentKind(kind)) open(node.id);
    await focus(node.id);
  }

  async function addLines(id: string, titles: readonly string[], replacing: boolean): Promise<void> {
    const place = findNode(course.value, id);
    if (place === null) return;
    const long = titles.filter((title) => title.length > MAX_TITLE);
    if (long.length > 0) {
      plan.tell({ kind: 'long_lines', count: long.length, first: long[0] ?? '' });
      return;
    }
    const { node, parent } = place;
    const [first = ''] = titles;
    const edits: Edit[] = replacing
      ? [{ kind: 'set', target: id, field: 'title', value: first, was: node.title }]
      : [];
    let after = id;
    for (const title of replacing ? titles.slice(1) : titles) {
      const made =
        node.kind === 'section'
          ? newSection({ id: newId(), title })
          : newItemIn(course.value, node.kind, { id: newId(), title });
      edits.push({ kind: 'insert', parent, after, node: made });
      after = made.id;
    }
    for (let at = 0; at < edits.length; at += MAX_EDITS) {
      if (!plan.change(edits.slice(at, at + MAX_EDITS))) return;
    }
    plan.tell({ kind: 'added', count: titles.length - (replacing ? 1 : 0), of: plan.lastStep });
    await focus(after);
  }

  /** One of several: each that has come stands after the one before it. */
  function addFile(file: File): void {
    uploads.add(file, (answer) => {
      const where = seat();
      if (where === null) return;
      const node = newItemIn(course.value, 'file', {
        id: newId(),
        title: titleOf(answer.name),
        file: asRef(answer),
      });
      if (plan.change([{ kind: 'insert', ...where, node }])) focusedRow.value = node.id;
    });
  }

  return { focusedRow, here, addSection, addItem, addLines, addFile };
}
