/** What learners of the live course have watched, where they have been, and what they have said in a survey. */
import { added, allLivingItems, livingSections } from '@itinerary/core';
import type { Batch, Course, Run, SurveyAnswers } from '@itinerary/core';
import { AttendanceRow, FilmWatchRow, SurveyAnsweredRow, SurveyBatchRow } from '../db/entities.ts';
import type { EntityManager } from '../db/orm.ts';
import { FILM_TITLE } from './film/with-film.ts';

const DAY_MS = 86_400_000;

/** In seconds: some saw all of it, some the end alone. */
/** Whoever is offered on the sign-in page is in the middle of it. */
const HALF_WAY: Run = [0, 132_000];

const WATCHED: readonly (readonly (readonly [number, number])[])[] = [
  [[0, 402]],
  [[0, 230]],
  [
    [0, 100],
    [284, 402],
  ],
  [[0, 402]],
  [[0, 36]],
  [[0, 402]],
  [[80, 402]],
];

const ANSWERS: readonly SurveyAnswers[] = (
  [
    [4, 'c2', ['c1', 'c2'], 'How sure is sure enough for a table.'],
    [5, 'c2', ['c2', 'c3'], ''],
    [3, 'c3', ['c2'], 'The rule of twelfths at neaps.'],
    [4, 'c2', ['c2', 'c4'], ''],
    [4, 'c2', ['c1', 'c2', 'c4'], 'Nothing, but my boots.'],
    [2, 'c3', ['c3'], 'What goes into the log and what into the sheet.'],
    [5, 'c1', ['c2'], ''],
    [4, 'c2', ['c2', 'c3'], 'When a layer is a layer.'],
    [4, 'c2', ['c4'], ''],
  ] as const
).map(([step, choice, choices, text]) => ({
  a: { kind: 'scale', step },
  b: { kind: 'single', choice },
  c: { kind: 'several', choices },
  ...(text === '' ? {} : { d: { kind: 'open' as const, text } }),
}));

/** @param learners by id */
export function takePart(
  em: EntityManager,
  course: Course,
  learners: readonly string[],
  { staff, film, half }: { readonly staff: string; readonly film: string; readonly half: string },
  now: string,
): void {
  const items = livingSections(course).flatMap((section) => allLivingItems(section));
  const courseId = course.id;
  const at = (days: number): string => new Date(Date.parse(now) - days * DAY_MS).toISOString();
  const watched = items.find(({ title }) => title === FILM_TITLE);
  const watching = (personId: string | undefined, runs: readonly Run[]): void => {
    if (watched === undefined || personId === undefined) return;
    const key = { courseId, itemId: watched.id, personId, film };
    const position = runs.at(-1)?.[1] ?? 0;
    em.persist(
      em.create(FilmWatchRow, { ...key, runs, position, openedAt: at(9), reportedAt: at(8), report: null }),
    );
  };
  WATCHED.forEach((seconds, index) => {
    watching(
      learners[index],
      seconds.map(([from, to]): Run => [from * 1000, to * 1000]),
    );
  });
  watching(half, [HALF_WAY]);
  const meeting = items.find(({ kind }) => kind === 'meeting');
  learners.forEach((personId, index) => {
    // Some of the list is still to be said.
    if (meeting === undefined || index % 6 === 5) return;
    const attended = index % 7 === 3 ? 'away' : index % 9 === 4 ? 'late' : 'there';
    const by = index % 2 === 0 && attended === 'there' ? null : staff;
    em.persist(
      em.create(AttendanceRow, { courseId, itemId: meeting.id, personId, attended, by, at: at(20) }),
    );
  });
  const survey = items.find((item) => item.kind === 'survey');
  if (survey === undefined) return;
  const asks = Object.entries(survey.asks)
    .sort(([, a], [, b]) => a.at - b.at)
    .map(([id]) => id);
  const batches: Batch[] = [];
  ANSWERS.forEach((given, index) => {
    const personId = learners[index];
    if (personId === undefined) return;
    const answers = Object.fromEntries(
      Object.entries(given).map(([name, answer]) => [asks['abcd'.indexOf(name)] ?? name, answer]),
    );
    const batch = added(batches.at(-1) ?? null, survey.least, answers);
    if (batches.at(-1)?.number === batch.number) batches.pop();
    batches.push(batch);
    em.persist(em.create(SurveyAnsweredRow, { courseId, itemId: survey.id, personId, at: at(5) }));
  });
  for (const batch of batches)
    em.persist(em.create(SurveyBatchRow, { courseId, itemId: survey.id, ...batch }));
}
