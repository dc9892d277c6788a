<script setup lang="ts">
/** By paying: what it costs whom and until when, and what has been paid. */
import type { WaysInAnswer } from '@itinerary/contract';
import { MAX_AMOUNT, MAX_MONTHS, PERSON_KINDS } from '@itinerary/core';
import type { PlannedMoment, Price, WayIn } from '@itinerary/core';
import { digitsOf } from '@itinerary/core/people';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { ask } from '../../../api/client.ts';
import { useMomentWords } from '../../../stores/moment-words.ts';
import { usePlan } from '../../../stores/plan.ts';
import { formatAmount } from '../../../words/intl.ts';
import NumberField from '../../../ui/fields/NumberField.vue';
import CheckField from '../../../ui/fields/choice/CheckField.vue';
import SelectField from '../../../ui/fields/choice/SelectField.vue';
import DialogBox from '../../../ui/frame/DialogBox.vue';
import PlainTable from '../../../ui/frame/PlainTable.vue';
import PushButton from '../../../ui/frame/PushButton.vue';
import MomentForm from '../../outline/dialogs/MomentForm.vue';
import { useWaysAct } from './use-ways.ts';
import type { Ways } from './use-ways.ts';
import WayCard from './WayCard.vue';

type Payment = WaysInAnswer['payments'][number];

const props = defineProps<{ held: Ways }>();
const emit = defineEmits<{ said: [words: string] }>();
const { t, locale } = useI18n();
const plan = usePlan();
const when = useMomentWords();
const { failure, isUnderWay, act } = useWaysAct(props.held);
const ways = computed(() => props.held.ways.value);
const zone = computed(() => plan.course?.dates.zone ?? 'UTC');

const CURRENCIES = [
  'AED',
  'AUD',
  'CAD',
  'CHF',
  'CZK',
  'DKK',
  'EUR',
  'GBP',
  'JPY',
  'MAD',
  'NOK',
  'PLN',
  'SEK',
  'USD',
];
const EMPTY: Price = {
  currency: 'EUR',
  amount: 0,
  reduced: null,
  byKind: { teaching: null, staff: null, learner: null, visitor: null },
  months: null,
};
const unit = (price: Price): number => 10 ** digitsOf(price.currency);
/** As it is read: 120.5 of what is kept as 12050. */
const shown = (amount: number | null, price: Price): number | null =>
  amount === null ? null : amount / unit(price);
const kept = (typed: number | null, price: Price): number | null =>
  typed === null ? null : Math.round(typed * unit(price));
const priceOf = ({ price }: WayIn): Price => price ?? EMPTY;
const currencies = (price: Price): { value: string; title: string }[] =>
  [...new Set([...CURRENCIES, price.currency])].map((value) => ({ value, title: value }));
/** The same figure in another currency, whatever its parts are called. */
const inCurrency = (price: Price, currency: string): Price => {
  const of = (amount: number): number => Math.round((amount / unit(price)) * 10 ** digitsOf(currency));
  const some = (amount: number | null): number | null => (amount === null ? null : of(amount));
  const { teaching, staff, learner, visitor } = price.byKind;
  return {
    ...price,
    currency,
    amount: of(price.amount),
    reduced: price.reduced === null ? null : { ...price.reduced, amount: of(price.reduced.amount) },
    byKind: { teaching: some(teaching), staff: some(staff), learner: some(learner), visitor: some(visitor) },
  };
};
const atStart: PlannedMoment = {
  kind: 'relative',
  anchor: { of: 'course', at: 'start' },
  shift: null,
  weekday: null,
  time: null,
};

const columns = computed(() => [
  { title: t('setup.members.ways.paid.who') },
  { title: t('setup.members.ways.paid.amount'), atEnd: true },
  { title: t('setup.members.ways.paid.state') },
  { title: t('setup.members.ways.paid.when') },
  { title: t('setup.members.ways.paid.act'), isTold: true },
]);
const amountOf = ({ amount, currency }: Pick<Payment, 'amount' | 'currency'>): string =>
  formatAmount(amount, currency, locale.value);
const giving = ref<Payment | null>(null);
const isGiving = ref(false);
function askBack(payment: Payment): void {
  giving.value = payment;
  isGiving.value = true;
}
async function giveBack(): Promise<void> {
  const { id, name, ...money } = giving.value!;
  const params = { ...props.held.params.value, payment: id };
  const went = await act(() => ask('POST /api/courses/{course}/ways/payments/{payment}/back', { params }));
  if (!went) return;
  isGiving.value = false;
  emit('said', t('setup.members.ways.paid.gone', { amount: amountOf(money), name }));
}
</script>

