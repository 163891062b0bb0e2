import { AxeBuilder } from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

/**
 * What is on screen can be read and used by everyone, and nothing of it lies beyond the side. Of a view that was looked at
 * whole in other colours, its contrast is enough. The pages frame no others.
 */
export async function expectWithinReach(page: Page, looked: 'whole' | 'contrast' = 'whole'): Promise<void> {
  const axe = new AxeBuilder({ page }).setLegacyMode(true);
  const { violations } = await (
    looked === 'whole' ? axe.withTags(['wcag2a', 'wcag2aa', 'wcag21aa']) : axe.withRules('color-contrast')
  ).analyze();
  expect(violations.map(({ id, nodes }) => `${id}: ${nodes.map((node) => node.html.slice(0, 120)).join(' | ')}`)).toEqual([]);
  expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(0);
}
