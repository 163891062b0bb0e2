import '@fontsource/barlow/latin-400.css';
import '@fontsource/barlow/latin-600.css';
import '@fontsource/barlow/latin-ext-400.css';
import '@fontsource/barlow/latin-ext-600.css';
import '@fontsource/barlow-condensed/latin-500.css';
import '@fontsource/barlow-condensed/latin-600.css';
import './theme/base.css';
import { createPinia } from 'pinia';
import PrimeVue from 'primevue/config';
import ToastService from 'primevue/toastservice';
import { createApp } from 'vue';
import App from './App.vue';
import { keepForOffline } from './shell/keepForOffline.ts';
import { router } from './router.ts';
import { preset } from './theme/preset.ts';

const nonce = document.querySelector<HTMLMetaElement>('meta[name="csp-nonce"]')?.content ?? '';

/** A dialog stands at once: while it fades in it would take the focus a second time, from whatever is being typed. */
const parts = { dialog: { transition: { css: false } } };

createApp(App)
  .use(createPinia())
  .use(router)
  .use(PrimeVue, { csp: { nonce }, theme: { preset, options: { darkModeSelector: '.dark' } }, pt: parts })
  .use(ToastService)
  .mount('#app');
keepForOffline();
