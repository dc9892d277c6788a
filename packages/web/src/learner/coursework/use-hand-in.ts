/** Handing in what is begun: sent again it is the same, until it has been answered. */
import type { OwnWorkAnswer } from '@itinerary/contract';
import { computed, ref } from 'vue';
import type { ComputedRef, Ref } from 'vue';
import { addressOf, ask, ProblemError } from '../../api/client.ts';
import { newId } from '../../stores/new-id.ts';
import { deviceFor } from '../../stores/device/on-device.ts';
import { useBegun } from './use-begun.ts';
import type { Begun } from './use-begun.ts';

export type Typed = Readonly<Record<'text' | 'address', string>>;

export interface HandIn extends Begun<Typed, OwnWorkAnswer> {
  readonly isHandingIn: Ref<boolean>;
  readonly isEmpty: ComputedRef<boolean>;
  /** @returns whether it is handed in */
  readonly handIn: () => Promise<boolean>;
}

const NOTHING: Typed = { text: '', address: '' };

export function useHandIn(course: string, item: string, person: string): HandIn {
  const params = { course, item };
  const begun = useBegun<Typed, OwnWorkAnswer>({
    device: deviceFor(person, course, item),
    nothing: NOTHING,
    read: () => ask('GET /api/learn/{course}/items/{item}/coursework', { params }),
    keep: (body) => ask('PUT /api/learn/{course}/items/{item}/coursework/draft', { params, body }),
    uploadTo: addressOf('POST /api/learn/{course}/items/{item}/coursework/files', { params }),
    there: ({ draft }) =>
      draft === null
        ? { version: 0, typed: NOTHING, files: [] }
        : { version: draft.version, typed: { text: draft.text, address: draft.address }, files: draft.files },
    mayWrite: ({ mayHandIn }) => mayHandIn,
  });
  const { typed, files, failure } = begun;
  const isHandingIn = ref(false);
  let handInId = newId();

  async function handIn(): Promise<boolean> {
    isHandingIn.value = true;
    failure.value = null;
    try {
      await begun.settle();
      const body = { id: handInId, version: begun.version() };
      const answer = await begun.change(() =>
        ask('POST /api/learn/{course}/items/{item}/coursework/handed', { params, body }),
      );
      begun.done(answer);
      handInId = newId();
      return true;
    } catch (error) {
      failure.value = error;
      if (error instanceof ProblemError) {
        handInId = newId();
        await begun.load().catch(() => undefined);
      }
      return false;
    } finally {
      isHandingIn.value = false;
    }
  }
  const isEmpty = computed(
    () => typed.value.text.trim() === '' && typed.value.address.trim() === '' && files.value.length === 0,
  );
  return { ...begun, isHandingIn, isEmpty, handIn };
}
