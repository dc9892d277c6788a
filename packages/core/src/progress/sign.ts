/** A sign of rules: two that differ have the same by a chance of one in 10¹⁹. */
import { hashed } from '../course/hashed.ts';

export function signOf(rules: unknown): string {
  const words = JSON.stringify(rules);
  return `${hashed(words).toString(36)}.${hashed(`again ${words}`).toString(36)}`;
}
