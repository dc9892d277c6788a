/** The menu in setup: what is done to its entries, and what they are called there and for learners. */
import { describe, expect, test } from '@jest/globals';
import { AREAS, hostOf } from '@itinerary/core';
import type { Course, Leads, MenuEntry, MenuItemView } from '@itinerary/core';
import { computed } from 'vue';
import { smallCourse } from '../../../core/test/support/arbitraries.ts';
import { ownWords, roleWord } from '../../src/words/own-words.ts';
import { AREA_PATHS, useMenuWords, wayTo } from '../../src/words/menu-words.ts';
import { useEntryWords } from '../../src/setup/menu/entry-words.ts';
import { useMenu } from '../../src/setup/menu/use-menu.ts';
import type { MenuHandle } from '../../src/setup/menu/use-menu.ts';
import type { Marker } from '../../src/setup/preview/marker.ts';
import { usePlan } from '../../src/stores/plan.ts';
import { inSetup } from '../support/in-setup.ts';
import { messages } from '../support/messages.ts';
import { miniature } from '../support/mini-server.ts';

const at = miniature();
const marker = { moment: computed(() => '2027-01-13T09:00:00.000Z') } as unknown as Marker;

const HELP = {
  id: 'help',
  use: 'help' as const,
  names: { en: 'Help with the site', es: 'Ayuda con el sitio' },
  address: 'https://ternpoint.example/help',
  beside: null,
};

async function opened(course: Course = smallCourse()): Promise<ReturnType<typeof usePlan>> {
  at.server.course = course;
  const plan = usePlan();
  await plan.open('course');
  plan.face = { pages: [HELP], staff: [] };
  return plan;
}
const menuHandle = async (): Promise<MenuHandle> =>
  (await inSetup(useMenu, { pinia: at.pinia, acts: { marker } })).used;
const standing = ({ standing: answers }: MenuHandle): string[] => answers.value.map(({ id }) => id);
const entry = (leads: Leads, names: MenuEntry['names'] = {}): MenuEntry => ({
  leads,
  names,
  at: 1,
  shown: true,
  staffOnly: false,
  removed: false,
});

describe('the entries', () => {
  const FIRST = [
    'home',
    'learn',
    'sections',
    'announcements',
    'guide',
    'take_part',
    'discussions',
    'members',
    'get_help',
    'contact',
  ];

  test('of a new course stand in their order, each with why a learner does not see it', async () => {
    await opened();
    const menu = await menuHandle();
    expect(standing(menu)).toEqual(FIRST);
    const reasons = Object.fromEntries(
      menu.standing.value.map(({ id, unseen }) => [id, unseen?.kind ?? null]),
    );
    expect(reasons).toMatchObject({
      home: null,
      sections: null,
      announcements: 'empty',
      discussions: 'empty',
    });
  });

  test('move past one another, and no further than the ends', async () => {
    await opened();
    const menu = await menuHandle();
    menu.move('sections', -1);
    menu.move('home', -1);
    menu.move('contact', 1);
    expect(standing(menu)).toEqual(['home', 'sections', 'learn', ...FIRST.slice(3)]);
    menu.move('home', 2);
    expect(standing(menu)).toEqual(['sections', 'learn', 'home', ...FIRST.slice(3)]);
  });

  test('that are removed are passed over, keep their place, and come back to it', async () => {
    await opened();
    const menu = await menuHandle();
    menu.change('learn', { removed: true });
    expect(menu.removed.value.map(({ id }) => id)).toEqual(['learn']);
    menu.move('sections', -1);
    expect(standing(menu).slice(0, 3)).toEqual(['sections', 'home', 'announcements']);
    menu.change('learn', { removed: false });
    expect(standing(menu).slice(0, 4)).toEqual(['sections', 'home', 'learn', 'announcements']);
  });

  test('are dropped above or below another one', async () => {
    await opened();
    const menu = await menuHandle();
    menu.drop('contact', 'home', 'top');
    expect(standing(menu).slice(0, 3)).toEqual(['contact', 'home', 'learn']);
    menu.drop('contact', 'learn', 'bottom');
    expect(standing(menu).slice(0, 4)).toEqual(['home', 'learn', 'contact', 'sections']);
    menu.drop('contact', 'contact', 'top');
    menu.drop('contact', 'sections', 'top');
    expect(standing(menu).slice(0, 4)).toEqual(['home', 'learn', 'contact', 'sections']);
  });

  test('moved to and fro a hundred times are still told apart, and taken back one by one', async () => {
    const plan = await opened();
    const menu = await menuHandle();
    for (let at = 0; at < 100; at += 1) menu.drop(at % 2 === 0 ? 'guide' : 'members', 'home', 'bottom');
    expect(standing(menu).slice(0, 3)).toEqual(['home', 'members', 'guide']);
    const places = Object.values(plan.course?.menu ?? {}).map(({ at }) => at);
    expect(new Set(places).size).toBe(FIRST.length);
    plan.undo();
    expect(standing(menu).slice(0, 3)).toEqual(['home', 'guide', 'members']);
  });

  test('are added at the end; a full menu takes no more, and says so', async () => {
    const plan = await opened();
    const menu = await menuHandle();
    const id = menu.add({ to: 'institution', page: 'help' });
    expect(standing(menu)).toEqual([...FIRST, id]);
    for (let at = FIRST.length + 1; at < 200; at += 1) menu.add({ to: 'divider' });
    expect(menu.standing.value).toHaveLength(200);
    expect(menu.add({ to: 'divider' })).toBeNull();
    expect(menu.standing.value).toHaveLength(200);
    expect(plan.told.at(-1)).toMatchObject({ kind: 'refused', refusal: { code: 'too_many', most: 200 } });
  });

  test('that are not there are not changed, and without a course nothing is', async () => {
    const menu = await menuHandle();
    expect([menu.standing.value, menu.add({ to: 'divider' })]).toEqual([[], null]);
    menu.move('home', 1);
    const plan = await opened();
    menu.change('never', { removed: true });
    expect(plan.isUnsaved).toBe(false);
  });
});

