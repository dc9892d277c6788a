/**
 * Who may join, as data: what stands, what is different from it, and the answer. Moments are whole hours of one day, so
 * that a line can be read: 10 is now.
 */
import type {
  HeldSeat,
  JoinAnswer,
  JoinCourse,
  Joiner,
  JoinWay,
  Seated,
  Waiting,
  WayKind,
} from '../../src/people/index.ts';

export const NOW = 10;

/** What stands where a line says nothing: a live course that anybody finds, and somebody signed in with its link. */
export const COURSE: JoinCourse = {
  state: 'live',
  goesLive: null,
  finding: 'anyone',
  seats: null,
  hasLine: false,
  learners: [],
  held: [],
  waiting: [],
};
export const JOINER: Joiner = {
  person: 'me',
  kind: 'learner',
  addresses: ['me@ternpoint.example'],
  completed: [],
  standing: 'never',
  hasLink: true,
  invitation: null,
};
export const WAY: JoinWay = {
  kind: 'link',
  isOn: true,
  window: { opens: null, closes: null },
  seats: null,
  hasLine: false,
  kinds: null,
  domains: null,
  after: null,
  gives: 'learner',
  asksQuestion: false,
};

interface Situation {
  readonly name: string;
  readonly course?: Partial<JoinCourse>;
  readonly joiner?: Partial<Joiner>;
  readonly way?: Partial<JoinWay>;
  readonly at?: number;
  /** As `told` writes an answer. */
  readonly answer: string;
}

export function told(answer: JoinAnswer): string {
  const until = 'until' in answer && answer.until !== null ? ` until ${answer.until}` : '';
  if (answer.can === 'yes') return [`yes${until}`, ...answer.steps].join(' ');
  if (answer.can === 'wait')
    return `wait ${answer.place} for ${answer.line}${answer.isIn ? ', already' : ''}`;
  return [`no: ${answer.because}${until}`, ...answer.missing].join(' ');
}

const seated = (many: number, way: WayKind = 'link'): Seated[] =>
  Array.from({ length: many }, (_, at) => ({ person: `${way}${at}`, way }));
const hold = (kind: HeldSeat['kind'], lapses: number, person = 'other', way: WayKind = 'link'): HeldSeat => ({
  kind,
  lapses,
  person,
  way,
});
const waits = (person: string, line: Waiting['line'] = 'course', way: WayKind = 'link'): Waiting => ({
  person,
  way,
  line,
});

const KNOWING: readonly Situation[] = [
  { name: 'anybody finds it', answer: 'yes' },
  {
    name: 'anybody, without being signed in',
    joiner: { person: null, kind: null, addresses: [] },
    answer: 'yes',
  },
  {
    name: 'found by whoever is here',
    course: { finding: 'here' },
    joiner: { hasLink: false },
    way: { kind: 'request' },
    answer: 'yes',
  },
  {
    name: 'found by whoever is here, by nobody signed in',
    course: { finding: 'here' },
    joiner: { person: null, hasLink: false },
    way: { kind: 'request' },
    answer: 'no: absent',
  },
  {
    name: 'found by members, by somebody else',
    course: { finding: 'members' },
    joiner: { hasLink: false },
    answer: 'no: absent',
  },
  { name: 'found by members, with the link', course: { finding: 'members' }, answer: 'yes' },
  {
    name: 'found by members, with the link, not signed in',
    course: { finding: 'members' },
    joiner: { person: null },
    answer: 'yes',
  },
  {
    name: 'found by members, invited',
    course: { finding: 'members' },
    joiner: { hasLink: false, invitation: { lapses: null } },
    way: { kind: 'invitation' },
    answer: 'yes',
  },
  {
    name: 'found by members, invited until 12',
    course: { finding: 'members' },
    joiner: { hasLink: false, invitation: { lapses: 12 } },
    way: { kind: 'invitation' },
    answer: 'yes until 12',
  },
  {
    name: 'found by members, with an invitation that lapses now',
    course: { finding: 'members' },
    joiner: { hasLink: false, invitation: { lapses: 10 } },
    way: { kind: 'invitation' },
    answer: 'no: absent',
  },
  {
    name: 'found by members, by one who left',
    course: { finding: 'members' },
    joiner: { hasLink: false, standing: 'left' },
    way: { kind: 'request' },
    answer: 'yes',
  },
  {
    name: 'found by members, by one who was removed',
    course: { finding: 'members' },
    joiner: { hasLink: false, standing: 'removed' },
    way: { kind: 'request' },
    answer: 'no: not_for staff',
  },
  {
    name: 'found by members, by one who waits',
    course: { finding: 'members', seats: 1, hasLine: true, learners: seated(1), waiting: [waits('me')] },
    joiner: { hasLink: false },
    way: { kind: 'request' },
    answer: 'wait 1 for course, already',
  },
  {
    name: 'found by members, by one for whom a seat is kept',
    course: { finding: 'members', seats: 1, held: [hold('offer', 12, 'me', 'request')] },
    joiner: { hasLink: false },
    way: { kind: 'request' },
    answer: 'yes until 12',
  },
  {
    name: 'found by members, by one whose seat has lapsed',
    course: { finding: 'members', held: [hold('offer', 10, 'me', 'request')] },
    joiner: { hasLink: false },
    way: { kind: 'request' },
    answer: 'no: absent',
  },
  {
    name: 'absent is said before archived',
    course: { finding: 'members', state: 'archived' },
    joiner: { hasLink: false },
    answer: 'no: absent',
  },
];

