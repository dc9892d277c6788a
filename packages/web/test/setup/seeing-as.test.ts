/** As whom a course is looked at, why something does not show, and what a rule can wait for: the setup's own state. */
import { describe, expect, jest, test } from '@jest/globals';
import { newItem, whyNot } from '@itinerary/core';
import type { Course, Edit, OpeningRule, Viewer } from '@itinerary/core';
import type { MeAnswer, StandingAnswer } from '@itinerary/contract';
import { smallCourse } from '../../../core/test/support/arbitraries.ts';
import { useWhyWords } from '../../src/setup/access/why-words.ts';
import type { WhyWords } from '../../src/setup/access/why-words.ts';
import { useNodeTitle } from '../../src/setup/node-title.ts';
import { useConditionChoices } from '../../src/setup/rules/condition-choices.ts';
import { usePlan } from '../../src/stores/plan.ts';
import { useSeeing } from '../../src/stores/seeing.ts';
import { useSession } from '../../src/stores/session.ts';
import { inSetup } from '../support/in-setup.ts';
import type { messages } from '../support/messages.ts';
import { answering, miniature } from '../support/mini-server.ts';

const at = miniature();
const its = answering(at);

const me = (part: Partial<MeAnswer> = {}): MeAnswer => ({
  person: { id: 'ines', name: 'Inês Carvalhal', address: 'ines@ternpoint.example', kind: 'teacher' } as never,
  mayCreate: true,
  now: '2027-02-16T09:42:00.000Z',
  clockStands: false,
  demo: true,
  institution: {
    name: 'Ternpoint',
    zone: 'Europe/Lisbon',
    departments: [],
    terms: [],
    holidays: [],
    largestUpload: 100,
    nameOrder: 'given_first',
    pages: [],
  },
  ...part,
});
async function signedIn(part: Partial<MeAnswer> = {}): Promise<ReturnType<typeof useSession>> {
  its.answers['/api/me'] = me(part);
  const session = useSession();
  await session.load();
  return session;
}
async function opened(course: Course = smallCourse()): Promise<ReturnType<typeof usePlan>> {
  at.server.course = course;
  const plan = usePlan();
  await plan.open('course');
  return plan;
}

describe('the server’s clock', () => {
  test('goes on from its last answer, and stands where the server’s stands', async () => {
    const session = await signedIn();
    jest.advanceTimersByTime(90_000);
    expect(session.now()).toBe('2027-02-16T09:43:30.000Z');
    const standing = await signedIn({ clockStands: true });
    jest.advanceTimersByTime(90_000);
    expect(standing.now()).toBe('2027-02-16T09:42:00.000Z');
  });

  test('goes over midnight on an open page, by the institution’s clocks', async () => {
    const session = await signedIn({ now: '2027-07-16T22:58:30.000Z' });
    expect(session.today).toBe('2027-07-16');
    jest.advanceTimersByTime(120_000);
    expect(session.today).toBe('2027-07-17');
  });

  test('is at the beginning of time while nobody has answered', () => {
    const session = useSession();
    expect([session.now(), session.today, session.person]).toEqual([
      '1970-01-01T00:00:00.000Z',
      '1970-01-01',
      null,
    ]);
  });
});

describe('who is signed in', () => {
  test('comes with the answer to signing in, and goes with signing out', async () => {
    const session = useSession();
    its.answers['/api/session'] = me();
    await session.signIn('ines@ternpoint.example', 'a long one');
    expect(session.person?.name).toBe('Inês Carvalhal');
    its.answers['/api/me'] = me({ person: null });
    await session.signOut(() => Promise.resolve());
    expect(session.person).toBeNull();
    expect(its.asked).toEqual(['POST /api/session', 'DELETE /api/session', 'GET /api/me']);
  });

  test('what staff keep for the institution is there at once', async () => {
    const session = await signedIn();
    const holidays = [{ id: 'h', name: 'Lantern week', first: '2027-03-08', last: '2027-03-12' }];
    session.keepOfInstitution({ holidays, pages: [] });
    expect(session.me?.institution.holidays).toEqual(holidays);
    expect(session.me?.institution.zone).toBe('Europe/Lisbon');
  });
});

