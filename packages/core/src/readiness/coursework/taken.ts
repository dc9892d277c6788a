/** Rules of what learners work in: which of it is wrong, and the one field that puts each right. */
import { MAX_EDITS } from '../../course/edits/edits.ts';
import type { Edit, FieldValue } from '../../course/edits/edits.ts';
import { livingSections, subtree } from '../../course/tree.ts';
import type { Assignment, Film, Meeting, Quiz, Survey } from '../../course/schema/items-schema.ts';
import type { Course } from '../../course/schema/schema.ts';
import type { Context, FindingBody, Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

interface Kinds {
  readonly assignment: Assignment;
  readonly quiz: Quiz;
  readonly video: Film;
  readonly meeting: Meeting;
  readonly survey: Survey;
}
type Kind = keyof Kinds;

/** Those of a kind that learners get, wherever they stand. */
function takenOf<Of extends Kind>(course: Course, kinds: readonly Of[]): readonly Kinds[Of][] {
  return livingSections(course)
    .flatMap((section) => subtree(section))
    .filter((node) => node.shown && !node.removed && !node.staffOnly)
    .filter((node) => (kinds as readonly string[]).includes(node.kind)) as unknown as readonly Kinds[Of][];
}

interface TakenRule<Node extends Kinds[Kind]> {
  readonly isWrong: (node: Node, context: Context) => boolean;
  /** Of the first that is, beside its title and how many there are. */
  readonly values?: (first: Node, context: Context) => NonNullable<FindingBody['values']>;
  /** What puts each right; without it, a person has to. */
  readonly cure?: {
    readonly field: keyof Node & string;
    readonly cured: (node: Node, context: Context) => unknown;
  };
}

/** Advice, with a cure that sets the field of each. */
export function takenRule<Of extends Kind>(
  id: string,
  kinds: readonly Of[],
  { isWrong, values, cure }: TakenRule<Kinds[Of]>,
): Rule {
  return {
    id,
    stop: 'outline',
    purposes: WITH_PEOPLE,
    find: (context) => {
      const wrong = takenOf(context.course, kinds).filter((one) => isWrong(one, context));
      const [first] = wrong;
      if (first === undefined) return null;
      return {
        severity: 'advice',
        targets: wrong.map((one) => one.id),
        values: { count: wrong.length, title: first.title, ...values?.(first, context) },
        ...(cure === undefined
          ? {}
          : {
              cure: wrong.slice(0, MAX_EDITS).map((one): Edit => ({
                kind: 'set',
                target: one.id,
                field: cure.field,
                value: cure.cured(one, context) as FieldValue,
                was: one[cure.field] as FieldValue,
              })),
            }),
      };
    },
  };
}
