import { AxeBuilder } from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

/**
 * What is on screen can be read and used by everyone, and nothing of it lies beyond the side. Of a view that was looked at
 * whole in other colours, its contrast is enough. The pages frame no others.
 */
export async function expectWithinReach(page: Page, looked: 'whole' | 'contrast' = 'whole'): Promise<void> {
  // Only what is wrong is told, by its source: to name all that is right takes as long as to look at it.
  const axe = new AxeBuilder({ page }).setLegacyMode(true).options({ resultTypes: ['violations'], selectors: false });
  const { violations } = await (
    looked === 'whole' ? axe.withTags(['wcag2a', 'wcag2aa', 'wcag21aa']) : axe.withRules('color-contrast')
  ).analyze();
  expect(violations.map(({ id, nodes }) => `${id}: ${nodes.map((node) => node.html.slice(0, 120)).join(' | ')}`)).toEqual([]);
  expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(0);
}

const DESK = { colorScheme: 'light', viewport: { width: 1280, height: 800 } } as const;
const PHONE = { colorScheme: 'dark', viewport: { width: 390, height: 844 } } as const;

/** What a view says while it works something out. */
const AT_WORK = /^(Opening|Setting out|Working|Counting|Looking|Sharing)/;

/** Looks at what is on screen in light on a desk, then in dark on a phone, and goes back to the desk. */
export async function expectWithinReachOfBoth(page: Page): Promise<void> {
  for (const { colorScheme, viewport } of [DESK, PHONE]) {
    await page.setViewportSize(viewport);
    await page.emulateMedia({ colorScheme });
    await expect(page.locator('html')).toHaveClass(colorScheme === 'dark' ? /dark/ : /^(?!.*dark)/);
    await expect(page.getByRole('status').filter({ hasText: AT_WORK })).toHaveCount(0, { timeout: 60_000 });
    // Colours change over a moment, and are looked at when they stand.
    await page.waitForFunction(() => document.getAnimations().every((one) => !(one instanceof CSSTransition)));
    await expectWithinReach(page, colorScheme === 'light' ? 'whole' : 'contrast');
  }
  await page.setViewportSize(DESK.viewport);
  await page.emulateMedia({ colorScheme: DESK.colorScheme });
}
