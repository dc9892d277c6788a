/** What staff of the institution keep for all courses. */
import { z } from 'zod';
import { pathId } from '../shape/route.ts';
import {
  holidaysSchema,
  institutionPageBodySchema,
  institutionPagesSchema,
  menuTemplatesSchema,
  nameOrderSchema,
  newMenuTemplateSchema,
  readHolidaysSchema,
} from './schemas.ts';
import type { Route } from '../shape/route.ts';

export const INSTITUTION_ROUTES = {
  readHolidays: {
    method: 'post',
    path: '/api/holidays',
    access: 'institution',
    summary: 'Read holidays from an iCalendar file (RFC 5545); those with the same UID are replaced',
    body: readHolidaysSchema,
    status: 200,
    answer: holidaysSchema,
  },
  removeHoliday: {
    method: 'delete',
    path: '/api/holidays/{holiday}',
    access: 'institution',
    summary: 'Take a holiday off the institution’s list',
    params: z.object({ holiday: pathId }),
    status: 200,
    answer: holidaysSchema,
  },
  setNameOrder: {
    method: 'put',
    path: '/api/institution/names',
    access: 'institution',
    summary: 'Say in which order names stand where people are looked up',
    body: nameOrderSchema,
    status: 200,
    answer: nameOrderSchema,
  },
  setInstitutionPage: {
    method: 'put',
    path: '/api/institution/pages/{page}',
    access: 'institution',
    summary: 'Add or change a page of the institution that menus can lead to',
    params: z.object({ page: pathId }),
    body: institutionPageBodySchema,
    status: 200,
    answer: institutionPagesSchema,
  },
  removeInstitutionPage: {
    method: 'delete',
    path: '/api/institution/pages/{page}',
    access: 'institution',
    summary: 'Take a page of the institution off the list',
    params: z.object({ page: pathId }),
    status: 200,
    answer: institutionPagesSchema,
  },
  menuTemplates: {
    method: 'get',
    path: '/api/menus',
    access: 'planner',
    summary: 'The menus that the institution proposes',
    status: 200,
    answer: menuTemplatesSchema,
  },
  keepMenuTemplate: {
    method: 'put',
    path: '/api/menus/{template}',
    access: 'institution',
    summary: 'Propose a menu to all courses',
    params: z.object({ template: pathId }),
    body: newMenuTemplateSchema,
    status: 200,
    answer: menuTemplatesSchema,
  },
  removeMenuTemplate: {
    method: 'delete',
    path: '/api/menus/{template}',
    access: 'institution',
    summary: 'Take a proposed menu away; the courses that took it over keep theirs',
    params: z.object({ template: pathId }),
    status: 200,
    answer: menuTemplatesSchema,
  },
} as const satisfies Readonly<Record<string, Route>>;
