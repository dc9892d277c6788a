<script setup lang="ts">
/** Fields of words, with room, nearly full and too full; what stands around a field; a cell of a table. */
import { provide, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import CellField from '../ui/fields/CellField.vue';
import DraftField from '../ui/fields/DraftField.vue';
import FieldFrame from '../ui/fields/FieldFrame.vue';
import { FIELD_STATE } from '../ui/fields/reading/field-state.ts';
import type { FieldState } from '../ui/fields/reading/field-state.ts';

const { t } = useI18n();
const FILES = 'DraftField, CellField, FieldFrame';
const words = ref(t('common.signIn.promise'));
const STATES: readonly FieldState[] = ['kept', 'saved'];
provide(FIELD_STATE, (field) => STATES.find((state) => state === field) ?? null);
</script>

<template>
  <section aria-label="words">
    <h2>{{ FILES }}</h2>
    <div class="grid">
      <DraftField :text="words" label="words" :most="400" @type="words = $event" />
      <DraftField :text="words" label="lines" :rows="2" :most="words.length" @type="words = $event" />
      <DraftField :text="words" label="too long" :most="10" />
      <FieldFrame
        v-for="state in STATES"
        :key="state"
        :label="state"
        :of="state"
        :help="t('common.away.text')"
      >
        <DraftField :text="words" :label="state" />
      </FieldFrame>
      <CellField :text="words" label="cell" :readonly="false" :most="400" @type="words = $event" />
    </div>
  </section>
</template>
