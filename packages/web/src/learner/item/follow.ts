/** Where a link to an item leads, for those who show the learner's pages elsewhere than at their address. */
import type { InjectionKey } from 'vue';

export const FOLLOW: InjectionKey<(item: string) => void> = Symbol('follow');
