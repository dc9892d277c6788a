<script setup lang="ts">
/** Adding to the menu: an area, a page of the course, a page of the institution, an address, a group, a divider. */
import { IconPlus } from '@tabler/icons-vue';
import {
  addressSchema,
  allLivingItems,
  AREAS,
  escapeHtml,
  isContentKind,
  livingSections,
  MAX_LABEL,
  newItem,
} from '@itinerary/core';
import type { Area, Leads, MenuEntry } from '@itinerary/core';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { ownWords } from '../../words/own-words.ts';
import { newId } from '../../stores/new-id.ts';
import { usePlan } from '../../stores/plan.ts';
import { useTexts } from '../../stores/texts.ts';
import SelectField from '../../ui/fields/choice/SelectField.vue';
import { inOpening } from './in-opening.ts';
import { useMenu } from './use-menu.ts';
import { useForm } from '../../ui/fields/reading/refusals.ts';
import DraftField from '../../ui/fields/DraftField.vue';
import PushButton from '../../ui/frame/PushButton.vue';

const emit = defineEmits<{ added: [id: string] }>();
const { t, locale } = useI18n();
const plan = usePlan();
const texts = useTexts();
const menu = useMenu();

type Kind = 'area' | 'item' | 'questions' | 'institution' | 'address' | 'group' | 'divider';
const KINDS: readonly Kind[] = ['area', 'item', 'questions', 'institution', 'address', 'group', 'divider'];
const kind = ref<Kind>('area');
const chosen = ref('');
const address = ref('');
const label = ref('');

const isIn = (fits: (leads: Leads) => boolean): boolean =>
  Object.values(plan.course?.menu ?? {}).some(({ leads, removed }) => !removed && fits(leads));

const options = computed<readonly { value: string; title: string }[]>(() => {
  switch (kind.value) {
    case 'area':
      return AREAS.filter((area) => !isIn((leads) => leads.to === 'area' && leads.area === area)).map(
        (area) => ({
          value: area,
          title: t(`learner.areas.${area}`),
        }),
      );
    case 'item':
      return livingSections(plan.course!)
        .flatMap((section) => allLivingItems(section))
        .filter((item) => isContentKind(item.kind))
        .map(({ id, title }) => ({ value: id, title }));
    case 'institution':
      return plan.face.pages
        .filter(({ id }) => !isIn((leads) => leads.to === 'institution' && leads.page === id))
        .map(({ id, names }) => ({ value: id, title: ownWords(names, locale.value) ?? id }));
    default:
      return [];
  }
});
const isList = computed(() => ['area', 'item', 'institution'].includes(kind.value));
const value = computed(() =>
  options.value.some((option) => option.value === chosen.value)
    ? chosen.value
    : (options.value[0]?.value ?? ''),
);
/** A host alone is what people type; it is taken as the secure address that it mostly is. */
const typed = computed(() => {
  const text = address.value.trim();
  return text === '' || /^[a-z]+:/i.test(text) ? text : `https://${text}`;
});
const isAddress = computed(() => addressSchema.safeParse(typed.value).success);
const form = useForm();
const mayAdd = computed(() => {
  if (form.isRefused.value) return false;
  if (isList.value) return value.value !== '';
  if (kind.value === 'address') return isAddress.value;
  return ['divider', 'questions'].includes(kind.value) || label.value.trim() !== '';
});

function leads(kind: Exclude<Kind, 'questions'>): Leads {
  switch (kind) {
    case 'area':
      return { to: 'area', area: value.value as Area };
    case 'item':
      return { to: 'item', item: value.value };
    case 'institution':
      return { to: 'institution', page: value.value };
    case 'address':
      return { to: 'address', address: typed.value };
    case 'group':
      return { to: 'group', group: 'own' };
    case 'divider':
      return { to: 'divider' };
  }
}

/** A discussion that is there for all of the course, with words to begin with; it and its entry are one change. */
async function addQuestions(): Promise<void> {
  const text = await texts.keep(`<p>${escapeHtml(t('setup.menu.questions.text'))}</p>`);
  const { course } = plan;
  if (course === null) return;
  const node = newItem('discussion', { id: newId(), title: t('setup.menu.questions.title'), text });
  const edit = inOpening(course, node, t('setup.menu.start.section'));
  const added = menu.add({ to: 'item', item: node.id }, {}, [edit]);
  if (added !== null) emit('added', added);
}
function add(): void {
  if (!mayAdd.value) return;
  if (kind.value === 'questions') {
    void addQuestions();
    return;
  }
  const name = label.value.trim();
  const names: MenuEntry['names'] = name === '' || isList.value ? {} : { [locale.value]: name };
  const made = leads(kind.value);
  // An area that was removed comes back as it was, with the name that it had.
  const before = Object.entries(plan.course?.menu ?? {}).find(
    ([, entry]) =>
      entry.removed && made.to === 'area' && entry.leads.to === 'area' && entry.leads.area === made.area,
  );
  if (before !== undefined) menu.change(before[0], { removed: false, shown: true });
  const added = before === undefined ? menu.add(made, names) : before[0];
  // Refused: what was typed stays, for when there is room.
  if (added === null) return;
  emit('added', added);
  address.value = '';
  label.value = '';
  chosen.value = '';
}
</script>

<template>
  <form class="add" @submit.prevent="add">
    <SelectField
      :label="t('setup.menu.add.what')"
      :value="kind"
      :options="KINDS.map((one) => ({ value: one, title: t(`setup.menu.add.kinds.${one}`) }))"
      @choose="kind = $event"
    />
    <SelectField
      v-if="isList && options.length > 0"
      class="grows"
      :label="t('setup.menu.add.which')"
      :value="value"
      :options="options"
      @choose="chosen = $event"
    />
    <p v-else-if="isList" class="soft grows">{{ t('setup.menu.add.none') }}</p>
    <p v-else-if="kind === 'questions'" class="soft grows">{{ t('setup.menu.questions.hint') }}</p>
    <DraftField
      v-if="kind === 'address'"
      :text="address"
      class="grows"
      inputmode="url"
      :most="2000"
      placeholder="https://"
      :label="t('setup.menu.add.address')"
      @type="address = $event"
    />
    <DraftField
      v-if="kind === 'address' || kind === 'group'"
      :text="label"
      class="grows"
      :most="MAX_LABEL"
      :label="t('setup.menu.add.label')"
      @type="label = $event"
    />
    <PushButton type="submit" :disabled="!mayAdd">
      <IconPlus :size="17" aria-hidden="true" /> {{ t('setup.menu.add.act') }}
    </PushButton>
    <p v-if="kind === 'address' && address.trim() !== '' && !isAddress" class="wrong" role="alert">
      {{ t('setup.menu.add.notAddress', { address }) }}
    </p>
  </form>
</template>

<style scoped>
.add {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: center;
  padding: 10px 12px;
  background: var(--mist);
}

.grows {
  flex: 1;
  min-width: 170px;
}

.wrong {
  width: 100%;
  color: var(--blocker);
}
</style>
