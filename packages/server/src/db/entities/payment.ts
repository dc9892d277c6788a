/** Rows of payments. The migrations own the tables. */
import { defineEntity } from '@mikro-orm/core';
import type { InferEntity } from '@mikro-orm/core';

export type PaymentState = 'begun' | 'paid' | 'refused' | 'timed_out' | 'late' | 'taken_back';

export const PaymentRow = defineEntity({
  name: 'PaymentRow',
  tableName: 'payment',
  properties: (p) => ({
    /** Also what the desk knows it by: sent again, it is the same payment. */
    id: p.string().primary(),
    courseId: p.string(),
    personId: p.string(),
    /** In the smallest unit of the currency. */
    amount: p.integer(),
    currency: p.string(),
    /** `late`: paid when there was no seat any more, and paid back. */
    state: p.string().$type<PaymentState>().default('begun'),
    /** The desk's own id, and the page on which it is paid. */
    deskId: p.string().nullable(),
    page: p.string().nullable(),
    begunAt: p.string(),
    settledAt: p.string().nullable(),
    /** Its number: of what was paid, whatever came after. */
    receipt: p.integer().nullable(),
    /** Who of the staff gave the money back. */
    takenBy: p.string().nullable(),
    /** It counts for so many months; null: for good. */
    months: p.integer().nullable(),
    paidUntil: p.string().nullable(),
    /** The payment of the period before. */
    after: p.string().nullable(),
    /** Whoever paid wants no other period. */
    isStopped: p.boolean().default(false),
    /** They have been told what will be taken. */
    isTold: p.boolean().default(false),
  }),
});

export type PaymentRecord = InferEntity<typeof PaymentRow>;
