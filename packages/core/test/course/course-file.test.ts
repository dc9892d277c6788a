import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  courseFileJsonSchema,
  codesLike,
  foldCode,
  MAX_CODE,
  parseCourse,
  parseCourseFile,
  textHashes,
  toCourseFile,
  withoutTombstones,
} from '../../src/index.ts';
import { course, smallCourse } from '../support/arbitraries.ts';

const textsFor = (hashes: readonly string[]): Record<string, string> =>
  Object.fromEntries(hashes.map((hash) => [hash, `<p>${hash[0]}</p>`]));

describe('the course file', () => {
  test('reads back what it wrote, without tombstones', () => {
    fc.assert(
      fc.property(course, (any) => {
        const file = toCourseFile(any, textsFor(textHashes(any)));
        const read = parseCourseFile(JSON.parse(JSON.stringify(file)));
        expect(read).toEqual({ ok: true, value: file });
        expect(file.course).toEqual(withoutTombstones(any));
      }),
      { numRuns: 100, seed: 15 },
    );
  });

  test('names the place, the value and what was expected', () => {
    const file = structuredClone(toCourseFile(smallCourse(), {})) as unknown as {
      course: { dates: { weeks: unknown }; sections: { id: string }[] };
    };
    file.course.dates.weeks = 'many';
    const wrong = parseCourseFile(file);
    expect(wrong.ok ? [] : wrong.mistakes).toMatchObject([{ path: 'course.dates.weeks', value: 'many' }]);
    file.course.dates.weeks = 2;
    file.course.sections[1]!.id = 'A';
    const twice = parseCourseFile(file);
    expect(twice.ok ? [] : twice.mistakes).toMatchObject([{ path: 'course.sections.1.id', value: 'A' }]);
  });

  test('wants every text that the course names', () => {
    const hash = 'c'.repeat(64);
    const file = { ...toCourseFile(smallCourse(), {}), course: { ...smallCourse(), description: hash } };
    const read = parseCourseFile(file);
    expect(read.ok ? [] : read.mistakes.map(({ path }) => path)).toEqual([`texts.${hash}`]);
    expect(() => toCourseFile({ ...smallCourse(), description: hash }, {})).toThrow(hash);
  });

  test('has a JSON Schema', () => {
    expect(courseFileJsonSchema()).toMatchObject({
      type: 'object',
      required: ['format', 'version', 'course', 'texts'],
    });
  });

  test.each(['2027-02-29', '2027-13-01', '2027-1-1', '27-01-01', 'today'])(
    'a course does not take %s for a day',
    (firstDay) => {
      const read = parseCourse({ ...smallCourse(), dates: { ...smallCourse().dates, firstDay } });
      expect(read.ok ? [] : read.mistakes.map(({ path, value }) => [path, value])).toEqual([
        ['dates.firstDay', firstDay],
      ]);
    },
  );

  test.each(['javascript:alert(1)', 'data:text/html,x', 'ftp://x', 'https://', '//x.example', 'x.example'])(
    'a link does not take %s for an address',
    (address) => {
      const link = { id: 'l', kind: 'link', title: 'L', address, minutes: null, shown: true, removed: false };
      const base = smallCourse();
      const read = parseCourse({ ...base, sections: [{ ...base.sections[0]!, items: [link] }] });
      expect(read.ok).toBe(false);
    },
  );
});

describe('codes', () => {
  const propose = (wanted: string, ...taken: string[]): string => {
    const folded = new Set(taken.map(foldCode));
    for (const code of codesLike(wanted)) if (!folded.has(foldCode(code))) return code;
    return '';
  };

  test('a free one is kept; a taken one is counted on', () => {
    expect(propose('EFM-210')).toBe('EFM-210');
    expect(propose('EFM-210', 'efm-210')).toBe('EFM-210-2');
    expect(propose('EFM-210', 'EFM-210', 'EFM-210-2')).toBe('EFM-210-3');
    expect(propose('EFM-210-2', 'EFM-210-2')).toBe('EFM-210-3');
  });

  test('what is proposed is always free and short enough', () => {
    const code = fc
      .stringMatching(/^[A-Za-z0-9]+(-[A-Za-z0-9]+)?$/)
      .filter((text) => text.length <= MAX_CODE);
    fc.assert(
      fc.property(code, fc.array(code), (wanted, taken) => {
        const proposal = propose(wanted, wanted, ...taken);
        expect(proposal.length).toBeLessThanOrEqual(MAX_CODE);
        expect([wanted, ...taken].map(foldCode)).not.toContain(foldCode(proposal));
      }),
      { numRuns: 200, seed: 16 },
    );
  });
});
