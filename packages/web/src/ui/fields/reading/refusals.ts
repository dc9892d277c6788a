/** Whether a form holds a field with something in it that cannot be taken: it is not sent then. */
import { computed, inject, onBeforeUnmount, provide, shallowReactive } from 'vue';
import type { ComputedRef, InjectionKey } from 'vue';

const FORM: InjectionKey<Set<() => boolean>> = Symbol('form');

/** For whoever draws the form. */
export function useForm(): { readonly isRefused: ComputedRef<boolean> } {
  const fields = shallowReactive(new Set<() => boolean>());
  provide(FORM, fields);
  return { isRefused: computed(() => [...fields].some((isRefused) => isRefused())) };
}

/** For its fields; outside a form nobody is told. */
export function useRefusals(isRefused: () => boolean): void {
  const fields = inject(FORM, null);
  if (fields === null) return;
  fields.add(isRefused);
  onBeforeUnmount(() => fields.delete(isRefused));
}
