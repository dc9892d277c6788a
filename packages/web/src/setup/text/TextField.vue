<script setup lang="ts">
/** A long text of the plan in its editor: loaded by hash, kept by hash. The editor stays for the next text. */
import { computed, ref, watch } from 'vue';
import { usePlan } from '../../stores/plan.ts';
import { useTexts } from '../../stores/texts.ts';
import { useNodeTitle } from '../node-title.ts';
import RichTextEditor from './RichTextEditor.vue';

const props = defineProps<{
  target: string;
  field: 'description' | 'introduction' | 'text';
  hash: string | null;
  label: string;
}>();
const plan = usePlan();
const titleOf = useNodeTitle();
const title = computed(() => titleOf(props.target) ?? plan.course?.title ?? props.label);
const texts = useTexts();
const html = computed(() => texts.read(props.hash));
/** Until the text is here nothing may be typed over it. */
const isLoading = computed(() => props.hash !== null && html.value === null);
let writing: Promise<void> = Promise.resolve();

const editor = ref<{ flush: () => void } | null>(null);
let at = { target: props.target, field: props.field };
watch(
  () => [props.target, props.field],
  () => {
    // What was written goes where it was written for.
    editor.value?.flush();
    at = { target: props.target, field: props.field };
  },
  { flush: 'sync' },
);

function write(next: string | null): void {
  const { target, field } = at;
  // Hashes come in their own time; texts are set in the order in which they were typed.
  writing = writing.then(() => plan.setText(target, field, next));
}
</script>

<template>
  <RichTextEditor
    ref="editor"
    :html="html"
    :name="`${target} ${field}`"
    :label="label"
    :title="title"
    :disabled="isLoading || plan.isReadonly"
    @write="write"
  />
</template>
