/** Whether a passphrase for visitors can be guessed by whoever knows of the course. */

/** Shorter ones are tried out in an afternoon. */
const LEAST = 8;

/** What people write first, as one word without spaces. */
const COMMON = [
  'password',
  'passphrase',
  'welcome',
  'letmein',
  'qwerty',
  'visitor',
  'guest',
  'course',
  'learn',
];

const fold = (text: string): string => text.toLowerCase().replaceAll(/[^\p{Letter}\p{Number}]/gu, '');

/** @param names what everybody knows of the course: its code, its title. */
export function isEasyPassphrase(passphrase: string, names: readonly string[]): boolean {
  const said = fold(passphrase);
  if (said.length < LEAST || new Set(said).size < 5) return true;
  const known = [...COMMON, ...names.map(fold)].filter((name) => name.length >= 3);
  // What is left of it without the words that everybody knows has to hold by itself.
  const left = known.reduce((rest, name) => rest.replaceAll(name, ''), said);
  return left.replaceAll(/\d/g, '').length < 4 || isRun(said);
}

/** Neighbours in the alphabet or among the digits, all the way. */
function isRun(text: string): boolean {
  const steps = [...text].slice(1).map((char, at) => char.codePointAt(0)! - text.codePointAt(at)!);
  return steps.every((step) => step === 1) || steps.every((step) => step === -1);
}
