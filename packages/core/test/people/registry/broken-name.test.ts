/** Names that a registry sends in pieces are known from those that only look strange. */
import { describe, expect, test } from '@jest/globals';
import { followRegistry, isBroken, mendedName } from '../../../src/people/index.ts';
import { given, linked, member, person } from './given.ts';

describe('a name in pieces', () => {
  const pieces = (name: string): string =>
    new TextDecoder('windows-1252').decode(new TextEncoder().encode(name));
  test.each(['Dvořan', 'Inês', 'Šárka', 'Nguyễn', 'Žofie', 'Zenón'])('%s', (name) => {
    expect([isBroken(name), mendedName(pieces(name)), isBroken(pieces(name))]).toEqual([false, name, true]);
  });
  test.each(['', 'Ana', 'Ângela', 'Éa', 'O’Neill', '木村', 'Ãngelo', 'Zoë-Ñandú', 'Sá', 'Bélâ'])(
    '%s is whole',
    (name) => {
      expect(isBroken(name)).toBe(false);
    },
  );
  test.each(['Dvo\ufffdan', 'Dvo?an', 'Dvo\u0001an'])('%j has lost a letter', (name) => {
    expect([isBroken(name), mendedName(name)]).toEqual([true, null]);
  });
  test('changes nothing where a whole one is known, and is told', () => {
    const broken = person('x', { family: pieces('Dvořan') });
    const known = followRegistry(given([broken], [member('x')], [linked('x')]));
    const [step] = known.steps;
    expect([step, known.broken]).toMatchObject([{ kind: 'stands', changes: [] }, [broken]]);
    expect(followRegistry(given([broken])).steps).toMatchObject([{ kind: 'comes', person: broken }]);
  });
});
