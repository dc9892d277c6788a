import type { Area, MenuEntry } from '../../course/schema/menu-schema.ts';
import { reordered, setEntry } from '../../menu/edits.ts';
import { offeredEntries } from '../../menu/offered.ts';
import { menuEntries } from '../../menu/resolve.ts';
import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

/** Used now and then, and not what anybody has come for. */
const TOOLS: ReadonlySet<Area> = new Set(['discussions', 'meetings', 'files', 'guide', 'members', 'contact']);

function isTool({ leads }: MenuEntry): boolean {
  if (leads.to === 'area') return TOOLS.has(leads.area);
  return leads.to === 'address' || leads.to === 'institution';
}

function isContent({ leads }: MenuEntry): boolean {
  return leads.to === 'item' || (leads.to === 'area' && leads.area === 'sections');
}

/** A tool above the content. The cure puts the content before it. */
export const menuToolFirst: Rule = {
  id: 'menu_tool_first',
  stop: 'menu',
  purposes: WITH_PEOPLE,
  find: ({ course }) => {
    const offered = offeredEntries(course);
    const tool = offered.findIndex(([, entry]) => isTool(entry));
    const content = offered.findIndex(([, entry]) => isContent(entry));
    if (tool < 0 || content < 0 || content < tool) return null;
    const [[toolId], [id]] = [offered[tool] as [string, MenuEntry], offered[content] as [string, MenuEntry]];
    const all = menuEntries(course);
    const places = reordered(
      all,
      id,
      all.findIndex(([one]) => one === toolId),
    );
    return {
      severity: 'advice',
      field: `menu-${toolId}`,
      values: { entry: toolId, content: id },
      cure: [...places].map(([one, at]) => setEntry(course, one, { ...(course.menu[one] as MenuEntry), at })),
    };
  },
};
