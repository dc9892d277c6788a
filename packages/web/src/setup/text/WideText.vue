<script setup lang="ts">
/** The whole window for one text: its headings on one side, as learners read it on the other; the same editor in the middle. */
import { courseView, onceLive } from '@itinerary/core';
import { IconEye, IconListTree } from '@tabler/icons-vue';
import type { Editor } from '@tiptap/vue-3';
import { computed, ref, shallowRef, useId, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { VDialog } from 'vuetify/components/VDialog';
import RichText from '../../learner/text/RichText.vue';
import { usePlan } from '../../stores/plan.ts';
import { useSeeing } from '../../stores/seeing.ts';
import { useSession } from '../../stores/session.ts';
import { useBehind } from '../../ui/frame/behind.ts';
import PushButton from '../../ui/frame/PushButton.vue';
import { useFilled } from './filled.ts';
import { headingsOf, wordsIn } from './outline-of-text.ts';

const props = defineProps<{ editor: Editor; title: string }>();
const open = defineModel<boolean>({ required: true });
const emit = defineEmits<{ seat: [element: HTMLElement | null] }>();
const { t, n } = useI18n();
const plan = usePlan();
const seeing = useSeeing();
const session = useSession();
const headingId = useId();
useBehind(open);

const seat = ref<HTMLElement | null>(null);
const isOutlined = ref(innerWidth > 900);
const isPreviewed = ref(innerWidth > 1180);
// The editor is in its own place again before this one is gone.
watch([seat, open], ([element, isOpen]) => emit('seat', isOpen ? element : null), { flush: 'sync' });

/** The document as it is, a little after the last letter. */
const shown = shallowRef({ doc: props.editor.state.doc, html: props.editor.getHTML() });
let timer: ReturnType<typeof setTimeout> | undefined;
const renew = (): void => {
  clearTimeout(timer);
  timer = setTimeout(() => {
    if (!props.editor.isDestroyed)
      shown.value = { doc: props.editor.state.doc, html: props.editor.getHTML() };
  }, 250);
};
watch(
  open,
  (isOpen) => {
    props.editor[isOpen ? 'on' : 'off']('update', renew);
    if (isOpen) renew();
  },
  { immediate: true },
);

const headings = computed(() => headingsOf(shown.value.doc));
const words = computed(() => wordsIn(shown.value.doc));
const view = computed(() => {
  const { course, planned } = plan;
  if (!open.value || course === null || planned === null) return null;
  return courseView(onceLive(course), seeing.viewer, session.now(), planned);
});
const filled = useFilled(() => view.value);
const preview = computed(() => (isPreviewed.value ? (filled(shown.value.html) ?? '') : ''));

function goTo(at: number): void {
  const { editor } = props;
  editor
    .chain()
    .setTextSelection(at + 1)
    .focus()
    .run();
  const { node } = editor.view.domAtPos(at + 1);
  (node instanceof Element ? node : node.parentElement)?.scrollIntoView({ block: 'start' });
}
</script>

<template>
  <VDialog v-model="open" fullscreen :aria-labelledby="headingId" :transition="false">
    <section :class="['wide', { outlined: isOutlined, previewed: isPreviewed }]">
      <header>
        <h2 :id="headingId">{{ title }}</h2>
        <span class="soft figures count">{{ t('setup.text.words', { count: n(words) }, words) }}</span>
        <PushButton :aria-pressed="isOutlined" small @click="isOutlined = !isOutlined">
          <IconListTree :size="16" aria-hidden="true" /> {{ t('setup.text.headings') }}
        </PushButton>
        <PushButton :aria-pressed="isPreviewed" small @click="isPreviewed = !isPreviewed">
          <IconEye :size="16" aria-hidden="true" /> {{ t('setup.text.preview') }}
        </PushButton>
        <PushButton weight="main" small @click="open = false">{{ t('setup.text.narrow') }}</PushButton>
      </header>
      <nav v-if="isOutlined" :aria-label="t('setup.text.headings')">
        <p v-if="headings.length === 0" class="soft">{{ t('setup.text.noHeadings') }}</p>
        <ul v-else>
          <li v-for="one in headings" :key="one.at" :class="`level-${one.level}`">
            <PushButton weight="bare" small @click="goTo(one.at)">{{ one.words }}</PushButton>
          </li>
        </ul>
      </nav>
      <div ref="seat" class="seat" />
      <aside v-if="isPreviewed" :aria-label="t('setup.text.preview')" tabindex="0">
        <RichText :html="preview" />
      </aside>
    </section>
  </VDialog>
</template>

<style scoped>
.wide {
  display: grid;
  grid-template: auto minmax(0, 1fr) / minmax(0, 1fr);
  height: 100%;
  background: var(--mist);
}

.wide.outlined {
  grid-template-columns: 220px minmax(0, 1fr);
}

.wide.previewed {
  grid-template-columns: minmax(0, 1fr) minmax(0, 0.8fr);
}

.wide.outlined.previewed {
  grid-template-columns: 220px minmax(0, 1fr) minmax(0, 0.8fr);
}

header {
  display: flex;
  grid-column: 1 / -1;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  padding: 8px 16px;
  border-bottom: 1px solid var(--field-rule);
  background: var(--card);
}

h2 {
  overflow: hidden;
  font-size: 18px;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.count {
  margin-inline-end: auto;
  white-space: nowrap;
}

nav,
aside {
  min-height: 0;
  padding: 14px 16px;
  overflow-y: auto;
}

nav {
  border-inline-end: 1px solid var(--rule);
}

nav ul {
  padding: 0;
  list-style: none;
}

.level-3 {
  padding-inline-start: 12px;
}

.level-4 {
  padding-inline-start: 24px;
}

nav :deep(.button) {
  justify-content: start;
  max-width: 100%;
  white-space: normal;
  text-align: start;
}

aside {
  border-inline-start: 1px solid var(--rule);
  background: var(--card);
}

.seat {
  min-height: 0;
  padding: 14px 16px;
  overflow-y: auto;
}

/* The text has the width that is read well, whatever the window has. */
.seat :deep(.editor) {
  max-width: 820px;
  min-height: 100%;
  margin: 0 auto;
}

.seat :deep(.bars) {
  top: -14px;
}

@media (max-width: 700px) {
  .wide.outlined,
  .wide.previewed,
  .wide.outlined.previewed {
    grid-template: auto auto minmax(0, 1fr) minmax(0, auto) / minmax(0, 1fr);
  }

  nav {
    max-height: 24vh;
    border-bottom: 1px solid var(--rule);
  }

  aside {
    max-height: 40vh;
    border-top: 1px solid var(--rule);
  }
}
</style>
