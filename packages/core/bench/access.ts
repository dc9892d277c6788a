/**
 * Access answers against rules given to others: the same 500 items for the same 200 learners at one moment. What
 * each gives is checked to be the same before anything is measured.
 */
import { AbilityBuilder, createMongoAbility, subject } from '@casl/ability';
import type { MongoAbility } from '@casl/ability';
import { Engine } from 'json-rules-engine';
import type { RuleProperties } from 'json-rules-engine';
import { accessAt, newCourse, newItem, newSection, planCourse, startOfDay } from '../src/index.ts';
import type { AccessState, Course, Item, OpeningRule, SingleCondition, Viewer } from '../src/index.ts';
import type { Comparison } from './measure.ts';

const SECTIONS = 20;
const ITEMS = 25;
const ZONE = 'Europe/Lisbon';
const FIRST = '2027-01-11';
const NOW = Date.parse('2027-03-01T09:00:00Z');
const GROUPS = ['boat0', 'boat1', 'boat2', 'boat3'];

/** What the same item says in every tongue below. */
interface Said {
  readonly id: string;
  readonly section: number;
  readonly shown: boolean;
  readonly audience: readonly string[];
  /** A day, or null. */
  readonly opens: string | null;
  readonly needs: string | null;
  readonly least: { readonly item: string; readonly percent: number } | null;
}

const dayAfter = (days: number): string =>
  new Date(Date.parse(`${FIRST}T00:00:00Z`) + days * 86_400_000).toISOString().slice(0, 10);

const SAID: readonly Said[] = Array.from({ length: SECTIONS * ITEMS }, (_, at): Said => {
  const section = Math.floor(at / ITEMS);
  const index = at % ITEMS;
  const before = at === 0 ? null : `s${Math.floor((at - 1) / ITEMS)}i${(at - 1) % ITEMS}`;
  return {
    id: `s${section}i${index}`,
    section,
    shown: at % 17 !== 3,
    audience: at % 9 === 4 ? [GROUPS[at % GROUPS.length] as string] : [],
    opens: at % 3 === 1 ? dayAfter((at * 7) % 100) : null,
    needs: at % 5 === 2 ? before : null,
    least: at % 11 === 5 && before !== null ? { item: before, percent: 60 } : null,
  };
});
/** Sections open week by week. */
const sectionOpens = (section: number): string => dayAfter(7 * section);

function courseOf(said: readonly Said[], bySections: boolean): Course {
  const head = { id: 'c', title: 'Large', code: 'L-1', purpose: 'learners' as const };
  const rest = { department: null, term: null, firstDay: FIRST, weeks: SECTIONS, zone: ZONE };
  const item = ({ id, shown, audience, opens, needs, least }: Said): Item => {
    const of: SingleCondition[] = [];
    if (needs !== null) of.push({ kind: 'done', items: [needs] });
    if (least !== null) of.push({ kind: 'scored', item: least.item, least: least.percent });
    const rule: OpeningRule | null =
      of.length === 0 ? null : { when: { kind: 'all', of }, until: null, then: 'look' };
    return newItem('page', {
      id,
      title: id,
      shown,
      audience: [...audience],
      opens: opens === null ? null : { kind: 'fixed', day: opens, time: null },
      rule,
      done: { by: 'opened' },
    });
  };
  return {
    ...newCourse({ ...head, ...rest, sectionIds: [] }),
    state: 'live',
    sections: Array.from({ length: SECTIONS }, (_, at) =>
      newSection({
        id: `s${at}`,
        title: `Section ${at}`,
        opens: bySections ? { kind: 'fixed', day: sectionOpens(at), time: null } : null,
        items: said.filter(({ section }) => section === at).map(item),
      }),
    ),
  };
}

/** Learners who have joined on different days, are in different groups, and have done more and less. */
function learner(at: number): Viewer {
  const has = SAID.filter((_, index) => (index * 31 + at * 17) % 100 < (at * 13) % 100);
  return {
    role: 'learner',
    institutionStaff: false,
    joinedAt: `2027-01-${String(11 + (at % 15)).padStart(2, '0')}T09:00:00Z`,
    groups: [GROUPS[at % GROUPS.length] as string],
    deeds: {
      done: new Set(has.map(({ id }) => id)),
      scores: new Map(has.map(({ id }, index) => [id, (index * 37 + at) % 101])),
      courses: new Set(),
    },
  };
}

const LEARNERS = Array.from({ length: 200 }, (_, at) => learner(at));
const course = courseOf(SAID, true);
const plan = planCourse(course);

/** Every item's state and reason for one learner. */
function ours(of: Course, ofPlan: typeof plan, who: Viewer): readonly (readonly [AccessState, string])[] {
  const { nodes } = accessAt(of, who, NOW, ofPlan);
  return SAID.map(({ id }) => {
    const answer = nodes.get(id);
    return [answer?.state ?? 'absent', answer?.because ?? ''] as const;
  });
}

