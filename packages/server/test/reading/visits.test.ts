/** What is new to somebody since they were last there, and how long a passphrase opens a course: by a clock that is told. */
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { AnnouncementsAnswer, FrameAnswer } from '@itinerary/contract';
import type { Agent } from 'supertest';
import { toldClock } from '../../src/config/clock.ts';
import { announcement } from '../support/announcement.ts';
import { changeCourse, openCourse, putOn, setting, signedIn, testServer } from '../support/server.ts';
import type { TestServer } from '../support/server.ts';
import { newItem } from '@itinerary/core';

let server: TestServer;
let instructor: Agent;
let learner: Agent;
let id = '';
const clock = toldClock('2027-02-16T09:00:00Z');
const from = (time: string): object => ({ from: { kind: 'fixed', day: '2027-02-16', time } });

beforeAll(async () => {
  server = await testServer({ clock });
  instructor = await signedIn(server, 'instructor');
  learner = await signedIn(server, 'learner');
  id = await openCourse(instructor, { code: 'SINCE-1', purpose: 'practice', firstDay: '2027-02-15' });
  await putOn(instructor, id, 'noor', 'learner');
  const { body } = await instructor.get(`/api/courses/${id}/plan`).expect(200);
  const section = (body as { course: { sections: { id: string }[] } }).course.sections[0]?.id ?? '';
  await instructor.put(`/api/courses/${id}/passphrase`).send({ passphrase: 'eelgrass meadow' }).expect(200);
  const node = newItem('page', { id: 'there', title: 'There' });
  await changeCourse(instructor, id, [
    { kind: 'insert', parent: section, after: null, node },
    setting(id, 'state', 'live', 'draft'),
    setting(id, 'announcements.early', announcement('Early', { ...from('08:00'), comments: true })),
    setting(id, 'announcements.late', announcement('Late', from('10:30'))),
    setting(id, 'find', 'here', 'members'),
    setting(id, 'visitors', 'passphrase', 'off'),
  ]);
});
afterAll(() => server.stop());

const listed = async (): Promise<AnnouncementsAnswer['announcements']> =>
  ((await learner.get(`/api/learn/${id}/announcements`).expect(200)).body as AnnouncementsAnswer)
    .announcements;

describe('since the last visit', () => {
  test('nothing is new to who comes for the first time; what came meanwhile is, and what was there is not', async () => {
    expect((await listed()).map((one) => [one.id, one.isNew])).toEqual([['early', false]]);
    clock.tell('2027-02-16T11:00:00Z');
    const { unread } = (await learner.get(`/api/learn/${id}/frame`).expect(200)).body as FrameAnswer;
    expect(unread).toBe(1);
    expect((await listed()).map((one) => [one.id, one.isNew])).toEqual([
      ['late', true],
      ['early', false],
    ]);
  });

  test('comments are counted where there are any, and not where they are off', async () => {
    const at = `/api/learn/${id}/announcements/early/comments`;
    await learner.post(at).send({ id: randomUUID(), text: 'Boots?' }).expect(200);
    const counts = async (): Promise<unknown> =>
      Object.fromEntries((await listed()).map((one) => [one.id, one.commentCount]));
    expect(await counts()).toEqual({ late: 0, early: 1 });
    const off = announcement('Early', { ...from('08:00'), comments: false });
    await changeCourse(instructor, id, [setting(id, 'announcements.early', off)]);
    expect(await counts()).toEqual({ late: 0, early: 0 });
  });

  test('a visit goes on with a page every half hour, and what was new in it stays new', async () => {
    const isLateNew = async (): Promise<boolean | undefined> =>
      (await listed()).find((one) => one.id === 'late')?.isNew;
    clock.tell('2027-02-16T11:29:00Z');
    expect(await isLateNew()).toBe(true);
    clock.tell('2027-02-16T12:00:00Z');
    expect(await isLateNew()).toBe(false);
  });
});

describe('a visit with the passphrase', () => {
  const accessOf = async (guest: Agent): Promise<string> =>
    ((await guest.get(`/api/learn/${id}`).expect(200)).body as { course: { access: string } }).course.access;

  test('lasts an hour from the passphrase, however many pages are looked at', async () => {
    clock.tell('2027-02-16T12:00:00Z');
    const guest = await signedIn(server, 'outsider');
    expect(await accessOf(guest)).toBe('named');
    await guest.post(`/api/learn/${id}/visit`).send({ passphrase: 'eelgrass meadow' }).expect(204);
    for (const minute of ['20', '40', '59']) {
      clock.tell(`2027-02-16T12:${minute}:00Z`);
      expect(await accessOf(guest)).toBe('look');
    }
    clock.tell('2027-02-16T13:00:00Z');
    expect(await accessOf(guest)).toBe('named');
  });
});
