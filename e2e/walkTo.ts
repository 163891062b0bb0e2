import type { Page } from '@playwright/test';

/** Goes to another view without loading the page anew, as a link does: what was worked out stays. */
export const walkTo = (page: Page, path: string): Promise<void> =>
  page.evaluate((to) => {
    history.pushState({}, '', to);
    dispatchEvent(new PopStateEvent('popstate', { state: {} }));
  }, path);
