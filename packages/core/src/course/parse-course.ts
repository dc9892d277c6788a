/** The only way from foreign data to a `Course`. */
import { parseWith } from './schema/basics.ts';
import type { Mistake, Parsed } from './schema/basics.ts';
import { MAX_FOLDER_DEPTH, MAX_ITEMS_PER_PARENT } from './schema/items-schema.ts';
import { courseSchema, MAX_SECTIONS, wrongBefore } from './schema/schema.ts';
import type { Course, CourseNode, HeldBack } from './schema/schema.ts';
import { isHolder } from './tree.ts';

/** Shapes, bounds, and every id used once: in the plan, and in each copy of what is held. */
export function parseCourse(data: unknown): Parsed<Course> {
  const wrong = wrongBefore(data);
  if (wrong !== null) return { ok: false, mistakes: [{ path: '', value: undefined, expected: wrong }] };
  const parsed = parseWith(courseSchema, data);
  if (!parsed.ok) return parsed;
  const mistakes = checkNodes(parsed.value);
  return mistakes.length > 0 ? { ok: false, mistakes } : parsed;
}

/** What no schema can say of a course: how much stands beside each other, how deep, and under which ids. */
export function checkNodes(course: Course): readonly Mistake[] {
  const check = newCheck(course.id);
  check.room(course.sections, 'sections', MAX_SECTIONS, 'sections');
  course.sections.forEach((section, at) => check.node(section, `sections.${at}`, 0));
  const held = Object.entries(course.heldBack).flatMap(([id, one]) => checkHeld(course.id, id, one));
  return [...check.mistakes, ...held];
}

/** What is wrong with the copy of something held, which stands under the id of what is held. */
export function checkHeld(course: string, id: string, { node }: HeldBack): readonly Mistake[] {
  if (node === null) return [];
  const path = `heldBack.${id}.node`;
  if (node.id !== id)
    return [{ path: `${path}.id`, value: node.id, expected: `the id that it is held by, ${id}` }];
  const check = newCheck(course);
  // Folders around it are not in the copy, so that only those in it are counted.
  check.node(node, path, node.kind === 'folder' ? 1 : 0);
  return check.mistakes;
}

interface Check {
  readonly mistakes: Mistake[];
  readonly node: (node: CourseNode, path: string, depth: number) => void;
  readonly room: (nodes: readonly CourseNode[], path: string, most: number, what: string) => void;
}

function newCheck(course: string): Check {
  const seen = new Set<string>([course]);
  const mistakes: Mistake[] = [];
  const room: Check['room'] = (nodes, path, most, what) => {
    const many = nodes.filter(({ removed }) => !removed).length;
    if (many > most) mistakes.push({ path, value: many, expected: `at most ${most} ${what}` });
  };
  const visit: Check['node'] = (node, path, depth) => {
    if (seen.has(node.id)) {
      mistakes.push({
        path: `${path}.id`,
        value: node.id,
        expected: 'an id that nothing else in the course has',
      });
    }
    seen.add(node.id);
    if (!isHolder(node)) return;
    if (depth > MAX_FOLDER_DEPTH) {
      mistakes.push({ path, value: node.title, expected: `folders at most ${MAX_FOLDER_DEPTH} deep` });
      return;
    }
    room(node.items, `${path}.items`, MAX_ITEMS_PER_PARENT, 'items');
    node.items.forEach((item, at) => visit(item, `${path}.items.${at}`, depth + 1));
  };
  return { mistakes, node: visit, room };
}
