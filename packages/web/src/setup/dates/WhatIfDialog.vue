<script setup lang="ts">
/** What a change to the dates would do, as a table, before it is done. */
import { IconArrowNarrowRight } from '@tabler/icons-vue';
import { findNode, numberOf, planCourse } from '@itinerary/core';
import type { Shift, When } from '@itinerary/core';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { formatDay, formatDays } from '../../words/dates.ts';
import { sectionTitle } from '../../learner/words/titles.ts';
import PlainTable from '../../ui/frame/PlainTable.vue';
import { usePlan } from '../../stores/plan.ts';
import { useSession } from '../../stores/session.ts';
import DialogBox from '../../ui/frame/DialogBox.vue';
import type { Proposals } from './what-if.ts';
import PushButton from '../../ui/frame/PushButton.vue';
import CheckField from '../../ui/fields/choice/CheckField.vue';

const props = defineProps<{ proposals: Proposals }>();
const { t, locale } = useI18n();
const plan = usePlan();
const session = useSession();

const proposal = computed(() => props.proposals.open.value);
const isOpen = computed({
  get: () => proposal.value !== null,
  set: (open) => {
    if (!open) props.proposals.drop();
  },
});

const when = (at: When | null): string => {
  if (at === null) return t('setup.whatIf.noDate');
  const { today } = session;
  if (at.first !== at.last) return formatDays(at.first, at.last, locale.value, today);
  const day = formatDay(at.first, locale.value, { today });
  return at.time === null ? day : `${day} ${at.time}`;
};

/** Numbers as they will be. */
const planned = computed(() => (proposal.value === null ? null : planCourse(proposal.value.after)));

function titleOf(shift: Shift): string {
  const node = plan.course === null ? undefined : findNode(plan.course, shift.target)?.node;
  if (node === undefined) return '';
  if (node.kind !== 'section') return node.title;
  return sectionTitle({ title: node.title, days: shift.to ?? shift.from }, t, locale.value);
}

const curable = computed(() => proposal.value?.result.shifts.filter(({ cure }) => cure !== null) ?? []);
const along = ref(true);
watch(proposal, () => (along.value = true));

const counts = computed(() => {
  const shifts = proposal.value?.result.shifts ?? [];
  const of = (...verdicts: Shift['verdict'][]): number =>
    shifts.filter(({ verdict }) => verdicts.includes(verdict)).length;
  return { moves: of('moves', 'gains'), lost: of('loses', 'leaves'), behind: of('stays_behind') };
});

function accept(): void {
  props.proposals.accept(along.value ? curable.value.flatMap(({ cure }) => cure ?? []) : []);
}
</script>

<template>
  <DialogBox v-model="isOpen" :title="t('setup.whatIf.title')" :width="820">
    <template v-if="proposal">
      <p class="sum">
        {{ t('setup.whatIf.moves', { count: counts.moves }, counts.moves) }}
        <template v-if="proposal.result.unmoved > 0">
          {{ t('setup.whatIf.unmoved', { count: proposal.result.unmoved }, proposal.result.unmoved) }}
        </template>
        <template v-if="proposal.result.lastDay.from !== proposal.result.lastDay.to">
          {{
            t('setup.whatIf.lastDay', {
              from: proposal.result.lastDay.from
                ? formatDay(proposal.result.lastDay.from, locale, { today: session.today })
                : t('setup.whatIf.noDate'),
              to: proposal.result.lastDay.to
                ? formatDay(proposal.result.lastDay.to, locale, { today: session.today })
                : t('setup.whatIf.noDate'),
            })
          }}
        </template>
      </p>
      <ul v-if="proposal.result.aside.length > 0" class="aside">
        <li v-for="one in proposal.result.aside" :key="one.what">
          {{ t(`setup.whatIf.aside.${one.what}`, { count: one.count }, one.count) }}
        </li>
      </ul>
      <div
        v-if="proposal.result.shifts.length > 0"
        class="scroll"
        tabindex="0"
        role="region"
        :aria-label="t('setup.whatIf.table')"
      >
        <PlainTable
          sticky
          :columns="[
            { title: t('setup.whatIf.columns.what') },
            { title: t('setup.whatIf.columns.from') },
            { title: '→', isTold: true },
            { title: t('setup.whatIf.columns.to') },
            { title: t('setup.whatIf.columns.verdict') },
          ]"
        >
          <tr
            v-for="shift in proposal.result.shifts"
            :key="`${shift.target} ${shift.what}`"
            :class="[shift.what, shift.verdict]"
          >
            <td class="title">
              <span class="figures number">{{ (planned && numberOf(planned, shift.target)) ?? '·' }}</span>
              {{ titleOf(shift) }}
              <span v-if="shift.what !== 'section'" class="soft">{{
                t(`setup.whatIf.what.${shift.what}`)
              }}</span>
            </td>
            <td class="figures">{{ when(shift.from) }}</td>
            <td class="arrow"><IconArrowNarrowRight :size="16" aria-hidden="true" /></td>
            <td class="figures">{{ when(shift.to) }}</td>
            <td class="verdict">{{ t(`setup.whatIf.verdicts.${shift.verdict}`) }}</td>
          </tr>
        </PlainTable>
      </div>
      <CheckField v-if="curable.length > 0" class="along" :checked="along" @toggle="along = $event">
        {{ t('setup.whatIf.along', { count: curable.length }, curable.length) }}
      </CheckField>
    </template>
    <template #foot>
      <PushButton @click="proposals.drop()">{{ t('setup.whatIf.drop') }}</PushButton>
      <PushButton weight="main" @click="accept">{{ t('setup.whatIf.accept') }}</PushButton>
    </template>
  </DialogBox>
</template>

<style scoped>
.sum {
  margin-bottom: 10px;
}

.aside {
  margin-bottom: 10px;
  padding: 8px 12px 8px 28px;
  border-inline-start: 4px solid var(--advice);
  background: var(--advice-pale);
}

.scroll {
  max-height: min(46vh, 420px);
  overflow: auto;
  border-top: 3px solid var(--route);
}

td {
  white-space: nowrap;
}

.title {
  width: 100%;
  white-space: normal;
}

.section .title {
  font-weight: 600;
}

.number {
  display: inline-block;
  min-width: 34px;
  color: var(--ink-soft);
  font-weight: 400;
}

.arrow {
  padding: 0;
  color: var(--ink-soft);
}

.verdict {
  color: var(--ink-soft);
  font-size: 13px;
}

.loses .verdict,
.leaves .verdict {
  color: var(--blocker);
  font-weight: 600;
}

.stays_behind .verdict {
  color: var(--advice);
  font-weight: 600;
}

.along {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 32px;
  margin-top: 10px;
}
</style>