const instant = (day: string): number => Date.parse(startOfDay(day, ZONE));

/** One rule an item; that it is not met comes with the conditions that failed, which is its reason. */
function rulesEngine(): Engine {
  const engine = new Engine([], { allowUndefinedFacts: true });
  for (const said of SAID) {
    const all: RuleProperties['conditions'] = {
      all: [
        { fact: 'now', operator: 'greaterThanInclusive', value: instant(sectionOpens(said.section)) },
        ...(said.shown ? [] : [{ fact: 'now', operator: 'lessThan', value: 0 }]),
        ...(said.audience.length === 0
          ? []
          : [{ fact: 'groups', operator: 'contains', value: said.audience[0] as string }]),
        ...(said.opens === null
          ? []
          : [{ fact: 'now', operator: 'greaterThanInclusive', value: instant(said.opens) }]),
        ...(said.needs === null ? [] : [{ fact: 'done', operator: 'contains', value: said.needs }]),
        ...(said.least === null
          ? []
          : [
              {
                fact: 'scores',
                path: `$.${said.least.item}`,
                operator: 'greaterThanInclusive',
                value: said.least.percent,
              },
            ]),
      ],
    };
    engine.addRule({ conditions: all, event: { type: said.id } });
  }
  return engine;
}

const engine = rulesEngine();
const factsOf = ({ groups = [], deeds }: Viewer): Record<string, unknown> => ({
  now: NOW,
  groups: [...groups],
  done: [...(deeds?.done ?? [])],
  scores: Object.fromEntries(deeds?.scores ?? []),
});
const FACTS = LEARNERS.map(factsOf);

async function withRulesEngine(): Promise<readonly ReadonlySet<string>[]> {
  const open: ReadonlySet<string>[] = [];
  for (const facts of FACTS) {
    const { events } = await engine.run(facts);
    open.push(new Set(events.map(({ type }) => type)));
  }
  return open;
}

/** What can be said of one subject and its own fields: shown, audience, moment, and one item that is needed. */
const CASL_SAID: readonly Said[] = SAID.map((said) => ({ ...said, least: null }));
const caslCourse = courseOf(CASL_SAID, false);
const caslPlan = planCourse(caslCourse);
const SUBJECTS = CASL_SAID.map((said) =>
  subject('Item', {
    shown: said.shown,
    audience: said.audience[0] ?? 'everybody',
    opens: said.opens === null ? 0 : instant(said.opens),
    needs: said.needs ?? 'nothing',
  }),
);

function withCasl(who: Viewer): readonly boolean[] {
  const { can, build } = new AbilityBuilder<MongoAbility>(createMongoAbility);
  can('open', 'Item', {
    shown: true,
    audience: { $in: ['everybody', ...(who.groups ?? [])] },
    opens: { $lte: NOW },
    needs: { $in: ['nothing', ...(who.deeds?.done ?? [])] },
  });
  const ability = build();
  return SUBJECTS.map((item) => ability.can('open', item));
}

async function checkSame(): Promise<void> {
  const theirs = await withRulesEngine();
  LEARNERS.forEach((who, at) => {
    const casl = withCasl(who);
    const own = ours(course, plan, who);
    const ownCasl = ours(caslCourse, caslPlan, who);
    SAID.forEach(({ id }, index) => {
      const isOpen = own[index]?.[0] === 'open';
      if (isOpen !== theirs[at]?.has(id))
        throw new Error(`json-rules-engine differs on ${id}, learner ${at}`);
      if ((ownCasl[index]?.[0] === 'open') !== casl[index]) {
        throw new Error(`@casl/ability differs on ${id}, learner ${at}`);
      }
    });
  });
}

const MANY = Array.from({ length: 10_000 }, (_, at) => learner(at));

/** Made only when it is asked for: building the engines takes longer than measuring them. */
export async function accessComparisons(): Promise<readonly Comparison[]> {
  await checkSame();
  return [
    {
      name: 'access-vs-json-rules-engine',
      says: '500 items for 200 learners with reasons, against the same rules in json-rules-engine: times as fast',
      count: 20,
      one: () => LEARNERS.forEach((who) => void ours(course, plan, who)),
      other: async () => void (await withRulesEngine()),
      otherCount: 1,
    },
    {
      name: 'access-vs-casl',
      says: '500 items for 200 learners, against what @casl/ability can say of the same rules: times as fast',
      count: 20,
      one: () => LEARNERS.forEach((who) => void ours(caslCourse, caslPlan, who)),
      other: () => LEARNERS.forEach((who) => void withCasl(who)),
      otherCount: 2,
    },
    {
      name: 'access-10000-vs-10',
      says: 'the cost of one learner among 10,000 of a course, against one among 10: the share of its time',
      count: 10_000,
      one: (at) => void ours(course, plan, MANY[at % 10] as Viewer),
      other: (at) => void ours(course, plan, MANY[at % MANY.length] as Viewer),
    },
  ];
}
