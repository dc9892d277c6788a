/** Holidays from iCalendar files, and the pacing guide as a file: what goes in and out in open formats. */
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { HolidaysAnswer, MeAnswer } from '@itinerary/contract';
import type { Problem } from '@itinerary/contract';
import { dayOf } from '@itinerary/core';
import { readCalendar } from '../../src/text/icalendar.ts';
import { idFor } from '../../src/demo/build-course.ts';
import { signedIn, testServer } from '../support/server.ts';
import type { TestServer } from '../support/server.ts';
import type { Agent } from 'supertest';

const calendar = (...events: string[][]): string =>
  [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:-//Tern Point//EN',
    ...events.flatMap((lines) => ['BEGIN:VEVENT', ...lines, 'END:VEVENT']),
    'END:VCALENDAR',
    '',
  ].join('\r\n');
const lisbon = (instant: string): string => dayOf(instant, 'Europe/Lisbon');
const read = (...events: string[][]): unknown => {
  const found = readCalendar(calendar(...events), lisbon);
  return found.ok ? found.days.map(({ name, first, last }) => `${name} ${first} ${last}`) : found.mistake;
};

describe('an iCalendar file', () => {
  test('gives days: their end is the day after, and a day without an end is one', () => {
    expect(
      read(
        ['UID:1', 'SUMMARY:Spring break', 'DTSTART;VALUE=DATE:20270308', 'DTEND;VALUE=DATE:20270313'],
        ['UID:2', 'SUMMARY:Founders’ day', 'DTSTART;VALUE=DATE:20270401'],
        ['UID:3', 'SUMMARY:Three days', 'DTSTART;VALUE=DATE:20270501', 'DURATION:P3D'],
      ),
    ).toEqual([
      'Spring break 2027-03-08 2027-03-12',
      'Founders’ day 2027-04-01 2027-04-01',
      'Three days 2027-05-01 2027-05-03',
    ]);
  });

  test('gives a moment its day in the institution’s zone', () => {
    expect(
      read(
        ['UID:1', 'SUMMARY:Late', 'DTSTART:20270630T233000Z', 'DTEND:20270701T100000Z'],
        ['UID:2', 'SUMMARY:Local', 'DTSTART:20270630T090000', 'DTEND:20270630T170000'],
      ),
    ).toEqual(['Late 2027-07-01 2027-07-01', 'Local 2027-06-30 2027-06-30']);
  });

  test('spells out a recurrence that ends, and refuses one that does not', () => {
    const yearly = ['UID:1', 'SUMMARY:Carnival', 'DTSTART;VALUE=DATE:20270209'];
    expect(read([...yearly, 'RRULE:FREQ=YEARLY;COUNT=3'])).toEqual([
      'Carnival 2027-02-09 2027-02-09',
      'Carnival 2028-02-09 2028-02-09',
      'Carnival 2029-02-09 2029-02-09',
    ]);
    expect(read([...yearly, 'RRULE:FREQ=YEARLY'])).toEqual({
      path: 'calendar.VEVENT[0].RRULE',
      value: 'Carnival: FREQ=YEARLY',
      expected: 'a recurrence that ends: with COUNT or UNTIL',
    });
  });

  test.each([
    ['BEGIN:VCARD\r\nEND:VCARD\r\n', 'calendar'],
    ['nothing of the kind', 'calendar'],
    [calendar(), 'calendar'],
    [calendar(['UID:1', 'DTSTART;VALUE=DATE:20270209']), 'calendar.VEVENT[0].SUMMARY'],
    [calendar(['UID:1', 'SUMMARY:When']), 'calendar.VEVENT[0].DTSTART'],
  ])('that is none is refused by its place: %j', (text, place) => {
    const found = readCalendar(text, lisbon);
    expect(found.ok ? null : found.mistake.path).toBe(place);
  });
});

describe('on the server', () => {
  let server: TestServer;
  let staff: Agent;
  let ines: Agent;
  beforeAll(async () => {
    server = await testServer();
    [staff, ines] = [await signedIn(server, 'staff'), await signedIn(server, 'instructor')];
  });
  afterAll(() => server.stop());
  const send = (text: string) => staff.post('/api/holidays').send({ calendar: text });
  const spring = [
    'UID:s',
    'SUMMARY:Spring break',
    'DTSTART;VALUE=DATE:20270308',
    'DTEND;VALUE=DATE:20270313',
  ];

  test('staff read them, the same event twice is one, and every instructor is offered them', async () => {
    const first = (await send(calendar(spring)).expect(200)).body as HolidaysAnswer;
    expect(first.holidays).toMatchObject([{ name: 'Spring break', first: '2027-03-08', last: '2027-03-12' }]);
    const renamed = [...spring.slice(0, 1), 'SUMMARY:Break', ...spring.slice(2)];
    const again = (await send(calendar(renamed)).expect(200)).body as HolidaysAnswer;
    expect(again.holidays.map(({ name }) => name)).toEqual(['Break']);
    const me = (await ines.get('/api/me')).body as MeAnswer;
    expect(me.institution.holidays).toEqual(again.holidays);
    await staff.delete(`/api/holidays/${again.holidays[0]?.id ?? ''}`).expect(200);
    expect(((await ines.get('/api/me')).body as MeAnswer).institution.holidays).toEqual([]);
  });

  test('a file with one wrong event is not half taken', async () => {
    const endless = ['UID:e', 'SUMMARY:Every', 'DTSTART;VALUE=DATE:20270209', 'RRULE:FREQ=DAILY'];
    const answer = await send(calendar(spring, endless)).expect(400);
    expect(answer.body as Problem).toMatchObject({
      code: 'bad_input',
      errors: [{ path: 'calendar.VEVENT[1].RRULE', value: 'Every: FREQ=DAILY' }],
    });
    expect(((await ines.get('/api/me')).body as MeAnswer).institution.holidays).toEqual([]);
  });

  test('the pacing guide is a CSV file of what one gets', async () => {
    const answer = await ines.get(`/api/learn/${idFor('EFM-210-SPR27')}/guide.csv`).expect(200);
    expect(answer.headers['content-type']).toContain('text/csv');
    expect(answer.headers['content-disposition']).toBe('attachment; filename=EFM-210-SPR27.csv');
    expect(answer.text).toContain(
      '1,Reading a tide table,2027-01-11,2027-01-17,1.5,assignment,Your own tide table,90,2027-01-17T23:59,',
    );
    expect(answer.text).toContain(',Spring break,2027-03-08,2027-03-14,,pause,,,,');
  });
});
