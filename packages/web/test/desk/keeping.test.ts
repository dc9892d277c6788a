/** What staff keep for the institution, and what is said of it. */
import { describe, expect, test } from '@jest/globals';
import { ProblemError } from '../../src/api/client.ts';
import { useKeeping } from '../../src/desk/use-keeping.ts';
import { inSetup } from '../support/in-setup.ts';
import { miniature } from '../support/mini-server.ts';

const at = miniature();

describe('what staff keep for the institution', () => {
  const keeping = async (): Promise<ReturnType<typeof useKeeping>> =>
    (await inSetup(useKeeping, { pinia: at.pinia })).used;

  test('is said when it is done, and busy while it is under way', async () => {
    const { attempt, said, isBusy, failure } = await keeping();
    const work = attempt(() => Promise.resolve('Kept.'));
    expect(isBusy.value).toBe(true);
    expect(await work).toBe(true);
    expect([said.value, isBusy.value, failure.value]).toEqual(['Kept.', false, null]);
  });

  test('that is refused names the place, the value and what was expected', async () => {
    const { attempt, failure, isBusy } = await keeping();
    const errors = [{ path: 'calendar line 4', value: 'DTSTART:x', expected: 'a day' }];
    const problem = { type: 'urn', title: 'T', status: 400, detail: 'D', code: 'bad_input', errors } as never;
    expect(await attempt(() => Promise.reject(new ProblemError(problem)))).toBe(false);
    expect(failure.value).toBe(
      'The file was not taken. At calendar line 4 stands “DTSTART:x”; expected: a day.',
    );
    expect(isBusy.value).toBe(false);
    await attempt(() => Promise.resolve('Kept.'));
    expect(failure.value).toBeNull();
  });

  test('that is not answered is said in the reader’s language', async () => {
    const { used } = await inSetup(useKeeping, { pinia: at.pinia, locale: 'es' });
    await used.attempt(() => Promise.reject(new TypeError('Failed to fetch')));
    expect(used.failure.value).not.toBeNull();
    expect(used.failure.value).not.toContain('common.');
  });
});
