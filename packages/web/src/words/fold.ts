/** Words as they are looked for. */

/** Without accents and case: "ines" finds "Inês". */
export function fold(text: string): string {
  return text
    .normalize('NFD')
    .replaceAll(/\p{Diacritic}/gu, '')
    .toLowerCase();
}
