<script setup lang="ts">
/** Contact cards, written once for the menu, the home page and every text in which they stand. */
import { IconEye, IconEyeOff, IconPlus, IconTrash } from '@tabler/icons-vue';
import { contactSchema, reordered, setTableEntry } from '@itinerary/core';
import type { Contact, CoursePicture, Edit } from '@itinerary/core';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { roleWord } from '../../words/own-words.ts';
import { newId } from '../../stores/new-id.ts';
import { usePlan } from '../../stores/plan.ts';
import IconButton from '../../ui/frame/IconButton.vue';
import CheckField from '../../ui/fields/choice/CheckField.vue';
import DraftField from '../../ui/fields/DraftField.vue';
import MoveButtons from '../fields/MoveButtons.vue';
import PictureChoice from '../pictures/PictureChoice.vue';
import UnfoldingLine from './UnfoldingLine.vue';
import PushButton from '../../ui/frame/PushButton.vue';

defineProps<{ readonly: boolean }>();
const { t } = useI18n();
const plan = usePlan();
const course = computed(() => plan.course!);
const open = ref<string | null>(null);

const cards = computed(() => Object.entries(course.value.contacts).sort(([, a], [, b]) => a.at - b.at));
/** Instructors without a card are shown as their profile has them; a card is made once something is to be added. */
const unwritten = computed(() =>
  plan.face.staff.filter(
    ({ id }) => !cards.value.some(([, card]) => card.who === 'staff' && card.person === id),
  ),
);
const profileOf = (card: Contact): { name: string; mail: string; role: string } | null => {
  if (card.who !== 'staff') return null;
  return plan.face.staff.find(({ id }) => id === card.person) ?? null;
};
const nameOf = (card: Contact): string =>
  card.who === 'other' ? card.name : (profileOf(card)?.name ?? t('setup.messages.goneStaff'));

const edit = (id: string, card: Contact | null): Edit => setTableEntry(course.value, 'contacts', id, card);
function set(id: string, card: Contact | null, typing = false): void {
  plan.change([edit(id, card)], { typing });
}
/** Only what can be kept is set; what is still being typed waits in its field. */
function change(id: string, card: Contact, part: Record<string, unknown>): void {
  const parsed = contactSchema.safeParse({ ...card, ...part });
  if (parsed.success) set(id, parsed.data, true);
}
const wrongFor =
  (card: Contact, field: string, key: string) =>
  (text: string): string | null =>
    contactSchema.safeParse({ ...card, [field]: text === '' ? null : text }).success
      ? null
      : t(`setup.messages.wrong.${key}`);

const last = computed(() => Math.max(0, ...cards.value.map(([, { at }]) => at)));
function addStaff(person: string): void {
  const id = newId();
  set(id, contactSchema.parse({ who: 'staff', person, at: last.value + 1 }));
  open.value = id;
}
function addOther(): void {
  const id = newId();
  set(id, contactSchema.parse({ who: 'other', name: t('setup.messages.freshContact'), at: last.value + 1 }));
  open.value = id;
}
function move(id: string, by: number): void {
  const at = cards.value.findIndex(([one]) => one === id);
  const places = reordered(cards.value, id, at + by);
  plan.change(
    [...places].map(([one, to]) => edit(one, { ...(course.value.contacts[one] as Contact), at: to })),
  );
}
const orNull = (text: string): string | null => (text === '' ? null : text);
function setPicture(id: string, card: Contact, picture: CoursePicture | null, typing: boolean): void {
  set(id, { ...card, picture }, typing);
}
</script>

