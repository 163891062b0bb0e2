import { expect, test } from '@jest/globals';
import type { Job } from '@azulejo/core/job/job';
import { planSurface } from '@azulejo/core/plan';
import { onSandAndCement } from '@azulejo/core/stories/floorJobs';
import { demoJob, demoPlan } from '../../testing/demoJob.ts';
import { fontRuns } from './pdfFonts.ts';
import { inflateSync } from 'node:zlib';
import { writeCutPaper } from './cutPaper.ts';
import { surfaceSource } from './exportKind.ts';
import { writeStickers } from './stickers.ts';
import { writeTemplates } from './templates.ts';

const job = demoJob('tidewater-bakehouse');
const whole = demoPlan('tidewater-bakehouse');

test('letters beyond western Europe change the font of themselves alone', () => {
  expect(fontRuns('Łazienka głów', 'bold')).toEqual([
    { text: 'Ł', font: 'textExt' },
    { text: 'azienka g', font: 'bold' },
    { text: 'ł', font: 'textExt' },
    { text: 'ów', font: 'bold' },
  ]);
  expect(fontRuns('Tile 🧱 – 30 €', 'text')).toEqual([{ text: 'Tile ? – 30 €', font: 'text' }]);
});

test.each(['shop-floor', 'splashback', 'washroom-floor', 'shower-wall-3', 'niche-sill'])(
  'the paper of %s has no empty page',
  async (id) => {
    const surface = job.surfaces.find((one) => one.id === id);
    if (!surface) throw new Error(id);
    const named = { ...surface, name: `Łaźnia, ściana ${surface.name}` };
    const pdf = await writeCutPaper({ ...sourceOf(id), surface: named });
    const text = pdf.toString('latin1');
    expect(text.startsWith('%PDF-')).toBe(true);
    // A page that holds no more than its number is a page too many.
    const lengths = [...text.matchAll(/\/Length (\d+)\s*\/Filter \/FlateDecode/g)].map(([, length]) => Number(length));
    const pages = [...text.matchAll(/\/Type \/Page\b/g)].length;
    expect(pages).toBeGreaterThanOrEqual(1);
    expect(lengths.filter((length) => length < 160)).toEqual([]);
  },
);

const sourceOf = (id: string) => {
  const surface = job.surfaces.find((one) => one.id === id);
  if (!surface) throw new Error(id);
  const planned = whole.surfaces.find(({ surfaceId }) => surfaceId === id) ?? planSurface(job, surface);
  return surfaceSource({ job, surface, planned });
};

/** The drawing commands of every page. */
const pagesOf = (pdf: Buffer): string[] =>
  [...pdf.toString('latin1').matchAll(/\/Length (\d+)\s*\/Filter \/FlateDecode\s*>>\s*stream\n/g)].flatMap((found) => {
    const start = found.index + found[0].length;
    const text = inflateSync(pdf.subarray(start, start + Number(found[1]))).toString('latin1');
    return / re\n|\bBT\b/.test(text) ? [text] : [];
  });

test('one piece has its template by itself, also one that a fence would set', async () => {
  const source = sourceOf('washroom-floor');
  const all = pagesOf(await writeTemplates(source)).length;
  expect(all).toBeGreaterThan(5);
  const one = source.planned.toCut.find(({ kind }) => kind === 'straight');
  expect(pagesOf(await writeTemplates({ ...source, label: one?.label ?? '' }))).toHaveLength(1);
});

test('a brick of 198 has its template across one page, where upright it would take two', async () => {
  const source = sourceOf('washroom-back');
  const bitten = source.planned.toCut.find(({ marks }) => marks.some(({ type }) => type === 'bite'));
  const pdf = await writeTemplates({ ...source, label: bitten?.label ?? '' });
  expect(pagesOf(pdf)).toHaveLength(1);
  expect(pdf.toString('latin1')).toMatch(/\/MediaBox \[0 0 841\.89 595\.28\]/);
});

test('a template is as large as the tile, and so is its bar of 100 mm', async () => {
  const source = sourceOf('counter');
  const [page] = pagesOf(await writeTemplates(source));
  const points = (mm: number): number => (mm * 72) / 25.4;
  // The tile is drawn dashed: its outline runs from `m` by `l` to the end of the path.
  const dashed = page.slice(page.indexOf('[4 3] 0 d'));
  const corners = [...dashed.slice(0, dashed.indexOf('\nS')).matchAll(/(-?[\d.]+) (-?[\d.]+) [ml]\b/g)].map(([, x, y]) => [
    Number(x),
    Number(y),
  ]);
  const size = (axis: number): number => Math.max(...corners.map((p) => p[axis])) - Math.min(...corners.map((p) => p[axis]));
  expect(corners.length).toBeGreaterThanOrEqual(4);
  const { tile } = source.planned.toCut[0];
  const wide = Math.max(...tile.map(([x]) => x)) - Math.min(...tile.map(([x]) => x));
  const high = Math.max(...tile.map(([, y]) => y)) - Math.min(...tile.map(([, y]) => y));
  expect(size(0)).toBeCloseTo(points(wide), 1);
  expect(size(1)).toBeCloseTo(points(high), 1);
  const tens = [...page.matchAll(/([\d.]+) ([\d.]+) ([\d.]+) 5 re/g)].map(([, x, , width]) => [Number(x), Number(width)]);
  expect(tens.length).toBe(10);
  expect(tens[9][0] + tens[9][1] - tens[0][0]).toBeCloseTo(points(100), 1);
});

test('there is a sticker for every cut piece, twenty-four on a page', async () => {
  const source = sourceOf('washroom-floor');
  const pages = pagesOf(await writeStickers(source));
  expect(pages.length).toBe(Math.ceil(source.planned.toCut.length / 24));
});

test('tiles with a way up are drawn with their arrows, each whole one once', async () => {
  /** Straight strokes on the first page of a surface. */
  const strokes = async (job: Job): Promise<number> => {
    const [surface] = job.surfaces;
    const [page] = pagesOf(await writeCutPaper(surfaceSource({ job, surface, planned: planSurface(job, surface) })));
    return [...page.matchAll(/ l$/gm)].length;
  };
  const arrowed = onSandAndCement();
  const plain = { ...arrowed, products: arrowed.products.map((product) => ({ ...product, backArrow: false })) };
  // An arrow is a shaft and the two sides of its head; 30 slabs lie whole.
  expect((await strokes(arrowed)) - (await strokes(plain))).toBe(3 * 30);
});
