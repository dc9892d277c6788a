<script setup lang="ts">
/** What was handed in of one assignment: people at one side, the work beside its mark at the other. */
import { IconArrowLeft } from '@tabler/icons-vue';
import { computed, nextTick, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute } from 'vue-router';
import { path } from '../api/client.ts';
import { useMomentWords } from '../stores/moment-words.ts';
import { useSession } from '../stores/session.ts';
import ChoiceList from '../ui/fields/choice/ChoiceList.vue';
import SelectField from '../ui/fields/choice/SelectField.vue';
import LoadState from '../ui/frame/LoadState.vue';
import PushButton from '../ui/frame/PushButton.vue';
import { setTitle } from '../words/page-title.ts';
import WorkBeside from './WorkBeside.vue';
import { useBegunMarks } from './use-begun-mark.ts';
import { SHOWN, useMarking } from './use-marking.ts';
import type { Worker } from './use-marking.ts';

const { t } = useI18n();
const route = useRoute();
const when = useMomentWords();
const courseId = String(route.params['course']);
const itemId = String(route.params['item']);
const marking = useMarking(courseId, itemId);
const begunFor = useBegunMarks(courseId, useSession().person?.id ?? '');
const { list, shown, group, people, person, looked, counts, next } = marking;
/** What is begun of the mark of what is looked at. */
const begun = computed(() =>
  looked.value === null ? null : begunFor(looked.value.id, looked.value.marks[0] ?? null),
);
const state = ref<'loading' | 'there' | 'failed'>('loading');
const isAway = ref(false);
const beside = ref<{ focus: () => void } | null>(null);

async function load(): Promise<void> {
  state.value = 'loading';
  try {
    await marking.load();
    state.value = 'there';
    setTitle(t('work.marking.title', { title: list.value?.item.title ?? '' }));
  } catch {
    state.value = 'failed';
  }
}
void load();

const example = computed(() => ({
  words: list.value?.item.exampleWords ?? '',
  file: list.value?.item.exampleFile?.name ?? null,
  href: path`/api/courses/${courseId}/items/${itemId}/coursework/example`,
}));
const choices = computed(() =>
  SHOWN.map((value) => ({
    value,
    title: t(`work.marking.shown.${value}`),
    text: String(counts.value[value]),
  })),
);
/** The library takes null for nothing chosen. */
const EVERYBODY = '';
const groups = computed(() => [
  { value: EVERYBODY, title: t('work.marking.everybody') },
  ...(list.value?.groups ?? []).map(({ id, name }) => ({ value: id, title: name })),
]);
const stands = (one: Worker): string => {
  if (one.handIn === null) return t('work.marking.nothing');
  const total = list.value?.item.total ?? null;
  if (one.isMarked) {
    return one.points === null || total === null
      ? t('work.marking.looked')
      : t('work.marking.points', { points: one.points, total });
  }
  return when(Date.parse(one.at ?? ''), list.value?.zone ?? 'UTC');
};

async function look(whom: string): Promise<void> {
  isAway.value = false;
  try {
    await marking.look(whom);
  } catch {
    isAway.value = true;
  }
}
async function goOn(): Promise<void> {
  const whom = next.value?.person;
  if (whom === undefined) return;
  await look(whom);
  await nextTick();
  beside.value?.focus();
}
watch(shown, () => (person.value = null));
</script>

<template>
  <main v-if="state === 'there' && list !== null" id="main" class="page">
    <RouterLink class="back" :to="`/courses/${courseId}/items/${itemId}`">
      <IconArrowLeft :size="17" aria-hidden="true" /> {{ list.item.title }}
    </RouterLink>
    <h1>{{ t('work.marking.title', { title: list.item.title }) }}</h1>
    <div class="sides">
      <div class="people">
        <SelectField
          v-if="groups.length > 1"
          :label="t('work.marking.group')"
          :value="group ?? EVERYBODY"
          :options="groups"
          @choose="group = $event === EVERYBODY ? null : $event"
        />
        <ChoiceList
          :legend="t('work.marking.show')"
          legend-hidden
          :choices="choices"
          :chosen="shown"
          @choose="shown = $event"
        />
        <p v-if="people.length === 0" class="soft">{{ t('work.marking.nobody') }}</p>
        <ul :aria-label="t('work.marking.people')" tabindex="0">
          <li v-for="one in people" :key="one.person">
            <PushButton
              weight="bare"
              :class="['one', { here: one.person === person }]"
              :aria-current="one.person === person ? 'true' : undefined"
              @click="look(one.person)"
            >
              <span class="name">{{ one.name ?? t('work.marking.nameless') }}</span>
              <span class="soft figures">
                {{ stands(one) }} <strong v-if="one.isLate">{{ t('work.marking.late') }}</strong>
              </span>
            </PushButton>
          </li>
        </ul>
      </div>
      <div class="work">
        <p v-if="isAway" class="failure" role="alert">{{ t('work.marking.away') }}</p>
        <p v-if="person === null" class="soft">{{ t('work.marking.choose') }}</p>
        <WorkBeside
          v-else-if="looked !== null && begun !== null"
          :key="looked.id"
          ref="beside"
          :course-id="courseId"
          :looked="looked"
          :begun="begun"
          :total="list.item.total"
          :pass-at="list.item.passAt"
          :zone="list.zone"
          :has-next="next !== null"
          :example="example"
          :mark="marking.mark"
          :note="marking.note"
          :drop-note="marking.dropNote"
          @next="goOn"
        />
        <p v-else-if="people.find((one) => one.person === person)?.handIn === null" class="soft">
          {{ t('work.marking.nothing') }}
        </p>
      </div>
    </div>
  </main>
  <LoadState v-else :state="state" @again="load" />
</template>

<style scoped>
.page {
  max-width: 1240px;
  margin: 0 auto;
  padding: 20px 16px 48px;
}

.back {
  display: inline-flex;
  gap: 6px;
  align-items: center;
  margin-bottom: 8px;
}

h1 {
  margin-bottom: 14px;
  font-size: 26px;
}

.sides {
  display: grid;
  grid-template-columns: minmax(240px, 320px) minmax(0, 1fr);
  gap: 20px;
  align-items: start;
}

@media (width <= 800px) {
  .sides {
    grid-template-columns: minmax(0, 1fr);
  }
}

.people {
  position: sticky;
  top: 64px;
}

.people ul {
  max-height: calc(100vh - 270px);
  overflow: auto;
}

@media (width <= 800px) {
  .people {
    position: static;
  }

  .people ul {
    max-height: 40vh;
  }
}

ul {
  margin: 12px 0 0;
  padding: 0;
  border-top: 3px solid var(--route);
  list-style: none;
}

li {
  border-bottom: 1px solid var(--rule);
}

.one {
  display: grid !important;
  grid-template-columns: minmax(0, 1fr);
  gap: 0;
  justify-items: start;
  width: 100%;
  height: auto !important;
  padding: 7px 10px;
  border-radius: 0;
  text-align: start;
  white-space: normal;
}

.one :deep(.v-btn__content) {
  display: grid;
  justify-items: start;
  white-space: normal;
}

.one.here {
  background: var(--bottle-pale);
}

.one .soft {
  font-size: 13px;
}

.one strong {
  color: var(--advice);
}

.failure {
  color: var(--blocker);
}
</style>
