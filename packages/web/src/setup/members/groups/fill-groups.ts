/** Groups made, and people put into groups, as one act: where the second is refused the first is taken back. */
import { nextPlace, setTableEntry } from '@itinerary/core';
import type { EditMembers } from '@itinerary/contract';
import { newId } from '../../../stores/new-id.ts';
import { useMembers } from '../../../stores/members.ts';
import { usePlan } from '../../../stores/plan.ts';

type Edits = Extract<EditMembers, { act: 'groups' }>['groups'];

/**
 * @param names of the groups that are made, in their order
 * @param grouping that they are of; null: none
 * @param edits who goes where, given the ids of those that were made
 * @param attempt @returns whether the server took it
 */
export async function fillGroups(
  names: readonly string[],
  grouping: string | null,
  edits: (ids: readonly string[]) => Edits,
  attempt: (work: () => Promise<void>) => Promise<boolean>,
): Promise<boolean> {
  const plan = usePlan();
  const members = useMembers();
  const ids = names.map(() => newId());
  const from = nextPlace(plan.course!.groups);
  const of = grouping === null ? {} : { grouping };
  if (ids.length > 0) {
    plan.change(
      ids.map((id, at) =>
        setTableEntry(plan.course!, 'groups', id, { name: names[at]!, kind: 'group', at: from + at, ...of }),
      ),
    );
  }
  if (await attempt(() => members.edit({ act: 'groups', groups: edits(ids) }))) return true;
  // Nobody is in them: tried again, there would be twice as many.
  if (ids.length > 0) plan.change(ids.map((id) => setTableEntry(plan.course!, 'groups', id, null)));
  return false;
}
