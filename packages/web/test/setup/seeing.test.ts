/** Looking at a course as somebody: what they miss, when it changes, and the words for it. */
import { describe, expect, test } from '@jest/globals';
import { addDays, newItem, newSection, planCourse } from '@itinerary/core';
import type { Course, Item, Viewer, WaitView } from '@itinerary/core';
import { createI18n } from 'vue-i18n';
import { smallCourse } from '../../../core/test/support/arbitraries.ts';
import { openingSentence } from '../../src/learner/words/opening-words.ts';
import enLearner from '../../src/locales/en/learner.ts';
import esLearner from '../../src/locales/es/learner.ts';
import { shortened, wordChanges } from '../../src/setup/compare/word-changes.ts';
import { changesFor, spanOf } from '../../src/setup/seeing/changes.ts';
import { ghostsOf } from '../../src/setup/seeing/ghosts.ts';

const LEARNER: Viewer = { role: 'learner', institutionStaff: false };
const NOW = '2027-01-13T09:00:00Z';
const ticked = { by: 'ticked' as const };
const course = (): Course => ({
  ...smallCourse(),
  state: 'live',
  sections: [
    newSection({
      id: 'A',
      title: 'A',
      items: ['a1', 'a2', 'a3'].map((id) => newItem('page', { id, title: id, done: ticked })),
    }),
    newSection({
      id: 'B',
      title: 'B',
      shown: false,
      items: [
        newItem('folder', { id: 'F', title: 'F', items: [newItem('page', { id: 'f1', title: 'f1' })] }),
      ],
    }),
  ],
});

describe('what somebody does not get', () => {
  test('is the outermost of what is absent, with what hangs on it counted', () => {
    expect(ghostsOf(course(), LEARNER, NOW, null)).toEqual([
      { id: 'B', answer: { state: 'absent', because: 'section_not_shown' }, more: 2 },
    ]);
    expect(ghostsOf(course(), { role: 'instructor', institutionStaff: false }, NOW, null)).toEqual([]);
  });

  test('is not listed where there is no course for them at all', () => {
    expect(ghostsOf({ ...course(), state: 'draft' }, LEARNER, NOW, null)).toBeNull();
    expect(ghostsOf(course(), { role: null, institutionStaff: false }, NOW, null)).toBeNull();
  });
});

describe('the changes of the timeline', () => {
  const opens = (day: string) => ({ kind: 'fixed' as const, day, time: '10:00' });
  test('say on which day how much opens and closes', () => {
    const base = course();
    const [A, B] = base.sections;
    const items = A!.items.map((item): Item =>
      item.id === 'a1' ? item : { ...item, opens: opens('2027-01-15') },
    );
    const changes = changesFor({ ...base, sections: [{ ...A!, items }, B!] }, LEARNER, null);
    expect(changes.map(({ day, opening, closing }) => [day, opening, closing])).toEqual([
      ['2027-01-15', 2, 0],
    ]);
  });

  test('widen the line by a week around them, and no further than two months and that', () => {
    const base = { ...course(), goesLive: { day: '2027-01-05', time: '08:00' }, state: 'draft' as const };
    const plan = planCourse(base);
    const last = addDays(plan.lastDay ?? '', 7);
    expect(spanOf(plan, changesFor(base, LEARNER, plan))).toEqual({ first: '2026-12-29', last });
    const far = { ...base, goesLive: { day: '2026-06-05', time: '08:00' } };
    expect(spanOf(plan, changesFor(far, LEARNER, plan))).toEqual({ first: '2027-01-04', last });
    expect(spanOf(null, [])).toBeNull();
  });
});

describe('the sentence of a rule', () => {
  const say = (view: WaitView, locale: 'en' | 'es' = 'en'): string => {
    const messages = { en: { learner: enLearner }, es: { learner: esLearner } };
    const { t } = createI18n({ legacy: false, locale, messages }).global;
    return openingSentence(view, { t: t as never, locale, today: '2027-01-01' });
  };
  const done = (...titles: string[]): WaitView => ({
    kind: 'done',
    days: 0,
    items: titles.map((title, at) => ({ id: title, number: `1.${at + 1}`, title })),
    met: false,
  });
  const from: WaitView = {
    kind: 'from',
    moment: { day: '2027-01-18', time: '09:00', instant: '2027-01-18T09:00:00Z' },
    met: false,
  };

  test('joins what all of it or any of it is needed of, in either language', () => {
    expect(say(from)).toBe('Opens on Mon 18 Jan 09:00.');
    expect(say(done('Mud', 'Silt'))).toBe('Opens after 1.1 Mud and 1.2 Silt are done.');
    expect(say({ kind: 'all', of: [from, done('Mud')], met: false })).toBe(
      'Opens on Mon 18 Jan 09:00 and after 1.1 Mud is done.',
    );
    expect(say({ kind: 'any', of: [from, done('Mud')], met: false }, 'es')).toBe(
      'Se abre el lun 18 ene 09:00 o cuando 1.1 Mud esté hecho.',
    );
    const inner: WaitView = { kind: 'any', of: [from, done('Mud')], met: false };
    expect(say({ kind: 'all', of: [done('Silt'), inner], met: false })).toBe(
      'Opens after 1.1 Silt is done and (on Mon 18 Jan 09:00 or after 1.1 Mud is done).',
    );
  });

  test('names nothing that is not there for its reader', () => {
    expect(say({ kind: 'done', days: 0, items: [null], met: false })).toBe(
      'Opens after something else is done.',
    );
    expect(say({ kind: 'scored', item: null, least: 60, met: false })).toBe(
      'Opens after at least 60 % in something else.',
    );
    expect(say({ kind: 'course', title: 'Reading the Tides', met: false })).toBe(
      'Opens after the course “Reading the Tides”.',
    );
  });
});

describe('two texts, word by word', () => {
  const written = (before: string, after: string): string =>
    wordChanges(before, after)
      .map(({ kind, text }) => (kind === 'same' ? text : kind === 'gone' ? `[-${text}]` : `[+${text}]`))
      .join('');

  test('show what goes and what comes, and keep the rest', () => {
    expect(written('at low water', 'at high water')).toBe('at [-low][+high] water');
    expect(written('Page 1', 'Taking cores')).toBe('[-Page 1][+Taking cores]');
    expect(written('', 'new words')).toBe('[+new words]');
    expect(written('old', '')).toBe('[-old]');
    expect(written('as it was', 'as it was')).toBe('as it was');
    expect(written('one two three', 'one three')).toBe('one [-two ]three');
  });

  test('put together again they are the two texts', () => {
    const pairs = [
      ['Take a core. Log it. Wash it.', 'Log the core, then wash and take another.'],
      ['a b c d e', 'e d c b a'],
      ['x  y', 'x y'],
    ] as const;
    for (const [before, after] of pairs) {
      const pieces = wordChanges(before, after);
      const side = (kind: 'gone' | 'new'): string =>
        pieces.flatMap((one) => (one.kind === 'same' || one.kind === kind ? one.text : '')).join('');
      expect([side('gone'), side('new')]).toEqual([before, after]);
    }
  });

  test('of a long passage that stays, only its ends are shown', () => {
    const long = 'word '.repeat(100);
    const [first] = shortened(wordChanges(`${long}low`, `${long}high`));
    expect(first?.text.length).toBeLessThan(120);
    expect(first?.text.startsWith(' … ')).toBe(true);
  });
});
