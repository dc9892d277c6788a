/** Talking with one another in a discussion. */
import type { PostDraft, TALK_ROUTES, ThreadAnswer } from '@itinerary/contract';
import {
  addPost,
  changePost,
  leadThread,
  removePost,
  startThread,
} from '../../usecases/coursework/talk/posting.ts';
import {
  addToPostDraft,
  dropPostDraft,
  keepPostDraft,
  mustAttach,
  postDraft,
} from '../../usecases/coursework/talk/drafts.ts';
import { followThread } from '../../usecases/coursework/talk/following.ts';
import { beforePost, postFile, readThread, talk, whoPosted } from '../../usecases/coursework/talk/reading.ts';
import { talkingIn } from '../../usecases/coursework/talk/talking.ts';
import type { Talker } from '../../usecases/coursework/talk/talking.ts';
import { plannedWork } from '../../usecases/coursework/taken-work.ts';
import { takeUpload } from '../../usecases/files/files.ts';
import type { Call, CourseReader, HandlersOf } from '../call.ts';

const talkerOf = ({ loaded, viewer, person }: CourseReader): Talker => ({
  course: loaded.course,
  viewer,
  person: person === null ? null : { id: person.id },
});

type Asked = Pick<Call<'addPost'>, 'em' | 'cleaning' | 'who' | 'now'> & {
  readonly params: { readonly item: string };
};
const posting = ({ em, cleaning, who, now, params }: Asked) => ({
  em: em.fork(),
  cleaning,
  talker: talkerOf(who),
  itemId: params.item,
  now,
});
/** As it stands from a post on. */
const asItStands = ({ em, who, now, params }: Asked, threadId: string, after = 0): Promise<ThreadAnswer> =>
  readThread(em.fork(), talkerOf(who), { itemId: params.item, threadId }, after, now);

type AskedDraft = Pick<Call<'postDraft'>, 'em' | 'who' | 'params' | 'now'>;
const placeOf = ({ params }: AskedDraft) => ({ itemId: params.item, place: params.place });
const draftAsItStands = (call: AskedDraft): Promise<PostDraft> =>
  postDraft(call.em.fork(), talkerOf(call.who), placeOf(call), call.who.loaded.row.institutionId, call.now);

export const TALK: HandlersOf<typeof TALK_ROUTES> = {
  talk: ({ em, who, params, query, now }) =>
    talk(em.fork(), talkerOf(who), params.item, query.find ?? '', now),
  startThread: async (call) => {
    await startThread(posting(call), call.body);
    return asItStands(call, call.body.id);
  },
  readThread: (call) => asItStands(call, call.params.thread, call.query.after ?? 0),
  addPost: async (call) => {
    await addPost(posting(call), call.params.thread, call.body);
    return asItStands(call, call.params.thread, await beforePost(call.em.fork(), call.body.id));
  },
  changePost: async (call) => {
    const { thread: threadId, post: postId } = call.params;
    await changePost(posting(call), { threadId, postId }, call.body);
    return asItStands(call, threadId, await beforePost(call.em.fork(), postId));
  },
  removePost: async (call) => {
    const { thread: threadId, post: postId } = call.params;
    await removePost(posting(call), { threadId, postId });
    return asItStands(call, threadId, await beforePost(call.em.fork(), postId));
  },
  leadThread: async (call) => {
    await leadThread(posting(call), call.params.thread, call.body);
    return asItStands(call, call.params.thread);
  },
  followThread: async (call) => {
    const { item: itemId, thread: threadId } = call.params;
    const { em, who, body, now } = call;
    await followThread(em.fork(), talkerOf(who), { itemId, threadId }, body.follow, now);
    return asItStands(call, threadId);
  },
  postFile: ({ em, store, who, params, now }) => {
    const { item: itemId, thread: threadId, post: postId, hash } = params;
    return postFile(em.fork(), store, talkerOf(who), { itemId, threadId, postId, hash }, now);
  },
  postDraft: (call) => draftAsItStands(call),
  keepPostDraft: async (call) => {
    await keepPostDraft(call.em.fork(), talkerOf(call.who), placeOf(call), call.body, call.now);
    return draftAsItStands(call);
  },
  addPostFile: async (call) => {
    const { em, store, who, params, query, file: came, config, now } = call;
    mustAttach(await talkingIn(em.fork(), talkerOf(who), params.item, now));
    const { name, hash, size, type } = await takeUpload(em, store, {
      course: who.loaded.course,
      institutionId: who.loaded.row.institutionId,
      // Whoever may post is signed in.
      person: who.person!,
      name: query.name,
      ...came,
      now,
    });
    const file = { name, hash, size, type };
    await addToPostDraft(em.fork(), talkerOf(who), placeOf(call), file, config.clock.now());
    return draftAsItStands(call);
  },
  dropPostDraft: async (call) => {
    await dropPostDraft(call.em.fork(), talkerOf(call.who), placeOf(call), call.now);
    return draftAsItStands(call);
  },
  whoPosted: ({ em, who, params }) =>
    whoPosted(em.fork(), who.loaded.course, plannedWork(who.loaded.course, params.item, 'discussion').id),
};
