<script setup lang="ts">
/** The institution's own pages, kept in one place by its staff: every menu can lead to them. */
import { IconPencil, IconPlus, IconTrash } from '@tabler/icons-vue';
import type { InstitutionPagesAnswer } from '@itinerary/contract';
import type { Area, InstitutionPage, Language } from '@itinerary/core';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { ask } from '../api/client.ts';
import { LOCALES } from '../words/i18n.ts';
import { ownWords } from '../words/own-words.ts';
import { AREA_PATHS } from '../words/menu-words.ts';
import { newId } from '../stores/new-id.ts';
import { useSession } from '../stores/session.ts';
import IconButton from '../ui/frame/IconButton.vue';
import SelectField from '../ui/fields/choice/SelectField.vue';
import KeepingDialog from './KeepingDialog.vue';
import { useKeeping } from './use-keeping.ts';
import { useForm } from '../ui/fields/reading/refusals.ts';
import DraftField from '../ui/fields/DraftField.vue';
import PushButton from '../ui/frame/PushButton.vue';

const isOpen = defineModel<boolean>({ required: true });
const { t, locale } = useI18n();
const session = useSession();
const { failure, said, isBusy, attempt } = useKeeping();
const pages = computed(() => session.me?.institution.pages ?? []);
const nameOf = ({ names, address }: InstitutionPage): string => ownWords(names, locale.value) ?? address;

const USES: readonly InstitutionPage['use'][] = ['site', 'help', 'library', 'policies', 'other'];
const form = useForm();
interface Draft {
  id: string;
  use: InstitutionPage['use'];
  names: Record<Language, string>;
  address: string;
  beside: Area | '';
}
const draft = ref<Draft | null>(null);

function open(page: InstitutionPage | null): void {
  const names = { en: '', es: '', fr: '', ar: '', ...page?.names };
  failure.value = null;
  draft.value = {
    id: page?.id ?? newId(),
    use: page?.use ?? 'other',
    names,
    address: page?.address ?? '',
    beside: page?.beside ?? '',
  };
}

function keep(answer: Promise<InstitutionPagesAnswer>, done: string): Promise<boolean> {
  return attempt(async () => {
    session.keepOfInstitution({ pages: (await answer).pages });
    return done;
  });
}

async function save(): Promise<void> {
  const now = draft.value;
  if (now === null || form.isRefused.value) return;
  const names = Object.fromEntries(Object.entries(now.names).filter(([, name]) => name.trim() !== ''));
  const body = {
    use: now.use,
    names,
    address: now.address,
    beside: now.use === 'help' && now.beside !== '' ? now.beside : null,
  };
  const kept = await keep(
    ask('PUT /api/institution/pages/{page}', { params: { page: now.id }, body }),
    t('desk.pages.kept'),
  );
  if (kept) draft.value = null;
}
async function remove(page: InstitutionPage): Promise<void> {
  await keep(
    ask('DELETE /api/institution/pages/{page}', { params: { page: page.id } }),
    t('desk.pages.removed', { name: nameOf(page) }),
  );
}
const besides = computed(() => [
  { value: '' as const, title: t('desk.pages.everywhere') },
  ...(Object.keys(AREA_PATHS) as Area[]).map((area) => ({ value: area, title: t(`learner.areas.${area}`) })),
]);

function setAddress(address: string): void {
  if (draft.value !== null) draft.value.address = address;
}
function setName(language: (typeof LOCALES)[number], name: string): void {
  if (draft.value !== null) draft.value.names[language] = name;
}
</script>

<template>
  <KeepingDialog
    v-model="isOpen"
    :title="t('desk.pages.title')"
    :text="t('desk.pages.text')"
    :width="680"
    :failure="failure"
    :said="said"
  >
    <ul v-if="draft === null">
      <li v-for="page in pages" :key="page.id">
        <span>
          {{ nameOf(page) }}
          <span class="soft">{{
            [t(`desk.pages.uses.${page.use}`), page.beside ? t(`learner.areas.${page.beside}`) : '']
              .filter(Boolean)
              .join(' · ')
          }}</span>
        </span>
        <IconButton
          :icon="IconPencil"
          :label="t('desk.pages.change', { name: nameOf(page) })"
          :size="16"
          @click="open(page)"
        />
        <IconButton
          :icon="IconTrash"
          :label="t('desk.holidays.remove', { name: nameOf(page) })"
          :size="16"
          :disabled="isBusy"
          @click="remove(page)"
        />
      </li>
    </ul>
    <form v-else id="institution-page" class="form" @submit.prevent="save">
      <SelectField
        :label="t('desk.pages.use')"
        :value="draft.use"
        :options="USES.map((use) => ({ value: use, title: t(`desk.pages.uses.${use}`) }))"
        @choose="draft.use = $event"
      />
      <SelectField
        v-if="draft.use === 'help'"
        :label="t('desk.pages.beside')"
        :value="draft.beside"
        :options="besides"
        @choose="draft.beside = $event"
      />
      <DraftField
        :text="draft?.address ?? ''"
        @type="setAddress"
        class="whole"
        inputmode="url"
        :most="2000"
        placeholder="https://"
        required
        :label="t('desk.pages.address')"
      />
      <DraftField
        v-for="language in LOCALES"
        :key="language"
        :text="draft?.names[language] ?? ''"
        @type="setName(language, $event)"
        :most="60"
        :lang="language"
        :label="t('desk.pages.nameIn', { language: t(`common.languages.${language}`) })"
      />
    </form>
    <template #foot>
      <template v-if="draft">
        <PushButton @click="draft = null">{{ t('common.cancel') }}</PushButton>
        <PushButton weight="main" type="submit" form="institution-page" :disabled="isBusy">
          {{ t('desk.pages.keep') }}
        </PushButton>
      </template>
      <template v-else>
        <PushButton @click="open(null)">
          <IconPlus :size="17" aria-hidden="true" /> {{ t('desk.pages.add') }}
        </PushButton>
        <PushButton weight="main" @click="isOpen = false">{{ t('common.close') }}</PushButton>
      </template>
    </template>
  </KeepingDialog>
</template>

<style scoped>
li {
  grid-template-columns: minmax(0, 1fr) 34px 34px;
  gap: 4px;
}

.form {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(240px, 1fr));
  gap: 10px;
  margin-top: 12px;
}

.whole {
  grid-column: 1 / -1;
}
</style>
