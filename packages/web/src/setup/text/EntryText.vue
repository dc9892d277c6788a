<script setup lang="ts">
/** A long text that an entry of a table of the course holds, in its editor: loaded by hash, kept by hash. */
import { computed } from 'vue';
import { usePlan } from '../../stores/plan.ts';
import { useTexts } from '../../stores/texts.ts';
import RichTextEditor from './RichTextEditor.vue';

const props = defineProps<{
  /** The table and the id of the entry: `announcements.ID`. */
  field: string;
  hash: string | null;
  label: string;
}>();
const plan = usePlan();
const title = computed(() => `${plan.course?.title ?? ''} · ${props.label}`);
const texts = useTexts();
const html = computed(() => texts.read(props.hash));
/** Until the text is here nothing may be typed over it. */
const isLoading = computed(() => props.hash !== null && html.value === null);
let writing: Promise<void> = Promise.resolve();

function write(next: string | null): void {
  const { field } = props;
  // Hashes come in their own time; texts are set in the order in which they were typed.
  writing = writing.then(() => plan.setEntryText(field, next));
}
</script>

<template>
  <RichTextEditor
    :html="html"
    :name="field"
    :label="label"
    :title="title"
    :disabled="isLoading || plan.isReadonly"
    @write="write"
  />
</template>
