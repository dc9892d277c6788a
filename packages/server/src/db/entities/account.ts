/** Rows of letters, and of the keys by which accounts are made and passwords set anew. The migrations own the tables. */
import type { LetterFacts, LetterKind } from '../../mail/letters.ts';
import { defineEntity } from '@mikro-orm/core';
import type { InferEntity } from '@mikro-orm/core';
import type { Language } from './joining.ts';

export const LetterRow = defineEntity({
  name: 'LetterRow',
  tableName: 'letter',
  properties: (p) => ({
    /** Also what the letter is known by to whoever carries it. */
    id: p.string().primary(),
    kind: p.string().$type<LetterKind>(),
    address: p.string(),
    lang: p.string().$type<Language>(),
    /** What is filled in; once it is sent, without what opens anything. */
    facts: p.json<LetterFacts>(),
    courseId: p.string().nullable(),
    /** The invitation that it carries, or whoever asks. */
    about: p.string().nullable(),
    madeAt: p.string(),
    state: p.string().$type<'queued' | 'sent' | 'bounced'>().default('queued'),
    sentAt: p.string().nullable(),
    why: p.text().nullable(),
  }),
});

export const AccountKeyRow = defineEntity({
  name: 'AccountKeyRow',
  tableName: 'account_key',
  properties: (p) => ({
    hash: p.string().primary(),
    kind: p.string().$type<'confirm' | 'reset'>(),
    address: p.string(),
    personId: p.string().nullable(),
    name: p.string(),
    lang: p.string().$type<Language>(),
    /** The page from which somebody came, where they go on. */
    onward: p.string().nullable(),
    madeAt: p.string(),
    lapsesAt: p.string(),
    usedAt: p.string().nullable(),
  }),
});

export type LetterRecord = InferEntity<typeof LetterRow>;
export type AccountKeyRecord = InferEntity<typeof AccountKeyRow>;

/** Whether somebody's calendar is at an address, and the how manieth that is. */
export const CalendarFeedRow = defineEntity({
  name: 'CalendarFeedRow',
  tableName: 'calendar_feed',
  properties: (p) => ({
    personId: p.string().primary(),
    number: p.integer(),
    isOn: p.boolean(),
  }),
});
