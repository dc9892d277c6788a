/** A discussion on a page: its threads, and the one that is read, post by post; what has been sent twice is there once. */
import type { TalkAnswer, ThreadAnswer } from '@itinerary/contract';
import { ref, shallowRef } from 'vue';
import type { Ref, ShallowRef } from 'vue';
import { ask, ProblemError } from '../../../api/client.ts';
import { newId } from '../../../stores/new-id.ts';

export type Thread = TalkAnswer['threads'][number];
export type Post = ThreadAnswer['page'][number];

/** What somebody has written, with the hashes of what goes with it. */
export interface Written {
  readonly title: string;
  readonly html: string;
  readonly files: string[];
}

export interface Talk {
  readonly talk: ShallowRef<TalkAnswer | null>;
  readonly thread: ShallowRef<ThreadAnswer | null>;
  /** What has come of it so far, in order. */
  readonly posts: ShallowRef<readonly Post[]>;
  readonly find: Ref<string>;
  readonly load: () => Promise<void>;
  readonly open: (thread: string | null) => Promise<void>;
  /** The next of a long thread. */
  readonly more: () => Promise<void>;
  readonly start: (written: Written) => Promise<void>;
  readonly post: (written: Written, answers: string | null) => Promise<void>;
  readonly change: (post: Post, written: Written) => Promise<void>;
  readonly follow: (isOn: boolean) => Promise<void>;
  readonly remove: (post: Post) => Promise<void>;
  readonly lead: (what: { pinned?: boolean; closed?: boolean; answer?: string | null }) => Promise<void>;
  /** What came meanwhile. */
  readonly refresh: () => Promise<void>;
}

const THREADS = '/api/learn/{course}/items/{item}/discussion/threads';
const THREAD = `${THREADS}/{thread}` as const;

export function useTalk(course: string, item: string): Talk {
  const params = { course, item };
  const talk = shallowRef<TalkAnswer | null>(null);
  const thread = shallowRef<ThreadAnswer | null>(null);
  const posts = shallowRef<readonly Post[]>([]);
  const find = ref('');
  /** Which thread is read; null: their list. What comes of another one by then is not shown. */
  let wanted: string | null = null;
  /** Sent again it is the same, until it has been answered. */
  let [threadId, postId] = [newId(), newId()];

  async function load(): Promise<void> {
    const query = find.value.trim() === '' ? {} : { find: find.value.trim() };
    const asked = find.value;
    const answer = await ask('GET /api/learn/{course}/items/{item}/discussion', { params, query });
    // Another word is looked for by now.
    if (asked === find.value) talk.value = answer;
  }
  function take(answer: ThreadAnswer): void {
    if (answer.id !== wanted) return;
    const isOther = thread.value?.id !== answer.id;
    const before = isOther ? [] : posts.value;
    const came = new Map(answer.page.map((post) => [post.id, post]));
    const fresh = answer.page.filter(({ id }) => !before.some((post) => post.id === id));
    posts.value = [...before.map((post) => came.get(post.id) ?? post), ...fresh].sort(
      (a, b) => a.number - b.number,
    );
    thread.value = answer;
  }
  const here = (): { course: string; item: string; thread: string } => ({
    ...params,
    thread: thread.value?.id ?? '',
  });
  async function readFrom(id: string, after: number): Promise<void> {
    take(await ask(`GET ${THREAD}`, { params: { ...params, thread: id }, query: { after } }));
  }
  async function open(id: string | null): Promise<void> {
    wanted = id;
    if (id === null) {
      thread.value = null;
      posts.value = [];
      await load();
      return;
    }
    await readFrom(id, 0);
  }
  /** The ids are used up once there is an answer, whatever it says. */
  async function once(send: () => Promise<ThreadAnswer>): Promise<void> {
    try {
      take(await send());
      [threadId, postId] = [newId(), newId()];
    } catch (error) {
      if (error instanceof ProblemError) [threadId, postId] = [newId(), newId()];
      throw error;
    }
  }
  /** All are here up to this one: one's own post may stand beyond what has been read. */
  const last = (): number => {
    const gap = posts.value.findIndex(({ number }, index) => number !== index + 1);
    return gap === -1 ? posts.value.length : gap;
  };
  return {
    talk,
    thread,
    posts,
    find,
    load,
    open,
    more: () => readFrom(here().thread, last()),
    start: async ({ title, html, files }) => {
      const before = wanted;
      wanted = threadId;
      try {
        await once(() =>
          ask(`POST ${THREADS}`, { params, body: { id: threadId, post: postId, title, html, files } }),
        );
      } catch (error) {
        wanted = before;
        throw error;
      }
    },
    post: async ({ html, files }, answers) => {
      const isFirst = thread.value?.mustPost === true;
      await once(() =>
        ask(`POST ${THREAD}/posts`, { params: here(), body: { id: postId, html, answers, files } }),
      );
      // What others have said may be read now, and what came between is there too.
      if (isFirst) await readFrom(here().thread, 0);
    },
    change: async (post, { html, files }) => {
      take(
        await ask(`PUT ${THREAD}/posts/{post}`, {
          params: { ...here(), post: post.id },
          body: { html, was: post.editedAt, files },
        }),
      );
    },
    remove: async (post) => {
      take(await ask(`DELETE ${THREAD}/posts/{post}`, { params: { ...here(), post: post.id } }));
    },
    follow: async (isOn) =>
      take(await ask(`PUT ${THREAD}/following`, { params: here(), body: { follow: isOn } })),
    lead: async (what) => take(await ask(`PUT ${THREAD}`, { params: here(), body: what })),
    refresh: async () => {
      if (thread.value === null) await load();
      // Where all of it has been read, what is new comes too; else one goes on by oneself.
      else if (last() >= thread.value.count) await readFrom(thread.value.id, last());
    },
  };
}
