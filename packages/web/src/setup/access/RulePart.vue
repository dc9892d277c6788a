<script setup lang="ts">
/** What the opening rules come to: the earliest days, what is never reached, what a late joiner has missed. */
import { allLivingItems, analyseRules, isContent, livingSections, startOfDay } from '@itinerary/core';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import PlainTable from '../../ui/frame/PlainTable.vue';
import { usePlan } from '../../stores/plan.ts';
import DayField from '../../ui/fields/when/DayField.vue';
import CheckField from '../../ui/fields/choice/CheckField.vue';
import { useWhyWords } from './why-words.ts';

defineProps<{ readonly: boolean }>();
const { t } = useI18n();
const plan = usePlan();
const words = useWhyWords();
const course = computed(() => plan.course!);
const joined = ref<string | null>(null);

const analysis = computed(() =>
  analyseRules(course.value, {
    role: 'learner',
    institutionStaff: false,
    joinedAt: joined.value === null ? null : startOfDay(joined.value, course.value.dates.zone),
    groups: Object.keys(course.value.groups),
  }),
);
const never = computed(() => {
  const { never: all } = analysis.value;
  return all.map(({ id, because, waitsFor }) => ({
    id,
    title: words.named(id),
    why: t(`setup.access.never.${because}`, {
      waits: waitsFor.map((one) => words.named(one)).join(' → '),
    }),
  }));
});
/** Items in the order in which they can be reached; those that are there from the start are only counted. */
const later = computed(() => {
  const { earliest, start } = analysis.value;
  const items = livingSections(course.value)
    .flatMap((section) => allLivingItems(section))
    .filter((item) => isContent(item) && earliest.has(item.id));
  const after = items.filter(({ id }) => (earliest.get(id) as number) > start);
  return {
    atOnce: items.length - after.length,
    lines: after
      .map(({ id }) => ({ id, at: earliest.get(id) as number }))
      .sort((a, b) => a.at - b.at)
      .map(({ id, at }) => ({ id, title: words.named(id), when: words.when(at) })),
  };
});
</script>

<template>
  <section class="part" aria-labelledby="access-rules">
    <h2 id="access-rules">{{ t('setup.access.parts.rules') }}</h2>
    <CheckField
      :checked="course.inOrder"
      :disabled="readonly"
      @toggle="plan.set(course.id, 'inOrder', $event, course.inOrder)"
    >
      {{ t('setup.access.inOrder') }}
    </CheckField>
    <DayField
      class="joined"
      name="rules-joined"
      :day="joined"
      :label="t('setup.access.whoJoins')"
      @day="joined = $event"
    />
    <p role="status">{{ t('setup.access.atOnce', later.atOnce) }}</p>
    <ul v-if="never.length > 0" class="never">
      <li v-for="one in never" :key="one.id">
        <strong>{{ one.title }}</strong> {{ one.why }}
      </li>
    </ul>
    <p v-if="analysis.missed.length > 0">
      {{ t('setup.access.missed', analysis.missed.length) }}
      <span class="soft">{{ analysis.missed.map((id) => words.named(id)).join(', ') }}</span>
    </p>
    <details v-if="later.lines.length > 0">
      <summary>{{ t('setup.access.later', later.lines.length) }}</summary>
      <PlainTable>
        <tr v-for="line in later.lines" :key="line.id">
          <th scope="row">{{ line.title }}</th>
          <td class="figures">{{ line.when }}</td>
        </tr>
      </PlainTable>
    </details>
  </section>
</template>

<style scoped>
.part {
  display: grid;
  gap: 10px;
  justify-items: start;
}

h2 {
  font-size: 17px;
}

.joined {
  width: 260px;
}

.never {
  margin: 0;
  padding: 8px 12px;
  border-inline-start: 4px solid var(--blocker);
  background: var(--card);
  list-style: none;
}

details {
  width: 100%;
}

summary {
  cursor: pointer;
}
</style>
