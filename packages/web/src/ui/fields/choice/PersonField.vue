<script setup lang="ts">
/** Choosing a person: found by a few letters of the name or the address, with or without accents, in any order. */
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { VAutocomplete } from 'vuetify/components/VAutocomplete';
import { fold } from '../../../words/fold.ts';

export interface Choosable {
  readonly id: string;
  readonly name: string;
  /** What tells two of one name apart: an address, a role. */
  readonly about?: string;
}

const props = defineProps<{
  label: string;
  person: string | null;
  people: readonly Choosable[];
  readonly?: boolean;
  /** There has to be one. */
  required?: boolean;
}>();
const emit = defineEmits<{ choose: [person: string | null] }>();
const { t } = useI18n();

const items = computed(() =>
  props.people.map(({ id, name, about }) => ({ value: id, title: name, props: { subtitle: about } })),
);
const searched = computed(
  () => new Map(props.people.map(({ id, name, about }) => [id, fold(`${name} ${about ?? ''}`)])),
);

function matches(_title: string, query: string, item?: { readonly value: unknown }): boolean {
  const words = searched.value.get(String(item?.value)) ?? '';
  return fold(query)
    .split(/\s+/)
    .every((part) => words.includes(part));
}

function choose(id: string | null): void {
  if (id !== props.person && !(id === null && props.required)) emit('choose', id);
}
</script>

<template>
  <VAutocomplete
    :model-value="person"
    :items="items"
    :custom-filter="matches"
    :label="label"
    :no-data-text="t('common.people.none')"
    :readonly="readonly"
    :clearable="!required && !readonly"
    auto-select-first
    hide-details
    @update:model-value="choose"
  />
</template>
