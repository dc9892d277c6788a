/** A list on its way into the course: what came, how it is read, what was answered, and what will happen. */
import type { KeptShape, RosterAnswer } from '@itinerary/contract';
import type {
  EntryChoice,
  HeldList,
  HoldingStep,
  ListChoices,
  ListColumn,
  RosterMember,
} from '@itinerary/core/people';
import { computed, onScopeDispose, ref, shallowRef } from 'vue';
import type { ComputedRef, Ref, ShallowRef } from 'vue';
import { ask, ProblemError } from '../../../api/client.ts';
import { newId } from '../../../stores/new-id.ts';
import { useMembers } from '../../../stores/members.ts';
import { inWorker } from './in-worker.ts';
import type { HeldOrNot } from './held-list.ts';
import type { RunList, Running } from './in-worker.ts';
import { countsOf, listLines, sentRows, tooLong } from './list-lines.ts';
import type { Happening, ListLine } from './list-lines.ts';

export interface ListSource {
  /** Of the file; empty: it was pasted. */
  readonly name: string;
  readonly list: string | Uint8Array;
}
export type Held = Extract<HeldList, { ok: true }>;

export interface OneList {
  readonly source: ShallowRef<ListSource | null>;
  readonly held: ShallowRef<HeldOrNot | null>;
  readonly there: ComputedRef<Held | null>;
  readonly lines: ComputedRef<readonly ListLine[]>;
  readonly counts: ComputedRef<Readonly<Record<Happening, number>>>;
  readonly answers: ShallowRef<ReadonlyMap<string, EntryChoice>>;
  /** Classes of which alone the rows count; null: all. */
  readonly only: ShallowRef<readonly string[] | null>;
  /** Keys of those who are no longer listed and are to go. */
  readonly remove: ShallowRef<ReadonlySet<string>>;
  /** How many of them go as things stand. */
  readonly going: ComputedRef<number>;
  /** What is being done now; null: nothing is. */
  readonly step: Ref<HoldingStep | 'fetching' | null>;
  /** It could not be held against the course: no answer, or the worker broke. */
  readonly isBroken: Ref<boolean>;
  /** The members have changed since: what would happen was reckoned anew. */
  readonly isAnew: Ref<boolean>;
  readonly begin: (source: ListSource) => Promise<void>;
  readonly forget: () => void;
  readonly chooseColumn: (at: number, column: ListColumn) => void;
  readonly setOnly: (classes: readonly string[]) => void;
  readonly setHeading: (hasHeading: boolean) => void;
  /** Null takes an answer back. */
  readonly answer: (given: readonly (readonly [string, EntryChoice | null])[]) => void;
  readonly setGoing: (keys: readonly string[], goes: boolean) => void;
  /** Of the first cell that is longer than is kept of anybody. */
  readonly overlong: ComputedRef<{ readonly line: number; readonly value: string } | null>;
  readonly take: () => Promise<void>;
}

