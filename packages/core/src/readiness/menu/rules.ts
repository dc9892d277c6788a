/** The rules of Menu & home, in the order in which their findings are listed. */
import { arriveLost } from './arrive-lost.ts';
import { menuAddress } from './menu-address.ts';
import { menuEmptyPage } from './menu-empty-page.ts';
import { menuLabelLong } from './menu-label-long.ts';
import { menuLong } from './menu-long.ts';
import { menuNoContact } from './menu-no-contact.ts';
import { menuNoStart } from './menu-no-start.ts';
import { menuToolFirst } from './menu-tool-first.ts';
import { menuTwice } from './menu-twice.ts';
import type { Rule } from '../rule.ts';

export const MENU_RULES: readonly Rule[] = [
  menuNoStart,
  menuNoContact,
  menuLong,
  menuToolFirst,
  menuTwice,
  menuEmptyPage,
  menuAddress,
  menuLabelLong,
  arriveLost,
];
