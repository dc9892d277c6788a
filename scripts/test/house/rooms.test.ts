/**
 * The house as docs/architecture.md draws it: every room, every arrow between rooms, and that none points up. A room
 * that is crowded, a file that holds too much, and something new that was put in half, are said here.
 */
import { describe, expect, test } from '@jest/globals';
import { dirname, join, normalize, relative } from 'node:path';
import { FILES as files, read } from './files.ts';

const code = files.filter((file) => /\.(ts|vue|mjs)$/.test(file));

const MOST_BESIDE = 20;
const MOST_LINES = 350;
/** Tables of words, of cases and of drawings, and migrations, which are a list by nature. */
const LISTS = [
  /\/locales\//,
  /-cases\.ts$/,
  /situations\.ts$/,
  /src\/library\/scenes\.ts$/,
  /\/migrations\//,
];

describe('rooms have space', () => {
  test(`no folder has more than ${MOST_BESIDE} files side by side`, () => {
    const counts = new Map<string, number>();
    for (const file of files) counts.set(dirname(file), (counts.get(dirname(file)) ?? 0) + 1);
    const crowded = [...counts].filter(([folder, many]) => many > MOST_BESIDE && folder !== 'docs/decisions');
    expect(crowded).toEqual([]);
    expect(counts.size).toBeGreaterThan(60);
  });

  test(`no file of code has more than ${MOST_LINES} lines`, () => {
    const long = code
      .filter((file) => !LISTS.some((list) => list.test(file)))
      .map((file) => [file, read(file).trimEnd().split('\n').length] as const)
      .filter(([, lines]) => lines > MOST_LINES);
    expect(long).toEqual([]);
  });
});

/** Rooms in the order of the drawing, each with those that it has arrows to. */
type Drawing = readonly (readonly [room: string, to: readonly string[]])[];

function drawn(packageName: string): Drawing {
  const drawing = read('docs/architecture.md').match(
    new RegExp(`\`\`\`rooms ${packageName}\\n([\\s\\S]*?)\`\`\``),
  )?.[1];
  if (drawing === undefined) throw new Error(`docs/architecture.md draws no rooms of ${packageName}`);
  return drawing
    .trim()
    .split('\n')
    .map((line) => {
      const [room = '', to = ''] = line.split('→');
      return [room.trim(), to.trim().split(/\s+/).filter(Boolean)] as const;
    });
}

const IMPORT = /(?:\bfrom\s+|\bimport\s*\(?\s*)'(\.[^']+)'/g;

/** Every room of a package with the rooms that its files import from; `.` is what lies in no room. */
function built(packageName: string): Map<string, Set<string>> {
  const src = `packages/${packageName}/src`;
  const roomOf = (file: string): string => {
    const parts = relative(src, file).split('/');
    return parts.length === 1 ? '.' : (parts[0] ?? '.');
  };
  const rooms = new Map<string, Set<string>>();
  for (const file of code.filter((one) => one.startsWith(`${src}/`) && !one.includes('/locales/'))) {
    const arrows = rooms.get(roomOf(file)) ?? new Set<string>();
    rooms.set(roomOf(file), arrows);
    for (const [, target] of read(file).matchAll(IMPORT)) {
      const to = roomOf(normalize(join(dirname(file), target ?? '')));
      if (to !== roomOf(file)) arrows.add(to);
    }
  }
  return rooms;
}

describe.each(['core', 'contract', 'server', 'web'])('the rooms of %s', (name) => {
  const drawing = drawn(name);
  const rooms = built(name);

  test('are those that are drawn, with their arrows', () => {
    const asDrawn = Object.fromEntries(drawing.map(([room, to]) => [room, [...to].sort()]));
    const asBuilt = Object.fromEntries([...rooms].map(([room, to]) => [room, [...to].sort()]));
    expect(asBuilt).toEqual(asDrawn);
    expect(rooms.size).toBeGreaterThan(6);
  });

  test('have arrows that point down alone', () => {
    const order = drawing.map(([room]) => room);
    const up = drawing.flatMap(([room, to]) =>
      to.filter((one) => order.indexOf(one) <= order.indexOf(room)).map((one) => `${room} → ${one}`),
    );
    expect(up).toEqual([]);
  });
});
