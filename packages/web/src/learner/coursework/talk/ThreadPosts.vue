<script setup lang="ts">
/** One thread, post by post. */
import { IconArrowLeft, IconBell, IconBellOff, IconCheck, IconLock, IconPinned } from '@tabler/icons-vue';
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { path } from '../../../api/client.ts';
import { useMomentWords } from '../../../stores/moment-words.ts';
import PushButton from '../../../ui/frame/PushButton.vue';
import { useAttempt } from '../../../words/use-attempt.ts';
import RichText from '../../text/RichText.vue';
import FileLines from '../FileLines.vue';
import PostEditor from './PostEditor.vue';
import type { Where } from './use-post.ts';
import type { Post, Talk, Written } from './use-talk.ts';

const props = defineProps<{ talk: Talk; where: (place: string) => Where }>();
const emit = defineEmits<{ back: []; posted: [] }>();
const { t } = useI18n();
const when = useMomentWords();
const { thread, posts } = props.talk;
const { failure, attempt } = useAttempt();
/** Whether a post is written, which one it answers, and which one is changed. */
const isWriting = ref(false);
const answering = ref<Post | null>(null);
const changing = ref<string | null>(null);

const at = (iso: string): string => when(Date.parse(iso), thread.value?.zone ?? 'UTC');
const nameOf = ({ author, isOwn }: Pick<Post, 'author' | 'isOwn'>): string =>
  isOwn ? t('talk.you') : (author ?? t('talk.somebody'));
const answered = ({ answers }: Post): string => {
  const post = posts.value.find(({ number }) => number === answers);
  return post === undefined
    ? t('talk.answersNumber', { number: answers ?? 0 })
    : t('talk.answers', { name: nameOf(post) });
};
function write(post: Post | null): void {
  answering.value = post;
  isWriting.value = true;
}
async function send(written: Written): Promise<void> {
  await props.talk.post(written, answering.value?.id ?? null);
}
function posted(): void {
  isWriting.value = false;
  answering.value = null;
  emit('posted');
}
const changed = (post: Post) => (written: Written) => props.talk.change(post, written);
const fileOf = (post: Post, hash: string): string => {
  const { course, item } = props.where('');
  return path`/api/learn/${course}/items/${item}/discussion/threads/${thread.value?.id ?? ''}/posts/${post.id}/files/${hash}`;
};
</script>

