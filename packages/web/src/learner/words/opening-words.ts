/** What an opening waits for, as a sentence. The same words for learners and for whoever writes the rule. */
import { intlLocale } from '../../words/intl.ts';
import type { NamedItem, WaitView } from '@itinerary/core';
import { momentWords } from '../../words/moment-words.ts';

type Translate = (key: string, values?: Record<string, unknown>, count?: number) => string;

export interface OpeningReader {
  readonly t: Translate;
  readonly locale: string;
  readonly today: string;
}

/** "a, b and c", or with "or", as the language joins them. */
function joined(parts: readonly string[], kind: 'conjunction' | 'disjunction', locale: string): string {
  return new Intl.ListFormat(intlLocale(locale), { type: kind }).format(parts);
}

function nameOf(item: NamedItem | undefined, t: Translate): string {
  if (item == null) return t('learner.waits.something');
  return item.number === null ? `“${item.title}”` : `${item.number} ${item.title}`;
}

/** The part after "opens": "on Mon 18 Jan and after 2.1 Mud is done". */
export function waitWords(view: WaitView, reader: OpeningReader, isInner = false): string {
  const { t, locale, today } = reader;
  switch (view.kind) {
    case 'from':
      return t('learner.waits.from', { when: momentWords(view.moment, locale, today) });
    case 'done': {
      const items = joined(
        view.items.map((item) => nameOf(item, t)),
        'conjunction',
        locale,
      );
      const done = t('learner.waits.done', { items }, view.items.length);
      return view.days === 0 ? done : t('learner.waits.daysLater', { done, days: view.days }, view.days);
    }
    case 'scored':
      return t('learner.waits.scored', { item: nameOf(view.item, t), least: view.least });
    case 'course':
      return t('learner.waits.course', { title: view.title });
    case 'all':
    case 'any': {
      const kind = view.kind === 'all' ? 'conjunction' : 'disjunction';
      const words = joined(
        view.of.map((part) => waitWords(part, reader, true)),
        kind,
        locale,
      );
      return isInner && view.of.length > 1 ? `(${words})` : words;
    }
  }
}

/** "Opens on Mon 18 Jan and after 2.1 Mud is done." */
export function openingSentence(view: WaitView, reader: OpeningReader): string {
  return reader.t('learner.waits.opens', { what: waitWords(view, reader) });
}
