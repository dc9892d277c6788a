<script setup lang="ts">
/** What the course looks like, which language it speaks, and what it calls people. */
import type { CoursePicture, FieldValue, Look } from '@itinerary/core';
import { LANGUAGES, MAX_LABEL, setField } from '@itinerary/core';
import type { Language } from '@itinerary/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../../stores/plan.ts';
import ChoiceTiles from '../../ui/fields/choice/ChoiceTiles.vue';
import CoursePictureDrawn from '../../ui/course/CoursePicture.vue';
import SelectField from '../../ui/fields/choice/SelectField.vue';
import CheckField from '../../ui/fields/choice/CheckField.vue';
import DraftField from '../../ui/fields/DraftField.vue';
import PartLinks from '../frame/PartLinks.vue';
import CroppedPicture from '../pictures/CroppedPicture.vue';
import PictureChoice from '../pictures/PictureChoice.vue';
import StopHead from '../frame/StopHead.vue';
import { useFieldFocus } from '../fields/use-field-focus.ts';
import ColourPart from './ColourPart.vue';
import LaterPart from '../../ui/frame/LaterPart.vue';

const { t } = useI18n();
const plan = usePlan();
useFieldFocus();
const course = computed(() => plan.course!);

const parts = computed(() =>
  (['colour', 'shape', 'pictures', 'language', 'people'] as const).map(
    (part) => [`${part}-part`, t(`setup.look.parts.${part}`)] as const,
  ),
);

const CHOICES = {
  heading: ['bricolage', 'atkinson', 'literata', 'familjen'],
  size: ['small', 'usual', 'large'],
  density: ['airy', 'dense'],
  corners: ['square', 'eased', 'round'],
} as const;
type Choice = keyof typeof CHOICES;
const tiles = (choice: Choice): { value: string; title: string; text: string }[] =>
  CHOICES[choice].map((value) => ({
    value,
    title: t(`setup.look.choices.${choice}.${value}`),
    text: t(`setup.look.choiceTexts.${choice}.${value}`),
  }));
const FACES: Readonly<Record<Look['heading'], string>> = {
  bricolage: "'Bricolage Grotesque Variable'",
  atkinson: "'Atkinson Hyperlegible Next Variable'",
  literata: "'Literata Variable'",
  familjen: "'Familjen Grotesk Variable'",
};

function choose(choice: Choice, value: string): void {
  plan.set(course.value.id, `look.${choice}`, value, course.value.look[choice]);
}
function setPicture(field: 'banner' | 'thumbnail', picture: CoursePicture | null, typing = false): void {
  plan.set(course.value.id, field, picture as FieldValue, course.value[field] as FieldValue, { typing });
}
const thumbnail = computed(() => course.value.thumbnail ?? course.value.banner);

type Speaks = 'reader' | Language;
const speaks = computed<Speaks>(() => course.value.language ?? 'reader');
const languages = computed(() => [
  { value: 'reader' as Speaks, title: t('setup.look.language.reader') },
  ...LANGUAGES.map((value) => ({ value: value as Speaks, title: t(`common.languages.${value}`) })),
]);
function speak(value: Speaks): void {
  const { languageHeld } = course.value;
  const next = value === 'reader' ? null : value;
  plan.change([
    setField(course.value, 'language', next),
    // What is each reader's own cannot be held.
    ...(next === null && languageHeld ? [setField(course.value, 'languageHeld', false)] : []),
  ]);
}

const ROLES = ['instructor', 'assistant', 'learner'] as const;
type Role = (typeof ROLES)[number];
function name(role: Role, part: 'one' | 'many', text: string): void {
  const was = course.value.roleNames[role] ?? null;
  const usual = { one: '', many: '' };
  const next = { ...(was ?? usual), [part]: text };
  const isGone = next.one === '' && next.many === '';
  // Until both are written, one stands for the other.
  const value = isGone ? null : { one: next.one || next.many, many: next.many || next.one };
  plan.set(course.value.id, `roleNames.${role}`, value, was, { typing: true });
}
</script>

