<script setup lang="ts">
/** A time zone, found by what people call it: a city, a country, an offset, a former name. */
import { computed, ref, shallowRef, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { VAutocomplete } from 'vuetify/components/VAutocomplete';
import { useCourseDays } from './day-context.ts';
import { useRefusals } from '../reading/refusals.ts';
import { typedIn } from '../reading/typed-in.ts';

type Zones = typeof import('@itinerary/core/zones');

const props = withDefaults(defineProps<{ zone: string; label: string; readonly?: boolean }>(), {
  readonly: false,
});
const emit = defineEmits<{ set: [zone: string] }>();
const { t, locale } = useI18n();
const days = useCourseDays();
/** The list of cities is large, and comes when there is a field for it. */
const zones = shallowRef<Zones | null>(null);
void import('@itinerary/core/zones').then((come) => (zones.value = come));

const search = ref('');
const day = computed(() => days().first ?? days().today);
interface Line {
  readonly value: string;
  readonly title: string;
  readonly props: { readonly subtitle: string };
}
function line({ zone, city, country, offset }: ReturnType<Zones['describeZone']>): Line {
  const place = [city, ...(country === '' || country === city ? [] : [country])].join(', ');
  return { value: zone, title: `${place} (${offset})`, props: { subtitle: zone } };
}
const here = computed(() =>
  zones.value === null
    ? { value: props.zone, title: props.zone, props: { subtitle: '' } }
    : line(zones.value.describeZone(props.zone, typedIn(locale.value), day.value)),
);
const found = computed(() => {
  const typed = search.value === here.value.title ? '' : search.value;
  const all = zones.value?.findZones(typed, typedIn(locale.value), day.value).map(line) ?? [];
  return all.some(({ value }) => value === props.zone) || typed !== '' ? all : [here.value, ...all];
});
/** What was typed and is no zone: it stays, and is said. */
const lost = ref<string | null>(null);
useRefusals(() => lost.value !== null);

/** The library puts the name of what is chosen into its search when the field is left: that was not typed. */
let typed = '';
watch(
  search,
  (now) => {
    if (now !== props.zone && now !== here.value.title) typed = now.trim();
  },
  { flush: 'sync' },
);

function focused(isHere: boolean): void {
  if (isHere) {
    if (lost.value !== null) search.value = lost.value;
    return;
  }
  const isNone = zones.value?.findZones(typed, typedIn(locale.value), day.value).length === 0;
  lost.value = typed !== '' && isNone ? typed : null;
}

function choose(zone: string | null): void {
  typed = '';
  lost.value = null;
  if (zone !== null && zone !== props.zone) emit('set', zone);
}
</script>

<template>
  <VAutocomplete
    v-model:search="search"
    :class="['zone', { searching: search !== '' && search !== here.title }]"
    :model-value="zone"
    :items="[...found]"
    :label="label"
    :readonly="readonly"
    no-filter
    auto-select-first
    :no-data-text="t('common.noZone')"
    :error-messages="lost !== null ? [t('common.noZone')] : []"
    :hint="here.props.subtitle"
    persistent-hint
    @update:model-value="choose"
    @update:focused="focused"
  >
    <template #selection>
      <span class="name">{{ lost ?? here.title }}</span>
    </template>
  </VAutocomplete>
</template>

<style scoped>
.name {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}

/* While somebody looks for another, what they type stands alone. */
.zone.searching :deep(.v-field--focused .v-autocomplete__selection) {
  display: none;
}
</style>
