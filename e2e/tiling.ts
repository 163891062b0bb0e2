import { expect, type Page } from '@playwright/test';
import type { Job, Surface } from '@azulejo/core/job/job';
import type { RunningServer } from '@azulejo/server/running';
import { saved } from './measuring.ts';

export const JOB = '/jobs/tidewater-bakehouse';
export const SAMPLES = '/jobs/sample-boards';

/** Steps that the tests of tiles and patterns share. */
export function tiling(server: RunningServer) {
  const open = async (page: Page, surface: string, step = 'tile', job = JOB): Promise<void> => {
    await page.goto(`${server.address}${job}/surfaces/${surface}/${step}`);
    await expect(page.getByText(/^(tiles|sheets) (opened|if alone)$/)).toBeVisible();
  };
  const storedJob = async (page: Page, at = JOB): Promise<Job> => {
    await page.waitForTimeout(250);
    await saved(page);
    return ((await (await page.request.get(`${server.address}/api${at}`)).json()) as { job: Job }).job;
  };
  const stored = async (page: Page, id: string, at = JOB): Promise<Surface> => {
    const found = (await storedJob(page, at)).surfaces.find((surface) => surface.id === id);
    if (!found) throw new Error(`no surface ${id}`);
    return found;
  };
  return { open, stored, storedJob };
}

export const part = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Parts of tile and pattern' }).getByRole('button', { name, exact: true }).click();
/** A list that stands open is chosen from within this, ms. */
const OPEN_MS = 5_000;

export const choose = async (page: Page, field: string, option: string): Promise<void> => {
  const list = page.getByRole('combobox', { name: field, exact: true }).first();
  // A list closes when the page under it moves, which it does while tiles come: whoever sees that opens it again.
  await expect(async () => {
    if ((await list.getAttribute('aria-expanded')) !== 'true') await list.click();
    // The list of tiles scrolls to the chosen one when it opens; the search leaves the one that is wanted.
    if (field === 'Tile') await page.getByPlaceholder('Search name or material').fill(option, { timeout: OPEN_MS });
    await page.getByRole('option', { name: option }).first().click({ timeout: OPEN_MS });
  }).toPass();
};
