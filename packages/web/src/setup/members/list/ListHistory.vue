<script setup lang="ts">
/** The lists that people came by, each to be taken back while nothing stands against it. */
import { IconArrowBackUp } from '@tabler/icons-vue';
import type { ListsAnswer } from '@itinerary/contract';
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { ProblemError } from '../../../api/client.ts';
import { dayIn, formatDay, formatTime } from '../../../words/dates.ts';
import { useMembers } from '../../../stores/members.ts';
import { usePlan } from '../../../stores/plan.ts';
import { useSession } from '../../../stores/session.ts';
import PlainTable from '../../../ui/frame/PlainTable.vue';
import PushButton from '../../../ui/frame/PushButton.vue';
import { useAttempt } from '../../../words/use-attempt.ts';

type Taken = ListsAnswer['lists'][number];
const emit = defineEmits<{ said: [words: string] }>();
const { t, locale } = useI18n();
const plan = usePlan();
const members = useMembers();
const session = useSession();
const { failure, isUnderWay, attempt } = useAttempt();
/** Who stands against taking a list back. */
const against = ref<readonly string[]>([]);

const when = (instant: string): string => {
  const { zone } = plan.course!.dates;
  return `${formatDay(dayIn(instant, zone), locale.value, { today: session.today })}, ${formatTime(instant, locale.value, zone)}`;
};
const did = ({ counts }: Taken): string =>
  (['added', 'changed', 'returning', 'removed'] as const)
    .flatMap((kind) => (counts[kind] === 0 ? [] : [t(`setup.members.list.did.${kind}`, counts[kind])]))
    .join(', ') || t('setup.members.list.did.nothing');

async function takeBack({ id, source }: Taken): Promise<void> {
  against.value = [];
  const isBack = await attempt(async () => {
    try {
      await members.takeBackList(id);
    } catch (error) {
      if (error instanceof ProblemError && error.problem.code === 'members_changed') {
        against.value = (error.problem.errors ?? []).map(({ value }) => String(value));
      }
      throw error;
    }
  });
  if (isBack)
    emit('said', t('setup.members.list.tookBack', { list: source || t('setup.members.list.pasted') }));
}
</script>

<template>
  <section aria-labelledby="list-history">
    <h2 id="list-history">{{ t('setup.members.list.history') }}</h2>
    <p v-if="failure" class="failure" role="alert">
      {{ against.length > 0 ? t('setup.members.list.against', { names: against.join(', ') }) : failure }}
    </p>
    <PlainTable
      :columns="[
        { title: t('setup.members.list.historyColumns.when') },
        { title: t('setup.members.list.historyColumns.list') },
        { title: t('setup.members.list.historyColumns.did') },
        { title: t('setup.members.list.historyColumns.by') },
        null,
      ]"
    >
      <tr v-for="list in members.lists" :key="list.id" :class="{ undone: list.undone !== null }">
        <td class="figures">{{ when(list.at) }}</td>
        <td>{{ list.source || t('setup.members.list.pasted') }}</td>
        <td>
          {{ did(list) }}
          <span v-if="list.undone" class="soft">
            · {{ t('setup.members.list.undone', { who: list.undone.by, when: when(list.undone.at) }) }}
          </span>
        </td>
        <td>{{ list.by }}</td>
        <td class="right">
          <PushButton
            v-if="list.undone === null && plan.rights.members && !plan.isReadonly"
            small
            :disabled="isUnderWay"
            @click="takeBack(list)"
          >
            <IconArrowBackUp :size="16" aria-hidden="true" /> {{ t('setup.members.list.takeBack') }}
          </PushButton>
        </td>
      </tr>
    </PlainTable>
  </section>
</template>

<style scoped>
h2 {
  margin: 12px 0 6px;
  font-size: 17px;
}

.undone td {
  color: var(--ink-soft);
}

.failure {
  margin-bottom: 8px;
  color: var(--blocker);
}
</style>
