<script setup lang="ts">
/** Where everybody stands: learners by what counts, who is behind and where, and what staff say of some of them. */
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute } from 'vue-router';
import { VTextarea } from 'vuetify/components/VTextarea';
import { path } from '../../api/client.ts';
import SelectField from '../../ui/fields/choice/SelectField.vue';
import LoadState from '../../ui/frame/LoadState.vue';
import PushButton from '../../ui/frame/PushButton.vue';
import { setTitle } from '../../words/page-title.ts';
import { useAttempt } from '../../words/use-attempt.ts';
import GridTable from './GridTable.vue';
import { ALL, ORDERS, useGrid, WHO } from './use-grid.ts';

const { t } = useI18n();
const route = useRoute();
const courseId = String(route.params['course']);
const grid = useGrid(courseId);
const { answer, who, order, group, section, chosen, counts, people, items, places, stuckAt } = grid;
const state = ref<'loading' | 'there' | 'failed'>('loading');
setTitle(t('grid.title'));

async function load(): Promise<void> {
  state.value = 'loading';
  try {
    await grid.load();
    state.value = 'there';
  } catch {
    state.value = 'failed';
  }
}
void load();

const whos = computed(() =>
  WHO.map((value) => ({ value, title: `${t(`grid.who.${value}`)} · ${counts.value[value]}` })),
);
const orders = computed(() => ORDERS.map((value) => ({ value, title: t(`grid.order.${value}`) })));
const groups = computed(() => [
  { value: ALL, title: t('grid.everybody') },
  ...(answer.value?.groups ?? []).map(({ id, name }) => ({ value: id, title: name })),
]);
const sections = computed(() => [
  { value: ALL, title: t('grid.everywhere') },
  ...(answer.value?.sections ?? []).map(({ id, number, title }) => ({
    value: id,
    title: [number, title ?? t('learner.untitled')].filter((one) => one !== null).join(' '),
  })),
]);

const item = ref(ALL);
const reason = ref('');
const said = ref('');
const { failure, isUnderWay, attempt } = useAttempt();
const choices = computed(() => [
  { value: ALL, title: t('grid.say.choose') },
  ...items.value.map(({ id, title, number }) => ({
    value: id,
    title: [number, title].filter(Boolean).join(' '),
  })),
]);
const maySay = computed(
  () => chosen.value.length > 0 && item.value !== ALL && reason.value.trim() !== '' && !isUnderWay.value,
);
async function say(what: 'marked' | 'unmarked'): Promise<void> {
  const count = chosen.value.length;
  said.value = '';
  if (!(await attempt(() => grid.mark(item.value, what, reason.value.trim())))) return;
  said.value = t(`grid.say.said.${what}`, { count }, count);
  reason.value = '';
}
function cell(person: string, id: string): void {
  item.value = id;
  if (!chosen.value.includes(person)) grid.toggle(person);
}
</script>

<template>
  <main v-if="state === 'there' && answer !== null" id="main" class="page">
    <header>
      <h1>{{ t('grid.title') }}</h1>
      <p class="acts">
        <RouterLink class="button" :to="path`/courses/${courseId}/forecast`">{{
          t('grid.toForecast')
        }}</RouterLink>
        <a class="button" :href="path`/api/courses/${courseId}/progress.csv`" download>{{ t('grid.csv') }}</a>
        <a class="button" :href="path`/api/courses/${courseId}/progress.xapi`" download>{{
          t('grid.xapi')
        }}</a>
      </p>
    </header>
    <p v-if="answer.items.length === 0" class="soft">
      {{ t('grid.noItems') }}
      <RouterLink :to="`/setup/${courseId}/progress`">{{ t('grid.toSetup') }}</RouterLink>
    </p>
    <p v-else-if="answer.people.length === 0" class="soft">{{ t('grid.nobody') }}</p>
    <template v-else>
      <div class="filters">
        <SelectField :label="t('grid.whoLabel')" :value="who" :options="whos" @choose="who = $event" />
        <SelectField
          :label="t('grid.orderLabel')"
          :value="order"
          :options="orders"
          @choose="order = $event"
        />
        <SelectField
          v-if="answer.groups.length > 0"
          :label="t('grid.group')"
          :value="group"
          :options="groups"
          @choose="group = $event"
        />
        <SelectField
          :label="t('grid.section')"
          :value="section"
          :options="sections"
          @choose="section = $event"
        />
      </div>
      <p v-if="stuckAt.length > 0" class="soft">
        {{ t('grid.stuckAt') }}
        <span v-for="one in stuckAt" :key="one.id" class="stuck">
          <span dir="auto">{{ one.title }}</span> <span class="figures">{{ one.count }}</span>
        </span>
      </p>
      <p class="soft legend">
        <span><span aria-hidden="true" class="open">●</span> {{ t('grid.states.done') }}</span>
        <span><span aria-hidden="true" class="open">◆</span> {{ t('grid.states.staff') }}</span>
        <span><span aria-hidden="true" class="late">!</span> {{ t('grid.states.behind') }}</span>
        <span><span aria-hidden="true">·</span> {{ t('grid.states.none') }}</span>
      </p>
      <GridTable
        :label="t('grid.title')"
        :items="items"
        :places="places"
        :people="people"
        :chosen="chosen"
        :person-to="(person) => path`/courses/${courseId}/progress/${person}`"
        @choose="grid.toggle"
        @cell="cell"
      />
      <section class="say" aria-labelledby="say">
        <h2 id="say">{{ t('grid.say.title') }}</h2>
        <p class="soft">{{ t('grid.say.chosen', { count: chosen.length }, chosen.length) }}</p>
        <div class="filters">
          <SelectField :label="t('grid.say.item')" :value="item" :options="choices" @choose="item = $event" />
          <VTextarea
            v-model="reason"
            :label="t('grid.say.reason')"
            rows="1"
            auto-grow
            hide-details
            maxlength="500"
            dir="auto"
          />
          <PushButton weight="main" :disabled="!maySay" @click="say('marked')">{{
            t('grid.say.mark')
          }}</PushButton>
          <PushButton :disabled="!maySay" @click="say('unmarked')">{{ t('grid.say.unmark') }}</PushButton>
        </div>
        <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
        <p class="soft" role="status">{{ said }}</p>
      </section>
    </template>
  </main>
  <LoadState v-else :state="state === 'failed' ? 'failed' : 'loading'" @again="load" />
</template>

<style scoped>
.page {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 14px;
  padding: 20px 20px 40px;
}

header {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
  justify-content: space-between;
}

h1 {
  font-size: 26px;
}

h2 {
  font-size: 17px;
}

.acts,
.filters,
.legend {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: center;
}

.legend {
  gap: 4px 18px;
  font-size: 13.5px;
}

.open {
  color: var(--open);
}

.late {
  color: var(--advice);
  font-weight: 700;
}

.stuck {
  margin-inline-start: 12px;
}

.say {
  display: grid;
  gap: 8px;
}

.say .v-textarea {
  flex: 1 1 260px;
}

.failure {
  color: var(--blocker);
}
</style>
