/** Where what a field holds has got to: on this device, or with the server. Whoever keeps it provides it. */
import { inject } from 'vue';
import type { InjectionKey } from 'vue';

export type FieldState = 'kept' | 'saved';
/** @param target the node that has the field; undefined: the course. Null: nothing of it was changed lately. */
export type FieldStateOf = (field: string, target?: string) => FieldState | null;

export const FIELD_STATE: InjectionKey<FieldStateOf> = Symbol('field state');

export function useFieldState(): FieldStateOf {
  return inject(FIELD_STATE, () => null);
}
