<script setup lang="ts">
/** Who waits for a seat, in their order, and for whom one is kept. */
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { ask } from '../../../api/client.ts';
import { useMomentWords } from '../../../stores/moment-words.ts';
import { usePlan } from '../../../stores/plan.ts';
import PushButton from '../../../ui/frame/PushButton.vue';
import { useWaysAct } from './use-ways.ts';
import type { Ways } from './use-ways.ts';

const props = defineProps<{ held: Ways }>();
const emit = defineEmits<{ said: [words: string] }>();
const { t } = useI18n();
const plan = usePlan();
const when = useMomentWords();
const { failure, isUnderWay, act } = useWaysAct(props.held);
const zone = computed(() => plan.course?.dates.zone ?? 'UTC');
const ways = computed(() => props.held.ways.value);
const at = (iso: string): string => when(Date.parse(iso), zone.value);

async function takeOut(person: string, name: string): Promise<void> {
  const params = props.held.params.value;
  const body = { people: [person] };
  if (await act(() => ask('POST /api/courses/{course}/ways/line', { params, body }))) {
    emit('said', t('setup.members.ways.waiting.gone', { name }));
  }
}
</script>

<template>
  <section v-if="ways !== null" class="line asked" aria-labelledby="ways-line">
    <template v-if="ways.held.length > 0">
      <h3>{{ t('setup.members.ways.waiting.held') }}</h3>
      <ul class="people">
        <li v-for="(one, index) in ways.held" :key="index">
          <strong>{{ one.name }}</strong>
          <span class="soft">{{
            t(`setup.members.ways.waiting.kinds.${one.kind}`, { until: at(one.lapsesAt) })
          }}</span>
        </li>
      </ul>
    </template>
    <h3 id="ways-line">{{ t('setup.members.ways.waiting.title') }}</h3>
    <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
    <ol class="people">
      <li v-for="(one, index) in ways.waiting" :key="one.person">
        <span class="figures place">{{ t('setup.members.ways.waiting.place', { place: index + 1 }) }}</span>
        <strong>{{ one.name }}</strong>
        <span class="soft">{{ t('setup.members.ways.waiting.since', { when: at(one.since) }) }}</span>
        <span v-if="one.line === 'way'" class="soft">
          {{ t('setup.members.ways.waiting.ofWay', { way: t(`setup.members.ways.${one.way}`) }) }}
        </span>
        <PushButton
          v-if="!plan.isReadonly"
          small
          :disabled="isUnderWay"
          :aria-label="t('setup.members.ways.waiting.outOf', { name: one.name })"
          @click="takeOut(one.person, one.name)"
        >
          {{ t('setup.members.ways.waiting.out') }}
        </PushButton>
      </li>
    </ol>
  </section>
</template>

<style scoped src="../asked.css"></style>

<style scoped>
.people > li > :last-child:is(button) {
  margin-inline-start: auto;
}

.place {
  min-width: 2.5ch;
}
</style>
