/** What the institution keeps for all courses: its own pages, and the menus that it proposes. */
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { FrameAnswer, InstitutionPagesAnswer, MenuTemplatesAnswer, Problem } from '@itinerary/contract';
import { FIRST_MENU } from '@itinerary/core';
import type { Agent } from 'supertest';
import { courseIds, LIVE, signedIn, testServer } from '../support/server.ts';
import type { TestServer } from '../support/server.ts';

let server: TestServer;
let live = '';
let instructor: Agent;
let staff: Agent;
let learner: Agent;

beforeAll(async () => {
  server = await testServer();
  live = (await courseIds(server))[LIVE] ?? '';
  instructor = await signedIn(server, 'instructor');
  staff = await signedIn(server, 'staff');
  learner = await signedIn(server, 'learner');
});
afterAll(() => server.stop());

const frameOf = async (): Promise<FrameAnswer> =>
  (await learner.get(`/api/learn/${live}/frame`).expect(200)).body as FrameAnswer;

describe('the institution', () => {
  test('keeps its pages in one place, and only its staff change them', async () => {
    const page = {
      use: 'help',
      names: { en: 'Help with files' },
      address: 'https://ternpoint.example/files',
      beside: 'files',
    };
    await instructor.put('/api/institution/pages/files').send(page).expect(403);
    const kept = (await staff.put('/api/institution/pages/files').send(page).expect(200))
      .body as InstitutionPagesAnswer;
    expect(kept.pages.map((one) => one.id)).toContain('files');
    expect((await frameOf()).menu.help['files']?.address).toBe(page.address);
    const bad = await staff
      .put('/api/institution/pages/files')
      .send({ ...page, address: 'javascript:alert(1)' });
    expect(bad.status).toBe(400);
    expect((bad.body as Problem).errors?.[0]).toMatchObject({
      path: 'address',
      value: 'javascript:alert(1)',
    });
    const left = (await staff.delete('/api/institution/pages/files').expect(200))
      .body as InstitutionPagesAnswer;
    expect(left.pages.map((one) => one.id)).not.toContain('files');
  });

  test('proposes menus, without the pages of any one course', async () => {
    const menu = {
      ...FIRST_MENU,
      own: {
        leads: { to: 'item', item: 'welcome' },
        names: {},
        at: 9,
        shown: true,
        staffOnly: false,
        removed: false,
      },
    };
    await instructor.put('/api/menus/mine').send({ name: 'Mine', menu }).expect(403);
    const { templates } = (await staff.put('/api/menus/mine').send({ name: 'Mine', menu }).expect(200))
      .body as MenuTemplatesAnswer;
    const kept = templates.find((one) => one.id === 'mine');
    expect(kept?.menu).toEqual(FIRST_MENU);
    const seen = (await instructor.get('/api/menus').expect(200)).body as MenuTemplatesAnswer;
    expect(seen.templates.map(({ name }) => name)).toEqual(['Mine', 'Tern Point, all departments']);
    await staff.delete('/api/menus/mine').expect(200);
  });
});
