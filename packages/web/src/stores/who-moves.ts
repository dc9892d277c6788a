/**
 * A change of the plan by which somebody could be done with more or less: it stands here at once, and is held back until
 * whoever made it knows who gains and who loses, and has decided whether it is made, and whether what was earned is kept.
 */
import type { MovesAnswer } from '@itinerary/contract';
import { applyChange, couldMove, dropPending, replacePending } from '@itinerary/core';
import type { Change, Course, Notice, WorkingCopy } from '@itinerary/core';
import { shallowRef } from 'vue';
import type { Ref, ShallowRef } from 'vue';
import { ask } from '../api/client.ts';

export interface Weighed {
  readonly change: Change;
  /** Null: it cannot be told just now. */
  readonly answer: MovesAnswer | null;
}
export type Decision = 'keep' | 'change' | 'leave';

export interface WhoMoves {
  /** What waits for a word; null: nothing does. */
  readonly weighed: ShallowRef<Weighed | null>;
  /** Holds a change back that was just made, where anybody could move by it. @returns whether it does */
  readonly weigh: (change: Change, before: Course, after: Course) => boolean;
  /** The same for all that is pending: it was made when this page was open before, and nobody has been asked. */
  readonly weighPending: () => void;
  /** Those before the first that is held back. */
  readonly sendable: (pending: readonly Change[]) => readonly Change[];
  readonly decide: (how: Decision) => void;
  readonly clear: () => void;
}

interface Weighing {
  readonly copy: ShallowRef<WorkingCopy | null>;
  readonly learners: Readonly<Ref<number>>;
  /** Sends what was changed before: the server is asked about the course as it is here. */
  readonly flush: () => Promise<void>;
  readonly send: () => void;
  readonly tell: (notice: Notice) => void;
}

export function useWhoMoves({ copy, learners, flush, send, tell }: Weighing): WhoMoves {
  const weighed = shallowRef<Weighed | null>(null);
  /** One after the other, in the order in which they were made. */
  let held: readonly Change[] = [];
  let isAsking = false;

  function weigh(change: Change, before: Course, after: Course): boolean {
    if (learners.value === 0 || change.keepsEarned === true || !couldMove(before, after)) return false;
    held = [...held, change];
    void goOn(after.id);
    return true;
  }

  function weighPending(): void {
    let before = copy.value?.base;
    for (const change of copy.value?.pending ?? []) {
      const applied = before === undefined ? null : applyChange(before, change);
      if (before === undefined || applied?.ok !== true) continue;
      if (!held.some(({ id }) => id === change.id)) weigh(change, before, applied.course);
      before = applied.course;
    }
  }

  async function goOn(of: string): Promise<void> {
    if (isAsking || weighed.value !== null) return;
    isAsking = true;
    for (let next = held[0]; next !== undefined && weighed.value === null; next = held[0]) {
      const answer = await movesBy(of, next);
      // Another course is open by now.
      if (copy.value?.base.id !== of || held[0] !== next) break;
      // What a colleague did meanwhile has taken it away: there is nothing left to decide.
      if (!copy.value.pending.some(({ id }) => id === next.id)) {
        held = held.slice(1);
        send();
        continue;
      }
      if (answer !== null && answer.gains.length + answer.loses.length === 0) release(next, 'change');
      else weighed.value = { change: next, answer };
    }
    isAsking = false;
    if (copy.value !== null && copy.value.base.id !== of && held.length > 0) void goOn(copy.value.base.id);
  }

  async function movesBy(of: string, { edits }: Change): Promise<MovesAnswer | null> {
    try {
      await flush();
      const given = { params: { course: of }, body: { edits: [...edits] } };
      return await ask('POST /api/courses/{course}/progress/moves', given);
    } catch {
      // It is said, and decided all the same.
      return null;
    }
  }

  function release(change: Change, how: Decision): void {
    held = held.filter((one) => one !== change);
    if (copy.value === null) return;
    if (how === 'leave') {
      const { copy: without, notices } = dropPending(copy.value, change.id);
      copy.value = without;
      notices.forEach(tell);
    } else if (how === 'keep') copy.value = replacePending(copy.value, { ...change, keepsEarned: true });
    send();
  }

  return {
    weighed,
    weigh,
    weighPending,
    sendable: (pending) => {
      const at = pending.findIndex(({ id }) => held.some((one) => one.id === id));
      return at < 0 ? pending : pending.slice(0, at);
    },
    decide: (how) => {
      const asked = weighed.value;
      weighed.value = null;
      if (asked !== null) release(asked.change, how);
      if (copy.value !== null) void goOn(copy.value.base.id);
    },
    clear: () => {
      held = [];
      weighed.value = null;
    },
  };
}
