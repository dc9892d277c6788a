/** A component on a page of its own, with the sentences, the stores and the look that the application gives it. */
import { afterEach } from '@jest/globals';
import { mount } from '@vue/test-utils';
import type { VueWrapper } from '@vue/test-utils';
import { createPinia } from 'pinia';
import type { Pinia } from 'pinia';
import type { Component } from 'vue';
import { createI18n } from 'vue-i18n';
import { createMemoryHistory, createRouter } from 'vue-router';
import { createVuetify } from 'vuetify';
import { PLURALS } from '../../src/words/plurals.ts';
import { messages } from './messages.ts';

interface How {
  readonly props?: Record<string, unknown>;
  readonly slots?: Record<string, string>;
  readonly locale?: keyof typeof messages;
  readonly pinia?: Pinia;
}

export function mounted(
  component: Component,
  { props = {}, slots = {}, locale = 'en', pinia = createPinia() }: How = {},
): VueWrapper {
  const i18n = createI18n({ legacy: false, locale, fallbackLocale: 'en', pluralRules: PLURALS, messages });
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [{ path: '/:all(.*)*', component: { template: '' } }],
  });
  return mount(component as never, {
    props: props as never,
    slots,
    attachTo: document.body,
    global: { plugins: [pinia, i18n, router, createVuetify()] },
  }) as unknown as VueWrapper;
}

/** As `mounted`, for a file that shows many: each is taken away again after its test. */
export function showing(): typeof mounted {
  const open: VueWrapper[] = [];
  afterEach(() => open.splice(0).forEach((wrapper) => wrapper.unmount()));
  return (...what) => {
    const wrapper = mounted(...what);
    open.push(wrapper);
    return wrapper;
  };
}
