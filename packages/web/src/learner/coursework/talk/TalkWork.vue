<script setup lang="ts">
/** A discussion as its people have it: its threads, what is new in them, and the one that is read. */
import { IconBell, IconCheck, IconLock, IconPinned } from '@tabler/icons-vue';
import type { WhoPosted } from '@itinerary/contract';
import { ref, shallowRef, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute } from 'vue-router';
import { ask } from '../../../api/client.ts';
import { useLive } from '../../../stores/live.ts';
import { useMomentWords } from '../../../stores/moment-words.ts';
import FindField from '../../../ui/fields/FindField.vue';
import PushButton from '../../../ui/frame/PushButton.vue';
import { useAttempt } from '../../../words/use-attempt.ts';
import PostEditor from './PostEditor.vue';
import ThreadPosts from './ThreadPosts.vue';
import { useTalk } from './use-talk.ts';
import type { Where } from './use-post.ts';
import type { Thread, Written } from './use-talk.ts';
import WorkFrame from '../WorkFrame.vue';

const props = defineProps<{ courseId: string; itemId: string; personId: string }>();
const emit = defineEmits<{ changed: [] }>();
const { t } = useI18n();
const when = useMomentWords();
const its = useTalk(props.courseId, props.itemId);
const { talk, thread, find } = its;
const { failure, attempt } = useAttempt();
const isStarting = ref(false);
const who = shallowRef<WhoPosted | null>(null);
/** A letter leads to one thread. */
const route = useRoute();
const wanted = route.query['thread'];
async function begin(): Promise<void> {
  await its.load();
  if (typeof wanted === 'string') await its.open(wanted);
}
void begin().catch(() => undefined);
useLive(() => void its.refresh().catch(() => undefined));
let looking: ReturnType<typeof setTimeout> | undefined;
watch(find, () => {
  clearTimeout(looking);
  looking = setTimeout(() => void its.load().catch(() => undefined), 250);
});

const where = (place: string): Where => ({
  ...{ course: props.courseId, item: props.itemId, person: props.personId, place },
});
const at = (iso: string): string => when(Date.parse(iso), talk.value?.zone ?? 'UTC');
const by = ({ author, isOwn }: Thread): string => (isOwn ? t('talk.you') : (author ?? t('talk.somebody')));
/** Once it is there the thread is shown, and the editor is gone: it could tell nobody any more. */
async function start(written: Written): Promise<void> {
  await its.start(written);
  isStarting.value = false;
  emit('changed');
  await its.load().catch(() => undefined);
}
async function showWho(event: Event): Promise<void> {
  if (!(event.target as HTMLDetailsElement).open) return;
  await attempt(async () => {
    who.value = await ask('GET /api/courses/{course}/items/{item}/discussion', {
      params: { course: props.courseId, item: props.itemId },
    });
  });
}
</script>

<template>
  <WorkFrame v-if="talk !== null" class="talk" :title="t('talk.heading')">
    <ThreadPosts
      v-if="thread !== null"
      :key="thread.id"
      :talk="its"
      :where="where"
      @back="attempt(() => its.open(null))"
      @posted="emit('changed')"
    />
    <template v-else>
      <p v-if="talk.shut" class="note">{{ t('talk.shut') }}</p>
      <p v-else-if="talk.mustPost" class="note">{{ t('talk.mustPostList') }}</p>
      <PostEditor
        v-if="isStarting"
        titled
        :where="where('new')"
        :may-attach="talk.mayAttach"
        :label="t('talk.postLabel')"
        :press="t('talk.begin')"
        :send="start"
        @cancel="isStarting = false"
      />
      <div v-else class="head">
        <PushButton v-if="talk.mayStart" weight="main" @click="isStarting = true">{{
          t('talk.start')
        }}</PushButton>
        <FindField v-model="find" :label="t('talk.find')" />
      </div>
      <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
      <p v-if="talk.threads.length === 0" class="soft">
        {{ t(find.trim() === '' ? 'talk.none' : 'talk.notFound') }}
      </p>
      <ul v-else class="threads">
        <li v-for="one in talk.threads" :key="one.id">
          <PushButton weight="bare" class="one" @click="attempt(() => its.open(one.id))">
            <span class="name">
              <IconPinned v-if="one.pinned" :size="15" role="img" :aria-label="t('talk.pinned')" />
              <IconBell v-if="one.isFollowed" :size="15" role="img" :aria-label="t('talk.followed')" />
              <IconLock v-if="one.closed" :size="15" role="img" :aria-label="t('talk.closed')" />
              <span dir="auto">{{ one.title }}</span>
              <span v-if="one.unread > 0" class="unread figures">{{ t('talk.unread', one.unread) }}</span>
            </span>
            <span class="soft">
              {{ by(one) }} · {{ at(one.lastAt) }}
              <template v-if="one.posts !== null"> · {{ t('talk.posts', one.posts) }}</template>
              <template v-if="one.group"> · {{ one.group }}</template>
              <span v-if="one.isAnswered" class="is-answered">
                <IconCheck :size="14" aria-hidden="true" /> {{ t('talk.answered') }}
              </span>
            </span>
          </PushButton>
        </li>
      </ul>
      <p v-if="talk.more" class="soft">{{ t('talk.moreThreads') }}</p>
      <details v-if="talk.mayLead" @toggle="showWho">
        <summary>{{ t('talk.who') }}</summary>
        <template v-if="who !== null">
          <p v-if="who.people.every(({ posts }) => posts > 0)" class="soft">{{ t('talk.allPosted') }}</p>
          <ul>
            <li v-for="one in who.people" :key="one.person">
              {{ one.name }}
              <span class="soft figures">{{
                one.posts === 0 ? t('talk.notPosted') : t('talk.posts', one.posts)
              }}</span>
            </li>
          </ul>
        </template>
      </details>
    </template>
  </WorkFrame>
</template>

<style scoped>
.head {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
  justify-content: space-between;
}

.note {
  padding-inline-start: 10px;
  border-inline-start: 4px solid var(--advice);
}

.threads {
  margin: 0;
  padding: 0;
  border-top: 1px solid var(--rule);
  list-style: none;
}

.threads li {
  border-bottom: 1px solid var(--rule);
}

.one {
  justify-content: start;
  width: 100%;
  height: auto;
  min-height: 52px;
  padding-block: 8px;
  font-weight: 400;
  text-align: start;
  white-space: normal;
}

.one :deep(.v-btn__content) {
  display: grid;
  gap: 2px;
  justify-items: start;
  width: 100%;
  white-space: normal;
}

.name {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
  font-weight: 600;
  overflow-wrap: anywhere;
}

.unread {
  padding: 0 8px;
  border-radius: 10px;
  background: var(--bottle-pale);
  font-size: 12.5px;
}

.is-answered {
  margin-inline-start: 10px;
  color: var(--open);
}

summary {
  min-height: 26px;
}

.failure {
  color: var(--blocker);
}
</style>
