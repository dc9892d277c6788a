/** The first members are shown at once, and the others come while nobody is waiting for anything. */
import type { FirstMembersAnswer } from '@itinerary/contract';
import { onScopeDispose, shallowRef, watch } from 'vue';
import type { Ref, ShallowRef } from 'vue';
import { useI18n } from 'vue-i18n';
import { useMembers } from '../../stores/members.ts';
import type { Locale } from '../../words/i18n.ts';
import type { MemberFilter } from './member-rows.ts';

const QUIET_MS = 1500;

export function useFirstMembers(filter: Ref<MemberFilter>): {
  /** Who is found by the letters, while not all are here; null: nobody is looked for, or all are here. */
  readonly found: ShallowRef<FirstMembersAnswer | null>;
  /** The others are asked for, once it has been quiet for a while. */
  readonly rest: () => void;
} {
  const members = useMembers();
  const { locale } = useI18n();
  const found = shallowRef<FirstMembersAnswer | null>(null);
  let timer: ReturnType<typeof setTimeout> | undefined;
  let isGone = false;
  // What does not come is asked for again by whatever needs it.
  const all = (): void => void members.whole().catch(() => undefined);
  function rest(): void {
    clearTimeout(timer);
    if (!members.isWhole && !isGone) timer = setTimeout(all, QUIET_MS);
  }
  let turn = 0;
  watch(filter, async ({ find, role, group, standing }) => {
    turn += 1;
    const mine = turn;
    if (members.isWhole) return;
    if (role !== null || group !== null || standing !== null) {
      all();
      return;
    }
    rest();
    if (find.trim() === '') {
      found.value = null;
      return;
    }
    const got = await members.first(find, locale.value as Locale).catch(() => null);
    if (mine !== turn) return;
    if (got === null) all();
    else found.value = got;
  });
  onScopeDispose(() => {
    isGone = true;
    clearTimeout(timer);
  });
  return { found, rest };
}
