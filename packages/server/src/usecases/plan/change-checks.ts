/**
 * What a change has to pass besides core's own rules: rights, choices that the institution offers, texts and
 * files that have come, and blockers on the way to going live.
 */
import type { ServerRefusal } from '@itinerary/contract';
import { fileHashes, findings, hasRight, isBlocker, sameValue, textFacts, textHashes } from '@itinerary/core';
import type { Change, Course, Viewer } from '@itinerary/core';
import { StoredFileRow, TextRow } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';
import { codeHeld } from '../desk/course-codes.ts';
import { isKnownChoice } from '../desk/create-course.ts';
import type { NewTexts } from './new-texts.ts';
import { termsOf } from '../desk/terms.ts';
import { factsOfTexts, keepText } from './texts.ts';
import { passphraseState } from '../access/passphrase.ts';
import { countsOf } from '../access/counts.ts';

/** Rights within the plan: who may open or close the course, and that an archived one is only looked at. */
export function mayTake(course: Course, viewer: Viewer, change: Change): ServerRefusal | null {
  for (const [edit, { kind, ...rest }] of change.edits.entries()) {
    const target = 'target' in rest ? rest.target : rest.node.id;
    const field = kind === 'set' && target === course.id && 'field' in rest ? rest.field : null;
    const setsState = field === 'state';
    const opens = setsState || field === 'goesLive';
    if (opens && !hasRight(viewer, 'state')) return { code: 'not_allowed', edit, target };
    if (!setsState && course.state === 'archived') return { code: 'archived', edit, target };
  }
  return null;
}

export async function checkChoices(
  em: EntityManager,
  institutionId: string,
  courseId: string,
  change: Change,
): Promise<ServerRefusal | null> {
  for (const [edit, { kind, ...rest }] of change.edits.entries()) {
    if (kind !== 'set' || !('field' in rest) || rest.target !== courseId) continue;
    const { field, value, target } = rest;
    if (field === 'code') {
      const taken = await codeRefusal(em, institutionId, courseId, change, edit);
      if (taken !== null) return taken;
    }
    if (field === 'department' || field === 'term') {
      const known = await isKnownChoice(em, institutionId, field, value as string | null);
      if (!known) return { code: 'unknown_choice', edit, target, field };
    }
  }
  return null;
}

export async function codeRefusal(
  em: EntityManager,
  institutionId: string,
  courseId: string,
  change: Change,
  at: number,
): Promise<ServerRefusal | null> {
  const edit = change.edits[at];
  if (edit?.kind !== 'set') return null;
  const { holder, proposal } = await codeHeld(em, institutionId, String(edit.value), courseId);
  return holder === null ? null : { code: 'code_taken', edit: at, target: courseId, proposal };
}

/** What texts and files are named by: SHA-256, in hexadecimal digits. */
const HASH = /[0-9a-f]{64}/;

/** A change that names neither text nor file brings none that was not there before. */
export const namesContent = ({ edits }: Pick<Change, 'edits'>): boolean => HASH.test(JSON.stringify(edits));

/** Stores the new texts that the next course names; refuses a change that names one which nobody has. */
export async function checkTexts(
  em: EntityManager,
  courseId: string,
  change: Change,
  next: Course,
  before: Course,
  texts: NewTexts,
): Promise<ServerRefusal | null> {
  if (!namesContent(change)) return null;
  const known = new Set(textHashes(before));
  const named = textHashes(next).filter((hash) => !known.has(hash));
  if (named.length === 0) return null;
  const stored = await em.find(TextRow, { courseId, hash: { $in: named } }, { fields: ['hash'] });
  const there = new Set(stored.map(({ hash }) => hash));
  for (const hash of named) {
    if (there.has(hash)) continue;
    const html = texts.kept.get(hash);
    if (html === undefined) return missingText(change, hash);
    keepText(em, courseId, hash, html);
  }
  return null;
}

/** A change may name only files that have come to this course, in its items and in its new texts. */
export async function checkFiles(
  em: EntityManager,
  courseId: string,
  change: Change,
  next: Course,
  before: Course,
  texts: NewTexts,
): Promise<ServerRefusal | null> {
  if (!namesContent(change)) return null;
  const known = new Set(fileHashes(before));
  const pictures = textHashes(next).flatMap((hash) => {
    const html = texts.kept.get(hash);
    return html === undefined ? [] : (textFacts(html)?.pictures ?? []);
  });
  const named = [...new Set([...fileHashes(next), ...pictures])].filter((hash) => !known.has(hash));
  if (named.length === 0) return null;
  const stored = await em.find(StoredFileRow, { courseId, hash: { $in: named } }, { fields: ['hash'] });
  const there = new Set(stored.map(({ hash }) => hash));
  const missing = named.find((hash) => !there.has(hash));
  if (missing === undefined) return null;
  const inText = [...texts.kept].find(([, html]) => html.includes(missing))?.[0];
  const { edit, target } = missingText(change, inText ?? missing);
  return { code: 'file_missing', edit, target };
}

function missingText(change: Change, hash: string): Extract<ServerRefusal, { code: 'text_missing' }> {
  const at = change.edits.findIndex((edit) => JSON.stringify(edit).includes(hash));
  const edit = change.edits[at];
  const target = edit === undefined ? '' : edit.kind === 'insert' ? edit.node.id : edit.target;
  return {
    code: 'text_missing',
    edit: Math.max(at, 0),
    target,
    field: edit?.kind === 'set' ? edit.field : 'text',
  };
}

/** A course goes live only without blockers. */
export async function checkBlockers(
  em: EntityManager,
  institutionId: string,
  before: Course,
  next: Course,
  change: Change,
  now: string,
): Promise<ServerRefusal | null> {
  const isOpening = next.state === 'live' && before.state !== 'live';
  const isPlanned = next.goesLive !== null && !sameValue(before.goesLive, next.goesLive);
  if (!isOpening && !isPlanned) return null;
  const { learners, groupSizes } = await countsOf(em, next.id);
  // Readiness is asked of the course as it stands before the act: some rules speak to drafts only.
  const term = (await termsOf(em, institutionId))(next.term);
  const texts = await factsOfTexts(em, next.id);
  const passphrase = await passphraseState(em, next.id);
  const facts = { moment: now, learners, term, texts, passphrase, groupSizes };
  const rules = findings({ ...next, state: 'draft' }, facts).filter(isBlocker);
  if (rules.length === 0) return null;
  const opens = new Set(['state', 'goesLive']);
  const edit = change.edits.findIndex((one) => one.kind === 'set' && opens.has(one.field));
  return { code: 'blocked', edit, target: next.id, rules: rules.map(({ rule }) => rule) };
}
