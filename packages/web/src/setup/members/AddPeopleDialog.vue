<script setup lang="ts">
/** People of the institution put on the course by name, several at once, with a role. */
import { IconUserPlus } from '@tabler/icons-vue';
import type { PeopleAnswer } from '@itinerary/contract';
import { hasRight } from '@itinerary/core';
import type { Role } from '@itinerary/core';
import { ref, shallowRef, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { ask } from '../../api/client.ts';
import { useMembers } from '../../stores/members.ts';
import { usePlan } from '../../stores/plan.ts';
import DialogBox from '../../ui/frame/DialogBox.vue';
import FindField from '../../ui/fields/FindField.vue';
import CheckField from '../../ui/fields/choice/CheckField.vue';
import SelectField from '../../ui/fields/choice/SelectField.vue';
import PushButton from '../../ui/frame/PushButton.vue';
import { useAttempt } from '../../words/use-attempt.ts';

const props = defineProps<{ courseId: string }>();
const open = defineModel<boolean>({ required: true });
const emit = defineEmits<{ said: [words: string] }>();
const { t } = useI18n();
const plan = usePlan();
const members = useMembers();
const { failure, isUnderWay, attempt } = useAttempt();

const ADDABLE = ['learner', 'assistant', 'instructor', 'visitor'] as const;
const candidates = shallowRef<PeopleAnswer>({ people: [], more: false });
const find = ref('');
const role = ref<(typeof ADDABLE)[number]>('learner');
const chosen = ref(new Set<string>());
let timer: ReturnType<typeof setTimeout> | undefined;

const nameOf = (one: (typeof ADDABLE)[number]): string =>
  plan.course?.roleNames[one]?.many ?? t(`setup.members.as.${one}`);

/** Of what is asked and answered out of turn, the last asked counts. */
let latest = 0;
async function search(): Promise<void> {
  latest += 1;
  const mine = latest;
  const found = await ask('GET /api/courses/{course}/candidates', {
    params: { course: props.courseId },
    query: { find: find.value },
  });
  if (mine === latest) candidates.value = found;
}

async function add(): Promise<void> {
  const people = [...chosen.value];
  if (!(await attempt(() => members.add(people, role.value)))) return;
  emit('said', t('setup.members.added', people.length));
  open.value = false;
}

function toggle(person: string): void {
  const next = new Set(chosen.value);
  if (!next.delete(person)) next.add(person);
  chosen.value = next;
}

const RIGHTS = ['read', 'plan', 'mark', 'members', 'state'] as const;
/** What somebody may do who comes as that. */
const rightsOf = (as: Role): string =>
  t('setup.members.may.says', {
    rights: RIGHTS.filter((right) => hasRight({ role: as, institutionStaff: false }, right))
      .map((right) => t(`setup.members.may.${right}`))
      .join('; '),
  });

watch(open, (now) => {
  if (!now) return;
  find.value = '';
  chosen.value = new Set();
  void attempt(search);
});
watch(find, () => {
  clearTimeout(timer);
  timer = setTimeout(() => void attempt(search), 200);
});
</script>

<template>
  <DialogBox v-model="open" :title="t('setup.members.add')">
    <FindField v-model="find" class="find" :label="t('setup.members.find')" />
    <ul class="people">
      <li v-for="person in candidates.people" :key="person.id">
        <CheckField :checked="chosen.has(person.id)" @toggle="toggle(person.id)">
          <span class="who">
            <span>{{ person.name }}</span>
            <span class="soft">{{ person.address }}</span>
          </span>
        </CheckField>
      </li>
      <li v-if="candidates.people.length === 0" class="soft">{{ t('setup.members.noneFound') }}</li>
      <li v-if="candidates.more" class="soft">{{ t('setup.members.more') }}</li>
    </ul>
    <div class="act">
      <SelectField
        :label="t('setup.members.role')"
        :value="role"
        :options="ADDABLE.map((value) => ({ value, title: nameOf(value) }))"
        @choose="role = $event"
      />
    </div>
    <p class="soft">{{ rightsOf(role) }}</p>
    <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
    <template #foot>
      <PushButton @click="open = false">{{ t('common.cancel') }}</PushButton>
      <PushButton weight="main" :disabled="chosen.size === 0 || isUnderWay" @click="add">
        <IconUserPlus :size="18" aria-hidden="true" /> {{ t('setup.members.addThem', chosen.size) }}
      </PushButton>
    </template>
  </DialogBox>
</template>

<style scoped>
.people {
  height: 290px;
  overflow-y: auto;
  margin: 8px 0 12px;
  padding: 0;
  border-block: 1px solid var(--rule);
  list-style: none;
}

.people li {
  min-height: 44px;
  padding: 3px 2px;
  border-bottom: 1px solid var(--rule);
}

.who {
  display: grid;
  line-height: 1.25;
}

.who .soft {
  font-size: 12.5px;
}

.failure {
  color: var(--blocker);
}
</style>