const STATE: readonly Situation[] = [
  { name: 'archived', course: { state: 'archived' }, answer: 'no: archived' },
  {
    name: 'archived, by one who is in',
    course: { state: 'archived' },
    joiner: { standing: 'in' },
    answer: 'no: archived',
  },
  { name: 'a draft', course: { state: 'draft' }, answer: 'no: draft' },
  {
    name: 'a draft that goes live at 12',
    course: { state: 'draft', goesLive: 12 },
    answer: 'no: draft until 12',
  },
  { name: 'a draft that goes live now', course: { state: 'draft', goesLive: 10 }, answer: 'yes' },
  { name: 'a draft that went live at 9', course: { state: 'draft', goesLive: 9 }, answer: 'yes' },
  {
    name: 'a draft, by one who is in',
    course: { state: 'draft' },
    joiner: { standing: 'in' },
    answer: 'no: draft',
  },
  {
    name: 'a draft, by a way that is off',
    course: { state: 'draft' },
    way: { isOn: false },
    answer: 'no: draft',
  },
  { name: 'in already', joiner: { standing: 'in' }, answer: 'no: in' },
  {
    name: 'in already, by a way that is off',
    joiner: { standing: 'in' },
    way: { isOn: false },
    answer: 'no: in',
  },
  {
    name: 'in already, where it is full',
    course: { seats: 1, learners: seated(1) },
    joiner: { standing: 'in' },
    answer: 'no: in',
  },
  { name: 'left before', joiner: { standing: 'left' }, answer: 'yes' },
  { name: 'removed before', joiner: { standing: 'removed' }, answer: 'no: not_for staff' },
  {
    name: 'removed before, invited',
    joiner: { standing: 'removed', invitation: { lapses: null } },
    way: { kind: 'invitation' },
    answer: 'yes',
  },
  {
    name: 'never in a course for its members alone, on the registry’s list',
    course: { finding: 'members' },
    way: { kind: 'registry' },
    answer: 'yes',
  },
  {
    name: 'removed before, on the registry’s list',
    joiner: { standing: 'removed' },
    way: { kind: 'registry' },
    answer: 'yes',
  },
  {
    name: 'removed before, by paying',
    joiner: { standing: 'removed' },
    way: { kind: 'paying' },
    answer: 'no: not_for staff',
  },
];

const WAYS_OFF: readonly Situation[] = (['registry', 'link', 'invitation', 'request', 'paying'] as const).map(
  (kind) => ({ name: `${kind} is off`, way: { kind, isOn: false }, answer: 'no: off' }),
);

