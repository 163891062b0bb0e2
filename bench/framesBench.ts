import { chromium, type Page } from '@playwright/test';
import { writeJobFile } from '@azulejo/core/formats/jobFile';
import { floorOf } from './planBench.ts';
import { RunningServer } from '@azulejo/server/running';

/** How the board of one floor follows the hand in Chromium. */
export interface FramesRow {
  readonly pieces: number;
  readonly hand: 'panning' | 'dragging tiles';
  /** Frames the page came to a second, and how often the board was painted. */
  readonly framesPerSecond: number;
  readonly paintsPerSecond: number;
  /** The longest a frame was held up, ms. */
  readonly longestMs: number;
}

const SECONDS = 3;

/** Moves a hand over floors of so many pieces, in the application as it ships. */
export async function benchFrames(sizes: readonly number[]): Promise<FramesRow[]> {
  const server = new RunningServer();
  await server.start();
  const { address } = server;
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
  const rows: FramesRow[] = [];
  for (const pieces of sizes) {
    const job = { ...floorOf(pieces), id: `floor-${pieces}` };
    await fetch(`${address}/api/jobs/import`, {
      method: 'POST',
      headers: { 'content-type': 'application/octet-stream' },
      body: writeJobFile(job),
    });
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.addInitScript(countPaints);
    await page.goto(`${address}/jobs/${job.id}/surfaces/s/setout`);
    await page.getByText('whole', { exact: true }).waitFor({ timeout: 120_000 });
    for (const hand of ['panning', 'dragging tiles'] as const) rows.push({ pieces, hand, ...(await follow(page, hand)) });
    await page.close();
  }
  await browser.close();
  await server.remove();
  return rows;
}

/** Runs in the page: counts how often a canvas is cleared to be painted. */
function countPaints(): void {
  const seen = window as unknown as { paints: number };
  seen.paints = 0;
  const prototype = CanvasRenderingContext2D.prototype;
  const clear = prototype.clearRect;
  prototype.clearRect = function (...area) {
    seen.paints++;
    clear.apply(this, area);
  };
}

async function follow(page: Page, hand: FramesRow['hand']): Promise<Pick<FramesRow, 'framesPerSecond' | 'paintsPerSecond' | 'longestMs'>> {
  const box = await page.getByTestId('board').boundingBox();
  if (!box) throw new Error('the board has no size');
  const [x, y] = [box.x + box.width * 0.45, box.y + box.height * 0.45];
  const button = hand === 'panning' ? 'middle' : 'left';
  await page.mouse.move(x, y);
  await page.mouse.down({ button });
  const counted = page.evaluate(async (forMs) => {
    const seen = window as unknown as { paints: number };
    const [start, paints] = [performance.now(), seen.paints];
    let [frames, last, longest] = [0, start, 0];
    await new Promise<void>((done) => {
      const tick = (): void => {
        const now = performance.now();
        longest = Math.max(longest, now - last);
        [last, frames] = [now, frames + 1];
        if (now - start < forMs) requestAnimationFrame(tick);
        else done();
      };
      requestAnimationFrame(tick);
    });
    const seconds = (performance.now() - start) / 1000;
    return { framesPerSecond: frames / seconds, paintsPerSecond: (seen.paints - paints) / seconds, longestMs: longest };
  }, SECONDS * 1000);
  const end = performance.now() + SECONDS * 1000;
  for (let k = 0; performance.now() < end; k++) await page.mouse.move(x + 60 * Math.sin(k / 9), y + 40 * Math.cos(k / 7));
  const figures = await counted;
  await page.mouse.up({ button });
  return figures;
}
