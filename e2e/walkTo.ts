import type { Page } from '@playwright/test';

/** The application as Vue hangs it on its place in the page. */
interface Mounted extends Element {
  readonly __vue_app__?: { readonly config: { readonly globalProperties: { readonly $router: { push(path: string): Promise<unknown> } } } };
}

/** Goes to another view without loading the page anew, as a link does: what was worked out stays. */
export const walkTo = (page: Page, path: string): Promise<void> =>
  page.evaluate(async (to) => {
    const router = document.querySelector<Mounted>('#app')?.__vue_app__?.config.globalProperties.$router;
    if (!router) throw new Error('the application is not there yet');
    await router.push(to);
  }, path);
