/** Handing in, and looking at what was handed in. */
import type { WORK_ROUTES } from '@itinerary/contract';
import type { OwnWorkAnswer } from '@itinerary/contract';
import { takeUpload } from '../../usecases/files/files.ts';
import { addToDraft, keepDraft, mustWork } from '../../usecases/coursework/draft.ts';
import { handIn } from '../../usecases/coursework/hand-in.ts';
import {
  dropNote,
  lookAtWork,
  markWork,
  mustBeThere,
  noteMarkFile,
  noteOnWork,
  workExample,
  workFile,
  workList,
} from '../../usecases/coursework/marking.ts';
import { attachment, ownReceipt, ownWork, ownWorkFile } from '../../usecases/coursework/own-work.ts';
import type { Worker } from '../../usecases/coursework/own-work.ts';
import type { Call, CourseReader, HandlersOf } from '../call.ts';

export const workerOf = ({ loaded, viewer, person }: CourseReader): Worker => ({
  course: loaded.course,
  institutionId: loaded.row.institutionId,
  viewer,
  personId: person?.id ?? null,
});

/** As it stands after what has been done. */
type Asked = Pick<Call<'ownWork'>, 'em' | 'who' | 'params' | 'now'>;
const asItStands = ({ em, who, params, now }: Asked): Promise<OwnWorkAnswer> =>
  ownWork(em.fork(), workerOf(who), params.item, now);

export const WORK: HandlersOf<typeof WORK_ROUTES> = {
  ownWork: (call) => asItStands(call),
  keepDraft: async (call) => {
    await keepDraft(call.em.fork(), workerOf(call.who), call.params.item, call.body, call.now);
    return asItStands(call);
  },
  addWorkFile: async (call) => {
    const { em, store, who, params, query, file: came, config, now } = call;
    const { node: assignment } = mustWork(workerOf(who), params.item, now);
    // Whoever may work is signed in.
    const person = who.person!;
    const { name, hash, size, type } = await takeUpload(em, store, {
      course: who.loaded.course,
      institutionId: who.loaded.row.institutionId,
      person,
      name: query.name,
      ...came,
      now,
      most: assignment.largest,
    });
    // It has arrived with its last byte.
    await addToDraft(em.fork(), workerOf(who), params.item, { name, hash, size, type }, config.clock.now());
    return asItStands(call);
  },
  ownWorkFile: ({ em, store, who, params, now }) =>
    ownWorkFile(em, store, workerOf(who), params.item, params.hash, now),
  handIn: async (call) => {
    await handIn(call.em.fork(), workerOf(call.who), call.params.item, call.body, call.now);
    return asItStands(call);
  },
  ownReceipt: ({ em, who, params, now, request }) => {
    const { item: itemId, handed: handIn } = params;
    request.res?.attachment(`receipt-${handIn}.txt`);
    return ownReceipt(em, workerOf(who), { itemId, handIn }, now);
  },
  attachment: ({ em, store, who, params, now }) =>
    attachment(em, store, workerOf(who), params.item, params.hash, now),
  workExample: ({ em, store, who, params }) => workExample(em, store, who.loaded.course, params.item),
  workList: ({ em, who, params }) => workList(em, who.loaded.course, params.item),
  lookAtWork: ({ em, who, params }) => lookAtWork(em, who.loaded.course, params.handed, who.person.id),
  workFile: ({ em, store, who, params }) =>
    workFile(em, store, who.loaded.course, params.handed, params.hash),
  markWork: async ({ em, who, params, body, now }) => {
    await markWork(em.fork(), who.loaded.course, params.handed, body, who.person.id, now);
    return lookAtWork(em.fork(), who.loaded.course, params.handed, who.person.id);
  },
  addMarkFile: async ({ em, store, who, params, query, file, now }) => {
    const { course, row } = who.loaded;
    await mustBeThere(em.fork(), course, params.handed);
    const { name, hash, size, type } = await takeUpload(em, store, {
      ...{ course, institutionId: row.institutionId, person: who.person, name: query.name, now },
      ...file,
    });
    const sent = { name, hash, size, type };
    await noteMarkFile(em.fork(), params.handed, sent, who.person.id, now);
    return sent;
  },
  noteOnWork: async ({ em, who, params, body, now }) => {
    await noteOnWork(em.fork(), who.loaded.course, params.handed, body, who.person.id, now);
    return lookAtWork(em.fork(), who.loaded.course, params.handed, who.person.id);
  },
  dropNote: async ({ em, who, params }) => {
    const { handed: handIn, note } = params;
    await dropNote(em.fork(), who.loaded.course, { handIn, note }, who.person.id);
    return lookAtWork(em.fork(), who.loaded.course, handIn, who.person.id);
  },
};
