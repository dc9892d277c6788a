/** Coming from a finding, the field that it is about is shown and focused. */
import { nextTick, onMounted, watch } from 'vue';
import { useRoute } from 'vue-router';
import { makeAll } from '../../ui/frame/later.ts';

export function useFieldFocus(): void {
  const route = useRoute();
  const look = async (): Promise<void> => {
    if (!route.hash.startsWith('#field-')) return;
    makeAll();
    await nextTick();
    const place = document.getElementById(route.hash.slice(1));
    const field = place?.matches('input')
      ? place
      : (place?.querySelector<HTMLElement>('input, [contenteditable="true"]') ?? place);
    place?.scrollIntoView({ block: 'center' });
    field?.focus();
  };
  onMounted(look);
  watch(() => route.hash, look);
}
