import { createPinia } from 'pinia';
import { createApp, watch } from 'vue';
import '@fontsource-variable/bricolage-grotesque/wght.css';
import '@fontsource-variable/atkinson-hyperlegible-next/wght.css';
import '@fontsource-variable/atkinson-hyperlegible-next/wght-italic.css';
import '@fontsource-variable/atkinson-hyperlegible-mono/wght.css';
import '@fontsource-variable/literata/wght.css';
import '@fontsource-variable/familjen-grotesk/wght.css';
import '@fontsource-variable/noto-sans-arabic/wght.css';
import 'vuetify/styles/core';
import './theme/styles/base.css';
import './theme/styles/rich-text.css';
import './theme/styles/vuetify-overrides.css';
import { readFirstAnswers } from './api/first-answers.ts';
import App from './app/App.vue';
import { i18n, loadMessages } from './words/i18n.ts';
import { router } from './app/router.ts';
import { vuetify } from './theme/vuetify.ts';

readFirstAnswers(document);
await loadMessages(['common']);
// Fields and menus that Vuetify draws speak the same language, and run the same way.
watch(i18n.global.locale, (locale) => (vuetify.locale.current.value = locale), { immediate: true });
const app = createApp(App).use(createPinia()).use(i18n).use(vuetify).use(router);
// The first page is known before anything is shown, so that nothing flashes by.
await router.isReady().catch(() => undefined); // That it did not come is said by the application itself.
app.mount('#app');
