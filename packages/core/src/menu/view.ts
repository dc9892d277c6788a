/** The menu for the learner's own pages: what is seen of it, group by group. */
import type { Viewer } from '../access/roles.ts';
import type { CoursePlan } from '../calendar/course-plan.ts';
import { ownPlan } from '../access/resolve.ts';
import type { Course } from '../course/schema/schema.ts';
import { findNode } from '../course/tree.ts';
import type { Words } from '../course/schema/words-schema.ts';
import type { InstitutionPage } from './institution.ts';
import { resolveMenu } from './resolve.ts';
import type { FaceFacts, MenuAnswer } from './resolve.ts';
import type { MenuGroupView, MenuItemView, MenuView } from '../views/menu-view.ts';

/** @param hint a plan of this course; taken where it is this person's. */
export function menuView(
  course: Course,
  viewer: Viewer,
  moment: string,
  facts: FaceFacts,
  hint: CoursePlan | null = null,
): MenuView {
  const plan = ownPlan(course, viewer, Date.parse(moment), hint);
  const groups: (Omit<MenuGroupView, 'entries'> & { entries: MenuItemView[] })[] = [
    { id: null, group: null, names: {}, entries: [] },
  ];
  for (const answer of resolveMenu(course, viewer, moment, facts, plan)) {
    const { id, entry, unseen } = answer;
    if (unseen !== null) continue;
    if (entry.leads.to === 'group')
      groups.push({ id, group: entry.leads.group, names: entry.names, entries: [] });
    else groups.at(-1)?.entries.push(itemView(answer, plan.course, facts));
  }
  return { groups: groups.filter(({ entries }) => entries.length > 0), ...ofInstitution(facts.pages) };
}

function ofInstitution(pages: readonly InstitutionPage[]): Pick<MenuView, 'site' | 'help'> {
  const bare = ({ names, address }: InstitutionPage): { names: Words; address: string } => ({
    names,
    address,
  });
  const site = pages.find(({ use }) => use === 'site');
  const help = pages
    .filter(({ use }) => use === 'help')
    .map((page) => [page.beside ?? '', bare(page)] as const);
  return { site: site === undefined ? null : bare(site), help: Object.fromEntries(help) };
}

const NOTHING = { area: null, item: null, address: null, title: null } as const;

function itemView({ id, entry }: MenuAnswer, course: Course, { pages }: FaceFacts): MenuItemView {
  const { leads, names, staffOnly } = entry;
  const shared = { ...NOTHING, id, names, staffOnly };
  switch (leads.to) {
    case 'area':
      return { ...shared, to: 'area', area: leads.area };
    case 'item':
      return {
        ...shared,
        to: 'item',
        item: leads.item,
        title: findNode(course, leads.item)?.node.title ?? null,
      };
    case 'address':
      return { ...shared, to: 'address', address: leads.address, title: hostOf(leads.address) };
    case 'institution': {
      const page = pages.find((one) => one.id === leads.page);
      const own = Object.keys(names).length > 0 ? names : (page?.names ?? {});
      return { ...shared, to: 'institution', address: page?.address ?? null, names: own };
    }
    case 'divider':
    case 'group':
      return { ...shared, to: 'divider' };
  }
}

/** `ternpoint.example` of `https://ternpoint.example/library`; of a mail address, the address. */
export function hostOf(address: string): string {
  return /^https?:\/\/(?:www\.)?([^/?#:]+)/i.exec(address)?.[1] ?? address.replace(/^[a-z]+:/i, '');
}
