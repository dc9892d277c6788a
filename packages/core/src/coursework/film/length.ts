/** A playing time as it is written: minutes and seconds, with hours where there are any. */
/** In seconds: a day, as the document has it. */
const LONGEST = 86_400;

export function writeLength(seconds: number | null): string {
  if (seconds === null) return '';
  const two = (value: number): string => String(value).padStart(2, '0');
  const [hours, minutes, rest] = [Math.floor(seconds / 3600), Math.floor(seconds / 60) % 60, seconds % 60];
  return hours > 0 ? `${hours}:${two(minutes)}:${two(rest)}` : `${minutes}:${two(rest)}`;
}

/** In seconds; null for nothing; undefined for what is not a playing time. */
export function readLength(text: string): number | null | undefined {
  const trimmed = text.trim();
  if (trimmed === '') return null;
  const match = /^(?:(\d{1,2}):)?(\d{1,3}):([0-5]\d)$/.exec(trimmed);
  if (match === null) return undefined;
  const seconds = Number(match[1] ?? 0) * 3600 + Number(match[2]) * 60 + Number(match[3]);
  return seconds <= LONGEST ? seconds : undefined;
}
