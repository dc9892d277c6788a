/**
 * What learners have done, as statements of IEEE 9274.1.1 (xAPI), for other programs to read. Verbs are those of the
 * standard's own vocabulary where it has one; the others have an address of this installation.
 */
import { createHash } from 'node:crypto';
import { findNode } from '@itinerary/core';
import type { Course, DeedKind, ItemKind } from '@itinerary/core';
import { PersonRow } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';

const ADL = 'http://adlnet.gov/expapi';

type Verb = readonly [id: string, word: string];
/** By the kind of the deed; those without an address are this installation's. */
const VERBS: Readonly<Record<DeedKind['kind'], Verb>> = {
  opened: [`${ADL}/verbs/experienced`, 'experienced'],
  ticked: [`${ADL}/verbs/completed`, 'completed'],
  unticked: ['unticked', 'unticked'],
  handed_in: [`${ADL}/verbs/attempted`, 'attempted'],
  posted: [`${ADL}/verbs/commented`, 'commented'],
  replied: [`${ADL}/verbs/responded`, 'responded'],
  unposted: ['unposted', 'took away'],
  watched: [`${ADL}/verbs/progressed`, 'progressed'],
  scored: [`${ADL}/verbs/scored`, 'scored'],
  attended: [`${ADL}/verbs/attended`, 'attended'],
  absent: ['absent', 'was absent'],
  marked: [`${ADL}/verbs/completed`, 'completed'],
  unmarked: ['unmarked', 'was unmarked'],
  taken_back: ['taken-back', 'had taken back'],
  kept: [`${ADL}/verbs/completed`, 'completed'],
};

const TYPES: Readonly<Partial<Record<ItemKind, string>>> = {
  assignment: `${ADL}/activities/assessment`,
  quiz: `${ADL}/activities/assessment`,
  meeting: `${ADL}/activities/meeting`,
  link: `${ADL}/activities/link`,
  file: `${ADL}/activities/file`,
  video: `${ADL}/activities/media`,
};

interface LogRow {
  readonly id: string;
  readonly person: string;
  readonly item: string;
  readonly at: string;
  readonly deed: DeedKind;
  readonly by: string | null;
  readonly reason: string | null;
}

/** One statement a line would be shorter; the standard's file is one list. */
export async function statementsOf(em: EntityManager, course: Course, site: string): Promise<string> {
  const rows = await em.execute<LogRow[]>(
    `select id, person_id as person, item_id as item, at, deed, "by", reason from deed_log where course_id = ? order by id`,
    [course.id],
  );
  const ids = [...new Set(rows.flatMap(({ person, by }) => (by === null ? [person] : [person, by])))];
  const names = new Map((await em.find(PersonRow, { id: { $in: ids } })).map(({ id, name }) => [id, name]));
  const agent = (id: string): object => ({
    objectType: 'Agent',
    name: names.get(id) ?? '',
    account: { homePage: site, name: id },
  });
  const parent = {
    objectType: 'Activity',
    id: `${site}/courses/${course.id}`,
    definition: { name: { und: course.title }, type: `${ADL}/activities/course` },
  };
  return JSON.stringify(rows.map((row) => statement(course, row, { site, agent, parent })));
}

interface Around {
  readonly site: string;
  readonly agent: (id: string) => object;
  readonly parent: object;
}

function statement(course: Course, row: LogRow, { site, agent, parent }: Around): object {
  const node = findNode(course, row.item)?.node;
  const [verb, word] = VERBS[row.deed.kind];
  const type = node === undefined || node.kind === 'section' ? undefined : TYPES[node.kind];
  const result = resultOf(row);
  return {
    id: uuidOf(`${site}/courses/${course.id}/deeds/${row.id}`),
    actor: agent(row.person),
    verb: { id: verb.startsWith('http') ? verb : `${site}/verbs/${verb}`, display: { en: word } },
    object: {
      objectType: 'Activity',
      id: `${site}/courses/${course.id}/items/${row.item}`,
      definition: {
        ...(node?.title == null ? {} : { name: { und: node.title } }),
        type: type ?? `${ADL}/activities/module`,
      },
    },
    ...(result === null ? {} : { result }),
    context: {
      ...(row.by === null ? {} : { instructor: agent(row.by) }),
      contextActivities: { parent: [parent] },
    },
    timestamp: new Date(Number(row.at)).toISOString(),
    version: '2.0.0',
  };
}

/** What came of it: a share of one, or that it is done. */
function resultOf({ deed, reason }: LogRow): object | null {
  const said = reason === null ? {} : { response: reason };
  switch (deed.kind) {
    case 'scored':
      return deed.percent === null ? null : { score: { scaled: Math.min(1, deed.percent / 100) } };
    case 'watched':
      return {
        extensions: { 'https://w3id.org/xapi/cmi5/result/extensions/progress': Math.floor(deed.percent) },
      };
    case 'ticked':
    case 'kept':
      return { completion: true };
    case 'marked':
      return { completion: true, ...said };
    case 'unmarked':
    case 'taken_back':
      return { completion: false, ...said };
    default:
      return null;
  }
}

/** Of names that are addresses (RFC 4122, appendix C). */
const NAMESPACE = Buffer.from('6ba7b8119dad11d180b400c04fd430c8', 'hex');

/** The same for the same deed, in the form that the standard asks for: RFC 4122, version 5, of a name. */
function uuidOf(name: string): string {
  const bytes = createHash('sha1').update(NAMESPACE).update(name).digest().subarray(0, 16);
  bytes.writeUInt8((bytes.readUInt8(6) & 0x0f) | 0x50, 6);
  bytes.writeUInt8((bytes.readUInt8(8) & 0x3f) | 0x80, 8);
  const hex = bytes.toString('hex');
  return [hex.slice(0, 8), hex.slice(8, 12), hex.slice(12, 16), hex.slice(16, 20), hex.slice(20)].join('-');
}
