<script setup lang="ts">
/** Whom one can turn to. */
import { IconClock, IconLink, IconMail, IconPhone } from '@tabler/icons-vue';
import type { ContactView } from '@itinerary/core';
import { useI18n } from 'vue-i18n';
import { useMissing } from '../../ui/course/missing.ts';
import { useRoleWord } from '../shell/frame.ts';

const props = defineProps<{
  contacts: readonly ContactView[];
  level: 2 | 3 | 4;
  /** Where a card's picture is; null: it is left out. */
  pictureHref: ((card: ContactView) => string) | null;
  wide?: boolean;
}>();
const { t } = useI18n();
const roleWord = useRoleWord();
const { isMissing, miss } = useMissing();
const initials = (name: string): string =>
  name
    .split(/\s+/)
    .map((word) => word[0] ?? '')
    .filter((letter, at, all) => at === 0 || at === all.length - 1)
    .join('');
/** A long address breaks where one would read it on: after a point, and before the sign in its middle. */
const mailParts = (mail: string): readonly string[] => mail.split(/(?=@)|(?<=\.)/);
const whatOf = ({ role, does }: ContactView): string | null => (role === null ? does : roleWord(role));
const src = (card: ContactView): string | null => {
  const source = card.picture === null || props.pictureHref === null ? null : props.pictureHref(card);
  return source === null || isMissing(source) ? null : source;
};
</script>

<template>
  <ul :class="{ wide }">
    <li v-for="card in contacts" :key="card.id">
      <img
        v-if="src(card)"
        class="face"
        :src="src(card) ?? ''"
        :alt="card.picture?.file.alt ?? ''"
        loading="lazy"
        @error="miss(src(card) ?? '')"
      />
      <span v-else class="face" aria-hidden="true">{{ initials(card.name) }}</span>
      <div>
        <component :is="`h${level}`">{{ card.name }}</component>
        <p v-if="whatOf(card)" class="soft">{{ whatOf(card) }}</p>
        <p v-if="card.reach">{{ card.reach }}</p>
        <p v-if="card.hours" class="way">
          <IconClock :size="16" aria-hidden="true" /><span>{{ card.hours }}</span>
        </p>
        <p v-if="card.mail" class="way">
          <IconMail :size="16" aria-hidden="true" /><a :href="`mailto:${card.mail}`"
            ><template v-for="(part, at) in mailParts(card.mail)" :key="at"
              ><wbr v-if="at > 0" />{{ part }}</template
            ></a
          >
        </p>
        <p v-if="card.phone" class="way">
          <IconPhone :size="16" aria-hidden="true" />
          <a class="figures" dir="ltr" :href="`tel:${card.phone.replaceAll(/[^+\d]/g, '')}`">{{
            card.phone
          }}</a>
        </p>
        <p v-if="card.link" class="way">
          <IconLink :size="16" aria-hidden="true" />
          <a :href="card.link" target="_blank" rel="noopener noreferrer"
            >{{ t('learner.contact.link') }}<span class="visually-hidden"> {{ t('learner.newTab') }}</span></a
          >
        </p>
      </div>
    </li>
  </ul>
</template>

<style scoped>
ul {
  display: grid;
  gap: 14px;
  margin: 0;
  padding: 0;
  list-style: none;
}

.wide {
  grid-template-columns: repeat(auto-fill, minmax(270px, 1fr));
}

.wide > li {
  padding: 14px;
  border: 1px solid var(--rule);
  border-radius: var(--corner, 6px);
}

ul > li {
  display: grid;
  grid-template-columns: 48px minmax(0, 1fr);
  gap: 12px;
  align-items: start;
}

.face {
  display: grid;
  place-items: center;
  width: 48px;
  height: 48px;
  border-radius: var(--corner, 6px);
  background: var(--bottle-pale);
  color: var(--bottle);
  font-family: var(--font-heading);
  font-weight: 650;
  object-fit: cover;
}

h2,
h3,
h4 {
  font-size: 15.5px;
}

.way {
  display: flex;
  gap: 7px;
  align-items: baseline;
  overflow-wrap: anywhere;
}

.way svg {
  position: relative;
  top: 2px;
  color: var(--ink-soft);
}

.way a {
  min-height: 24px;
}
</style>