<template>
  <section v-if="thread !== null" class="thread">
    <p>
      <PushButton small @click="emit('back')">
        <IconArrowLeft :size="16" aria-hidden="true" /> {{ t('talk.all') }}
      </PushButton>
    </p>
    <h3 dir="auto">{{ thread.title }}</h3>
    <p class="soft signs">
      <span v-if="thread.group">{{ t('talk.ofGroup', { name: thread.group }) }}</span>
      <span v-if="thread.pinned"><IconPinned :size="15" aria-hidden="true" /> {{ t('talk.pinned') }}</span>
      <span v-if="thread.closed"><IconLock :size="15" aria-hidden="true" /> {{ t('talk.closed') }}</span>
      <span v-if="thread.isAnswered"
        ><IconCheck :size="15" aria-hidden="true" /> {{ t('talk.answered') }}</span
      >
    </p>
    <p class="acts">
      <PushButton
        small
        :aria-pressed="thread.isFollowed"
        @click="attempt(() => talk.follow(!thread!.isFollowed))"
      >
        <component :is="thread.isFollowed ? IconBell : IconBellOff" :size="16" aria-hidden="true" />
        {{ t('talk.follow') }}
      </PushButton>
      <span class="soft follows">{{ t(thread.isFollowed ? 'talk.followed' : 'talk.notFollowed') }}</span>
    </p>
    <p v-if="thread.mayLead" class="acts">
      <PushButton small @click="attempt(() => talk.lead({ pinned: !thread!.pinned }))">
        {{ t(thread.pinned ? 'talk.unpin' : 'talk.pin') }}
      </PushButton>
      <PushButton small @click="attempt(() => talk.lead({ closed: !thread!.closed }))">
        {{ t(thread.closed ? 'talk.reopen' : 'talk.close') }}
      </PushButton>
    </p>
    <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
    <article
      v-for="post in posts"
      :key="post.id"
      :class="['post', { answer: post.isAnswer, staff: post.isStaff }]"
      :aria-labelledby="`post-${post.id}`"
    >
      <header :id="`post-${post.id}`">
        <strong>{{ nameOf(post) }}</strong>
        <span v-if="post.isStaff" class="badge">{{ t('talk.staff') }}</span>
        <span class="soft figures">{{ at(post.at) }}</span>
        <span v-if="post.editedAt !== null" class="soft">{{ t('talk.edited') }}</span>
        <span v-if="post.answers !== null" class="soft">{{ answered(post) }}</span>
        <span v-if="post.isAnswer" class="is-answer"
          ><IconCheck :size="15" aria-hidden="true" /> {{ t('talk.isAnswer') }}</span
        >
      </header>
      <p v-if="post.isRemoved" class="soft">{{ t('talk.removed') }}</p>
      <PostEditor
        v-if="changing === post.id"
        :where="where(post.id)"
        :may-attach="thread.mayAttach"
        :label="t('talk.changeLabel')"
        :press="t('talk.keep')"
        :before="post"
        :send="changed(post)"
        @done="changing = null"
        @cancel="changing = null"
      />
      <RichText v-else-if="post.html" :html="post.html" />
      <FileLines
        v-if="changing !== post.id"
        pictures
        :label="t('talk.files')"
        :files="post.files"
        :href-of="(hash) => fileOf(post, hash)"
      />
      <p class="acts">
        <PushButton v-if="thread.mayPost && !post.isRemoved" small weight="bare" @click="write(post)">
          {{ t('talk.reply') }}<span class="visually-hidden">: {{ nameOf(post) }}, {{ post.number }}</span>
        </PushButton>
        <PushButton
          v-if="post.mayChange && changing === null"
          small
          weight="bare"
          @click="changing = post.id"
        >
          {{ t('talk.change') }}<span class="visually-hidden">: {{ post.number }}</span>
        </PushButton>
        <PushButton v-if="post.mayRemove" small weight="bare" @click="attempt(() => talk.remove(post))">
          {{ t('talk.remove') }}<span class="visually-hidden">: {{ nameOf(post) }}, {{ post.number }}</span>
        </PushButton>
        <PushButton
          v-if="thread.mayAnswer && post.number > 1 && !post.isRemoved"
          small
          weight="bare"
          :aria-pressed="post.isAnswer"
          @click="attempt(() => talk.lead({ answer: post.isAnswer ? null : post.id }))"
        >
          {{ t('talk.markAnswer') }}<span class="visually-hidden">: {{ post.number }}</span>
        </PushButton>
      </p>
    </article>
    <p v-if="thread.mustPost" class="soft">{{ t('talk.mustPost') }}</p>
    <p v-if="posts.length < thread.count">
      <PushButton @click="attempt(() => talk.more())">
        {{ t('talk.more', thread.count - posts.length) }}
      </PushButton>
    </p>
    <PostEditor
      v-if="isWriting"
      :key="answering?.id ?? 'new'"
      :where="where(thread.id)"
      :may-attach="thread.mayAttach"
      :label="answering === null ? t('talk.postLabel') : t('talk.replyLabel', { name: nameOf(answering) })"
      :press="t('talk.post')"
      :send="send"
      @done="posted"
      @cancel="isWriting = false"
    />
    <p v-else-if="thread.mayPost">
      <PushButton weight="main" @click="write(null)">{{ t('talk.write') }}</PushButton>
    </p>
  </section>
</template>

<style scoped>
.thread {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
}

h3 {
  font-size: 19px;
  overflow-wrap: anywhere;
}

.signs,
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
}

.signs span,
.is-answer {
  display: inline-flex;
  gap: 4px;
  align-items: center;
}

.post {
  padding: 10px 12px;
  border: 1px solid var(--rule);
  border-inline-start: 4px solid var(--rule);
}

.post.staff {
  border-inline-start-color: var(--route);
}

.post.answer {
  border-inline-start-color: var(--open);
}

header {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 10px;
  align-items: baseline;
  margin-bottom: 6px;
}

.badge {
  padding: 0 8px;
  border: 1px solid var(--field-rule);
  border-radius: 10px;
  font-size: 12.5px;
}

.is-answer {
  color: var(--open);
}

.follows {
  align-self: center;
  font-size: 14px;
}

.post .acts {
  gap: 2px;
  margin-top: 4px;
  margin-inline-start: -8px;
}

.failure {
  color: var(--blocker);
}
</style>
