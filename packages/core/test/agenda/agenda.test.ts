/** A calendar: what stands in it for whom, and as other programs read it (RFC 5545), read back by a reader of our own. */
import { describe, expect, test } from '@jest/globals';
import { agendaOf, courseView, newItem, newSection, writeCalendar } from '../../src/index.ts';
import type { AgendaEntry, Course, FedEntry, Item, PlannedMoment, Viewer } from '../../src/index.ts';
import { smallCourse } from '../support/arbitraries.ts';

const NOW = '2027-01-20T10:00:00.000Z';
const LEARNER: Viewer = { role: 'learner', institutionStaff: false, joinedAt: NOW };
const at = (day: string, time: string | null = null): PlannedMoment => ({ kind: 'fixed', day, time });
const item = (kind: 'assignment' | 'meeting', id: string, more: object): Item =>
  newItem(kind, { id, title: `Name of ${id}`, text: 'a'.repeat(64), ...more } as never);

function course(items: readonly Item[]): Course {
  const base = smallCourse();
  return {
    ...base,
    state: 'live',
    dates: {
      ...base.dates,
      ...{ zone: 'Europe/Lisbon', firstDay: '2027-01-11', weeks: 15 },
      pauses: { p: { name: 'Spring break', first: '2027-03-08', last: '2027-03-14', policy: 'between' } },
    },
    sections: [newSection({ id: 's', title: 'Mud', items: [...items] })],
  };
}
function entries(items: readonly Item[], viewer = LEARNER, from = '2027-01-01', to = '2027-12-31') {
  const view = courseView(course(items), viewer, NOW);
  if (view === null) throw new Error('nothing to see');
  return agendaOf(view, from, to);
}
const brief = (all: readonly AgendaEntry[]): unknown =>
  all.map(({ what, id, day, time }) => [what, id, day, time]);

describe('what stands in it', () => {
  const items = [
    item('assignment', 'late', { due: at('2027-02-01', '23:59') }),
    item('meeting', 'day', { held: at('2027-02-01'), minutes: 90 }),
    item('meeting', 'met', { held: at('2027-02-01', '09:30'), minutes: 90, place: 'The slip' }),
    item('assignment', 'soon', { opens: at('2027-02-10', '08:00'), due: at('2027-02-20', '12:00') }),
    item('assignment', 'hidden', { shown: false, due: at('2027-02-01', '10:00') }),
    item('assignment', 'staffonly', { staffOnly: true, due: at('2027-02-01', '10:00') }),
    item('assignment', 'theirs', { audience: ['nobody'], due: at('2027-02-01', '10:00') }),
    item('assignment', 'undated', {}),
  ];

  test('what is due, held, opening and without teaching, by day, first what is all day', () => {
    expect(brief(entries(items))).toEqual([
      ['held', 'day', '2027-02-01', null],
      ['held', 'met', '2027-02-01', '09:30'],
      ['due', 'late', '2027-02-01', '23:59'],
      // Of what is only named nothing but its opening is told.
      ['opens', 'soon', '2027-02-10', '08:00'],
      ['pause', 'Spring break', '2027-03-08', null],
    ]);
    const [day, met] = entries(items);
    expect(day).toMatchObject({ instant: '2027-02-01T00:00:00.000Z', lastDay: '2027-02-01', ends: null });
    expect(met).toMatchObject({ ends: '2027-02-01T11:00:00.000Z', place: 'The slip' });
  });

  test('of a span of days what touches it; a pause that reaches into it too', () => {
    expect(brief(entries(items, LEARNER, '2027-02-02', '2027-02-28'))).toEqual([
      ['opens', 'soon', '2027-02-10', '08:00'],
    ]);
    expect(entries(items, LEARNER, '2027-03-14', '2027-03-20')).toHaveLength(1);
    expect(entries(items, LEARNER, '2027-03-15', '2027-03-20')).toEqual([]);
  });

  test('what is done is in it, as done', () => {
    const done = { ...LEARNER, deeds: { done: new Set(['late']), scores: new Map(), courses: new Set() } };
    const work = item('assignment', 'late', { due: at('2027-02-01', '23:59'), done: { by: 'handed_in' } });
    expect(entries([work], done as never)).toMatchObject([{ id: 'late', isDone: true }, {}]);
  });
});

