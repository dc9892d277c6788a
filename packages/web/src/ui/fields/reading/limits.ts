/** How much a field has room for, said while one types; nothing is cut. */
import { useI18n } from 'vue-i18n';

/** From this share of its room on, a field counts. */
const NEAR = 0.8;

/** As the sentence that says so; null: there is room, or no limit. */
export function useTooLong(): (text: string, most: number | undefined) => string | null {
  const { t, n } = useI18n();
  return (text, most) =>
    most === undefined || text.length <= most
      ? null
      : t('common.expected.shorter', { most: n(most), over: n(text.length - most) }, text.length - most);
}

export const isNear = (text: string, most: number | undefined): boolean =>
  most !== undefined && text.length > most * NEAR;
