import { test as base, type BrowserContext, type Page } from '@playwright/test';
import { walkTo } from './walkTo.ts';

interface Sitting {
  readonly of: string;
  readonly context: BrowserContext;
  page: Page;
}
let last: Sitting | null = null;

/** A page that goes from view to view as a link does, and loads what is elsewhere: what was worked out on the way stays at hand. */
async function sitDown(context: BrowserContext, opensAnew: boolean): Promise<Page> {
  const page = await context.newPage();
  if (opensAnew) return page;
  const load = page.goto.bind(page);
  page.goto = async (address, options) => {
    const [now, to] = [new URL(page.url()), new URL(address)];
    // The view one is on already is begun anew, as a person does who presses reload.
    if (now.origin !== to.origin || now.pathname === to.pathname || [now, to].some(({ pathname }) => pathname.startsWith('/api')))
      return load(address, options);
    await walkTo(page, to.pathname + to.search);
    return null;
  };
  return page;
}

/**
 * All tests of a file are one person at one page: each goes on from where the one before left it, or opens its page anew
 * where `opensAnew` says so; what the browser keeps is kept either way.
 */
export const test = base.extend<{ opensAnew: boolean }>({
  opensAnew: [false, { option: true }],
  context: async ({ browser, viewport, locale, colorScheme, hasTouch, opensAnew }, use, { file }) => {
    const of = JSON.stringify([file, viewport, locale, colorScheme, hasTouch]);
    if (last?.of !== of || last.context.browser() !== browser) {
      await last?.context.close().catch(() => undefined);
      const context = await browser.newContext();
      last = { of, context, page: await sitDown(context, opensAnew) };
    }
    await use(last.context);
    for (const page of last.context.pages()) if (page !== last.page) await page.close();
  },
  page: async ({ context, opensAnew }, use) => {
    if (last?.context !== context) throw new Error('there is nobody at the page');
    if (last.page.isClosed()) last.page = await sitDown(context, opensAnew);
    await use(last.page);
  },
});
export { expect, type Locator, type Page } from '@playwright/test';
