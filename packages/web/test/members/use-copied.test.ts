/**
 * What is copied, and what is said where a browser does not let it be.
 *
 * @jest-environment ./scripts/jest/page.mjs
 */
import { expect, test } from '@jest/globals';
import { defineComponent, h, ref } from 'vue';
import { useCopied } from '../../src/setup/members/use-copied.ts';
import { showing } from '../support/mounted.ts';

const show = showing();

function copying(writeText: (text: string) => Promise<void>) {
  Object.defineProperty(navigator, 'clipboard', { value: { writeText }, configurable: true });
  const failure = ref<string | null>('as before');
  let copied: ReturnType<typeof useCopied> = () => Promise.resolve(false);
  show(defineComponent({ setup: () => ((copied = useCopied(failure)), () => h('i')) }));
  return { failure, copied: (text: string) => copied(text) };
}

test('what is copied is there to be pasted, and nothing is said of it', async () => {
  let pasted = '';
  const { failure, copied } = copying((text) => {
    pasted = text;
    return Promise.resolve();
  });
  expect(await copied('a@away.example, b@away.example')).toBe(true);
  expect([pasted, failure.value]).toEqual(['a@away.example, b@away.example', null]);
});

test('where the browser does not let it be copied it stands there to be taken by hand', async () => {
  const { failure, copied } = copying(() => Promise.reject(new Error('not allowed')));
  expect(await copied('http://terns.example/join/7K3M9-QR2XA')).toBe(false);
  expect(failure.value).toContain('http://terns.example/join/7K3M9-QR2XA');
});