describe('as whom', () => {
  const standing: StandingAnswer = {
    name: 'Noor Rahimi',
    role: 'learner',
    joinedAt: '2027-01-11T00:00:00.000Z',
    groups: ['boats'],
    exceptions: [],
    facts: {
      a1: { ticked: Date.parse('2027-01-12T10:00:00Z') },
      a2: { marks: { before: [[Date.parse('2027-01-14T10:00:00Z'), 70]], at: 0, own: null, staff: false } },
    },
    courses: [],
    last: 'a1',
  };

  const counted = (): Course => {
    const base = smallCourse();
    const rule: OpeningRule = {
      when: { kind: 'all', of: [{ kind: 'course', course: 'tides', title: 'Reading the Tides' }] },
      until: null,
      then: 'look',
    };
    return {
      ...base,
      sections: base.sections.map((section) => ({
        ...section,
        rule: section.id === 'B' ? rule : null,
        items: section.items.map((item) =>
          item.kind === 'page' ? { ...item, done: { by: 'ticked' as const } } : item,
        ),
      })),
    };
  };

  test('an example learner has joined when and done what is chosen', async () => {
    await opened(counted());
    const seeing = useSeeing();
    expect(seeing.isChosen).toBe(false);
    expect(seeing.viewer).toMatchObject({ role: 'learner', joinedAt: null, groups: [] });
    seeing.joined = '2027-07-01';
    seeing.hasDone = 'half';
    seeing.groups = ['boats'];
    // A day begins by the course's clocks: an hour before that of Greenwich, in summer.
    expect(seeing.viewer).toMatchObject({ joinedAt: '2027-06-30T23:00:00Z', groups: ['boats'] });
    expect(seeing.viewer.deeds?.done).toEqual(new Set(['a1', 'a2']));
    expect(seeing.viewer.deeds?.courses).toEqual(new Set());
    expect(seeing.isChosen).toBe(true);
    seeing.hasDone = 'chosen';
    expect(seeing.viewer.deeds?.done).toEqual(new Set());
    seeing.doneItems = ['b1'];
    expect(seeing.viewer.deeds?.done).toEqual(new Set(['b1']));
    expect(seeing.viewer.deeds?.facts?.get('b1')?.ticked).toBeDefined();
    seeing.hasDone = 'everything';
    expect(seeing.viewer.deeds?.courses).toEqual(new Set(['tides']));
    seeing.reset();
    expect([seeing.isChosen, seeing.viewer.deeds?.done.size, seeing.doneItems]).toEqual([false, 0, []]);
  });

  test('somebody who is on the course is seen as they stand, until an example is chosen', async () => {
    await signedIn();
    await opened(counted());
    its.answers['/api/courses/course/members/noor/standing'] = standing;
    const seeing = useSeeing();
    seeing.chooseExample('visitor');
    expect(seeing.last).toBeNull();
    await seeing.choosePerson('course', 'noor');
    expect(seeing.last).toBe('a1');
    expect(seeing.viewer).toMatchObject({ role: 'learner', joinedAt: standing.joinedAt, groups: ['boats'] });
    expect(seeing.viewer.deeds?.done).toEqual(new Set(['a1']));
    expect(seeing.viewer.deeds?.scores).toEqual(new Map([['a2', 70]]));
    // On an earlier day they had done less; what changes for them, and when, knows of all of it.
    seeing.momentOf = () => '2027-01-13T09:00:00Z';
    expect([...(seeing.viewer.deeds?.done ?? [])]).toEqual(['a1']);
    expect(seeing.viewer.deeds?.scores.size).toBe(0);
    seeing.momentOf = () => '2027-01-12T09:00:00Z';
    expect(seeing.viewer.deeds?.done.size).toBe(0);
    expect(seeing.lasting.deeds?.done.size).toBe(1);
    seeing.chooseExample('assistant');
    expect(seeing.viewer).toEqual({ role: 'assistant', institutionStaff: false, here: true });
    seeing.chooseExample('passer_by');
    expect(seeing.viewer).toEqual({ role: null, institutionStaff: false, here: true });
    expect(seeing.isChosen).toBe(true);
  });

  test('whose standing does not come leaves who was chosen before', async () => {
    await opened();
    const seeing = useSeeing();
    seeing.chooseExample('visitor');
    globalThis.fetch = () => Promise.reject(new TypeError('Failed to fetch'));
    await expect(seeing.choosePerson('course', 'noor')).rejects.toThrow();
    expect(seeing.viewer.role).toBe('visitor');
  });
});

