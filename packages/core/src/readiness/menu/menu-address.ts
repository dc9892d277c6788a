import type { MenuEntry } from '../../course/schema/menu-schema.ts';
import { setEntry } from '../../menu/edits.ts';
import { offeredEntries } from '../../menu/offered.ts';
import type { Rule } from '../rule.ts';
import { EVERY_PURPOSE } from '../rule.ts';

function addressOf({ leads }: MenuEntry): string | null {
  return leads.to === 'address' ? leads.address : null;
}

/** `https://library` is written like an address, and there is no such place outside somebody's own network. */
function isNoPlace(address: string): boolean {
  const host = /^https?:\/\/([^/?#:]*)/i.exec(address)?.[1];
  return host !== undefined && !/^([a-z0-9-]+\.)+[a-z0-9-]{2,}$/i.test(host) && !host.startsWith('[');
}

/** An outside address that is none, or that anybody on the way can read along. The cure for the latter is https. */
export const menuAddress: Rule = {
  id: 'menu_address',
  stop: 'menu',
  purposes: EVERY_PURPOSE,
  find: ({ course }) => {
    const entries = offeredEntries(course).flatMap(([id, entry]) => {
      const address = addressOf(entry);
      return address === null ? [] : [{ id, entry, address }];
    });
    const none = entries.filter(({ address }) => isNoPlace(address));
    if (none[0] !== undefined) {
      const { id, address } = none[0];
      const values = { count: none.length, address, variant: 'none' };
      return { severity: 'advice', field: `menu-${id}`, values };
    }
    const open = entries.filter(({ address }) => /^http:/i.test(address));
    if (open[0] === undefined) return null;
    return {
      severity: 'advice',
      field: `menu-${open[0].id}`,
      values: { count: open.length, address: open[0].address },
      cure: open.map(({ id, entry, address }) =>
        setEntry(course, id, {
          ...entry,
          leads: { to: 'address', address: address.replace(/^http:/i, 'https:') },
        }),
      ),
    };
  },
};
