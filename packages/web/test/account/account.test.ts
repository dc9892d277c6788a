/** What the pages of accounts say of a browser, and how long a password has to be. */
import { expect, test } from '@jest/globals';
import { LEAST_PASSWORD as ofServer, MAX_ANSWER, MAX_LONG_ANSWER } from '@itinerary/contract';
import { MAX_HANDED_TEXT, MAX_OPEN, MAX_PART } from '@itinerary/core';
import { browserName } from '../../src/account/browser-name.ts';
import {
  LEAST_PASSWORD,
  MOST_ANSWER,
  MOST_HANDED_TEXT,
  MOST_LONG_ANSWER,
  MOST_SURVEY_TEXT,
  MOST_SHORT_ANSWER,
} from '../../src/stores/limits.ts';
import { formatAmount } from '../../src/words/intl.ts';

test('a password is as long as the server wants it, and an answer as long as it takes', () => {
  expect([LEAST_PASSWORD, MOST_ANSWER, MOST_HANDED_TEXT]).toEqual([ofServer, MAX_ANSWER, MAX_HANDED_TEXT]);
  expect([MOST_LONG_ANSWER, MOST_SHORT_ANSWER]).toEqual([MAX_LONG_ANSWER, MAX_PART]);
  expect(MOST_SURVEY_TEXT).toBe(MAX_OPEN);
});

test.each([
  [
    'Mozilla/5.0 (Windows NT 10.0) AppleWebKit/537.36 (KHTML, like Gecko) Chrome/126.0 Safari/537.36 Edg/126.0',
    'Edge, Windows',
  ],
  ['Mozilla/5.0 (X11; Linux x86_64; rv:127.0) Gecko/20100101 Firefox/127.0', 'Firefox, Linux'],
  [
    'Mozilla/5.0 (iPhone; CPU iPhone OS 17_5 like Mac OS X) AppleWebKit/605.1.15 Version/17.5 Mobile Safari/604.1',
    'Safari, iOS',
  ],
  [
    'Mozilla/5.0 (Linux; Android 14) AppleWebKit/537.36 (KHTML, like Gecko) Chrome/126.0 Mobile Safari/537.36',
    'Chrome, Android',
  ],
  ['something else', null],
  ['', null],
])('%s is known as %s', (says, name) => {
  expect(browserName(says)).toBe(name);
});

test('an amount is written with as many digits as its currency has', () => {
  expect(formatAmount(12_050, 'EUR', 'en')).toBe('€120.50');
  expect(formatAmount(500, 'JPY', 'en')).toBe('JP¥500');
  expect(formatAmount(12_050, 'EUR', 'fr').replaceAll(/\s/g, ' ')).toBe('120,50 €');
  expect(formatAmount(12_050, 'EUR', 'ar')).toContain('120.50');
});
