/** Rows of what an institution has for all of its courses. The migrations own the tables. */
import type { NameOrder } from '@itinerary/core/people';
import { defineEntity } from '@mikro-orm/core';
import type { InferEntity } from '@mikro-orm/core';

export const InstitutionRow = defineEntity({
  name: 'InstitutionRow',
  tableName: 'institution',
  properties: (p) => ({
    id: p.string().primary(),
    name: p.string(),
    zone: p.string(),
    /** In megabytes: what no course may go beyond. */
    largestUpload: p.integer(),
    nameOrder: p.string().$type<NameOrder>(),
  }),
});

export const DepartmentRow = defineEntity({
  name: 'DepartmentRow',
  tableName: 'department',
  properties: (p) => ({ institutionId: p.string().primary(), code: p.string().primary(), name: p.string() }),
});

export const TermRow = defineEntity({
  name: 'TermRow',
  tableName: 'term',
  properties: (p) => ({
    institutionId: p.string().primary(),
    code: p.string().primary(),
    name: p.string(),
    firstDay: p.string(),
    lastDay: p.string(),
  }),
});

export const HolidayRow = defineEntity({
  name: 'HolidayRow',
  tableName: 'holiday',
  properties: (p) => ({
    institutionId: p.string().primary(),
    id: p.string().primary(),
    name: p.string(),
    firstDay: p.string(),
    lastDay: p.string(),
  }),
});

export type HolidayRecord = InferEntity<typeof HolidayRow>;
