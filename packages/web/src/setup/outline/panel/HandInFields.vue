<script setup lang="ts">
/** What an assignment takes, by when it is still taken, and what it is marked with. */
import {
  FILE_GROUPS,
  findNode,
  largestFile,
  MAX_ATTACHMENTS,
  MAX_EXAMPLE,
  MAX_HANDED_FILES,
  setField,
} from '@itinerary/core';
import type { Assignment, CourseFileRef, FieldValue, FileGroup, Takes } from '@itinerary/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../../../stores/plan.ts';
import { useSession } from '../../../stores/session.ts';
import NumberField from '../../../ui/fields/NumberField.vue';
import CheckField from '../../../ui/fields/choice/CheckField.vue';
import SelectField from '../../../ui/fields/choice/SelectField.vue';
import SeveralField from '../../../ui/fields/choice/SeveralField.vue';
import DraftField from '../../../ui/fields/DraftField.vue';
import FilesField from '../../files/FilesField.vue';
import TakenFields from './TakenFields.vue';
import PanelPart from './PanelPart.vue';

const props = defineProps<{ item: Assignment; readonly: boolean }>();
const { t } = useI18n();
const plan = usePlan();
const session = useSession();

const set = (field: keyof Assignment, value: FieldValue): void => {
  plan.set(props.item.id, field, value, props.item[field] as FieldValue);
};
/** As it stands when a file has arrived. */
const now = (): Assignment | null => {
  const node = plan.course === null ? undefined : findNode(plan.course, props.item.id)?.node;
  return node?.kind === 'assignment' ? node : null;
};
type Change = (before: readonly CourseFileRef[]) => CourseFileRef[];
function attach(change: Change): void {
  const node = now();
  if (node !== null) plan.change([setField(node, 'attachments', change(node.attachments))]);
}
function giveExample(change: Change): void {
  const node = now();
  if (node === null) return;
  const [file = null] = change(node.exampleFile === null ? [] : [node.exampleFile]).slice(-1);
  plan.change([setField(node, 'exampleFile', file)]);
}
const SHOWN = ['points', 'passed', 'comment'] as const;
const hasExample = computed(() => props.item.exampleWords !== '' || props.item.exampleFile !== null);
const takes = (change: Partial<Takes>): void => set('takes', { ...props.item.takes, ...change });
const kinds = computed(() =>
  FILE_GROUPS.map((value) => ({ value, title: t(`setup.handing.kinds.${value}`) })),
);
/** Which of the three holds the largest file there. */
const limit = computed(() =>
  largestFile(
    session.me?.institution.largestUpload ?? 0,
    plan.course?.largestUpload ?? null,
    props.item.largest,
  ),
);
</script>

<template>
  <PanelPart class="handing" :title="t('setup.handing.title')" :readonly="readonly">
    <CheckField :checked="item.takes.text" :disabled="readonly" @toggle="takes({ text: $event })">
      {{ t('setup.handing.text') }}
    </CheckField>
    <CheckField :checked="item.takes.address" :disabled="readonly" @toggle="takes({ address: $event })">
      {{ t('setup.handing.address') }}
    </CheckField>
    <NumberField
      :key="`${item.id} files`"
      :label="t('setup.handing.files')"
      :number="item.takes.files"
      :least="0"
      :most="MAX_HANDED_FILES"
      required
      :readonly="readonly"
      @set="takes({ files: $event ?? 0 })"
    />
    <template v-if="item.takes.files > 0">
      <SeveralField
        :label="t('setup.handing.kindsTaken')"
        :values="item.takes.kinds"
        :options="kinds"
        :readonly="readonly"
        :hint="item.takes.kinds.length === 0 ? t('setup.handing.anyKind') : t('setup.handing.theseKinds')"
        @choose="takes({ kinds: $event as FileGroup[] })"
      />
      <NumberField
        :key="`${item.id} largest`"
        :label="t('setup.handing.largest')"
        :number="item.largest"
        :least="1"
        :most="2000"
        :readonly="readonly"
        @set="set('largest', $event)"
      />
      <p class="soft">{{ t(`setup.handing.limit.${limit.by}`, { megabytes: limit.megabytes }) }}</p>
    </template>
    <TakenFields :item="item" :readonly="readonly" />
    <SelectField
      :label="t('setup.handing.markShown')"
      :value="item.markShown"
      :options="SHOWN.map((value) => ({ value, title: t(`setup.handing.markShownOf.${value}`) }))"
      :disabled="readonly"
      @choose="set('markShown', $event)"
    />
    <FilesField
      :label="t('setup.handing.attachments')"
      :files="item.attachments"
      :most="MAX_ATTACHMENTS"
      :readonly="readonly"
      :put="attach"
    />
    <details>
      <summary>
        {{ t(hasExample ? 'setup.handing.example' : 'setup.handing.noExample') }}
      </summary>
      <div class="example">
        <p class="soft">{{ t('setup.handing.exampleHint') }}</p>
        <DraftField
          :key="`${item.id} example`"
          :text="item.exampleWords"
          :label="t('setup.handing.exampleWords')"
          :rows="5"
          :most="MAX_EXAMPLE"
          :readonly="readonly"
          :keep-as="`${item.id} example`"
          dir="auto"
          @type="plan.set(item.id, 'exampleWords', $event, item.exampleWords, { typing: true })"
        />
        <FilesField
          :label="t('setup.handing.exampleFile')"
          :files="item.exampleFile === null ? [] : [item.exampleFile]"
          :most="1"
          :readonly="readonly"
          :put="giveExample"
        />
      </div>
    </details>
    <p>
      <RouterLink :to="`/courses/${plan.course?.id ?? ''}/items/${item.id}/coursework`">
        {{ t('setup.handing.look') }}
      </RouterLink>
    </p>
  </PanelPart>
</template>

<style scoped>
.example {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 8px;
}
</style>
