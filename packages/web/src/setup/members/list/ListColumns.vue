<script setup lang="ts">
/** How a list's columns are read: each guess with how sure it is, to be put right. */
import { LIST_COLUMNS } from '@itinerary/core/people';
import type { ListColumn, ListReading } from '@itinerary/core/people';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import CheckField from '../../../ui/fields/choice/CheckField.vue';
import SelectField from '../../../ui/fields/choice/SelectField.vue';

const props = defineProps<{ reading: ListReading; isKept: boolean }>();
const emit = defineEmits<{ choose: [at: number, column: ListColumn]; heading: [hasHeading: boolean] }>();
const { t } = useI18n();

const options = computed(() =>
  LIST_COLUMNS.map((value) => ({ value, title: t(`setup.members.list.columns.${value}`) })),
);
const columns = computed(() =>
  props.reading.columns.map((guess, at) => ({
    ...guess,
    heading: props.reading.heading?.[at] || t('setup.members.list.column', { number: at + 1 }),
    samples: props.reading.samples[at]?.join(' · ') ?? '',
  })),
);
</script>

<template>
  <section aria-labelledby="list-columns">
    <h3 id="list-columns">{{ t('setup.members.list.asRead') }}</h3>
    <p v-if="reading.shape === 'addresses'" class="soft">{{ t('setup.members.list.addresses') }}</p>
    <template v-else>
      <p v-if="isKept" class="soft">{{ t('setup.members.list.kept') }}</p>
      <ul class="columns">
        <li v-for="(column, at) in columns" :key="at" :class="{ ignored: column.column === 'ignored' }">
          <span class="heading" :title="column.heading">{{ column.heading }}</span>
          <span class="soft samples" :title="column.samples">{{ column.samples }}</span>
          <SelectField
            bare
            small
            :label="t('setup.members.list.is', { heading: column.heading })"
            :value="column.column"
            :options="options"
            @choose="emit('choose', at, $event)"
          />
          <span class="soft certainty">
            {{ column.column === 'ignored' ? '' : t(`setup.members.list.certainty.${column.certainty}`) }}
          </span>
        </li>
      </ul>
      <CheckField :checked="reading.heading !== null" @toggle="emit('heading', $event)">
        {{ t('setup.members.list.hasHeading') }}
      </CheckField>
    </template>
  </section>
</template>

<style scoped>
h3 {
  margin-bottom: 6px;
  font-size: 15px;
}

.columns {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(168px, 1fr));
  gap: 8px;
  margin: 0;
  padding: 0;
  list-style: none;
}

.columns li {
  display: grid;
  gap: 2px;
  padding: 8px 10px;
  border: 1px solid var(--rule);
  border-top: 3px solid var(--route);
  background: var(--card);
}

.columns li.ignored {
  border-top-color: var(--rule);
  background: none;
}

.heading {
  overflow: hidden;
  font-weight: 600;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.samples {
  overflow: hidden;
  min-height: 18px;
  font-size: 12.5px;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.certainty {
  min-height: 17px;
  font-size: 12px;
}
</style>
