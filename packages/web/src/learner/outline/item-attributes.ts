/** What an item's line leads to: a page of ours, straight outside, or a button where there are no addresses. */
import { traitsOf } from '@itinerary/core/kinds';
import type { ItemView } from '@itinerary/core';

export function itemAttributes(
  item: ItemView,
  hrefFor: ((item: ItemView) => string) | undefined,
  open: () => void,
): Record<string, unknown> {
  if (hrefFor === undefined) return { type: 'button', onClick: open };
  // A link without an address gets a page that says so.
  if (traitsOf(item).address === 'out' && item.address !== null) {
    return { href: item.address, target: '_blank', rel: 'noopener noreferrer' };
  }
  return {
    href: hrefFor(item),
    onClick: (event: MouseEvent) => {
      if (event.ctrlKey || event.metaKey || event.shiftKey) return;
      event.preventDefault();
      open();
    },
  };
}
