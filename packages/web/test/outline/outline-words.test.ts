import { expect, test } from '@jest/globals';
import type { CourseView } from '@itinerary/core';
import { itemToCarryOn } from '../../src/learner/course/carry-on.ts';
import { sectionTitle } from '../../src/learner/words/titles.ts';
import { bestMatches } from '../../src/palette/matches.ts';
import { dayAtShare } from '../../src/setup/preview/marker.ts';
import { newId } from '../../src/stores/new-id.ts';

test('a section’s title follows its days until somebody types one', () => {
  const t = (key: string, values?: Record<string, unknown>): string =>
    `${key} ${String(values?.['day'] ?? '')}`.trim();
  const days = { first: '2027-01-11' };
  expect(sectionTitle({ title: null, days }, t, 'en')).toBe('learner.weekOf 11 January');
  expect(sectionTitle({ title: 'Tides', days }, t, 'en')).toBe('Tides');
  expect(sectionTitle({ title: null, days: null }, t, 'en')).toBe('learner.untitled');
  const unit = { title: null, days: { first: '2027-01-11', last: '2027-01-24' } };
  expect(sectionTitle(unit, t, 'en')).toBe('learner.from 11 January');
  const meeting = { day: '2027-01-12' };
  expect(sectionTitle({ title: null, days, meeting }, t, 'en')).toBe('learner.meetingOn Tue 12 Jan');
});

test('one carries on where one left off, else with what is on, else at the start', () => {
  const item = (id: string, kind: 'page' | 'link' = 'page'): object => ({ id, kind, state: 'open' });
  const view = (current: number): CourseView =>
    ({
      sections: [{ items: [item('l', 'link'), item('p1')] }, { items: [item('p2')] }].map((section, at) => ({
        ...section,
        current: at === current,
      })),
    }) as unknown as CourseView;
  expect(itemToCarryOn(view(1), 'p1')?.id).toBe('p1');
  expect(itemToCarryOn(view(1), 'gone')?.id).toBe('p2');
  expect(itemToCarryOn(view(-1), null)?.id).toBe('p1');
  expect(itemToCarryOn({ sections: [] } as unknown as CourseView, null)).toBeNull();
});

test('the marker’s day lies within the course', () => {
  const at = (share: number): string => dayAtShare('2027-01-11', '2027-01-24', share);
  expect([at(-1), at(0), at(0.5), at(0.999), at(7)]).toEqual([
    '2027-01-11',
    '2027-01-11',
    '2027-01-18',
    '2027-01-24',
    '2027-01-24',
  ]);
});

test('ids are UUIDs of version 4', () => {
  const ids = Array.from({ length: 50 }, newId);
  for (const id of ids)
    expect(id).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/);
  expect(new Set(ids).size).toBe(50);
});

test('the palette puts words that begin so before words that hold it', () => {
  const command = (title: string, note?: string) => ({
    id: title,
    title,
    run: () => undefined,
    ...(note === undefined ? {} : { note }),
  });
  const commands = [command('Redo'), command('Índice', 'EFM-210'), command('Undo'), command('Dates')];
  const found = (find: string): string[] => bestMatches(commands, find).map(({ title }) => title);
  expect(found('d')).toEqual(['Dates', 'Redo', 'Índice', 'Undo']);
  expect(found('indice efm')).toEqual(['Índice']);
  expect(found('')).toHaveLength(4);
  expect(found('x')).toEqual([]);
});
