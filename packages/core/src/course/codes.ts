/** Course codes: unique in an institution, compared without regard to case. */
import { MAX_CODE } from './schema/basics.ts';

export function foldCode(code: string): string {
  return code.trim().toLowerCase();
}

/** The code itself, and then those that a copy of its course would have: EFM-210 → EFM-210-2, and EFM-210-2 → EFM-210-3; without end. */
export function* codesLike(wanted: string): Generator<string, never> {
  const trimmed = wanted.trim();
  yield trimmed;
  const numbered = /^(.*)-(\d{1,3})$/.exec(trimmed);
  // A trailing number of three digits, as in EFM-210, is part of the code and not a copy's number.
  const isCopy = numbered !== null && (numbered[2] as string).length < 3;
  const stem = isCopy ? (numbered[1] as string) : trimmed;
  for (let copy = isCopy ? Number(numbered[2]) + 1 : 2; ; copy += 1) {
    const ending = `-${copy}`;
    yield stem.slice(0, MAX_CODE - ending.length).replace(/[-._]+$/, '') + ending;
  }
}
