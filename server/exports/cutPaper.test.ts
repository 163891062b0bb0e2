import { expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { readJobFile } from '@azulejo/core/formats/jobFile';
import { planSurface } from '@azulejo/core/plan';
import { fontRuns } from './pdfFonts.ts';
import { writeCutPaper } from './cutPaper.ts';

const read = readJobFile(readFileSync(new URL('../../demo/tidewater-bakehouse.json', import.meta.url), 'utf8'));
if (!read.ok) throw new Error(JSON.stringify(read.issues));
const job = read.value;

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
    const pdf = await writeCutPaper({ job, surface: named, planned: planSurface(job, named) });
    const text = pdf.toString('latin1');
    expect(text.startsWith('%PDF-')).toBe(true);
    // A page that holds no more than its number is a page too many.
    const lengths = [...text.matchAll(/\/Length (\d+)\s*\/Filter \/FlateDecode/g)].map(([, length]) => Number(length));
    const pages = [...text.matchAll(/\/Type \/Page\b/g)].length;
    expect(pages).toBeGreaterThanOrEqual(1);
    expect(lengths.filter((length) => length < 160)).toEqual([]);
  },
);
