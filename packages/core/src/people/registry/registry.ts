/** What a registry says of the classes that a course follows, and how it came to stand in the course. */
import type { ListRole, Named } from '../lists/list-row.ts';

export interface RegistryPerson extends Omit<Named, 'name'> {
  /** The registry's own key of them. */
  readonly registry: string;
  readonly role: ListRole;
  /** Ids of the course's classes that stand for those of the registry they are in. */
  readonly classes: readonly string[];
}

/** What of somebody staff and the registry may say differently. `standing`: whether they are in at all. */
export const FOLLOWED_FIELDS = ['standing', 'id', 'name', 'address', 'userName', 'role', 'classes'] as const;
export type FollowedField = (typeof FOLLOWED_FIELDS)[number];

/** Somebody of the registry who was taken into the course, or waits for a seat. */
export interface Linked {
  /** Of the member or place. */
  readonly key: string;
  /** What was said of them at the reading that was followed last. */
  readonly said: RegistryPerson;
  /** The registry had them then. */
  readonly isThere: boolean;
  /** Where it has said something else since staff decided by hand, and nobody has settled it. */
  readonly kept: readonly FollowedField[];
  /** Somebody has said that they stay out, although the registry has them. */
  readonly staysOut: boolean;
}