describe('why something does not show', () => {
  const LEARNER: Viewer = { role: 'learner', institutionStaff: false };
  const MOMENT = '2027-01-13T09:00:00Z';
  const why = async (
    course: Course,
    id: string,
    locale: keyof typeof messages = 'en',
  ): Promise<{ words: WhyWords; found: NonNullable<ReturnType<typeof whyNot>> }> => {
    await signedIn();
    await opened(course);
    const { used: words } = await inSetup(useWhyWords, { pinia: at.pinia, locale });
    const found = whyNot(course, LEARNER, MOMENT, id);
    if (found === null) throw new Error(`no ${id}`);
    return { words, found };
  };
  const live = (): Course => ({ ...smallCourse(), state: 'live' });
  const withItem = (course: Course, id: string, part: object): Course => ({
    ...course,
    sections: course.sections.map((section) => ({
      ...section,
      items: section.items.map((item) => (item.id === id ? { ...item, ...part } : item)),
    })),
  });
  const stopping = ({ words, found }: Awaited<ReturnType<typeof why>>): string[] =>
    found.chain.filter(({ cap }) => cap !== null).map((layer) => words.sentence(layer));

  test('is said layer by layer, with its number, its title and its moment', async () => {
    const opens = { kind: 'fixed' as const, day: '2027-01-20', time: '09:00' };
    const asked = await why(withItem(live(), 'a2', { shown: false, opens }), 'a2');
    // What is not shown has no number.
    expect(stopping(asked)).toEqual(['a2 is not shown.', 'a2 opens Wed 20 Jan 09:00.']);
    const passing = asked.found.chain.filter(({ cap }) => cap === null);
    expect(passing.map((layer) => asked.words.sentence(layer))).toContain('The course is live.');
    expect(asked.words.cure(asked.found.cure ?? [])).toBe('Open it: 2 changes');
    const later = await why(withItem(live(), 'a2', { opens }), 'a2');
    expect(stopping(later)).toEqual(['1.2 a2 opens Wed 20 Jan 09:00.']);
    expect(later.words.cure(later.found.cure ?? [])).toBe('Open it now');
  });

  test('in the reader’s language', async () => {
    const asked = await why(withItem(live(), 'b1', { shown: false }), 'b1', 'fr');
    expect(stopping(asked)).toHaveLength(1);
    expect(stopping(asked)[0]).toMatch(/^b1 /);
    expect(stopping(asked)[0]).not.toContain('is not shown');
  });

  test('a draft is spoken of as the live course that it will be', async () => {
    const { words } = await why(smallCourse(), 'a1');
    expect(words.sentence({ name: 'state', of: 'course', cap: null })).toBe(
      'The course is live, as it will be once you open it.',
    );
  });

  test('the press says what it does when it is one thing, else how many', async () => {
    const { words } = await why(live(), 'a1');
    const set = (field: string): Edit => ({ kind: 'set', target: 'a1', field, value: true, was: false });
    expect(words.cure([set('shown')])).toBe('Show it');
    expect(words.cure([set('window.before')])).toBe('Open the course then');
    expect(words.cure([set('title')])).toBe('Open it: one change');
    expect(words.cure([set('shown'), set('opens')])).toBe('Open it: 2 changes');
  });

  test('a title is the one typed, else what its days make it; nothing of what is not there', async () => {
    const base = live();
    await opened({ ...base, sections: base.sections.map((section) => ({ ...section, title: null })) });
    const { used: titleOf } = await inSetup(useNodeTitle, { pinia: at.pinia });
    expect([titleOf('B'), titleOf('a1'), titleOf('never')]).toEqual(['Week of 18 January', 'a1', null]);
  });
});

describe('what a rule can wait for', () => {
  test('names content before anything else that counts, numbered, and never itself', async () => {
    const base = smallCourse();
    const extra = [
      newItem('heading', { id: 'h', title: 'Readings' }),
      newItem('quiz', { id: 'q', title: 'Salt', done: { by: 'ticked' } }),
    ];
    await opened({
      ...base,
      sections: base.sections.map((section) =>
        section.id === 'B' ? { ...section, items: [...section.items, ...extra] } : section,
      ),
    });
    const { used } = await inSetup(() => useConditionChoices(() => 'a1'), { pinia: at.pinia });
    expect(used.items.value.map(({ id, counts }) => [id, counts])).toEqual([
      ['a2', false],
      ['a3', false],
      ['b1', false],
      ['q', true],
    ]);
    expect(used.items.value.at(-1)?.title).toMatch(/^2\.\d Salt$/);
    expect(used.blank('done')).toEqual({ kind: 'done', items: ['q'] });
    expect(used.blank('scored')).toEqual({ kind: 'scored', item: 'q', least: 60 });
    expect(used.first()).toEqual({ kind: 'before' });
    expect(used.blank('any')).toEqual({ kind: 'any', of: [{ kind: 'before' }] });
  });

  test('in an empty course is not what there is none of', async () => {
    await opened({ ...smallCourse(), sections: [] });
    const { used } = await inSetup(() => useConditionChoices(() => 'a1'), { pinia: at.pinia });
    expect(used.kinds.value).toEqual(['before', 'from', 'course', 'any', 'all']);
  });

  test('another course is one that was found, or none yet', async () => {
    await opened();
    const { used } = await inSetup(() => useConditionChoices(() => 'a1'), { pinia: at.pinia });
    expect(used.blank('course')).toEqual({ kind: 'course', course: 'none', title: '–' });
    const tides = { id: 'tides', name: 'Tides', title: 'Tides (TIDES)' };
    expect(used.blank('course', tides)).toEqual({ kind: 'course', course: 'tides', title: 'Tides (TIDES)' });
  });
});
