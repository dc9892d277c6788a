<script setup lang="ts">
/** One line of a learner's outline: an item, a heading, or a folder with its items. */
import { traitsOf } from '@itinerary/core/kinds';
import { IconCheck, IconChevronDown, IconChevronRight, IconClock, IconFlag3Filled } from '@tabler/icons-vue';
import type { ItemView } from '@itinerary/core';
import { computed, onUpdated, ref, useId } from 'vue';
import { useI18n } from 'vue-i18n';
import { formatMinutes } from '../../words/dates.ts';
import { countDrawing } from '../../ui/course/drawings.ts';
import { itemAttributes } from './item-attributes.ts';
import ItemLines from './ItemLines.vue';
import ItemSign from './ItemSign.vue';
import { momentWords } from '../../words/moment-words.ts';
import { openingSentence } from '../words/opening-words.ts';

const props = defineProps<{ item: ItemView; today: string; hrefFor?: (item: ItemView) => string }>();
const emit = defineEmits<{ open: [item: ItemView] }>();
const { t, locale } = useI18n();
onUpdated(() => countDrawing('learner-line'));

const listId = useId();
const isUnfolded = ref(false);
const traits = computed(() => traitsOf(props.item));
const isNamed = computed(() => props.item.state === 'named');
const words = (moment: NonNullable<ItemView['due']>): string =>
  momentWords(moment, locale.value, props.today);
const attributes = computed(() => itemAttributes(props.item, props.hrefFor, () => emit('open', props.item)));
</script>

<template>
  <li :class="['line', item.kind, item.accent ? `accent-${item.accent}` : '']" :data-node="item.id">
    <h4 v-if="traits.part === 'mark'" class="heading">{{ item.title }}</h4>
    <template v-else-if="traits.part === 'holder' && !isNamed">
      <button
        type="button"
        class="item folder-head"
        :aria-expanded="isUnfolded"
        :aria-controls="listId"
        @click="isUnfolded = !isUnfolded"
      >
        <component :is="isUnfolded ? IconChevronDown : IconChevronRight" :size="16" aria-hidden="true" />
        <ItemSign kind="folder" />
        <span class="item-title">
          {{ item.title }}
          <span v-if="item.summary" class="soft summary">{{ item.summary }}</span>
        </span>
        <span class="soft minutes">{{ t('learner.items', item.items.length) }}</span>
      </button>
      <div v-show="isUnfolded" :id="listId" class="inside">
        <ItemLines
          v-if="item.items.length > 0"
          :items="item.items"
          :today="today"
          v-bind="hrefFor === undefined ? {} : { hrefFor }"
          @open="emit('open', $event)"
        />
        <p v-else class="soft">{{ t('learner.nothingYet') }}</p>
      </div>
    </template>
    <div v-else-if="isNamed" class="item named">
      <ItemSign :kind="item.kind" />
      <span class="item-title">{{ item.title }}</span>
      <span v-if="item.opens && !item.waits" class="opens">
        <IconClock :size="15" aria-hidden="true" /> {{ t('learner.opens', { when: words(item.opens) }) }}
      </span>
      <span v-if="item.waits" class="opens">
        <IconClock :size="15" aria-hidden="true" /> {{ openingSentence(item.waits, { t, locale, today }) }}
      </span>
    </div>
    <component :is="hrefFor === undefined ? 'button' : 'a'" v-else class="item" v-bind="attributes">
      <ItemSign :kind="item.kind" />
      <span class="item-title">
        <span v-if="item.number" class="figures number">{{ item.number }}</span>
        {{ item.title }}
        <span v-if="item.summary" class="soft summary">{{ item.summary }}</span>
        <span v-if="item.due" class="due">
          <IconFlag3Filled :size="13" aria-hidden="true" />
          <span>{{ t('learner.due', { when: words(item.due) }) }}</span>
        </span>
        <span v-if="item.held" class="due">
          <IconClock :size="14" aria-hidden="true" />
          <span>{{ [words(item.held), item.place].filter(Boolean).join(' · ') }}</span>
        </span>
      </span>
      <span v-if="item.done?.isDone && item.done.isShown" class="done">
        <IconCheck :size="16" aria-hidden="true" /><span class="visually-hidden">{{
          t('learner.done.is')
        }}</span>
      </span>
      <span v-if="item.minutes" class="figures minutes">{{ formatMinutes(item.minutes, locale) }}</span>
      <span v-if="traits.address === 'out'" class="visually-hidden">{{ t('learner.newTab') }}</span>
    </component>
  </li>
</template>

<style scoped>
.done {
  color: var(--open);
}

.item {
  display: flex;
  align-items: flex-start;
  gap: 10px;
  width: 100%;
  min-height: 38px;
  padding: 7px 10px;
  border: 1px solid transparent;
  border-radius: 6px;
  background: none;
  text-align: start;
  text-decoration: none;
  color: var(--ink);
  cursor: pointer;
}

.item > svg {
  margin-top: 2px;
}

.item:hover {
  border-color: var(--rule);
  background: var(--mist);
}

.named {
  flex-wrap: wrap;
  color: var(--ink-soft);
  cursor: default;
}

.named:hover {
  border-color: transparent;
  background: none;
}

.opens {
  display: inline-flex;
  align-items: center;
  gap: 4px;
  color: var(--later);
  font-size: 13.5px;
}

.item-title {
  flex: 1;
  overflow-wrap: anywhere;
}

.number {
  margin-inline-end: 4px;
  color: var(--ink-soft);
  font-size: 13.5px;
}

.summary,
.due {
  display: block;
  font-size: 13.5px;
}

.due {
  display: flex;
  gap: 4px;
  align-items: center;
  font-family: var(--font-figures);
}

.minutes {
  color: var(--ink-soft);
  font-size: 13.5px;
  white-space: nowrap;
}

.heading {
  padding: 10px 10px 2px;
  font-size: 15px;
}

.folder-head {
  font-weight: 600;
}

.folder-head .summary,
.folder-head .minutes {
  font-weight: 400;
}

.inside {
  margin-inline-start: 18px;
  padding-inline-start: 8px;
  border-inline-start: 2px solid var(--accent, var(--rule));
}
</style>