<template>
  <WayCard kind="paying" :held="held">
    <template #always>
      <p v-if="ways !== null && !ways.door.hasDesk && plan.course?.ways['paying']?.on" class="no-desk">
        {{ t('setup.members.ways.noDesk') }}
      </p>
      <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
    </template>
    <template #default="{ way, set }">
      <p v-if="way.price === null" class="no-desk">{{ t('setup.members.ways.priced.noPrice') }}</p>
      <div class="pair">
        <SelectField
          :label="t('setup.members.ways.priced.currency')"
          :value="priceOf(way).currency"
          :options="currencies(priceOf(way))"
          :disabled="plan.isReadonly"
          @choose="set({ price: inCurrency(priceOf(way), $event) })"
        />
        <NumberField
          :label="t('setup.members.ways.priced.price')"
          :number="way.price === null ? null : shown(way.price.amount, way.price)"
          :least="0"
          :most="MAX_AMOUNT / unit(priceOf(way))"
          fractions
          :readonly="plan.isReadonly"
          @set="
            set({
              price: $event === null ? null : { ...priceOf(way), amount: kept($event, priceOf(way)) ?? 0 },
            })
          "
        />
      </div>
      <template v-if="way.price !== null">
        <NumberField
          :label="t('setup.members.ways.priced.months')"
          :number="way.price.months"
          :least="1"
          :most="MAX_MONTHS"
          :readonly="plan.isReadonly"
          @set="set({ price: { ...way.price, months: $event } })"
        />
        <p v-if="way.price.months !== null" class="soft">
          {{ t('setup.members.ways.priced.renews', { months: way.price.months }, way.price.months) }}
        </p>
        <CheckField
          :checked="way.price.reduced !== null"
          :disabled="plan.isReadonly"
          @toggle="
            set({
              price: { ...way.price, reduced: $event ? { amount: way.price.amount, until: atStart } : null },
            })
          "
        >
          {{ t('setup.members.ways.priced.reducedOn') }}
        </CheckField>
        <div v-if="way.price.reduced !== null" class="pair">
          <NumberField
            :label="t('setup.members.ways.priced.reduced')"
            :number="shown(way.price.reduced.amount, way.price)"
            :least="0"
            :most="MAX_AMOUNT / unit(way.price)"
            fractions
            required
            :readonly="plan.isReadonly"
            @set="
              set({
                price: {
                  ...way.price,
                  reduced: { ...way.price.reduced, amount: kept($event, way.price) ?? 0 },
                },
              })
            "
          />
          <fieldset :disabled="plan.isReadonly">
            <legend>{{ t('setup.members.ways.priced.until') }}</legend>
            <MomentForm
              id="way-paying-reduced"
              field="until"
              of-course
              required
              :model-value="way.price.reduced.until"
              @update:model-value="
                $event !== null &&
                set({ price: { ...way.price, reduced: { ...way.price.reduced, until: $event } } })
              "
            />
          </fieldset>
        </div>
        <details>
          <summary>{{ t('setup.members.ways.priced.byKind') }}</summary>
          <div class="pair kinds">
            <NumberField
              v-for="kind in PERSON_KINDS"
              :key="kind"
              :label="t(`setup.members.ways.priced.kinds.${kind}`)"
              :number="shown(way.price.byKind[kind], way.price)"
              :least="0"
              :most="MAX_AMOUNT / unit(way.price)"
              fractions
              :readonly="plan.isReadonly"
              @set="
                set({
                  price: { ...way.price, byKind: { ...way.price.byKind, [kind]: kept($event, way.price) } },
                })
              "
            />
          </div>
        </details>
      </template>
      <div
        v-if="ways !== null && ways.payments.length > 0"
        class="long"
        role="region"
        tabindex="0"
        :aria-label="t('setup.members.ways.paid.title')"
      >
        <PlainTable :columns="columns" sticky>
          <tr v-for="one in ways.payments" :key="one.id">
            <td>{{ one.name }}</td>
            <td class="figures end">{{ amountOf(one) }}</td>
            <td>
              <span :class="['state', one.state]">{{
                t(`setup.members.ways.paid.states.${one.state}`)
              }}</span>
              <span v-if="one.receipt !== null" class="soft figures">
                {{ t('setup.members.ways.paid.receipt', { number: one.receipt }) }}
              </span>
              <span v-if="one.state === 'paid' && one.paidUntil !== null" class="soft figures">
                {{
                  t(`setup.members.ways.paid.${one.isStopped ? 'ends' : 'until'}`, {
                    until: when(Date.parse(one.paidUntil), zone),
                  })
                }}
              </span>
            </td>
            <td class="figures">{{ when(Date.parse(one.at), zone) }}</td>
            <td>
              <PushButton
                v-if="one.state === 'paid' && !plan.isReadonly"
                small
                :aria-label="t('setup.members.ways.paid.backTo', { amount: amountOf(one), name: one.name })"
                @click="askBack(one)"
              >
                {{ t('setup.members.ways.paid.back') }}
              </PushButton>
            </td>
          </tr>
        </PlainTable>
      </div>
    </template>
  </WayCard>
  <DialogBox v-model="isGiving" :title="t('setup.members.ways.paid.backTitle')">
    <p v-if="giving">
      {{ t('setup.members.ways.paid.backText', { amount: amountOf(giving), name: giving.name }) }}
    </p>
    <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
    <template #foot>
      <PushButton @click="isGiving = false">{{ t('common.cancel') }}</PushButton>
      <PushButton weight="main" :disabled="isUnderWay" @click="giveBack">
        {{ t('setup.members.ways.paid.back') }}
      </PushButton>
    </template>
  </DialogBox>
</template>

<style scoped>
.pair {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(200px, 1fr));
  gap: 12px;
  align-items: start;
}

.kinds {
  padding-top: 12px;
}

fieldset {
  margin: 0;
  padding: 0;
  border: 0;
}

legend {
  margin-bottom: 4px;
  font-weight: 600;
}

.long {
  max-height: 380px;
  overflow: auto;
}

td > span {
  display: block;
}

.end {
  text-align: end;
}

.state {
  font-weight: 600;
}

.state.paid {
  color: var(--open);
}

.state.refused,
.state.late {
  color: var(--blocker);
}

.no-desk {
  color: var(--advice);
}

.failure {
  color: var(--blocker);
}
</style>
