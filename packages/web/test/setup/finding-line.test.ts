/**
 * The press that settles a finding is there where it is offered, and nowhere else; what is pressed is what was offered.
 *
 * @jest-environment ./scripts/jest/page.mjs
 */
import { expect, jest, test } from '@jest/globals';
import { config } from '@vue/test-utils';
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
