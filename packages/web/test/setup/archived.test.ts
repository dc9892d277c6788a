/**
 * A course that is archived is read: no field of About takes a word.
 *
 * @jest-environment ./scripts/jest/page.mjs
 */
import { expect, test } from '@jest/globals';
import { config } from '@vue/test-utils';
import AboutStop from '../../src/setup/about/AboutStop.vue';
import { usePlan } from '../../src/stores/plan.ts';
import { miniature } from '../support/mini-server.ts';
import { mounted } from '../support/mounted.ts';

const at = miniature();
// The editor of long texts needs a browser, and has tests of its own there.
config.global.stubs = { TextField: true, RouterLink: true };

test.each([
  ['draft', false],
  ['archived', true],
] as const)('%s', async (state, isRead) => {
  at.server.course = { ...at.server.course, state };
  const plan = usePlan();
  await plan.open('course');
  const wrapper = mounted(AboutStop, { pinia: at.pinia });
  const fields = wrapper.findAll<HTMLInputElement>('input');
  const open = fields.filter(({ element }) => !element.readOnly && !element.disabled);
  expect(fields.length).toBeGreaterThan(7);
  const names = open.map(({ element }) => element.outerHTML.slice(0, 200));
  if (isRead) expect(names).toEqual([]);
  else expect(names.length).toBeGreaterThan(7);
  wrapper.unmount();
});
