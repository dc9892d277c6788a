<script setup lang="ts">
/** Which classes of the registry the course follows, each with or without a class of its own. */
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { ask } from '../../../api/client.ts';
import CheckField from '../../../ui/fields/choice/CheckField.vue';
import DialogBox from '../../../ui/frame/DialogBox.vue';
import PushButton from '../../../ui/frame/PushButton.vue';
import { useClassWords } from '../../../stores/class-words.ts';
import type { RegistryHeld } from './use-registry.ts';

const props = defineProps<{ held: RegistryHeld }>();
const emit = defineEmits<{ said: [words: string] }>();
const isOpen = defineModel<boolean>({ required: true });
const { t } = useI18n();
const words = useClassWords();
const { failure, isUnderWay, params, act } = props.held;
const registry = computed(() => props.held.registry.value);

/** By class: whether it has one of the course’s own; not there: it is not followed. */
const chosen = ref<ReadonlyMap<string, boolean>>(new Map());
watch(isOpen, (open) => {
  if (!open) return;
  failure.value = null;
  chosen.value = new Map((registry.value?.follows ?? []).map((one) => [one.class.id, one.group !== null]));
});
const classes = computed(() => [
  ...(registry.value?.follows ?? []).map((one) => one.class),
  ...(registry.value?.offered ?? []),
]);

function follow(id: string, on: boolean): void {
  const next = new Map(chosen.value);
  if (on) next.set(id, true);
  else next.delete(id);
  chosen.value = next;
}
const setGroup = (id: string, on: boolean): void => {
  chosen.value = new Map(chosen.value).set(id, on);
};

async function save(): Promise<void> {
  const body = { classes: [...chosen.value].map(([id, asGroup]) => ({ id, asGroup })) };
  const went = await act(() => ask('PUT /api/courses/{course}/registry', { params: params.value, body }));
  if (!went) return;
  isOpen.value = false;
  emit('said', t('setup.registry.saved', body.classes.length));
}
</script>

<template>
  <DialogBox v-model="isOpen" :title="t('setup.registry.chooseTitle')" :width="680">
    <p>{{ t('setup.registry.chooseText') }}</p>
    <p v-if="classes.length === 0" class="soft">{{ t('setup.registry.nothingTaught') }}</p>
    <ul>
      <li v-for="one in classes" :key="one.id">
        <CheckField :checked="chosen.has(one.id)" @toggle="follow(one.id, $event)">
          <strong>{{ one.title }}</strong> <span class="soft">{{ words(one) }}</span>
        </CheckField>
        <CheckField
          v-if="chosen.has(one.id)"
          class="own"
          :checked="chosen.get(one.id) === true"
          @toggle="setGroup(one.id, $event)"
        >
          {{ t('setup.registry.asGroup') }}
        </CheckField>
      </li>
    </ul>
    <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
    <template #foot>
      <PushButton @click="isOpen = false">{{ t('common.cancel') }}</PushButton>
      <PushButton weight="main" :disabled="isUnderWay || classes.length === 0" @click="save">
        {{ t('setup.registry.save') }}
      </PushButton>
    </template>
  </DialogBox>
</template>

<style scoped>
ul {
  display: grid;
  margin: 8px 0 0;
  padding: 0;
  list-style: none;
}

li {
  padding: 4px 0;
  border-bottom: 1px solid var(--rule);
}

.own {
  margin-inline-start: 28px;
}

.failure {
  color: var(--blocker);
}
</style>