<template>
  <StopHead stop="look" />
  <PartLinks :parts="parts" />
  <div class="stop">
    <ColourPart :readonly="plan.isReadonly" />
    <section aria-labelledby="shape-part" class="shapes">
      <h2 id="shape-part">{{ t('setup.look.parts.shape') }}</h2>
      <ChoiceTiles
        :legend="t('setup.look.choices.heading.legend')"
        :tiles="tiles('heading')"
        :chosen="course.look.heading"
        :disabled="plan.isReadonly"
        compact
        @choose="choose('heading', $event)"
      >
        <template #sign="{ value }">
          <span class="face" aria-hidden="true" :style="{ fontFamily: FACES[value as Look['heading']] }"
            >Aa 7.1</span
          >
        </template>
      </ChoiceTiles>
      <div class="three">
        <ChoiceTiles
          v-for="choice in ['size', 'density', 'corners'] as const"
          :key="choice"
          :legend="t(`setup.look.choices.${choice}.legend`)"
          :tiles="tiles(choice)"
          :chosen="course.look[choice]"
          :disabled="plan.isReadonly"
          compact
          @choose="choose(choice, $event)"
        />
      </div>
    </section>
    <LaterPart>
      <section id="field-banner" aria-labelledby="pictures-part" tabindex="-1">
        <h2 id="pictures-part">{{ t('setup.look.parts.pictures') }}</h2>
        <p class="soft">{{ t('setup.look.picturesText') }}</p>
        <PictureChoice
          :picture="course.banner"
          :frames="['banner', 'phone', 'thumbnail']"
          :readonly="plan.isReadonly"
          @set="(picture, typing) => setPicture('banner', picture, typing)"
        />
        <div v-if="course.banner === null" class="computed">
          <CoursePictureDrawn :code="course.code" :title="course.title" :seed="course.look.seed" />
        </div>
        <details id="field-thumbnail" :open="course.thumbnail !== null">
          <summary>{{ t('setup.look.ownThumbnail') }}</summary>
          <PictureChoice
            :picture="course.thumbnail"
            :frames="['thumbnail']"
            :readonly="plan.isReadonly"
            @set="(picture, typing) => setPicture('thumbnail', picture, typing)"
          />
        </details>
        <h3>{{ t('setup.look.inLists') }}</h3>
        <div class="lists">
          <div class="row">
            <span class="small">
              <CroppedPicture v-if="thumbnail" :course-id="course.id" :picture="thumbnail" fills />
              <CoursePictureDrawn v-else :code="course.code" :title="course.title" :seed="course.look.seed" />
            </span>
            <span class="figures">{{ course.code }}</span>
            <strong>{{ course.title }}</strong>
          </div>
          <div class="card">
            <span class="large">
              <CroppedPicture v-if="thumbnail" :course-id="course.id" :picture="thumbnail" fills />
              <CoursePictureDrawn v-else :code="course.code" :title="course.title" :seed="course.look.seed" />
            </span>
            <strong>{{ course.title }}</strong>
          </div>
        </div>
      </section>
    </LaterPart>
    <LaterPart>
      <section aria-labelledby="language-part">
        <h2 id="language-part">{{ t('setup.look.parts.language') }}</h2>
        <div class="pair">
          <SelectField
            :label="t('setup.look.language.label')"
            :value="speaks"
            :options="languages"
            :disabled="plan.isReadonly"
            @choose="speak"
          />
          <CheckField
            v-if="course.language !== null"
            :checked="course.languageHeld"
            :disabled="plan.isReadonly"
            @toggle="plan.set(course.id, 'languageHeld', $event, course.languageHeld)"
            >{{ t('setup.look.language.held') }}</CheckField
          >
        </div>
        <p class="soft">
          {{
            t(
              course.language === null
                ? 'setup.look.language.readerText'
                : course.languageHeld
                  ? 'setup.look.language.heldText'
                  : 'setup.look.language.setText',
            )
          }}
        </p>
      </section>
    </LaterPart>
    <LaterPart>
      <section aria-labelledby="people-part">
        <h2 id="people-part">{{ t('setup.look.parts.people') }}</h2>
        <p class="soft">{{ t('setup.look.peopleText') }}</p>
        <div v-for="role in ROLES" :key="role" class="pair role">
          <span>{{ t(`learner.members.roles.${role}`) }}</span>
          <DraftField
            v-for="part in ['one', 'many'] as const"
            :key="part"
            :name="`${role}-${part}`"
            :keep-as="`${role} ${part}`"
            :most="MAX_LABEL"
            :text="course.roleNames[role]?.[part] ?? ''"
            :label="t(`setup.look.${part}`)"
            :readonly="plan.isReadonly"
            @type="name(role, part, $event)"
          />
        </div>
      </section>
    </LaterPart>
  </div>
</template>

<style scoped>
.stop {
  display: grid;
  gap: 26px;
  max-width: 860px;
}

.stop :deep(h2) {
  font-size: 17px;
}

h3 {
  margin: 14px 0 6px;
  font-size: 15px;
}

.shapes {
  display: grid;
  gap: 14px;
}

.three {
  display: grid;
  grid-template-columns: 3fr 2fr 3fr;
  gap: 14px;
}

.face {
  font-size: 21px;
  font-weight: 650;
  line-height: 1.3;
}

.computed {
  height: 110px;
  margin-top: 10px;
}

details {
  margin-top: 14px;
}

summary {
  min-height: 28px;
  cursor: pointer;
}

.lists {
  display: flex;
  flex-wrap: wrap;
  gap: 20px;
  align-items: start;
}

.row {
  display: flex;
  gap: 12px;
  align-items: center;
  padding: 6px 10px;
  border: 1px solid var(--rule);
  background: var(--card);
}

.small {
  width: 54px;
  height: 36px;
}

.card {
  display: grid;
  gap: 4px;
  width: 220px;
  padding-bottom: 8px;
  border: 1px solid var(--rule);
  background: var(--card);
}

.card strong {
  padding: 0 10px;
}

.large {
  height: 122px;
}

.pair {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: end;
  margin: 8px 0;
}

.role {
  display: grid;
  grid-template-columns: 120px 1fr 1fr;
  align-items: center;
}

@media (max-width: 720px) {
  .three,
  .role {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