const FOR: readonly Situation[] = [
  { name: 'for learners, by one', way: { kinds: ['learner'] }, answer: 'yes' },
  { name: 'for teachers, by a learner', way: { kinds: ['teacher'] }, answer: 'no: not_for kind' },
  { name: 'for two kinds', way: { kinds: ['teacher', 'learner'] }, answer: 'yes' },
  {
    name: 'for learners, by nobody signed in',
    joiner: { person: null, kind: null },
    way: { kinds: ['learner'] },
    answer: 'no: not_for kind',
  },
  { name: 'for nobody', way: { kinds: [] }, answer: 'no: not_for kind' },
  { name: 'for a domain', way: { domains: ['ternpoint.example'] }, answer: 'yes' },
  { name: 'for a domain in another case', way: { domains: ['TernPoint.Example'] }, answer: 'yes' },
  {
    name: 'for a domain, by an address in another case',
    joiner: { addresses: ['Me@TERNPOINT.example'] },
    way: { domains: ['ternpoint.example'] },
    answer: 'yes',
  },
  {
    name: 'for a domain, by one that only ends so',
    joiner: { addresses: ['me@notternpoint.example'] },
    way: { domains: ['ternpoint.example'] },
    answer: 'no: not_for domain',
  },
  {
    name: 'for a domain, by one below it',
    joiner: { addresses: ['me@mail.ternpoint.example'] },
    way: { domains: ['ternpoint.example'] },
    answer: 'no: not_for domain',
  },
  {
    name: 'for a domain, by the second of two addresses',
    joiner: { addresses: ['me@x.example', 'me@ternpoint.example'] },
    way: { domains: ['ternpoint.example'] },
    answer: 'yes',
  },
  {
    name: 'for a domain, by an address that is not confirmed',
    joiner: { addresses: [] },
    way: { domains: ['ternpoint.example'] },
    answer: 'no: not_for domain',
  },
  {
    name: 'for a domain, with an address in which it stands before the @',
    joiner: { addresses: ['"a@ternpoint.example"@x.example'] },
    way: { domains: ['ternpoint.example'] },
    answer: 'no: not_for domain',
  },
  { name: 'after another course', joiner: { completed: ['MUD'] }, way: { after: 'MUD' }, answer: 'yes' },
  { name: 'after another course, not completed', way: { after: 'MUD' }, answer: 'no: not_for completed' },
  {
    name: 'everything is missing',
    joiner: { hasLink: false, addresses: [], standing: 'removed' },
    way: { kinds: ['teacher'], domains: ['x.example'], after: 'MUD' },
    answer: 'no: not_for staff kind domain completed link',
  },
  { name: 'without its link', joiner: { hasLink: false }, answer: 'no: not_for link' },
  {
    name: 'without its link, by another way',
    joiner: { hasLink: false },
    way: { kind: 'request' },
    answer: 'yes',
  },
  { name: 'not invited', way: { kind: 'invitation' }, answer: 'no: not_for invitation' },
  {
    name: 'invited, though it is for others',
    joiner: { invitation: { lapses: null } },
    way: { kind: 'invitation', kinds: ['teacher'], domains: ['x.example'], after: 'MUD' },
    answer: 'yes',
  },
  {
    name: 'invited, by another way, which is for others',
    joiner: { invitation: { lapses: null } },
    way: { kinds: ['teacher'] },
    answer: 'no: not_for kind',
  },
  {
    name: 'an invitation that lapses in an hour',
    joiner: { invitation: { lapses: 11 } },
    way: { kind: 'invitation' },
    answer: 'yes until 11',
  },
  {
    name: 'an invitation that lapses now',
    joiner: { invitation: { lapses: 10 } },
    way: { kind: 'invitation' },
    answer: 'no: not_for invitation',
  },
  {
    name: 'on the registry’s list, whoever it is for',
    way: { kind: 'registry', kinds: ['teacher'] },
    answer: 'yes',
  },
  { name: 'off is said before for whom', way: { isOn: false, kinds: ['teacher'] }, answer: 'no: off' },
  {
    name: 'for whom is said before when',
    way: { kinds: ['teacher'], window: { opens: 12, closes: null } },
    answer: 'no: not_for kind',
  },
];

