/** What staff of the institution keep for all courses. */
import type { INSTITUTION_ROUTES } from '@itinerary/contract';
import { readHolidays, removeHoliday } from '../../usecases/institution/holidays.ts';
import { setNameOrder } from '../../usecases/institution/name-order.ts';
import { removeInstitutionPage, setInstitutionPage } from '../../usecases/institution/institution-pages.ts';
import {
  keepMenuTemplate,
  menuTemplates,
  removeMenuTemplate,
} from '../../usecases/institution/menu-templates.ts';
import type { HandlersOf } from '../call.ts';

export const INSTITUTION: HandlersOf<typeof INSTITUTION_ROUTES> = {
  readHolidays: ({ em, who, body, now }) => readHolidays(em, who.person.institutionId, body.calendar, now),
  removeHoliday: ({ em, who, params }) => removeHoliday(em, who.person.institutionId, params.holiday),
  setNameOrder: ({ em, who, body }) => setNameOrder(em, who.person.institutionId, body.nameOrder),
  setInstitutionPage: ({ em, who, params, body }) =>
    setInstitutionPage(em, who.person.institutionId, { ...body, id: params.page }),
  removeInstitutionPage: ({ em, who, params }) =>
    removeInstitutionPage(em, who.person.institutionId, params.page),
  menuTemplates: ({ em, who }) => menuTemplates(em, who.person.institutionId),
  keepMenuTemplate: ({ em, who, params, body }) =>
    keepMenuTemplate(em, who.person.institutionId, params.template, body),
  removeMenuTemplate: ({ em, who, params }) =>
    removeMenuTemplate(em, who.person.institutionId, params.template),
};
