/** Addresses as somebody pastes them into an invitation. */
import { expect, test } from '@jest/globals';
import { typedAddresses } from '../../src/setup/members/ways/typed-addresses.ts';

const read = (text: string): unknown => {
  const { addresses, wrong } = typedAddresses(text);
  return [...addresses, wrong];
};

test.each([
  ['', [null]],
  ['a@away.example', ['a@away.example', null]],
  [
    'Ana Mar <a@away.example>; "B, C" <b@away.example>\nc@away.example',
    ['a@away.example', 'b@away.example', 'c@away.example', null],
  ],
  ['mailto:a@away.example, a@away.example, A@Away.example', ['a@away.example', null]],
  ['a@away.example nonsense@', ['a@away.example', 'nonsense@']],
  ['@away.example', ['@away.example']],
  ['nobody in particular', ['nobody']],
])('%j', (text, expected) => {
  expect(read(text)).toEqual(expected);
});
