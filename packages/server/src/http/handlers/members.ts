/** Who is on a course, and what each of them has of their own in it. */
import type { MEMBERS_ROUTES } from '@itinerary/contract';
import { announce } from '../../db/announce.ts';
import { keptCourse } from '../../db/kept-courses.ts';
import { Failure } from '../../usecases/failure.ts';
import { choices, choose } from '../../usecases/members/choosing.ts';
import { classmates } from '../../usecases/members/classmates.ts';
import { firstMembers } from '../../usecases/members/first-members.ts';
import {
  addMembers,
  candidates,
  members,
  removeMember,
  setMemberGroups,
} from '../../usecases/members/members.ts';
import { ownMoments, removeOwnMoments, setOwnMoments } from '../../usecases/members/own-moments.ts';
import { editMembers } from '../../usecases/members/edit-members.ts';
import { lists, roster } from '../../usecases/members/lists/read-lists.ts';
import { takeBackList } from '../../usecases/members/lists/take-back-list.ts';
import { takeList } from '../../usecases/members/lists/take-list.ts';
import { readStanding } from '../../usecases/members/standing.ts';
import type { HandlersOf } from '../call.ts';

export const MEMBERS: HandlersOf<typeof MEMBERS_ROUTES> = {
  choices: ({ em, who, now }) => choices(em, who.loaded.course, who.person, now),
  choose: async ({ em, who, body, now }) => {
    const { person, loaded } = who;
    if (person === null) throw new Failure('not_signed_in', 'Sign in first');
    await choose(em.fork(), loaded.course.id, person, body, now);
    const fresh = await keptCourse(em.fork(), loaded.course.id);
    return choices(em.fork(), fresh?.course ?? loaded.course, person, now);
  },
  members: ({ em, who }) => members(em, who.loaded.course.id),
  firstMembers: ({ em, who, query }) => firstMembers(em, who.loaded.course.id, query),
  candidates: ({ em, who, query }) =>
    candidates(em, who.person.institutionId, who.loaded.course.id, query.find),
  addMembers: ({ em, who, body, now }) =>
    addMembers(em, who.person.institutionId, who.loaded.course.id, body.people, body.role, now),
  editMembers: async ({ em, who, body, now }) => {
    const { course } = who.loaded;
    await editMembers(em, course.id, body, who.person.id, now);
    // It may have made or ended a class: the number is the one after it.
    const seq = (await keptCourse(em.fork(), course.id))?.row.seq ?? who.loaded.row.seq;
    await announce(em, { course: course.id, seq });
    return members(em.fork(), course.id);
  },
  roster: ({ em, who }) => roster(em, who.loaded.course),
  lists: ({ em, who }) => lists(em, who.loaded.course.id),
  takeList: async ({ em, who, body, now }) => {
    const courseId = who.loaded.course.id;
    await takeList({ em, courseId, person: who.person, now }, body);
    return { ...(await members(em.fork(), courseId)), ...(await lists(em.fork(), courseId)) };
  },
  takeBackList: async ({ em, who, params, now }) => {
    const courseId = who.loaded.course.id;
    await takeBackList({ em, courseId, person: who.person, now }, params.list);
    return { ...(await members(em.fork(), courseId)), ...(await lists(em.fork(), courseId)) };
  },
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
