<script setup lang="ts">
/** Who is on the course; people of the institution are added by name. */
import { IconUserPlus, IconX } from '@tabler/icons-vue';
import type { MembersAnswer, PeopleAnswer } from '@itinerary/contract';
import { computed, ref, shallowRef, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { ask } from '../../api/client.ts';
import { useProblemSentence } from '../../words/problems.ts';
import { usePlan } from '../../stores/plan.ts';
import { roleWord } from '../../words/own-words.ts';
import DialogBox from '../../ui/frame/DialogBox.vue';
import FindField from '../../ui/fields/FindField.vue';
import SelectField from '../../ui/fields/choice/SelectField.vue';
import IconButton from '../../ui/frame/IconButton.vue';
import PushButton from '../../ui/frame/PushButton.vue';
import CheckField from '../../ui/fields/choice/CheckField.vue';
import BareButton from '../../ui/frame/BareButton.vue';

const props = defineProps<{ courseId: string }>();
const open = defineModel<boolean>({ required: true });
const { t } = useI18n();
const sentence = useProblemSentence();
const plan = usePlan();

const members = shallowRef<MembersAnswer['members']>([]);
const candidates = shallowRef<PeopleAnswer>({ people: [], more: false });
const find = ref('');
const role = ref<(typeof ADDABLE)[number]>('learner');
const chosen = ref(new Set<string>());
const failure = ref<string | null>(null);
const said = ref('');
let timer: ReturnType<typeof setTimeout> | undefined;

const ADDABLE = ['learner', 'assistant', 'instructor', 'visitor'] as const;
const nameOf = (one: (typeof ADDABLE)[number]): string =>
  plan.course?.roleNames[one]?.many ?? t(`setup.members.as.${one}`);

async function attempt(work: () => Promise<void>): Promise<void> {
  failure.value = null;
  try {
    await work();
  } catch (error) {
    failure.value = sentence(error);
  }
}

function took(answer: MembersAnswer): void {
  members.value = answer.members;
  const learning = answer.members.filter((member) => member.role === 'learner');
  plan.learners = learning.length;
  const sizes: Record<string, number> = {};
  for (const id of learning.flatMap((member) => member.groups)) sizes[id] = (sizes[id] ?? 0) + 1;
  plan.groupSizes = sizes;
}

async function search(): Promise<void> {
  if (!plan.rights.members) return;
  candidates.value = await ask('GET /api/courses/{course}/candidates', {
    params: { course: props.courseId },
    query: { find: find.value },
  });
}

const load = (): Promise<void> =>
  attempt(async () => {
    took(await ask('GET /api/courses/{course}/members', { params: { course: props.courseId } }));
    await search();
  });

const add = (): Promise<void> =>
  attempt(async () => {
    const people = [...chosen.value];
    took(
      await ask('POST /api/courses/{course}/members', {
        params: { course: props.courseId },
        body: { people, role: role.value },
      }),
    );
    said.value = t('setup.members.added', people.length);
    chosen.value = new Set();
    await search();
  });

const takeOff = (person: string): Promise<void> =>
  attempt(async () => {
    took(
      await ask('DELETE /api/courses/{course}/members/{person}', {
        params: { course: props.courseId, person },
      }),
    );
    await search();
  });

const groups = computed(() => plan.groups);
/** The server has to know of the group first. */
const toggleGroup = (member: MembersAnswer['members'][number], id: string): Promise<void> =>
  attempt(async () => {
    await plan.flush();
    const next = member.groups.includes(id)
      ? member.groups.filter((one) => one !== id)
      : [...member.groups, id];
    // One that is gone from the course is gone from its members.
    const body = { groups: next.filter((one) => plan.course?.groups[one] !== undefined) };
    took(
      await ask('PUT /api/courses/{course}/members/{person}/groups', {
        params: { course: props.courseId, person: member.person },
        body,
      }),
    );
  });

function toggle(person: string): void {
  const next = new Set(chosen.value);
  if (!next.delete(person)) next.add(person);
  chosen.value = next;
}

watch(open, (now) => {
  if (!now) return;
  find.value = '';
  chosen.value = new Set();
  said.value = '';
  void load();
});
watch(find, () => {
  clearTimeout(timer);
  timer = setTimeout(() => void attempt(search), 200);
});
</script>

<template>
  <DialogBox v-model="open" :title="t('setup.members.title')" :width="720">
    <div :class="['sides', { alone: !plan.rights.members }]">
      <section aria-labelledby="members-on">
        <h3 id="members-on">
          {{ t('setup.members.on') }} <span class="figures soft">{{ members.length }}</span>
        </h3>
        <ul class="people">
          <li v-for="member in members" :key="member.person">
            <span class="who">
              <span>{{ member.name }}</span>
              <span class="soft">{{ roleWord(member.role, plan.course?.roleNames ?? {}, t) }}</span>
              <span v-if="member.role === 'learner' && groups.length > 0" class="groups">
                <BareButton
                  v-for="[id, group] in groups"
                  :key="id"
                  class="in-group"
                  :aria-pressed="member.groups.includes(id)"
                  :disabled="!plan.rights.members"
                  :aria-label="t('setup.members.inGroup', { name: member.name, group: group.name })"
                  @click="toggleGroup(member, id)"
                >
                  {{ group.name }}
                </BareButton>
              </span>
            </span>
            <IconButton
              v-if="plan.rights.members"
              :icon="IconX"
              :label="t('setup.members.takeOff', { name: member.name })"
              :size="16"
              @click="takeOff(member.person)"
            />
          </li>
        </ul>
      </section>
      <section v-if="plan.rights.members" aria-labelledby="members-add">
        <h3 id="members-add">{{ t('setup.members.add') }}</h3>
        <FindField v-model="find" class="find" :label="t('setup.members.find')" />
        <ul class="people choose">
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
            bare
            :label="t('setup.members.role')"
            :value="role"
            :options="ADDABLE.map((value) => ({ value, title: nameOf(value) }))"
            @choose="role = $event"
          />
          <PushButton weight="main" :disabled="chosen.size === 0" @click="add">
            <IconUserPlus :size="18" aria-hidden="true" /> {{ t('setup.members.addThem', chosen.size) }}
          </PushButton>
        </div>
        <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
        <p class="soft" role="status">{{ said }}</p>
      </section>
    </div>
    <template #foot>
      <PushButton @click="open = false">{{ t('common.close') }}</PushButton>
    </template>
  </DialogBox>
</template>

<style scoped>
.sides {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 24px;
}

.sides.alone {
  grid-template-columns: 1fr;
}

h3 {
  margin-bottom: 8px;
  font-size: 15px;
}

.people {
  height: 320px;
  overflow-y: auto;
  padding: 0;
  border-block: 1px solid var(--rule);
  list-style: none;
}

.people.choose {
  height: 236px;
}

.people li {
  display: flex;
  align-items: center;
  justify-content: space-between;
  min-height: 44px;
  padding: 3px 2px;
  border-bottom: 1px solid var(--rule);
}

.who {
  display: grid;
  min-width: 0;
  line-height: 1.25;
}

.who .soft {
  overflow: hidden;
  font-size: 12.5px;
  text-overflow: ellipsis;
}

.groups {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}

.in-group {
  min-height: 24px;
  padding: 0 6px;
  border: 1px solid var(--rule);
  border-radius: 4px;
  background: none;
  color: var(--ink-soft);
  font-size: 12px;
  cursor: pointer;
}

.in-group[aria-pressed='true'] {
  border-color: var(--bottle);
  background: var(--bottle-pale);
  color: var(--ink);
}

.find {
  margin-bottom: 8px;
}

.act {
  display: flex;
  gap: 8px;
  margin-top: 10px;
}

.failure {
  color: var(--blocker);
}

@media (max-width: 620px) {
  .sides {
    grid-template-columns: 1fr;
  }
}
</style>
