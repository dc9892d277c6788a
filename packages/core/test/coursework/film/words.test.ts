/** What goes with a film, as it is written: captions, parts, playing times; and what is wrong with each, by its line. */
import { describe, expect, test } from '@jest/globals';
import { readCaptions, readChapters, writeChapters } from '../../../src/index.ts';
import { chapterAt } from '../../../src/coursework/film/watched.ts';

const vtt = (...lines: readonly string[]): string => ['WEBVTT', '', ...lines].join('\n');

describe('captions', () => {
  test.each<[words: string, text: string, cues: readonly (readonly [number, number, string])[]]>([
    ['one', vtt('00:01.000 --> 00:04.500', 'Mud'), [[1000, 4500, 'Mud']]],
    ['with hours', vtt('01:00:01.000 --> 01:00:02.000', 'Mud'), [[3_601_000, 3_602_000, 'Mud']]],
    ['a hundred hours', vtt('100:00:00.000 --> 100:00:01.000', 'Mud'), [[360_000_000, 360_001_000, 'Mud']]],
    ['a name before its times', vtt('first', '00:01.000 --> 00:02.000', 'Mud'), [[1000, 2000, 'Mud']]],
    [
      'settings after its times',
      vtt('00:01.000 --> 00:02.000 align:start line:0', 'Mud'),
      [[1000, 2000, 'Mud']],
    ],
    ['lines of one', vtt('00:01.000 --> 00:02.000', '- Mud?', '- Silt.'), [[1000, 2000, '- Mud?\n- Silt.']]],
    [
      'who speaks and how',
      vtt('00:01.000 --> 00:02.000', '<v Inês>So <i>slow</i>'),
      [[1000, 2000, 'So slow']],
    ],
    ['a time within', vtt('00:01.000 --> 00:02.000', 'So <00:01.500>slow'), [[1000, 2000, 'So slow']]],
    [
      'signs',
      vtt('00:01.000 --> 00:02.000', '1 &lt; 2 &amp;amp; 3&nbsp;m'),
      [[1000, 2000, '1 < 2 &amp; 3\u00a0m']],
    ],
    [
      'notes and styles',
      vtt('NOTE by Inês', '', 'STYLE', '::cue {}', '', '00:01.000 --> 00:02.000', 'Mud'),
      [[1000, 2000, 'Mud']],
    ],
    [
      'windows line ends',
      vtt('00:01.000 --> 00:02.000', 'Mud').replaceAll('\n', '\r\n'),
      [[1000, 2000, 'Mud']],
    ],
    ['a mark of byte order', `\ufeff${vtt('00:01.000 --> 00:02.000', 'Mud')}`, [[1000, 2000, 'Mud']]],
    ['a title', 'WEBVTT - One breath\n\n00:01.000 --> 00:02.000\nMud', [[1000, 2000, 'Mud']]],
    [
      'an empty one between',
      vtt('00:01.000 --> 00:02.000', '', '00:02.000 --> 00:03.000', 'Mud'),
      [[2000, 3000, 'Mud']],
    ],
    [
      'at the same time',
      vtt('00:01.000 --> 00:02.000', 'Mud', '', '00:01.000 --> 00:03.000', 'Silt'),
      [
        [1000, 2000, 'Mud'],
        [1000, 3000, 'Silt'],
      ],
    ],
    ['from the right', vtt('00:01.000 --> 00:02.000', 'طين'), [[1000, 2000, 'طين']]],
  ])('%s', (_words, text, cues) => {
    expect(readCaptions(text)).toEqual({
      ok: true,
      cues: cues.map(([from, to, said]) => ({ from, to, text: said })),
    });
  });

  test.each<[text: string, line: number, why: string]>([
    ['', 1, 'header'],
    ['WEBVTTX\n\n00:01.000 --> 00:02.000\nMud', 1, 'header'],
    ['1\n00:00:01,000 --> 00:00:02,000\nMud', 1, 'header'],
    [vtt('00:01,000 --> 00:02,000', 'Mud'), 3, 'time'],
    [vtt('00:01.00 --> 00:02.000', 'Mud'), 3, 'time'],
    [vtt('00:61.000 --> 00:62.000', 'Mud'), 3, 'time'],
    [vtt('00:01.000-->00:02.000', 'Mud'), 3, 'time'],
    [vtt('00:02.000 --> 00:01.000', 'Mud'), 3, 'backwards'],
    [vtt('00:02.000 --> 00:02.000', 'Mud'), 3, 'backwards'],
    [vtt('00:05.000 --> 00:06.000', 'Mud', '', '00:01.000 --> 00:02.000', 'Silt'), 6, 'backwards'],
    [vtt('NOTE nothing'), 1, 'empty'],
    [vtt('00:01.000 --> 00:02.000', '<b></b>'), 1, 'empty'],
  ])('%j is none, by its line', (text, line, why) => {
    expect(readCaptions(text)).toMatchObject({ ok: false, mistake: { line, why } });
  });

  test('more than anybody can say in a day are too many', () => {
    const all = Array.from({ length: 20_001 }, () => '00:01.000 --> 00:02.000\nMud\n');
    expect(readCaptions(vtt(...all))).toMatchObject({ ok: false, mistake: { why: 'many' } });
  });
});

describe('parts', () => {
  test.each<[text: string, chapters: readonly (readonly [number, string])[]]>([
    ['', []],
    [
      '0:00 Where you stand\n1:20 Down',
      [
        [0, 'Where you stand'],
        [80, 'Down'],
      ],
    ],
    ['  0:05   The cap  \n\n', [[5, 'The cap']]],
    [
      '0:00 - The cap\n0:10 – Up',
      [
        [0, 'The cap'],
        [10, 'Up'],
      ],
    ],
    [
      '1:00:00 Late\r\n1:00:01 Later',
      [
        [3600, 'Late'],
        [3601, 'Later'],
      ],
    ],
  ])('%j', (text, chapters) => {
    const read = chapters.map(([at, title]) => ({ at, title }));
    expect(readChapters(text, null)).toEqual({ ok: true, chapters: read });
    expect(readChapters(writeChapters(read), null)).toEqual({ ok: true, chapters: read });
  });

  test.each<[text: string, line: number, why: string]>([
    ['Where you stand', 1, 'time'],
    ['0:00 A\n0:75 B', 2, 'time'],
    ['0:00 A\n\n0:30', 3, 'title'],
    ['0:30 A\n0:30 B', 2, 'order'],
    ['0:30 A\n0:20 B', 2, 'order'],
    ['0:00 A\n1:40 B', 2, 'beyond'],
    [`0:00 ${'a'.repeat(121)}`, 1, 'title_long'],
    [
      Array.from(
        { length: 101 },
        (_, at) => `${Math.floor(at / 60)}:${String(at % 60).padStart(2, '0')} a`,
      ).join('\n'),
      101,
      'beyond',
    ],
  ])('%j is wrong, by its line', (text, line, why) => {
    expect(readChapters(text, 100)).toMatchObject({ ok: false, line, why });
  });

  test('the one that plays is the last that has begun', () => {
    const chapters = [
      { at: 5, title: 'A' },
      { at: 80, title: 'B' },
    ];
    expect([0, 4.9, 5, 79.9, 80, 500].map((at) => chapterAt(chapters, at)?.title ?? null)).toEqual([
      ...[null, null, 'A', 'A', 'B', 'B'],
    ]);
  });
});
