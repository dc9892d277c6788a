/** Course codes: unique in an institution, compared without regard to case. */
import { MAX_CODE } from './schema/basics.ts';

export function foldCode(code: string): string {
  return code.trim().toLowerCase();
}

/**
 * A free code made from one that is taken: EFM-210 → EFM-210-2, and EFM-210-2 → EFM-210-3.
 *
 * @param taken folded codes that exist already.
 */
export function proposeCode(wanted: string, taken: ReadonlySet<string>): string {
  const trimmed = wanted.trim();
  if (!taken.has(foldCode(trimmed))) return trimmed;
  const numbered = /^(.*)-(\d{1,3})$/.exec(trimmed);
  // A trailing number of three digits, as in EFM-210, is part of the code and not a copy's number.
  const isCopy = numbered !== null && (numbered[2] as string).length < 3;
  const stem = isCopy ? (numbered[1] as string) : trimmed;
  for (let copy = isCopy ? Number(numbered[2]) + 1 : 2; ; copy += 1) {
    const ending = `-${copy}`;
    const proposal = stem.slice(0, MAX_CODE - ending.length).replace(/[-._]+$/, '') + ending;
    if (!taken.has(foldCode(proposal))) return proposal;
  }
}
