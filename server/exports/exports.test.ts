import { expect, test } from '@jest/globals';
import Papa from 'papaparse';
import { readJobFile } from '@azulejo/core/formats/jobFile';
import type { Job } from '@azulejo/core/job/job';
import { wordsIn } from '@azulejo/core/messages/words';
import { NO_RECORDS } from '@azulejo/core/site/siteRecords';
import { demoJob, demoPlan } from '../../testing/demoJob.ts';
import { writeExport } from '../work/writeExport.ts';
import { surfaceSource, type ExportKind } from './exportKind.ts';
import { EXPORTS } from './registry.ts';

/** Letters that no western font has, marks that join others, and what tables and paths trip over. */
const NAME = 'Łaźnia „Größe“, 浴室 ن / ../x; =1+1 "q"';

const renamed = (job: Job): Job => ({
  ...job,
  name: NAME,
  client: NAME,
  products: job.products.map((product) => ({ ...product, name: `${product.name.slice(0, 20)} ${NAME}` })),
  surfaces: job.surfaces.map((surface) => ({ ...surface, name: `${NAME} ${surface.id}`.slice(0, 80) })),
});
interface PlanJson {
  readonly money: { readonly total: number };
  readonly materials: readonly { readonly packs: readonly unknown[] }[];
  readonly surfaces: readonly { readonly id: string }[];
}

const kinds = Object.entries(EXPORTS) as [keyof typeof EXPORTS, ExportKind][];
const text = (content: string | Uint8Array): string => Buffer.from(content as Uint8Array).toString('utf8');

test.each(['sample-boards', 'ferry-kiosk'] as const)('every export of every surface of %s is whole, in any letters', async (name) => {
  const job = renamed(demoJob(name));
  // What a thing is called moves no piece.
  const planned = demoPlan(name);
  for (const [exportId, kind] of kinds)
    for (const surface of job.surfaces) {
      const own = planned.surfaces.find(({ surfaceId }) => surfaceId === surface.id);
      // A paper takes its time: of many boards a few are written.
      if (kind.of !== 'surface' || !own || (kind.extension === 'pdf' && job.surfaces.indexOf(surface) % 12 > 0)) continue;
      const content = await kind.write(surfaceSource({ job, surface, planned: own }));
      if (kind.extension === 'pdf') {
        const pdf = Buffer.from(content as Uint8Array).toString('latin1');
        expect([surface.id, pdf.startsWith('%PDF-'), pdf.trimEnd().endsWith('%%EOF')]).toEqual([surface.id, true, true]);
      } else {
        const { data, errors } = Papa.parse<Record<string, string>>(text(content), { header: true, skipEmptyLines: true });
        expect([exportId, surface.id, errors, data.length]).toEqual([exportId, surface.id, [], own.toCut.length]);
      }
    }
});

test('an export that is asked for by name is of the surface beside the others', async () => {
  const job = renamed(demoJob('ferry-kiosk'));
  const [surface] = job.surfaces;
  const [planned] = demoPlan('ferry-kiosk').surfaces;
  const { content } = await writeExport({ exportId: 'cuts', job, surfaceId: surface.id });
  expect(text(content)).toBe(EXPORTS.cuts.write(surfaceSource({ job, surface, planned })));
});

test.each(['tidewater-bakehouse', 'ferry-kiosk'] as const)('the order, the plan and the job file of %s say the same', async (name) => {
  const job = renamed(demoJob(name));
  const source = { job, plan: () => demoPlan(name), log: [], records: NO_RECORDS, words: wordsIn('en') };
  const load = async (exportId: 'plan' | 'order' | 'job'): Promise<string> => text(await EXPORTS[exportId].write(source));
  const json = JSON.parse(await load('plan')) as PlanJson;
  const order = Papa.parse<string[]>((await load('order')).trim());
  expect(order.errors).toEqual([]);
  const costs = order.data.slice(1).map((row) => Number(row[6]));
  expect(order.data.length - 1).toBe(json.materials.reduce((sum, { packs }) => sum + packs.length, 0));
  expect(costs.reduce((sum, cost) => sum + cost, 0)).toBeCloseTo(json.money.total, 2);
  // No cell is taken for a formula by whoever opens the table.
  expect(order.data.flat().filter((cell) => /^[=+@]/.test(cell))).toEqual([]);
  expect(json.surfaces.map(({ id }) => id)).toEqual(job.surfaces.map(({ id }) => id));
  expect(readJobFile(await load('job'))).toEqual({ ok: true, value: job });
});
