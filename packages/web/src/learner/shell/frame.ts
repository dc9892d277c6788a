/** What stands around a course's pages, for whatever is shown within them. */
import type { FrameAnswer } from '@itinerary/contract';
import type { ContactView } from '@itinerary/core';
import type { InjectionKey, Ref } from 'vue';
import { computed, inject } from 'vue';
import type { ComputedRef } from 'vue';
import { useI18n } from 'vue-i18n';
import { roleWord } from '../../words/own-words.ts';
import type { RoleNames } from '../../words/own-words.ts';

export const COURSE_FRAME: InjectionKey<Ref<FrameAnswer | null>> = Symbol('course frame');

/** The contact cards of the course, for texts in which they stand. */
export interface ContactsShown {
  readonly contacts: readonly ContactView[];
  /** Null: pictures are left out. */
  readonly pictureHref: ((card: ContactView) => string) | null;
}
export const CONTACTS: InjectionKey<ComputedRef<ContactsShown>> = Symbol('contacts');

/** What the course calls its roles; empty where they have their usual names. */
export const ROLE_NAMES: InjectionKey<ComputedRef<RoleNames>> = Symbol('role names');

export function useRoleWord(): (role: string) => string {
  const { t } = useI18n();
  const names = inject(
    ROLE_NAMES,
    computed(() => ({})),
  );
  return (role) => roleWord(role, names.value, t);
}
