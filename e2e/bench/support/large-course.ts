/** A course of as many sections and items as are wanted, made as the browser makes it. */
import { randomUUID } from 'node:crypto';
import { newItem, newSection } from '../../../packages/core/src/index.ts';
import type { Asking } from './enter.ts';

export interface Large {
  readonly id: string;
  /** Its first item. */
  readonly item: string;
  title: string;
  seq: number;
}

export async function courseOf(
  post: Asking,
  code: string,
  { sections, items }: { sections: number; items: number },
): Promise<Large> {
  const { id } = await post<{ id: string }>('/api/courses', {
    ...{ title: 'Changed often', code, purpose: 'learners', department: null, term: null },
    ...{ firstDay: '2027-02-15', weeks: 1, zone: 'UTC' },
  });
  let seq = 0;
  for (let at = 0; at < sections; at += 1) {
    const section = newSection({ id: randomUUID(), title: `Reach ${at}` });
    const nodes = Array.from({ length: items }, (_one, index) =>
      newItem('page', { id: `${code}-${at}-${index}`, title: `Leaf ${index}`, minutes: 10 }),
    );
    const edits = [
      { kind: 'insert', parent: id, after: null, node: section },
      ...nodes.map((node) => ({ kind: 'insert', parent: section.id, after: null, node })),
    ];
    const answer = await post<{ seq: number; refused: unknown[] }>(`/api/courses/${id}/changes`, {
      ...{ since: seq, changes: [{ id: `${code}-${at}`, edits }], texts: {} },
    });
    if (answer.refused.length > 0) throw new Error(JSON.stringify(answer.refused[0]));
    ({ seq } = answer);
  }
  return { id, item: `${code}-0-0`, seq, title: 'Leaf 0' };
}
