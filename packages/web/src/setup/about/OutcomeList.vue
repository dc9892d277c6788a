<script setup lang="ts">
/** What learners can do afterwards, and where it is taught and assessed. */
import { IconPlus, IconTrash } from '@tabler/icons-vue';
import { listOutcomes, MAX_OUTCOMES, numberOf, outcomeSchema, setTableEntry } from '@itinerary/core';
import type { Edit, Outcome } from '@itinerary/core';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { newId } from '../../stores/new-id.ts';
import { usePlan } from '../../stores/plan.ts';
import IconButton from '../../ui/frame/IconButton.vue';
import MoveButtons from '../fields/MoveButtons.vue';
import OutcomeField from './OutcomeField.vue';
import PushButton from '../../ui/frame/PushButton.vue';
import { VTextField } from 'vuetify/components/VTextField';

defineProps<{ readonly: boolean }>();
const { t } = useI18n();
const plan = usePlan();
const fresh = ref('');
const outcomes = computed(() => listOutcomes(plan.course!));

const edit = (id: string, value: Outcome | null): Edit => setTableEntry(plan.course!, 'outcomes', id, value);

function add(): void {
  const value = { text: fresh.value.trim(), at: (outcomes.value.at(-1)?.at ?? 0) + 1 };
  if (!outcomeSchema.safeParse(value).success) return;
  // Refused, it stays in its field.
  if (plan.change([edit(newId(), value)])) fresh.value = '';
}

function rename(id: string, text: string): void {
  const outcome = plan.course!.outcomes[id];
  if (outcome !== undefined && text !== '') plan.change([edit(id, { ...outcome, text })], { typing: true });
}

/** Two neighbours change places. */
function move(at: number, step: number): void {
  const [one, other] = [outcomes.value[at], outcomes.value[at + step]];
  if (one === undefined || other === undefined) return;
  plan.change([
    edit(one.id, { text: one.text, at: other.at }),
    edit(other.id, { text: other.text, at: one.at }),
  ]);
}

const numbers = (ids: readonly string[]): string =>
  ids.map((id) => (plan.planned === null ? null : numberOf(plan.planned, id)) ?? '·').join(', ');
</script>

<template>
  <section id="field-outcomes" class="outcomes" tabindex="-1" aria-labelledby="outcomes">
    <h2 id="outcomes">{{ t('setup.outcomes.title') }}</h2>
    <ol v-if="outcomes.length > 0">
      <li v-for="(outcome, at) in outcomes" :key="outcome.id">
        <OutcomeField
          :text="outcome.text"
          :label="t('setup.outcomes.field', { number: at + 1 })"
          :readonly="readonly"
          :keep-as="outcome.id"
          @typed="rename(outcome.id, $event)"
        />
        <span :class="['soft', 'where', { none: outcome.assessedBy.length === 0 }]">
          {{
            outcome.assessedBy.length === 0
              ? t('setup.outcomes.unassessed')
              : t('setup.outcomes.assessedBy', { numbers: numbers(outcome.assessedBy) })
          }}
          <template v-if="outcome.taughtBy.length > 0">
            · {{ t('setup.outcomes.taughtBy', { numbers: numbers(outcome.taughtBy) }) }}
          </template>
        </span>
        <span v-if="!readonly" class="acts">
          <MoveButtons
            words="outcomes"
            :name="outcome.text"
            :is-first="at === 0"
            :is-last="at === outcomes.length - 1"
            @move="move(at, $event)"
          />
          <IconButton
            :icon="IconTrash"
            :label="t('setup.outcomes.remove', { text: outcome.text })"
            :size="16"
            @click="plan.change([edit(outcome.id, null)])"
          />
        </span>
      </li>
    </ol>
    <p v-else class="soft">{{ t('setup.outcomes.none') }}</p>
    <form v-if="!readonly && outcomes.length < MAX_OUTCOMES" class="add" @submit.prevent="add">
      <VTextField
        v-model="fresh"
        density="compact"
        maxlength="300"
        :aria-label="t('setup.outcomes.fresh')"
        :placeholder="t('setup.outcomes.placeholder')"
      />
      <PushButton type="submit">
        <IconPlus :size="16" aria-hidden="true" /> {{ t('setup.outcomes.add') }}
      </PushButton>
    </form>
  </section>
</template>

<style scoped>
.outcomes {
  display: grid;
  gap: 8px;
}

ol {
  display: grid;
  margin: 0;
  padding: 0;
  border-top: 3px solid var(--route);
  background: var(--card);
  list-style: none;
}

li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 0 8px;
  align-items: center;
  padding: 4px 8px;
  border-bottom: 1px solid var(--rule);
}

.where {
  grid-column: 1;
  padding: 0 7px 2px;
  font-size: 13px;
}

.where.none {
  color: var(--advice);
}

.acts {
  grid-area: 1 / 2 / 3;
}

.add {
  display: flex;
  gap: 8px;
}

.add > :first-child {
  flex: 1;
}
</style>
