/** What Tern Point College keeps in one place for all its courses. */
import type { InstitutionPage, Menu, MenuEntry } from '@itinerary/core';

export const INSTITUTION_PAGES: readonly InstitutionPage[] = [
  {
    id: 'site',
    use: 'site',
    names: {
      en: 'Tern Point College',
      es: 'Tern Point College',
      fr: 'Tern Point College',
      ar: 'كلية تيرن بوينت',
    },
    address: 'https://ternpoint.example/',
    beside: null,
  },
  {
    id: 'help',
    use: 'help',
    names: { en: 'Help for learners', es: 'Ayuda', fr: 'Aide', ar: 'المساعدة' },
    address: 'https://ternpoint.example/help',
    beside: null,
  },
  {
    id: 'help-discussions',
    use: 'help',
    names: {
      en: 'How discussions work',
      es: 'Cómo van los debates',
      fr: 'Mode d’emploi des discussions',
      ar: 'كيف تعمل المناقشات',
    },
    address: 'https://ternpoint.example/help/discussions',
    beside: 'discussions',
  },
  {
    id: 'library',
    use: 'library',
    names: { en: 'Library', es: 'Biblioteca', fr: 'Bibliothèque', ar: 'المكتبة' },
    address: 'https://ternpoint.example/library',
    beside: null,
  },
  {
    id: 'policies',
    use: 'policies',
    names: { en: 'Policies', es: 'Normas', fr: 'Règlements', ar: 'اللوائح' },
    address: 'https://ternpoint.example/policies',
    beside: null,
  },
];

const entry = (leads: MenuEntry['leads'], at: number): MenuEntry => ({
  leads,
  names: {},
  at,
  shown: true,
  staffOnly: false,
  removed: false,
});

const MENU: Menu = {
  home: entry({ to: 'area', area: 'home' }, 1),
  learn: entry({ to: 'group', group: 'learn' }, 2),
  sections: entry({ to: 'area', area: 'sections' }, 3),
  announcements: entry({ to: 'area', area: 'announcements' }, 4),
  take_part: entry({ to: 'group', group: 'take_part' }, 5),
  members: entry({ to: 'area', area: 'members' }, 6),
  get_help: entry({ to: 'group', group: 'get_help' }, 7),
  contact: entry({ to: 'area', area: 'contact' }, 8),
  help: entry({ to: 'institution', page: 'help' }, 9),
  library: entry({ to: 'institution', page: 'library' }, 10),
};

export const MENU_TEMPLATE = { id: 'college', name: 'Tern Point, all departments', menu: MENU };
