<script setup lang="ts">
/** A class list read, put right, and taken into the course: nothing happens before it has been shown. */
import { IconArrowBack } from '@tabler/icons-vue';
import { computed, nextTick, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../../../stores/plan.ts';
import SeveralField from '../../../ui/fields/choice/SeveralField.vue';
import PushButton from '../../../ui/frame/PushButton.vue';
import { useAttempt } from '../../../words/use-attempt.ts';
import ListColumns from './ListColumns.vue';
import ListGone from './ListGone.vue';
import ListQuestions from './ListQuestions.vue';
import ListRows from './ListRows.vue';
import ListStart from './ListStart.vue';
import { useList } from './use-list.ts';
import { useRefusal } from './use-refusal.ts';
import type { ListSource } from './use-list.ts';

const emit = defineEmits<{ back: []; taken: [words: string] }>();
const { t, n } = useI18n();
const plan = usePlan();
const list = useList(() => plan.course!.id);
const { source, held, there, counts, going, step, isBroken, isAnew, overlong, remove } = list;
const { failure, isUnderWay, attempt } = useAttempt();
const heading = ref<HTMLElement | null>(null);

/** What will happen, in words: the heading, and the press, say the same. */
const comes = computed(() => {
  const parts = (['added', 'changed', 'returning'] as const).flatMap((kind) =>
    counts.value[kind] === 0 ? [] : [t(`setup.members.list.does.${kind}`, counts.value[kind])],
  );
  return [...parts, ...(going.value === 0 ? [] : [t('setup.members.list.does.gone', going.value)])];
});
const isNothing = computed(() => comes.value.length === 0);
const refusal = useRefusal(held);
const classOptions = computed(() =>
  (there.value?.classes ?? []).map(({ name, rows }) => ({ value: name, title: `${name} · ${n(rows)}` })),
);
const where = computed(() => {
  if (there.value === null) return '';
  const { encoding, reading } = there.value;
  return [
    source.value?.name || t('setup.members.list.pasted'),
    t('setup.members.list.rows', reading.rows.length),
    ...(encoding === null ? [] : [encoding.toUpperCase()]),
  ].join(' · ');
});

async function begin(next: ListSource): Promise<void> {
  failure.value = null;
  await list.begin(next);
}
async function take(): Promise<void> {
  const words = t('setup.members.list.taken', { what: comes.value.join(', ') });
  if (await attempt(list.take)) emit('taken', isNothing.value ? t('setup.members.list.takenNothing') : words);
}
/** What has come is read out from its heading. */
watch(there, async (now, before) => {
  if (now === null || before !== null) return;
  await nextTick();
  heading.value?.focus();
});
</script>

<template>
  <div class="reader">
    <p>
      <PushButton small @click="emit('back')">
        <IconArrowBack :size="16" aria-hidden="true" /> {{ t('setup.members.list.back') }}
      </PushButton>
    </p>
    <ListStart v-if="source === null" @come="begin" />
    <template v-else>
      <div class="on" role="status">
        <template v-if="step !== null">
          {{ t(`setup.members.list.steps.${step}`) }}
          <PushButton small @click="list.forget">{{ t('setup.members.list.stop') }}</PushButton>
        </template>
      </div>
      <p v-if="isBroken" class="failure" role="alert">{{ t('setup.members.list.broken') }}</p>
      <p v-if="refusal" class="failure" role="alert">{{ refusal }}</p>
      <p v-if="isAnew" class="anew" role="alert">{{ t('setup.members.list.anew') }}</p>
      <template v-if="there !== null">
        <header class="head">
          <h2 ref="heading" tabindex="-1">
            {{ isNothing ? t('setup.members.list.nothing') : comes.join(', ') }}
          </h2>
          <p class="soft figures">{{ where }}</p>
        </header>
        <ListColumns
          :reading="there.reading"
          :is-kept="there.isKept"
          @choose="list.chooseColumn"
          @heading="list.setHeading"
        />
        <SeveralField
          v-if="there.classes.length > 1"
          :label="t('setup.members.list.only')"
          :values="list.only.value ?? there.classes.map(({ name }) => name)"
          :options="classOptions"
          :least="1"
          chips
          @choose="list.setOnly"
        />
        <ListQuestions
          v-if="there.questions.length > 0"
          :questions="there.questions"
          :answers="list.answers.value"
          @answer="list.answer"
        />
        <ListGone
          v-if="there.reconciliation.gone.length > 0"
          :gone="there.reconciliation.gone"
          :remove="remove"
          @going="list.setGoing"
        />
        <ListRows
          :lines="list.lines.value"
          :counts="counts"
          :left-out="there.reading.leftOut"
          @answer="list.answer"
        />
        <div class="foot">
          <p v-if="overlong" class="failure" role="alert">
            {{ t('setup.members.list.overlong', { line: overlong.line, value: overlong.value }) }}
          </p>
          <p v-if="counts.asked > 0" class="soft">{{ t('setup.members.list.stillAsked', counts.asked) }}</p>
          <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
          <div class="presses">
            <PushButton
              weight="main"
              :disabled="step !== null || isUnderWay || overlong !== null || there.reading.rows.length === 0"
              @click="take"
            >
              {{
                isNothing
                  ? t('setup.members.list.takeNothing')
                  : t('setup.members.list.take', { what: comes.join(', ') })
              }}
            </PushButton>
            <PushButton @click="list.forget">{{ t('setup.members.list.another') }}</PushButton>
          </div>
        </div>
      </template>
      <p v-else-if="step === null">
        <PushButton @click="list.forget">{{ t('setup.members.list.another') }}</PushButton>
      </p>
    </template>
  </div>
</template>

<style scoped>
.reader {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 16px;
}

.on:empty {
  display: none;
}

.on {
  display: flex;
  gap: 12px;
  align-items: center;
}

.head h2 {
  font-size: 20px;
  outline: none;
}

.failure {
  color: var(--blocker);
}

.anew {
  padding: 8px 12px;
  border-inline-start: 4px solid var(--advice);
  background: var(--card);
}

.foot {
  position: sticky;
  bottom: -32px;
  z-index: 2;
  display: grid;
  gap: 6px;
  margin-inline: -26px;
  padding: 12px 26px;
  border-top: 1px solid var(--rule);
  background: var(--mist);
}

.presses {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}

@media (max-width: 1080px) {
  .foot {
    position: static;
    margin-inline: 0;
    padding-inline: 0;
  }
}
</style>