<template>
  <section id="field-contacts" aria-labelledby="contacts-part" tabindex="-1">
    <h2 id="contacts-part">{{ t('setup.messages.parts.contacts') }}</h2>
    <p class="soft">{{ t('setup.messages.contactsText') }}</p>
    <ul class="list">
      <UnfoldingLine
        v-for="([id, card], at) in cards"
        :key="id"
        :is-open="open === id"
        @turn="open = open === id ? null : id"
      >
        <template #title>
          {{ nameOf(card) }}
          <span class="soft what">{{
            card.who === 'other'
              ? (card.does ?? '')
              : profileOf(card) === null
                ? ''
                : roleWord(profileOf(card)?.role ?? '', course.roleNames, t)
          }}</span>
        </template>
        <span v-if="!readonly" class="acts">
          <MoveButtons
            :name="nameOf(card)"
            :is-first="at === 0"
            :is-last="at === cards.length - 1"
            @move="move(id, $event)"
          />
          <IconButton
            :icon="card.shown ? IconEye : IconEyeOff"
            :size="16"
            :label="t(card.shown ? 'setup.menu.hide' : 'setup.menu.show', { name: nameOf(card) })"
            @click="set(id, { ...card, shown: !card.shown })"
          />
          <IconButton
            :icon="IconTrash"
            :size="16"
            :label="t('setup.menu.remove', { name: nameOf(card) })"
            @click="set(id, null)"
          />
        </span>
        <template #below>
          <div class="form">
            <template v-if="card.who === 'other'">
              <DraftField
                name="contact-name"
                :keep-as="`${id} name`"
                :most="200"
                :text="card.name"
                :label="t('setup.messages.name')"
                :readonly="readonly"
                @type="change(id, card, { name: $event })"
              />
              <DraftField
                name="contact-does"
                :keep-as="`${id} does`"
                :most="200"
                :text="card.does ?? ''"
                :label="t('setup.messages.does')"
                :readonly="readonly"
                @type="change(id, card, { does: orNull($event) })"
              />
              <DraftField
                name="contact-mail"
                :keep-as="`${id} mail`"
                :most="200"
                :text="card.mail ?? ''"
                :label="t('setup.messages.mail')"
                :readonly="readonly"
                :wrong="wrongFor(card, 'mail', 'mail')"
                @type="change(id, card, { mail: orNull($event) })"
              />
            </template>
            <CheckField
              v-else
              :checked="card.mailShown"
              :disabled="readonly"
              @toggle="set(id, { ...card, mailShown: $event })"
            >
              {{ t('setup.messages.mailShown', { mail: profileOf(card)?.mail ?? '' }) }}
            </CheckField>
            <DraftField
              name="contact-reach"
              :keep-as="`${id} reach`"
              :most="500"
              :text="card.reach ?? ''"
              :label="t('setup.messages.reach')"
              :readonly="readonly"
              @type="change(id, card, { reach: orNull($event) })"
            />
            <DraftField
              name="contact-hours"
              :keep-as="`${id} hours`"
              :most="500"
              :text="card.hours ?? ''"
              :label="t('setup.messages.hours')"
              :readonly="readonly"
              @type="change(id, card, { hours: orNull($event) })"
            />
            <DraftField
              name="contact-phone"
              :keep-as="`${id} phone`"
              :most="40"
              :text="card.phone ?? ''"
              :label="t('setup.messages.phone')"
              :readonly="readonly"
              :wrong="wrongFor(card, 'phone', 'phone')"
              @type="change(id, card, { phone: orNull($event) })"
            />
            <DraftField
              name="contact-link"
              :keep-as="`${id} link`"
              :most="2000"
              :text="card.link ?? ''"
              :label="t('setup.messages.link')"
              :readonly="readonly"
              :wrong="wrongFor(card, 'link', 'link')"
              @type="change(id, card, { link: orNull($event) })"
            />
            <PictureChoice
              class="whole"
              :picture="card.picture"
              :frames="['card']"
              :readonly="readonly"
              @set="(picture, typing) => setPicture(id, card, picture, typing)"
            />
          </div>
        </template>
      </UnfoldingLine>
      <UnfoldingLine v-for="person in unwritten" :key="person.id" class="unwritten" :is-open="null">
        <template #title>
          {{ person.name }} <span class="soft what">{{ roleWord(person.role, course.roleNames, t) }}</span>
        </template>
        <span class="soft">{{
          t(person.role === 'instructor' ? 'setup.messages.fromProfile' : 'setup.messages.notShown')
        }}</span>
        <PushButton v-if="!readonly" small @click="addStaff(person.id)">
          {{ t('setup.messages.write') }}
        </PushButton>
      </UnfoldingLine>
    </ul>
    <PushButton v-if="!readonly" @click="addOther">
      <IconPlus :size="17" aria-hidden="true" /> {{ t('setup.messages.addContact') }}
    </PushButton>
  </section>
</template>

<style scoped src="../list.css"></style>

<style scoped>
.unwritten {
  --columns: minmax(0, 1fr) auto auto;
}

.what {
  font-weight: 450;
}

.acts {
  display: flex;
}

.form {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(270px, 1fr));
  gap: 10px;
  align-items: start;
}

.whole {
  grid-column: 1 / -1;
}
</style>
