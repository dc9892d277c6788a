<script lang="ts">
/** What the registry says of the classes that were chosen, as the beginnings of a course. */
export interface Taught {
  readonly title: string;
  readonly code: string;
  /** Empty: it says none. */
  readonly firstDay: string;
  readonly weeks: number;
}
</script>

<script setup lang="ts">
/** The classes that one teaches, by the registry: one or several to open a course for. */
import type { NewCourseRequest, RegistryClass } from '@itinerary/contract';
import { daysBetween, MAX_WEEKS } from '@itinerary/core';
import { computed, onMounted, ref, shallowRef } from 'vue';
import { useI18n } from 'vue-i18n';
import { ask } from '../api/client.ts';
import { useClassWords } from '../stores/class-words.ts';
import { useSession } from '../stores/session.ts';
import CheckField from '../ui/fields/choice/CheckField.vue';

const emit = defineEmits<{
  choose: [follows: NonNullable<NewCourseRequest['follows']>, says: Taught | null];
}>();
const { t } = useI18n();
const words = useClassWords();
const session = useSession();
const classes = shallowRef<readonly RegistryClass[]>([]);
const chosen = ref<readonly string[]>([]);
const asGroups = ref(true);

// A registry that is away stops nobody from opening a course: it offers nothing.
onMounted(async () => {
  const taught = await ask('GET /api/registry/classes', {}).catch(() => null);
  classes.value = taught?.classes ?? [];
});

const first = computed(() => classes.value.find(({ id }) => id === chosen.value[0]) ?? null);

function beginnings({ title, courseTitle, courseCode, term }: RegistryClass): Taught {
  const terms = session.me?.institution.terms ?? [];
  const code = terms.find(({ firstDay }) => firstDay === term?.firstDay)?.code ?? null;
  return {
    title: courseTitle ?? title,
    code: [courseCode, code].filter((part) => part !== null).join('-'),
    firstDay: term?.firstDay ?? '',
    weeks:
      term === null ? 15 : Math.min(MAX_WEEKS, Math.ceil((daysBetween(term.firstDay, term.lastDay) + 1) / 7)),
  };
}
function tell(): void {
  const follows = chosen.value.map((id) => ({ id, asGroup: asGroups.value }));
  emit('choose', follows, first.value === null ? null : beginnings(first.value));
}
function toggle(id: string, on: boolean): void {
  chosen.value = on ? [...chosen.value, id] : chosen.value.filter((one) => one !== id);
  tell();
}
function setGroups(on: boolean): void {
  asGroups.value = on;
  tell();
}
</script>

<template>
  <section v-if="classes.length > 0" class="taught" aria-labelledby="taught-title">
    <h2 id="taught-title">{{ t('desk.new.taught') }}</h2>
    <p class="soft">{{ t('desk.new.taughtText') }} {{ t('desk.new.taughtNone') }}</p>
    <ul>
      <li v-for="one in classes" :key="one.id">
        <CheckField :checked="chosen.includes(one.id)" @toggle="toggle(one.id, $event)">
          <strong>{{ one.title }}</strong> <span class="soft">{{ words(one) }}</span>
          <span v-if="one.followedBy.length > 0" class="there">{{
            t('desk.new.followed', { titles: one.followedBy.map(({ title }) => title).join(', ') })
          }}</span>
        </CheckField>
      </li>
    </ul>
    <CheckField v-if="chosen.length > 0" :checked="asGroups" @toggle="setGroups">
      {{ t('desk.new.asGroups') }}
    </CheckField>
  </section>
</template>

<style scoped>
.taught {
  display: grid;
  gap: 4px;
  padding: 12px 16px;
  border: 1px solid var(--rule);
  border-top: 3px solid var(--later);
  background: var(--card);
}

h2 {
  font-size: 16px;
}

ul {
  display: grid;
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  padding: 4px 0;
  border-bottom: 1px solid var(--rule);
}

.there {
  color: var(--advice);
}
</style>