const WINDOW: readonly Situation[] = [
  { name: 'opens at 12', way: { window: { opens: 12, closes: null } }, answer: 'no: not_yet until 12' },
  { name: 'opens now', way: { window: { opens: 10, closes: null } }, answer: 'yes' },
  { name: 'opened at 9', way: { window: { opens: 9, closes: null } }, answer: 'yes' },
  {
    name: 'opens at a moment without a date',
    way: { window: { opens: 'undated', closes: null } },
    answer: 'no: not_yet',
  },
  {
    name: 'opens without a date, and is over',
    way: { window: { opens: 'undated', closes: 9 } },
    answer: 'no: over',
  },
  {
    name: 'opens without a date, and closes at 12',
    way: { window: { opens: 'undated', closes: 12 } },
    answer: 'no: not_yet',
  },
  { name: 'closes at 12', way: { window: { opens: null, closes: 12 } }, answer: 'yes until 12' },
  { name: 'closes now', way: { window: { opens: null, closes: 10 } }, answer: 'no: over' },
  { name: 'closed at 9', way: { window: { opens: null, closes: 9 } }, answer: 'no: over' },
  { name: 'from 9 to 12', way: { window: { opens: 9, closes: 12 } }, answer: 'yes until 12' },
  { name: 'from 11 to 12', way: { window: { opens: 11, closes: 12 } }, answer: 'no: not_yet until 11' },
  { name: 'closes before it opens', way: { window: { opens: 14, closes: 12 } }, answer: 'no: over' },
  { name: 'closes as it opens', way: { window: { opens: 12, closes: 12 } }, answer: 'no: over' },
  {
    name: 'closes at 12, asked a moment before',
    way: { window: { opens: null, closes: 12 } },
    at: 11.999,
    answer: 'yes until 12',
  },
  {
    name: 'opens at 12, asked a moment before',
    way: { window: { opens: 12, closes: null } },
    at: 11.999,
    answer: 'no: not_yet until 12',
  },
  {
    name: 'the window of an invitation',
    joiner: { invitation: { lapses: 14 } },
    way: { kind: 'invitation', window: { opens: null, closes: 12 } },
    answer: 'yes until 12',
  },
  {
    name: 'an invitation lapses before its window closes',
    joiner: { invitation: { lapses: 11 } },
    way: { kind: 'invitation', window: { opens: null, closes: 12 } },
    answer: 'yes until 11',
  },
  {
    name: 'an invitation whose window has closed',
    joiner: { invitation: { lapses: 14 } },
    way: { kind: 'invitation', window: { opens: null, closes: 9 } },
    answer: 'no: over',
  },
  {
    name: 'when is said before seats',
    course: { seats: 0 },
    way: { window: { opens: 12, closes: null } },
    answer: 'no: not_yet until 12',
  },
];

