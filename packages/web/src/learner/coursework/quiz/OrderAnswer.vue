<script setup lang="ts">
/** Putting in order, by buttons that say where each goes: the order first shown is no answer until it is moved or confirmed. */
import { IconArrowDown, IconArrowUp } from '@tabler/icons-vue';
import { computed, nextTick, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import IconButton from '../../../ui/frame/IconButton.vue';
import PushButton from '../../../ui/frame/PushButton.vue';

interface Entry {
  readonly id: string;
  readonly text: string;
}
const props = defineProps<{
  entries: readonly Entry[];
  /** Null: as it was first shown. */
  placed: readonly string[] | null;
  readonly: boolean;
}>();
const emit = defineEmits<{ place: [placed: readonly string[]] }>();
const { t } = useI18n();
const root = ref<HTMLElement | null>(null);
const said = ref('');

const order = computed((): readonly Entry[] => {
  if (props.placed === null) return props.entries;
  const placed = props.placed.flatMap((id) => props.entries.find((one) => one.id === id) ?? []);
  return [...placed, ...props.entries.filter((one) => !placed.includes(one))];
});

async function move(at: number, by: -1 | 1): Promise<void> {
  const ids = order.value.map(({ id }) => id);
  const [moved] = ids.splice(at, 1);
  ids.splice(at + by, 0, moved!);
  emit('place', ids);
  said.value = t('quiz.order.moved', { text: order.value[at]?.text ?? '', place: at + by + 1 });
  await nextTick();
  // The same button goes along with its line; at an end, the other one.
  const buttons = root.value?.querySelectorAll<HTMLButtonElement>(`[data-entry="${moved}"] button`) ?? [];
  const [up, down] = buttons;
  const wanted = by < 0 ? up : down;
  (wanted?.disabled === true ? (by < 0 ? down : up) : wanted)?.focus();
}
</script>

<template>
  <div ref="root">
    <ol class="order">
      <li v-for="(one, at) in order" :key="one.id" :data-entry="one.id">
        <span class="figures place">{{ at + 1 }}</span>
        <span class="text" dir="auto">{{ one.text }}</span>
        <template v-if="!readonly">
          <IconButton
            :icon="IconArrowUp"
            :label="t('quiz.order.up', { text: one.text })"
            :disabled="at === 0"
            @click="move(at, -1)"
          />
          <IconButton
            :icon="IconArrowDown"
            :label="t('quiz.order.down', { text: one.text })"
            :disabled="at === order.length - 1"
            @click="move(at, 1)"
          />
        </template>
      </li>
    </ol>
    <p class="visually-hidden" role="status">{{ said }}</p>
    <p v-if="placed === null && !readonly" class="confirm">
      <PushButton
        small
        @click="
          emit(
            'place',
            order.map(({ id }) => id),
          )
        "
      >
        {{ t('quiz.order.confirm') }}
      </PushButton>
      <span class="soft">{{ t('quiz.order.untouched') }}</span>
    </p>
  </div>
</template>

<style scoped>
.order {
  margin: 0;
  padding: 0;
  border: 1px solid var(--field-rule);
  border-radius: 6px;
  list-style: none;
}

li {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 42px;
  padding: 2px 8px;
}

li + li {
  border-top: 1px solid var(--rule);
}

.place {
  min-width: 22px;
  color: var(--ink-soft);
}

.text {
  flex: 1;
  overflow-wrap: anywhere;
}

.confirm {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
  margin-top: 8px;
}
</style>
