<script setup lang="ts">
/** The menu beside one that the institution proposes: every difference, each to be taken over or left. */
import type { MenuTemplatesAnswer } from '@itinerary/contract';
import { compareMenus, takeAllOver, takeOver } from '@itinerary/core';
import type { MenuDifference } from '@itinerary/core';
import { computed, onMounted, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { ask } from '../../api/client.ts';
import { ownWords } from '../../words/own-words.ts';
import { newId } from '../../stores/new-id.ts';
import { usePlan } from '../../stores/plan.ts';
import { useSession } from '../../stores/session.ts';
import SelectField from '../../ui/fields/choice/SelectField.vue';
import { useEntryWords } from './entry-words.ts';
import PushButton from '../../ui/frame/PushButton.vue';

defineProps<{ readonly: boolean }>();
const { t, locale } = useI18n();
const plan = usePlan();
const session = useSession();
const words = useEntryWords();
const templates = ref<MenuTemplatesAnswer['templates']>([]);
const chosen = ref('');
const said = ref('');

onMounted(async () => {
  // Assistants may plan a course and open none: for them there is nothing to compare with.
  templates.value = (await ask('GET /api/menus', {}).catch(() => ({ templates: [] }))).templates;
});
const template = computed(
  () => templates.value.find(({ id }) => id === chosen.value) ?? templates.value[0] ?? null,
);
const differences = computed(() =>
  template.value === null || plan.course === null ? [] : compareMenus(plan.course.menu, template.value.menu),
);
function sentence(difference: MenuDifference): string {
  switch (difference.kind) {
    case 'order':
      return t('setup.menu.compare.order');
    case 'missing':
      return t('setup.menu.compare.missing', { name: words(difference.theirs) });
    case 'extra':
      return t('setup.menu.compare.extra', { name: words(difference.own) });
    case 'names': {
      const name = ownWords(difference.theirs.names, locale.value) ?? words({ ...difference.own, names: {} });
      return t('setup.menu.compare.names', { own: words(difference.own), name });
    }
    case 'shown':
      return t('setup.menu.compare.shown', { name: words(difference.own) });
  }
}
/** One of them, or all; either way a single step to undo. */
function take(difference: MenuDifference | null): void {
  const { course } = plan;
  if (course === null || template.value === null) return;
  const { menu } = template.value;
  const count = difference === null ? differences.value.length : 1;
  plan.change(
    difference === null ? takeAllOver(course, menu, newId) : takeOver(course, menu, difference, newId),
  );
  said.value = t('setup.menu.compare.taken', count);
}
async function keepAsTemplate(): Promise<void> {
  const { course } = plan;
  if (course === null) return;
  const body = { name: course.title, menu: course.menu };
  const answer = await ask('PUT /api/menus/{template}', { params: { template: newId() }, body });
  templates.value = answer.templates;
  said.value = t('setup.menu.compare.kept');
}
</script>

<template>
  <section aria-labelledby="compare-part">
    <h2 id="compare-part">{{ t('setup.menu.parts.compare') }}</h2>
    <p v-if="template === null" class="soft">{{ t('setup.menu.compare.none') }}</p>
    <template v-else>
      <SelectField
        v-if="templates.length > 1"
        :label="t('setup.menu.compare.with')"
        :value="template.id"
        :options="templates.map(({ id, name }) => ({ value: id, title: name }))"
        @choose="chosen = $event"
      />
      <p class="soft">
        {{
          t(
            'setup.menu.compare.count',
            { name: template.name, count: differences.length },
            differences.length,
          )
        }}
      </p>
      <ul v-if="differences.length > 0">
        <li v-for="difference in differences" :key="`${difference.kind} ${difference.key}`">
          <span>{{ sentence(difference) }}</span>
          <PushButton small :disabled="readonly" @click="take(difference)">
            {{ t('setup.menu.compare.take') }}
          </PushButton>
        </li>
      </ul>
      <PushButton v-if="differences.length > 1" :disabled="readonly" @click="take(null)">
        {{ t('setup.menu.compare.takeAll') }}
      </PushButton>
    </template>
    <PushButton v-if="session.person?.kind === 'staff'" @click="keepAsTemplate">
      {{ t('setup.menu.compare.keep') }}
    </PushButton>
    <p class="visually-hidden" role="status">{{ said }}</p>
  </section>
</template>

<style scoped>
ul {
  margin: 6px 0 10px;
  padding: 0;
  border-top: 3px solid var(--route);
  list-style: none;
}

li {
  display: flex;
  gap: 12px;
  align-items: center;
  justify-content: space-between;
  min-height: 40px;
  padding: 2px 8px;
  border-bottom: 1px solid var(--rule);
  background: var(--card);
}
</style>