const SEATS: readonly Situation[] = [
  { name: 'a seat is left', course: { seats: 2, learners: seated(1) }, answer: 'yes' },
  { name: 'full', course: { seats: 1, learners: seated(1) }, answer: 'no: full' },
  { name: 'no seats at all', course: { seats: 0 }, answer: 'no: full' },
  { name: 'fewer seats than members', course: { seats: 1, learners: seated(3) }, answer: 'no: full' },
  {
    name: 'full, with a line',
    course: { seats: 1, hasLine: true, learners: seated(1) },
    answer: 'wait 1 for course',
  },
  {
    name: 'full, two wait',
    course: { seats: 1, hasLine: true, learners: seated(1), waiting: [waits('a'), waits('b')] },
    answer: 'wait 3 for course',
  },
  {
    name: 'full, waits already',
    course: { seats: 1, hasLine: true, learners: seated(1), waiting: [waits('a'), waits('me'), waits('b')] },
    answer: 'wait 2 for course, already',
  },
  {
    name: 'full, one waits by another way',
    course: { seats: 1, hasLine: true, learners: seated(1), waiting: [waits('a', 'course', 'request')] },
    answer: 'wait 2 for course',
  },
  {
    name: 'full, one waits for a seat of a way',
    course: { seats: 1, hasLine: true, learners: seated(1), waiting: [waits('a', 'way')] },
    answer: 'wait 1 for course',
  },
  {
    name: 'the way is full',
    course: { seats: 9, learners: seated(1) },
    way: { seats: 1 },
    answer: 'no: full',
  },
  {
    name: 'another way is full',
    course: { learners: seated(1, 'request') },
    way: { seats: 1 },
    answer: 'yes',
  },
  {
    name: 'the way is full, with a line',
    course: { learners: seated(1) },
    way: { seats: 1, hasLine: true },
    answer: 'wait 1 for way',
  },
  {
    name: 'the way is full, the line of another is no line',
    course: { learners: seated(1), waiting: [waits('a', 'way', 'request')] },
    way: { seats: 1, hasLine: true },
    answer: 'wait 1 for way',
  },
  {
    name: 'the way is full without a line, the course has one',
    course: { seats: 1, hasLine: true, learners: seated(1) },
    way: { seats: 1 },
    answer: 'no: full',
  },
  {
    name: 'both are full, both have a line: the way’s',
    course: { seats: 1, hasLine: true, learners: seated(1) },
    way: { seats: 1, hasLine: true },
    answer: 'wait 1 for way',
  },
  {
    name: 'the course is full, the way has room and a line',
    course: { seats: 1, learners: seated(1, 'request') },
    way: { seats: 5, hasLine: true },
    answer: 'no: full',
  },
  { name: 'a seat under payment', course: { seats: 1, held: [hold('payment', 12)] }, answer: 'no: full' },
  { name: 'a payment that has lapsed', course: { seats: 1, held: [hold('payment', 10)] }, answer: 'yes' },
  { name: 'an offer to somebody else', course: { seats: 1, held: [hold('offer', 12)] }, answer: 'no: full' },
  {
    name: 'an invitation that keeps a seat',
    course: { seats: 1, held: [hold('invitation', 12)] },
    answer: 'no: full',
  },
  {
    name: 'two things hold one seat for one person',
    course: { seats: 2, held: [hold('invitation', 12), hold('payment', 12)] },
    answer: 'yes',
  },
  {
    name: 'somebody in, for whom something is still kept',
    course: { seats: 2, learners: seated(1), held: [hold('payment', 12, 'link0')] },
    answer: 'yes',
  },
  {
    name: 'a seat of another way is one of the course',
    course: { seats: 1, held: [hold('payment', 12, 'other', 'paying')] },
    answer: 'no: full',
  },
  {
    name: 'one’s own payment is no obstacle',
    course: { seats: 1, held: [hold('payment', 12, 'me')] },
    answer: 'yes',
  },
  {
    name: 'offered to oneself',
    course: { seats: 1, held: [hold('offer', 12, 'me')] },
    answer: 'yes until 12',
  },
  {
    name: 'offered to oneself, lapsing now',
    course: { seats: 1, learners: seated(1), held: [hold('offer', 10, 'me')] },
    answer: 'no: full',
  },
  {
    name: 'offered, and the window has closed',
    course: { seats: 1, held: [hold('offer', 12, 'me')] },
    way: { window: { opens: null, closes: 9 } },
    answer: 'yes until 12',
  },
  {
    name: 'offered, and the window has yet to open',
    course: { seats: 1, held: [hold('offer', 12, 'me')] },
    way: { window: { opens: 11, closes: null } },
    answer: 'no: not_yet until 11',
  },
  {
    name: 'offered, and the way was switched off',
    course: { held: [hold('offer', 12, 'me')] },
    way: { isOn: false },
    answer: 'no: off',
  },
  {
    name: 'offered, and it is for others now',
    course: { held: [hold('offer', 12, 'me')] },
    way: { kinds: ['teacher'] },
    answer: 'no: not_for kind',
  },
  {
    name: 'offered by another way',
    course: { seats: 1, held: [hold('offer', 12, 'me', 'request')] },
    way: { window: { opens: null, closes: 9 } },
    answer: 'no: over',
  },
  {
    name: 'a way for assistants needs no seat',
    course: { seats: 0 },
    way: { gives: 'assistant' },
    answer: 'yes',
  },
  {
    name: 'a way for instructors needs no seat of its own',
    way: { gives: 'instructor', seats: 0 },
    answer: 'yes',
  },
  {
    name: 'nobody signed in, full, with a line',
    course: { seats: 1, hasLine: true, learners: seated(1), waiting: [waits('a')] },
    joiner: { person: null },
    answer: 'wait 2 for course',
  },
  {
    name: 'on the registry’s list, full without a line',
    course: { seats: 1, learners: seated(1) },
    way: { kind: 'registry' },
    answer: 'wait 1 for course',
  },
  {
    name: 'on the registry’s list, its seats full without a line',
    course: { learners: seated(1, 'registry') },
    way: { kind: 'registry', seats: 1 },
    answer: 'wait 1 for way',
  },
  {
    name: 'invited, and full',
    course: { seats: 1, learners: seated(1) },
    joiner: { invitation: { lapses: null } },
    way: { kind: 'invitation' },
    answer: 'no: full',
  },
  {
    name: 'invited with a seat kept',
    course: { seats: 1, held: [hold('invitation', 12, 'me', 'invitation')] },
    joiner: { invitation: { lapses: 12 } },
    way: { kind: 'invitation' },
    answer: 'yes until 12',
  },
];

