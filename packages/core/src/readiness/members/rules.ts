/** The rules of who is on the course, in the order in which their findings are listed. */
import { classLeftOut } from './class-left-out.ts';
import { instructorAlone } from './instructor-alone.ts';
import { invitationsOpen } from './invitations-open.ts';
import { lettersWait } from './letters-wait.ts';
import { lineStuck } from './line-stuck.ts';
import { noLearners } from './no-learners.ts';
import { paysNothing } from './pays-nothing.ts';
import { registryAsks } from './registry-asks.ts';
import { registryAway } from './registry-away.ts';
import { registryEmpty } from './registry-empty.ts';
import { registryOverSeats } from './registry-over-seats.ts';
import { requestsOpen } from './requests-open.ts';
import { seatsShort } from './seats-short.ts';
import { ungrouped } from './ungrouped.ts';
import { wayNever } from './way-never.ts';
import { waysContradict } from './ways-contradict.ts';
import type { Rule } from '../rule.ts';

export const MEMBERS_RULES: readonly Rule[] = [
  noLearners,
  requestsOpen,
  invitationsOpen,
  seatsShort,
  wayNever,
  waysContradict,
  lineStuck,
  lettersWait,
  paysNothing,
  registryEmpty,
  registryOverSeats,
  registryAsks,
  registryAway,
  ungrouped,
  classLeftOut,
  instructorAlone,
];
