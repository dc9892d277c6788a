/**
 * The press that settles a finding is there where it is offered, and nowhere else; what is pressed is what was offered.
 *
 * @jest-environment ./scripts/jest/page.mjs
 */
import { expect, jest, test } from '@jest/globals';
import { config } from '@vue/test-utils';
import { findings } from '@itinerary/core';
import type { Course, Finding } from '@itinerary/core';
import { nextTick } from 'vue';
import { smallCourse } from '../../../core/test/support/arbitraries.ts';
import { SETUP_ACTS } from '../../src/setup/frame/acts.ts';
import FindingLine from '../../src/setup/readiness/FindingLine.vue';
import { usePlan } from '../../src/stores/plan.ts';
import { miniature } from '../support/mini-server.ts';
import { showing } from '../support/mounted.ts';

const at = miniature();
const show = showing();

async function lineOf(course: Course, rule: string) {
  at.server.course = course;
  const plan = usePlan();
  await plan.open('course');
  const finding = plan.found.find((one) => one.rule === rule) as Finding;
  expect(finding.cure).not.toBeNull();
  config.global.provide = { [SETUP_ACTS as symbol]: {} };
  const wrapper = show(FindingLine, { pinia: at.pinia, props: { finding } });
  // It is looked at once the line is drawn.
  jest.advanceTimersByTime(1);
  await nextTick();
  return { plan, wrapper, press: wrapper.find('.acts .button:not(.bare)') };
}

test('one that would leave the course without an item is not', async () => {
  const { press, wrapper } = await lineOf(
    { ...smallCourse(), sections: smallCourse().sections.slice(0, 1) },
    'empty_item',
  );
  expect(press.exists()).toBe(false);
  expect(wrapper.text()).not.toBe('');
});

test('one that brings nothing is, and does what it says', async () => {
  const [A, B] = smallCourse().sections;
  const [written, ...empty] = A!.items;
  const items = [{ ...written!, text: 'a'.repeat(64) } as typeof written, ...empty] as typeof empty;
  const { plan, press } = await lineOf({ ...smallCourse(), sections: [{ ...A!, items }, B!] }, 'empty_item');
  expect(press.exists()).toBe(true);
  await press.trigger('click');
  expect(plan.found.map(({ rule }) => rule)).not.toContain('empty_item');
});

test.each([
  ['en', '2026-11-28', '2026-11-09', 'has begun already, on Mon 9 Nov'],
  ['en', '2027-02-20', '2027-01-05', 'are over: they ended on Mon 1 Feb'],
  ['es', '2026-11-28', '2026-11-09', 'ya ha empezado'],
  ['es', '2027-02-20', '2027-01-05', 'han pasado'],
  ['fr', '2026-11-28', '2026-11-09', 'a déjà commencé'],
  ['fr', '2027-02-20', '2027-01-05', 'sont passées'],
  ['ar', '2026-11-28', '2026-11-09', 'بدأ المقرر من قبل'],
  ['ar', '2027-02-20', '2027-01-05', 'انقضت تواريخ المقرر'],
] as const)(
  'of a course of four weeks, in %s on %s, first day %s: %s',
  async (locale, today, firstDay, said) => {
    const small = smallCourse();
    const course = { ...small, dates: { ...small.dates, firstDay, weeks: 4, zone: 'UTC' } };
    const found = findings(course, { moment: `${today}T12:00:00Z`, learners: 1, term: null });
    const finding = found.find(({ rule }) => rule === 'dates_past') as Finding;
    at.server.course = course;
    await usePlan().open('course');
    config.global.provide = { [SETUP_ACTS as symbol]: {} };
    expect(show(FindingLine, { pinia: at.pinia, props: { finding }, locale }).text()).toContain(said);
  },
);