const STEPS: readonly Situation[] = [
  {
    name: 'on request, with a question',
    way: { kind: 'request', asksQuestion: true },
    answer: 'yes question',
  },
  { name: 'by paying', way: { kind: 'paying' }, answer: 'yes payment' },
  {
    name: 'by paying, with a question',
    way: { kind: 'paying', asksQuestion: true },
    answer: 'yes question payment',
  },
  {
    name: 'by paying until 12',
    way: { kind: 'paying', window: { opens: null, closes: 12 } },
    answer: 'yes until 12 payment',
  },
  { name: 'by paying, full', course: { seats: 0 }, way: { kind: 'paying' }, answer: 'no: full' },
];

const STAFF: readonly Situation[] = [
  { name: 'added by staff', way: { kind: 'staff' }, answer: 'yes' },
  {
    name: 'added by staff to what nobody finds',
    course: { finding: 'members' },
    joiner: { hasLink: false },
    way: { kind: 'staff' },
    answer: 'yes',
  },
  { name: 'added by staff to a draft', course: { state: 'draft' }, way: { kind: 'staff' }, answer: 'yes' },
  {
    name: 'added by staff beyond the seats',
    course: { seats: 1, learners: seated(1) },
    way: { kind: 'staff' },
    answer: 'yes',
  },
  {
    name: 'added by staff outside the window',
    way: { kind: 'staff', window: { opens: 12, closes: null } },
    answer: 'yes',
  },
  { name: 'added by staff, of another kind', way: { kind: 'staff', kinds: ['teacher'] }, answer: 'yes' },
  {
    name: 'added by staff, once removed',
    joiner: { standing: 'removed' },
    way: { kind: 'staff' },
    answer: 'yes',
  },
  {
    name: 'added by staff, in already',
    joiner: { standing: 'in' },
    way: { kind: 'staff' },
    answer: 'no: in',
  },
  {
    name: 'added by staff to an archived course',
    course: { state: 'archived' },
    way: { kind: 'staff' },
    answer: 'no: archived',
  },
];

export const SITUATIONS: readonly Situation[] = [
  ...KNOWING,
  ...STATE,
  ...WAYS_OFF,
  ...FOR,
  ...WINDOW,
  ...SEATS,
  ...STEPS,
  ...STAFF,
];
