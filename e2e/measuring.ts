import { expect, type Page } from '@playwright/test';
import type { Job, Surface } from '@azulejo/core/job/job';
import type { RunningServer } from '@azulejo/server/running';

const JOB = '/jobs/tidewater-bakehouse';

/** Steps over the bakehouse that the tests of measuring share. */
export function measuring(server: RunningServer) {
  const start = async (page: Page, shape: string, kind = 'Floor'): Promise<void> => {
    await page.goto(`${server.address}${JOB}/new`);
    await page.getByText(kind, { exact: true }).click();
    await page.getByRole('radio', { name: shape, exact: true }).click();
  };
  const storedJob = async (page: Page): Promise<Job> => {
    await page.waitForTimeout(300);
    await saved(page);
    return (await (await page.request.get(`${server.address}/api${JOB}`)).json()).job;
  };
  return { start, storedJob };
}

export const saved = (page: Page) => expect(page.getByTestId('save-state')).toHaveText('Saved');
export const fill = async (page: Page, label: string | RegExp, text: string): Promise<void> => {
  const field = page.getByLabel(label, { exact: true }).first();
  await field.fill(text);
  await field.press('Enter');
};
export const part = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Parts of the measurement' }).getByRole('button', { name }).click();
export const choose = async (page: Page, field: string, option: string | RegExp): Promise<void> => {
  await page.getByRole('combobox', { name: field, exact: true }).first().click();
  await page.getByRole('option', { name: option, exact: true }).last().click();
};
export const toMeasure = (page: Page) => page.getByRole('navigation', { name: 'Steps' }).getByRole('link', { name: 'Measure' }).click();
export const surfaceNamed = (job: Job, name: string): Surface => {
  const found = job.surfaces.find((surface) => surface.name === name);
  if (!found) throw new Error(`no surface "${name}" in ${job.surfaces.map((surface) => surface.name).join(', ')}`);
  return found;
};
