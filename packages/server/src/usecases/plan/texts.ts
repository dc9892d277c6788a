/** Long texts as they are stored: kept by hash with what they hold, and read with their pieces filled in. */
import type { CourseView, FactsByText, TextFacts } from '@itinerary/core';
import { BoundedBy, fillText, formulaHtml, linkTargets, textFacts } from '@itinerary/core';
import katex from 'katex';
import { TextRow } from '../../db/entities.ts';
import { groupBy } from '../../db/group-by.ts';
import type { EntityManager } from '../../db/orm.ts';

/** Persists it into the unit of work; the caller flushes. `html` is sanitised. */
export function keepText(em: EntityManager, courseId: string, hash: string, html: string): void {
  em.persist(em.create(TextRow, { courseId, hash, html, facts: textFacts(html) }));
}

/** Of the texts that hold more than words. */
export async function factsOfTexts(em: EntityManager, courseId: string): Promise<FactsByText> {
  return (await factsIn(em, [courseId])).get(courseId) ?? new Map<string, TextFacts>();
}

/** The same of several courses, by course: one question. */
export async function factsIn(
  em: EntityManager,
  courseIds: readonly string[],
): Promise<ReadonlyMap<string, FactsByText>> {
  const rows = await em.find(
    TextRow,
    { courseId: { $in: [...courseIds] }, facts: { $ne: null } },
    { fields: ['courseId', 'hash', 'facts'] },
  );
  const known = ({ hash, facts }: (typeof rows)[number]): [string, TextFacts][] =>
    facts == null ? [] : [[hash, facts]];
  return new Map(
    [...groupBy(rows, ({ courseId }) => courseId)].map(([id, own]) => [id, new Map(own.flatMap(known))]),
  );
}

/** Texts of one course, for one person: filled for what that person gets. */
export interface TextReader {
  /** @param item the item whose text it is; null: one of the course's own. */
  readonly read: (hash: string | null, item: string | null) => Promise<string | null>;
}

/** In characters. */
const MOST_KEPT = 16_000_000;
/** A text is named by what it says, so that once it is known it needs no question. By the connection, and by course. */
const kept = new BoundedBy<object, string>(MOST_KEPT, (html) => 100 + html.length);

/** Texts by their hashes: those that are asked for at one moment are one question. */
function textsOf(em: EntityManager, courseId: string): (hash: string) => Promise<string | null> {
  const shelf = kept.of(em.getConnection());
  let asked: { readonly hashes: Set<string>; readonly found: Promise<ReadonlyMap<string, string>> } | null =
    null;
  const ask = async (hashes: ReadonlySet<string>): Promise<ReadonlyMap<string, string>> => {
    // Whoever asks at this moment has asked before the next one.
    await Promise.resolve();
    asked = null;
    const rows = await em.find(
      TextRow,
      { courseId, hash: { $in: [...hashes] } },
      { fields: ['hash', 'html'] },
    );
    for (const { hash, html } of rows) shelf.set(`${courseId} ${hash}`, html);
    return new Map(rows.map(({ hash, html }) => [hash, html]));
  };
  return async (hash) => {
    const there = shelf.get(`${courseId} ${hash}`);
    if (there !== undefined) return there;
    if (asked === null) {
      const hashes = new Set<string>();
      asked = { hashes, found: ask(hashes) };
    }
    asked.hashes.add(hash);
    return (await asked.found).get(hash) ?? null;
  };
}

export function textReader(em: EntityManager, view: CourseView): TextReader {
  const targets = linkTargets(view);
  const at = `/courses/${view.id}`;
  const htmlOf = textsOf(em, view.id);
  return {
    read: async (hash, item) => {
      if (hash === null) return null;
      const html = await htmlOf(hash);
      if (html === null) return null;
      const of = item === null ? '' : `?item=${encodeURIComponent(item)}`;
      return fillText(html, {
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
