/**
 * 00:00 as the time of the last day is asked about.
 *
 * @jest-environment ./scripts/jest/page.mjs
 */
import { expect, test } from '@jest/globals';
import { nextTick } from 'vue';
import EventFields from '../../src/setup/dates/EventFields.vue';
import { usePlan } from '../../src/stores/plan.ts';
import { mounted } from '../support/mounted.ts';
import { miniature } from '../support/mini-server.ts';

const at = miniature();

test('its beginning is asked about, its end can be taken, and what is meant is not asked again', async () => {
  const plan = usePlan();
  await plan.open('course');
  const wrapper = mounted(EventFields, { props: { readonly: false }, pinia: at.pinia });
  const asked = (): boolean => wrapper.find('.asked').exists();
  const put = async (text: string): Promise<void> => {
    await wrapper.get('input[name="lastTime"]').setValue(text);
    await wrapper.get('input[name="lastTime"]').trigger('blur');
    await nextTick();
  };
  const press = async (words: string): Promise<void> => {
    await wrapper
      .findAll('.asked button')
      .find((one) => one.text() === words)
      ?.trigger('click');
    await nextTick();
  };

  await put('17:30');
  expect([plan.course?.dates.lastTime, asked()]).toEqual(['17:30', false]);
  await put('0:00');
  expect([plan.course?.dates.lastTime, asked()]).toEqual(['00:00', true]);
  expect(wrapper.get('.asked').text()).toContain('nothing of that day is left. Is its end meant?');
  await press('Its end, 23:59');
  expect([plan.course?.dates.lastTime, asked()]).toEqual(['23:59', false]);
  await put('00:00');
  await press('Its beginning, 00:00');
  expect([plan.course?.dates.lastTime, asked()]).toEqual(['00:00', false]);
  wrapper.unmount();
});
