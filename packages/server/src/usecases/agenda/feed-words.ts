/** What stands in a calendar, in the language of whoever it is for. */
import type { AgendaEntry, Language } from '@itinerary/core';

export interface FeedWords {
  readonly name: string;
  readonly summary: (entry: AgendaEntry, code: string) => string;
}

interface Parts {
  readonly name: string;
  readonly due: string;
  readonly opens: string;
  readonly pause: string;
  readonly done: string;
  readonly section: string;
  /** Between what it is and what it is called. */
  readonly colon: string;
}

const PARTS: Readonly<Record<Language, Parts>> = {
  en: {
    name: 'Itinerary',
    due: 'Due',
    opens: 'Opens',
    pause: 'No teaching',
    done: 'done',
    section: 'Section',
    colon: ': ',
  },
  es: {
    ...{ name: 'Itinerary', due: 'Entrega', opens: 'Se abre', pause: 'Sin clases' },
    ...{ done: 'hecho', section: 'Sección', colon: ': ' },
  },
  fr: {
    ...{ name: 'Itinerary', due: 'À rendre', opens: 'Ouvre', pause: 'Pas de cours' },
    ...{ done: 'fait', section: 'Section', colon: ' : ' },
  },
  ar: {
    ...{ name: 'Itinerary', due: 'تسليم', opens: 'يُفتح', pause: 'لا دراسة' },
    ...{ done: 'أُنجز', section: 'قسم', colon: ': ' },
  },
};

export function feedWords(language: Language): FeedWords {
  const words = PARTS[language];
  return {
    name: words.name,
    summary: ({ what, title, number, isDone }, code) => {
      const called = title ?? `${words.section} ${number ?? ''}`.trim();
      const said = what === 'held' ? called : `${words[what]}${words.colon}${called}`;
      return `${said} (${code})${isDone ? ` · ${words.done}` : ''}`;
    },
  };
}