export function useList(courseId: () => string, run: RunList = inWorker): OneList {
  const members = useMembers();
  const source = shallowRef<ListSource | null>(null);
  const roster = shallowRef<RosterAnswer | null>(null);
  const held = shallowRef<HeldOrNot | null>(null);
  const choices = shallowRef<ListChoices>({});
  const answers = shallowRef<ReadonlyMap<string, EntryChoice>>(new Map());
  const only = shallowRef<readonly string[] | null>(null);
  const remove = shallowRef<ReadonlySet<string>>(new Set());
  const step = ref<HoldingStep | 'fetching' | null>(null);
  const isBroken = ref(false);
  const isAnew = ref(false);
  let running: Running | null = null;
  /** The same list sent again is the same act. */
  let id = newId();

  const there = computed(() => (held.value?.ok === true ? held.value : null));
  const lines = computed(() => (there.value === null ? [] : listLines(there.value)));
  const counts = computed(() => countsOf(lines.value));
  const going = computed(
    () => there.value?.reconciliation.gone.filter(({ key }) => remove.value.has(key)).length ?? 0,
  );
  const overlong = computed(() => (there.value === null ? null : tooLong(there.value.reading.rows)));

  async function hold(): Promise<void> {
    running?.stop();
    if (source.value === null || roster.value === null) return;
    isBroken.value = false;
    // At once: what is shown is not what would happen any more.
    step.value = 'reading';
    const mine = run(
      {
        list: source.value.list,
        roster: roster.value.members as readonly RosterMember[],
        choices: choices.value,
        answers: [...answers.value],
        only: only.value,
        kept: members.lists.filter(({ undone }) => undone === null).map(({ shape }) => shape),
      },
      (now) => (step.value = now),
    );
    running = mine;
    try {
      const came = await mine.held;
      if (running !== mine || came === null) return;
      held.value = came;
    } catch {
      if (running !== mine) return;
      isBroken.value = true;
    }
    running = null;
    step.value = null;
  }

  /** Who is in the course now: a list is held against nobody else. */
  async function fetchRoster(): Promise<void> {
    step.value = 'fetching';
    isBroken.value = false;
    try {
      roster.value = await ask('GET /api/courses/{course}/roster', { params: { course: courseId() } });
    } catch {
      isBroken.value = true;
      step.value = null;
      return;
    }
    await hold();
  }

  function forget(): void {
    running?.stop();
    running = null;
    source.value = null;
    held.value = null;
    step.value = null;
    choices.value = {};
    answers.value = new Map();
    only.value = null;
    remove.value = new Set();
    isAnew.value = false;
    isBroken.value = false;
    id = newId();
  }
  onScopeDispose(forget);

  function change(work: () => void): void {
    work();
    id = newId();
    void hold();
  }

  const shape = (): KeptShape => {
    const { reading } = there.value as Held;
    return {
      heading: reading.heading === null ? null : reading.heading.map((word) => word.slice(0, MOST_HEADING)),
      columns: reading.columns.map(({ column }) => column),
    };
  };

  return {
    source,
    held,
    there,
    lines,
    counts,
    answers,
    only,
    remove,
    going,
    step,
    isBroken,
    isAnew,
    overlong,
    begin: async (next) => {
      forget();
      source.value = next;
      await fetchRoster();
    },
    forget,
    chooseColumn: (at, column) =>
      change(() => {
        // Columns of an earlier list stay as they were, but for this one.
        const isKept = there.value?.isKept === true;
        const before: Readonly<Record<number, ListColumn>> = isKept
          ? Object.fromEntries(there.value.reading.columns.map((one, index) => [index, one.column]))
          : (choices.value.columns ?? {});
        const others = Object.entries(before).map(([index, one]): [string, ListColumn] => [
          index,
          one === column ? 'ignored' : one,
        ]);
        choices.value = {
          ...choices.value,
          ...(isKept ? { hasHeading: true } : {}),
          columns: { ...Object.fromEntries(others), [at]: column },
        };
      }),
    setOnly: (classes) =>
      change(() => {
        const all = there.value?.classes.length ?? 0;
        only.value = classes.length === all ? null : [...classes];
      }),
    setHeading: (hasHeading) =>
      change(() => {
        choices.value = { ...choices.value, hasHeading };
      }),
    answer: (given) =>
      change(() => {
        const next = new Map(answers.value);
        for (const [entry, choice] of given) {
          if (choice === null) next.delete(entry);
          else next.set(entry, choice);
        }
        answers.value = next;
      }),
    setGoing: (keys, goes) => {
      const next = new Set(remove.value);
      for (const key of keys) {
        if (goes) next.add(key);
        else next.delete(key);
      }
      remove.value = next;
      id = newId();
    },
    take: async () => {
      const list = there.value;
      if (list === null || roster.value === null) return;
      const gone = new Set(list.reconciliation.gone.map(({ key }) => key));
      try {
        await members.takeList({
          id,
          stamp: roster.value.stamp,
          source: source.value?.name.slice(0, 255) ?? '',
          shape: shape(),
          rows: sentRows(list.reading.rows),
          choices: [...answers.value].map(([entry, choice]) => ({ entry, choice })),
          remove: [...remove.value].filter((key) => gone.has(key)),
        });
      } catch (error) {
        if (error instanceof ProblemError && error.problem.code === 'members_changed') {
          isAnew.value = true;
          await fetchRoster();
        }
        throw error;
      }
    },
  };
}

/** The server keeps no more of a heading. */
const MOST_HEADING = 300;
