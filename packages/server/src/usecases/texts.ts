/** Long texts as they are stored: kept by hash with what they hold, and read with their pieces filled in. */
import type { CourseView, FactsByText, TextFacts } from '@itinerary/core';
import { fillText, formulaHtml, linkTargets, textFacts } from '@itinerary/core';
import katex from 'katex';
import { TextRow } from '../db/entities.ts';
import type { EntityManager } from '../db/orm.ts';

/** Persists it into the unit of work; the caller flushes. `html` is sanitised. */
export function keepText(em: EntityManager, courseId: string, hash: string, html: string): void {
  em.persist(em.create(TextRow, { courseId, hash, html, facts: textFacts(html) }));
}

/** Of the texts that hold more than words. */
export async function factsOfTexts(em: EntityManager, courseId: string): Promise<FactsByText> {
  return (await factsOfCourses(em, [courseId])).get(courseId) ?? new Map();
}

/** The same for many courses, in one question. */
export async function factsOfCourses(
  em: EntityManager,
  courseIds: readonly string[],
): Promise<ReadonlyMap<string, FactsByText>> {
  const rows = await em.find(
    TextRow,
    { courseId: { $in: [...courseIds] }, facts: { $ne: null } },
    { fields: ['courseId', 'hash', 'facts'] },
  );
  const courses = new Map<string, Map<string, TextFacts>>();
  for (const { courseId, hash, facts } of rows) {
    const own = courses.get(courseId) ?? new Map<string, TextFacts>();
    if (facts != null) own.set(hash, facts);
    courses.set(courseId, own);
  }
  return courses;
}

/** Texts of one course, for one person: filled for what that person gets. */
export interface TextReader {
  /** @param item the item whose text it is; null: one of the course's own. */
  readonly read: (hash: string | null, item: string | null) => Promise<string | null>;
}

export function textReader(em: EntityManager, view: CourseView): TextReader {
  const targets = linkTargets(view);
  const at = `/courses/${view.id}`;
  return {
    read: async (hash, item) => {
      if (hash === null) return null;
      const row = await em.findOne(TextRow, { courseId: view.id, hash });
      if (row === null) return null;
      const of = item === null ? '' : `?item=${encodeURIComponent(item)}`;
      return fillText(row.html, {
        picture: (picture) => `/api/learn/${view.id}/pictures/${picture}${of}`,
        formula: (piece) => formulaHtml(piece, katex.renderToString),
        item: (id) => {
          const target = targets.get(id);
          if (target === undefined) return null;
          const { number, title, opens } = target;
          return { number, title, href: opens ? `${at}/items/${id}` : null };
        },
      });
    },
  };
}
