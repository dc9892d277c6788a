/** What an entry of the menu is called in setup, whoever gets it and whoever does not. */
import { findNode, hostOf } from '@itinerary/core';
import type { MenuEntry } from '@itinerary/core';
import { useI18n } from 'vue-i18n';
import { ownWords } from '../../words/own-words.ts';
import { usePlan } from '../../stores/plan.ts';

export function useEntryWords(): (entry: MenuEntry) => string {
  const { t, locale } = useI18n();
  const plan = usePlan();
  return ({ leads, names }) => {
    const own = ownWords(names, locale.value);
    if (own !== null) return own;
    switch (leads.to) {
      case 'area':
        return t(`learner.areas.${leads.area}`);
      case 'item': {
        const node = plan.course === null ? undefined : findNode(plan.course, leads.item)?.node;
        return node?.title ?? t('setup.menu.gonePage');
      }
      case 'address':
        return hostOf(leads.address);
      case 'institution': {
        const page = plan.face.pages.find(({ id }) => id === leads.page);
        return page === undefined ? t('setup.menu.gonePage') : (ownWords(page.names, locale.value) ?? '');
      }
      case 'divider':
        return t('setup.menu.divider');
      case 'group':
        return leads.group === 'own' ? t('setup.menu.unnamed') : t(`learner.menu.groups.${leads.group}`);
    }
  };
}
