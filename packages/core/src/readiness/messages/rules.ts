/** The rules of Messages, in the order in which their findings are listed. */
import { announcementUndated } from './announcement-undated.ts';
import { contactGone } from './contact-gone.ts';
import type { Rule } from '../rule.ts';

export const MESSAGES_RULES: readonly Rule[] = [announcementUndated, contactGone];
