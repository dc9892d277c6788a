/** What can be gone to or done from where one is. Pages add their own while they are open. */
import { defineStore } from 'pinia';
import { computed, onBeforeUnmount, onMounted, shallowReactive } from 'vue';

export interface Command {
  readonly id: string;
  readonly title: string;
  /** Shown in the mono face beside the title: a code, a key. */
  readonly note?: string;
  readonly run: () => unknown;
}

export const useCommands = defineStore('commands', () => {
  const sources = shallowReactive(new Map<string, () => readonly Command[]>());
  const all = computed(() => [...sources.values()].flatMap((source) => source()));
  return {
    all,
    add: (name: string, source: () => readonly Command[]) => sources.set(name, source),
    remove: (name: string) => sources.delete(name),
  };
});

/** Offers commands for as long as the component is there. */
export function offerCommands(name: string, source: () => readonly Command[]): void {
  const commands = useCommands();
  onMounted(() => commands.add(name, source));
  onBeforeUnmount(() => commands.remove(name));
}