/** Unfolded, unescaped, by property; as the standard has it and no program's reading of it. */
function parsed(text: string): readonly { readonly name: string; readonly value: string }[] {
  expect(text.endsWith('\r\n')).toBe(true);
  const lines = text.slice(0, -2).split('\r\n');
  for (const line of lines) {
    expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
    expect(line).not.toMatch(/[\r\n]/);
  }
  const whole = lines.join('\n').replaceAll('\n ', '').split('\n');
  return whole.map((line) => {
    const colon = line.indexOf(':');
    const value = line
      .slice(colon + 1)
      .replaceAll(/\\([\\;,nN])/g, (_all, sign: string) => (/n/i.test(sign) ? '\n' : sign));
    return { name: line.slice(0, colon), value };
  });
}
const fed = (entry: Partial<FedEntry>): FedEntry => ({
  ...{
    what: 'due',
    id: 'a',
    kind: 'assignment',
    number: '1.1',
    title: 'A',
    day: '2027-02-01',
    lastDay: '2027-02-01',
  },
  ...{ time: '23:59', instant: '2027-02-01T23:59:00.000Z', ends: null, place: null, isDone: false },
  ...{ course: 'c', zone: 'Europe/Lisbon', summary: 'A', description: '', address: '' },
  ...entry,
});
const of = (text: string, name: string): readonly string[] =>
  parsed(text).flatMap((one) => (one.name.split(';')[0] === name ? [one.value] : []));

describe('as iCalendar', () => {
  test('what has a meaning of its own is written so that it has none, and long lines go on without cutting a character', () => {
    const summary = `Due: mud, silt; and \\ more\nsecond line ${'مدّ وجزر 🌊 '.repeat(30)}`;
    const text = writeCalendar('My; calendar', [fed({ summary, place: 'The slip, left' })], NOW);
    expect(of(text, 'SUMMARY')).toEqual([summary]);
    expect(of(text, 'LOCATION')).toEqual(['The slip, left']);
    expect(of(text, 'NAME')).toEqual(['My; calendar']);
    // Nothing that somebody has typed begins a line of its own.
    const evil = writeCalendar(
      'n',
      [fed({ summary: 'x\r\nEND:VCALENDAR\rATTACH:http://a\u0000b\u0007' })],
      NOW,
    );
    expect(parsed(evil).filter(({ name }) => name === 'ATTACH')).toEqual([]);
    expect(of(evil, 'END').filter((value) => value === 'VCALENDAR')).toHaveLength(1);
  });

  test('a day is a day, a pause ends the day after its last, a moment stands in its zone', () => {
    const text = writeCalendar(
      'n',
      [
        fed({ time: null }),
        fed({ what: 'pause', id: 'Spring break', day: '2027-03-08', lastDay: '2027-03-14', time: null }),
        fed({ what: 'held', id: 'm', instant: '2027-07-01T08:30:00.000Z', ends: '2027-07-01T10:00:00.000Z' }),
      ],
      NOW,
    );
    const lines = parsed(text).map(({ name, value }) => `${name}:${value}`);
    expect(lines).toEqual(
      expect.arrayContaining([
        'DTSTART;VALUE=DATE:20270201',
        'DTEND;VALUE=DATE:20270202',
        'DTSTART;VALUE=DATE:20270308',
        'DTEND;VALUE=DATE:20270315',
        'DTSTART;TZID=Europe/Lisbon:20270701T093000',
        'DTEND;TZID=Europe/Lisbon:20270701T110000',
      ]),
    );
    expect(new Set(of(text, 'UID')).size).toBe(3);
  });

  test.each(['Europe/Lisbon', 'America/New_York', 'Australia/Lord_Howe', 'Asia/Kathmandu', 'UTC'])(
    'what a program reckons by the zone as it is written is the instant, every six hours of two years, in %s',
    (zone) => {
      const text = writeCalendar(
        'n',
        [fed({ zone }), fed({ zone, id: 'b', instant: '2028-11-01T00:00:00.000Z' })],
        NOW,
      );
      // Each part begins at a local time by the offset before it.
      const parts = [
        ...text.matchAll(/DTSTART:(\d{8}T\d{6})\r\nTZOFFSETFROM:([+-]\d{4})\r\nTZOFFSETTO:([+-]\d{4})/g),
      ].map(([, start = '', from = '', to = '']) => {
        const ms = (offset: string): number =>
          (offset.startsWith('-') ? -1 : 1) *
          (Number(offset.slice(1, 3)) * 60 + Number(offset.slice(3))) *
          60_000;
        const wall = Date.parse(
          start.replace(/(\d{4})(\d\d)(\d\d)T(\d\d)(\d\d)(\d\d)/, '$1-$2-$3T$4:$5:$6Z'),
        );
        return { begins: wall - ms(from), offset: ms(to) };
      });
      const format = new Intl.DateTimeFormat('sv-SE', {
        ...{ timeZone: zone, year: 'numeric', month: '2-digit', day: '2-digit' },
        ...{ hour: '2-digit', minute: '2-digit', second: '2-digit', hourCycle: 'h23' },
      });
      for (
        let instant = Date.parse('2027-01-01T00:00Z');
        instant < Date.parse('2029-01-01T00:00Z');
        instant += 6 * 3_600_000
      ) {
        const offset = parts.findLast(({ begins }) => begins <= instant)?.offset ?? NaN;
        const wall = new Date(instant + offset).toISOString().slice(0, 19).replace('T', ' ');
        expect(wall).toBe(format.format(instant).replace(',', ''));
      }
    },
  );
});
