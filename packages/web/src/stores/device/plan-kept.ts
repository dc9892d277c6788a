/** A plan whose unsent changes are on the device as well, and that takes up what other pages have left there. */
import type { ChangesAnswer } from '@itinerary/contract';
import { takeUpKept } from '@itinerary/core';
import type { Change, Notice, WorkingCopy } from '@itinerary/core';
import { ref, watch } from 'vue';
import type { Ref, ShallowRef } from 'vue';
import { ask, ProblemError } from '../../api/client.ts';
import { forget, keeper, THIS_PAGE } from './kept.ts';
import type { Kept } from './kept.ts';
import { useTexts } from '../texts.ts';

interface Keeping {
  readonly copy: ShallowRef<WorkingCopy | null>;
  readonly owner: () => string;
  /** The long texts that changes name. */
  readonly named: (changes: readonly Change[]) => Record<string, string>;
  /** Called when kept changes are in the copy again. */
  readonly took: (kept: Kept, notices: readonly Notice[]) => void;
}

interface KeptPlan {
  /** All that is not sent yet is on the device. */
  readonly isKept: Ref<boolean>;
  /** How many of them are, by what was written last. */
  readonly onDevice: Ref<number>;
  readonly takeUp: (kept: Kept) => Promise<void>;
}

export function useKeptPlan({ copy, owner, named, took }: Keeping): KeptPlan {
  const texts = useTexts();
  const isKept = ref(false);
  const onDevice = ref(0);
  let deviceTakes = false;
  // What was made while an older state was being written is not on the device with that.
  const keep = keeper((is, { changes }) => {
    deviceTakes = is;
    onDevice.value = is ? changes.length : 0;
    isKept.value = is && changes === copy.value?.pending;
  });

  async function keepPending(): Promise<void> {
    if (copy.value === null) return;
    isKept.value = false;
    const { base, seq, pending } = copy.value;
    const texts = named(pending);
    await keep({ person: owner(), course: base.id, page: THIS_PAGE, seq, changes: pending, texts });
  }

  watch(
    () => copy.value?.pending,
    (now, before) => {
      if (now === undefined || (now.length === 0 && (before?.length ?? 0) === 0)) return;
      void keepPending();
    },
    { flush: 'sync' },
  );

  /** Null: there is no answer now. A server that has lost what was seen has taken nothing of it. */
  async function sinceThen({ course, seq }: Kept): Promise<ChangesAnswer['taken'] | null> {
    try {
      const body = { since: seq, changes: [], texts: {} };
      return (await ask('POST /api/courses/{course}/changes', { params: { course }, body })).taken;
    } catch (error) {
      return error instanceof ProblemError && error.problem.code === 'out_of_step' ? [] : null;
    }
  }

  /** Makes again what a page that is gone had not sent. Where the server is away it stays where it is. */
  async function takeUp(kept: Kept): Promise<void> {
    const taken = await sinceThen(kept);
    for (const html of Object.values(kept.texts)) await texts.keep(html);
    if (taken === null || copy.value?.base.id !== kept.course || owner() !== kept.person) return;
    const up = takeUpKept(copy.value, kept, taken);
    copy.value = up.copy;
    took(kept, up.notices);
    await keepPending();
    // On the device under this page's name now, unless it was this page's before, or the device takes nothing more.
    if (kept.page !== THIS_PAGE && deviceTakes) await forget(kept);
  }

  return { isKept, onDevice, takeUp };
}