describe('an entry is called', () => {
  const words = async (of: MenuEntry, locale: keyof typeof messages = 'en'): Promise<string> =>
    (await inSetup(useEntryWords, { pinia: at.pinia, locale })).used(of);

  test('by the names that the course gives it, in the language of whoever reads', async () => {
    await opened();
    const own = entry({ to: 'area', area: 'sections' }, { en: 'The plan', fr: 'Le plan' });
    expect([await words(own), await words(own, 'fr')]).toEqual(['The plan', 'Le plan']);
    // Its author named it in some language, and meant it.
    expect(await words(own, 'ar')).toBe('The plan');
  });

  test.each(['en', 'es', 'fr', 'ar'] as const)('in %s by what it leads to', async (locale) => {
    await opened();
    for (const area of AREAS) {
      const name = await words(entry({ to: 'area', area }), locale);
      expect(name).toBe((messages[locale].learner.areas as Record<string, string>)[area]);
    }
    expect(await words(entry({ to: 'item', item: 'a2' }), locale)).toBe('a2');
    expect(await words(entry({ to: 'address', address: 'https://tides.example/x?y=1' }), locale)).toBe(
      hostOf('https://tides.example/x?y=1'),
    );
    const { menu } = messages[locale].setup;
    expect(await words(entry({ to: 'item', item: 'never' }), locale)).toBe(menu.gonePage);
    expect(await words(entry({ to: 'institution', page: 'never' }), locale)).toBe(menu.gonePage);
    expect(await words(entry({ to: 'divider' }), locale)).toBe(menu.divider);
    expect(await words(entry({ to: 'group', group: 'own' }), locale)).toBe(menu.unnamed);
    expect(await words(entry({ to: 'group', group: 'take_part' }), locale)).toBe(
      messages[locale].learner.menu.groups.take_part,
    );
  });

  test('as the institution calls its page', async () => {
    await opened();
    const help = entry({ to: 'institution', page: 'help' });
    expect([await words(help), await words(help, 'es'), await words(help, 'fr')]).toEqual([
      'Help with the site',
      'Ayuda con el sitio',
      'Help with the site',
    ]);
  });
});

describe('learners see', () => {
  const item = (part: Partial<MenuItemView>): MenuItemView => ({
    id: 'x',
    to: 'area',
    area: null,
    item: null,
    address: null,
    title: null,
    names: {},
    staffOnly: false,
    ...part,
  });

  test('an entry under its own name, its area’s, or the title of what it leads to', async () => {
    const { ofItem, ofGroup } = (await inSetup(useMenuWords, { pinia: at.pinia, locale: 'es' })).used;
    expect(ofItem(item({ area: 'sections', names: { es: 'El plan' } }))).toBe('El plan');
    expect(ofItem(item({ area: 'sections' }))).toBe(messages.es.learner.areas.sections);
    expect(ofItem(item({ to: 'item', item: 'a1', title: 'Mud' }))).toBe('Mud');
    const group = { id: 'g', entries: [], group: 'learn' as const, names: {} };
    expect(ofGroup(group)).toBe(messages.es.learner.menu.groups.learn);
    expect(ofGroup({ ...group, names: { en: 'Read' } })).toBe('Read');
    expect(ofGroup({ ...group, group: 'own' })).toBeNull();
    expect(ofGroup({ ...group, group: null })).toBeNull();
  });

  test('where an entry leads: into the course, or out of it', () => {
    expect(wayTo('c', item({ area: 'sections' }))).toBe('/courses/c/outline');
    expect(wayTo('c', item({ to: 'item', item: 'a1' }))).toBe('/courses/c/items/a1');
    expect(wayTo('c', item({ to: 'address' }))).toBeNull();
    expect(new Set(AREAS.map((area) => AREA_PATHS[area])).size).toBe(AREAS.length);
  });

  test('their roles as the course calls them', () => {
    const t = (key: string): string => key;
    expect(roleWord('learner', {}, t)).toBe('learner.members.roles.learner');
    expect(roleWord('learner', { learner: { one: 'Trainee', many: 'Trainees' } }, t)).toBe('Trainee');
    expect(ownWords({}, 'en')).toBeNull();
  });
});
