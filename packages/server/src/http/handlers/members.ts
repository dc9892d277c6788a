/** Who is on a course, and what each of them has of their own in it. */
import type { MEMBERS_ROUTES } from '@itinerary/contract';
import { announce } from '../../db/announce.ts';
import { classmates } from '../../usecases/members/classmates.ts';
import {
  addMembers,
  candidates,
  members,
  removeMember,
  setMemberGroups,
} from '../../usecases/members/members.ts';
import { ownMoments, removeOwnMoments, setOwnMoments } from '../../usecases/members/own-moments.ts';
import { readStanding } from '../../usecases/members/standing.ts';
import type { HandlersOf } from '../call.ts';

export const MEMBERS: HandlersOf<typeof MEMBERS_ROUTES> = {
  members: ({ em, who }) => members(em, who.loaded.course.id),
  candidates: ({ em, who, query }) =>
    candidates(em, who.person.institutionId, who.loaded.course.id, query.find),
  addMembers: ({ em, who, body, now }) =>
    addMembers(em, who.person.institutionId, who.loaded.course.id, body.people, body.role, now),
  removeMember: ({ em, who, params, now }) => removeMember(em, who.loaded.course.id, params.person, now),
  memberGroups: ({ em, who, params, body }) =>
    setMemberGroups(em, who.loaded.course, params.person, body.groups),
  standing: ({ em, who, params, now }) => readStanding(em, who.loaded.course, params.person, now),
  ownMoments: ({ em, who }) => ownMoments(em, who.loaded.course.id),
  setOwnMoments: async ({ em, who, params, body, now }) => {
    const { course, row } = who.loaded;
    const answer = await setOwnMoments(em, course, params.exception, body, now);
    await announce(em, { course: course.id, seq: row.seq });
    return answer;
  },
  removeOwnMoments: async ({ em, who, params }) => {
    const { course, row } = who.loaded;
    const answer = await removeOwnMoments(em, course.id, params.exception);
    await announce(em, { course: course.id, seq: row.seq });
    return answer;
  },
  classmates: ({ em, who, now }) => classmates(em, who.loaded.course, who.viewer, now),
};
