/** What a screen's set-up would get of something that can be called nowhere else, without a screen. */
import type { Pinia } from 'pinia';
import { createSSRApp } from 'vue';
import { renderToString } from 'vue/server-renderer';
import { createI18n } from 'vue-i18n';
import { PLURALS } from '../../src/words/plurals.ts';
import { SETUP_ACTS } from '../../src/setup/frame/acts.ts';
import type { SetupActs } from '../../src/setup/frame/acts.ts';
import { messages } from './messages.ts';

interface Around {
  readonly pinia: Pinia;
  readonly locale?: keyof typeof messages;
  readonly acts?: Partial<SetupActs>;
}

export async function inSetup<T>(
  use: () => T,
  { pinia, locale = 'en', acts = {} }: Around,
): Promise<{ readonly used: T }> {
  const found: { used?: T } = {};
  const app = createSSRApp({
    setup: () => {
      found.used = use();
      return () => null;
    },
  });
  const i18n = createI18n({ legacy: false, locale, fallbackLocale: 'en', pluralRules: PLURALS, messages });
  app
    .use(pinia)
    .use(i18n)
    .provide(SETUP_ACTS, acts as SetupActs);
  await renderToString(app);
  return found as { used: T };
}
