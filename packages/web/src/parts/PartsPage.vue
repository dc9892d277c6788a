<script setup lang="ts">
/**
 * The small parts that every screen is made of, each in its states, side by side: for whoever changes one, and for the
 * tests, which type into its fields. It is there in development and where the clock stands, and no part of the product;
 * its headings are the names of files.
 */
import { IconPencil, IconTrash } from '@tabler/icons-vue';
import { computed, provide, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { useSession } from '../stores/session.ts';
import { LOCALES } from '../words/i18n.ts';
import type { Locale } from '../words/i18n.ts';
import CheckField from '../ui/fields/choice/CheckField.vue';
import ChoiceList from '../ui/fields/choice/ChoiceList.vue';
import ChoiceTiles from '../ui/fields/choice/ChoiceTiles.vue';
import { COURSE_DAYS } from '../ui/fields/when/day-context.ts';
import type { DayMark } from '../ui/fields/when/day-context.ts';
import FindField from '../ui/fields/FindField.vue';
import MonthPicker from '../ui/fields/when/MonthPicker.vue';
import PersonField from '../ui/fields/choice/PersonField.vue';
import SelectField from '../ui/fields/choice/SelectField.vue';
import SeveralField from '../ui/fields/choice/SeveralField.vue';
import AppBar from '../ui/frame/AppBar.vue';
import DialogBox from '../ui/frame/DialogBox.vue';
import IconButton from '../ui/frame/IconButton.vue';
import PlainTable from '../ui/frame/PlainTable.vue';
import PushButton from '../ui/frame/PushButton.vue';
import FieldParts from './FieldParts.vue';
import WordParts from './WordParts.vue';

const { t } = useI18n();
const session = useSession();

/** Headings are the names of files, in every language. */
const FILES = {
  all: 'ui',
  buttons: 'PushButton',
  choices: 'SelectField, SeveralField, PersonField, CheckField, ChoiceList, ChoiceTiles, FindField',
  tables: 'MonthPicker, PlainTable',
  dialog: 'DialogBox',
};
const day = ref<string | null>('2027-02-22');

const WEIGHTS = ['usual', 'main', 'go', 'bare'] as const;
const words = (weight: (typeof WEIGHTS)[number]): string =>
  t(weight === 'bare' ? 'common.cancel' : 'common.signIn.enter');
const appearances = computed(() =>
  (['system', 'light', 'dark'] as const).map((value) => ({
    value,
    title: t(`common.account.appearances.${value}`),
  })),
);
const tiles = computed(() => appearances.value.map((one) => ({ ...one, text: t('common.signIn.promise') })));
const appearance = ref<'system' | 'light' | 'dark'>('light');
const languages = computed(() => LOCALES.map((value) => ({ value, title: t(`common.languages.${value}`) })));
const several = ref<Locale[]>(['en', 'ar']);
const people = [
  { id: 'ines', name: 'Inês Carvalhal', about: 'ines.carvalhal@ternpoint.example' },
  { id: 'noor', name: 'Noor Rahimi', about: 'noor.rahimi@ternpoint.example' },
  { id: 'pavel', name: 'Pavel Dvořan', about: 'pavel.dvoran@ternpoint.example' },
];
const person = ref<string | null>('noor');
const isTrue = ref(true);
const isOpen = ref(false);
const find = ref('');

/** A course of three weeks with a pause in it. */
const MARKS: Readonly<Record<string, DayMark>> = {
  '2027-02-08': { kind: 'week', words: '1' },
  '2027-02-15': { kind: 'week', words: '2' },
  '2027-02-22': { kind: 'pause', words: t('common.close') },
  '2027-02-23': { kind: 'pause', words: t('common.close') },
  '2027-02-28': { kind: 'last', words: '3' },
};
provide(
  COURSE_DAYS,
  computed(() => ({
    today: session.today,
    first: null,
    weekStart: 1,
    markOf: (iso: string) => MARKS[iso] ?? null,
  })),
);
</script>

<template>
  <AppBar />
  <main id="main" class="parts">
    <h1>{{ FILES.all }}</h1>
    <section aria-label="PushButton">
      <h2>{{ FILES.buttons }}</h2>
      <p v-for="isSmall in [false, true]" :key="String(isSmall)" class="row">
        <PushButton v-for="weight in WEIGHTS" :key="weight" :weight="weight" :small="isSmall">
          {{ words(weight) }}
        </PushButton>
        <PushButton :small="isSmall" disabled>{{ t('common.signIn.enter') }}</PushButton>
        <PushButton :small="isSmall" to="/desk">{{ t('common.toDesk') }}</PushButton>
      </p>
      <p class="row">
        <IconButton :icon="IconPencil" :label="t('common.account.appearance')" />
        <IconButton :icon="IconTrash" :label="t('common.close')" disabled />
        <PushButton @click="isOpen = true">{{ FILES.dialog }}</PushButton>
      </p>
    </section>
    <FieldParts />
    <WordParts />
    <section aria-label="choices">
      <h2>{{ FILES.choices }}</h2>
      <div class="grid">
        <SelectField
          :label="t('common.account.appearance')"
          :value="appearance"
          :options="appearances"
          @choose="appearance = $event"
        />
        <SelectField
          bare
          :label="t('common.account.language')"
          :value="appearance"
          :options="appearances"
          @choose="appearance = $event"
        />
        <SeveralField
          :label="t('common.account.language')"
          :values="several"
          :options="languages"
          chips
          @choose="several = $event"
        />
        <PersonField label="person" :person="person" :people="people" @choose="person = $event" />
        <FindField v-model="find" :label="t('common.palette.find')" />
        <CheckField :checked="isTrue" @toggle="isTrue = $event">{{ t('common.signIn.promise') }}</CheckField>
        <CheckField :checked="!isTrue" disabled>{{ t('common.signIn.promise') }}</CheckField>
        <ChoiceList
          :legend="t('common.account.appearance')"
          :choices="appearances"
          :chosen="appearance"
          @choose="appearance = $event"
        />
      </div>
      <ChoiceTiles
        :legend="t('common.account.appearance')"
        :tiles="tiles"
        :chosen="appearance"
        @choose="appearance = $event"
      />
    </section>
    <section aria-label="MonthPicker">
      <h2>{{ FILES.tables }}</h2>
      <div class="row">
        <MonthPicker :day="day" @pick="day = $event" />
        <PlainTable :columns="[{ title: t('common.account.language') }, { title: 'ISO', atEnd: true }]">
          <tr v-for="code in ['en', 'es', 'fr', 'ar'] as const" :key="code">
            <th scope="row">{{ t(`common.languages.${code}`) }}</th>
            <td class="right figures">{{ code }}</td>
          </tr>
        </PlainTable>
      </div>
    </section>
    <DialogBox v-model="isOpen" :title="FILES.dialog">
      <p>{{ t('common.signIn.promise') }}</p>
      <template #foot>
        <PushButton weight="main" @click="isOpen = false">{{ t('common.close') }}</PushButton>
      </template>
    </DialogBox>
  </main>
</template>

<style scoped>
.parts {
  display: grid;
  gap: 20px;
  max-width: 1080px;
  margin: 0 auto;
  padding: 24px 16px 48px;
}

section,
.parts :deep(section) {
  display: grid;
  gap: 12px;
  padding-top: 12px;
  border-top: 1px solid var(--rule);
}

.row {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: start;
}

.grid,
.parts :deep(.grid) {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(240px, 1fr));
  gap: 14px;
  align-items: start;
}
</style>
