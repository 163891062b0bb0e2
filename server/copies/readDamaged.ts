import type { Product } from '@azulejo/core/tile/product';
import type { Job, Surface } from '@azulejo/core/job/job';
import { startJob } from '@azulejo/core/job/startJob';
import type { SiteRecords } from '@azulejo/core/site/siteRecords';
import { METRIC_TAPE } from '@azulejo/core/units/tape';
import type { Database } from '../db/database.ts';
import { readQueries } from '../db/readQueries.ts';
import { JobRepository } from '../jobs/jobRepository.ts';
import { SiteRepository } from '../site/siteRepository.ts';
import { putBackPhotos } from '../site/photos.ts';

const SQL = readQueries(import.meta.url, [
  'readLoosely',
  'listIds',
  'readDoc',
  'listSurfaceIds',
  'readSurface',
  'listProductIds',
  'readProduct',
]);

/** A job and what is kept beside it. */
export interface ReadRows {
  readonly job: Job;
  readonly site: SiteRecords;
}

/** What of a job can be read from damaged data. */
export interface Readable {
  readonly id: string;
  /** All of it but surfaces and tiles, which it names in their order; null where that is lost. */
  readonly doc:
    (Omit<Job, 'surfaces' | 'products'> & { readonly surfaces: readonly string[]; readonly products: readonly string[] }) | null;
  readonly surfaces: readonly Surface[];
  readonly products: readonly Product[];
  readonly site: SiteRecords;
}

/** Every part of every job that can be read from damaged data: row by row, so that one that can't be read costs no other. */
export async function readDamaged(database: Database): Promise<Readable[]> {
  await attempt(() => database.run(SQL.readLoosely));
  const [jobs, surfaces, products] = await Promise.all([
    idsIn(database, SQL.listIds),
    idsIn(database, SQL.listSurfaceIds),
    idsIn(database, SQL.listProductIds),
  ]);
  const readable: Readable[] = [];
  for (const id of new Set([...jobs, ...surfaces].map(({ jobId }) => jobId)))
    readable.push({
      id,
      doc: (await docsOf<NonNullable<Readable['doc']>>(database, SQL.readDoc, [{ jobId: id, id }]))[0] ?? null,
      surfaces: await docsOf<Surface>(database, SQL.readSurface, surfaces, id),
      products: await docsOf<Product>(database, SQL.readProduct, products, id),
      site: await siteOf(database, id),
    });
  return readable.filter(({ doc, surfaces: left }) => doc !== null || left.length > 0);
}

/** A job from what could be read of it; what could not, from its copy. `lost` counts what is in neither. */
export function putTogether(
  readable: Readable,
  copy: (ReadRows & { readonly day: string }) | null,
): ReadRows & { day: string; lost: number } {
  const { id, doc, site } = readable;
  const known = doc ?? (copy ? withIds(copy.job) : null);
  const surfaces = inOrder(known?.surfaces ?? null, readable.surfaces, copy?.job.surfaces ?? []);
  const products = inOrder(known?.products ?? null, readable.products, copy?.job.products ?? []);
  const whole = known ?? startJob(id, 'Rescued job', METRIC_TAPE);
  return {
    job: { ...whole, surfaces: surfaces.found, products: products.found } as Job,
    site: { ticks: [...(copy?.site.ticks ?? []), ...site.ticks], entries: [...(copy?.site.entries ?? []), ...site.entries] },
    day: doc === null && copy ? copy.day : '',
    lost: surfaces.lost + products.lost,
  };
}

const withIds = (job: Job): NonNullable<Readable['doc']> => ({
  ...job,
  surfaces: job.surfaces.map(({ id }) => id),
  products: job.products.map(({ id }) => id),
});

/** What is there of a list, the newer before the older; in no known order as it was read. */
function inOrder<Item extends { readonly id: string }>(
  ids: readonly string[] | null,
  newer: readonly Item[],
  older: readonly Item[],
): { readonly found: Item[]; readonly lost: number } {
  const all = new Map([...older, ...newer].map((item) => [item.id, item]));
  const order = ids === null ? newer.map(({ id }) => id) : [...ids, ...newer.map(({ id }) => id).filter((id) => !ids.includes(id))];
  const found = order.flatMap((id) => all.get(id) ?? []);
  return { found, lost: order.length - found.length };
}

async function siteOf(database: Database, jobId: string): Promise<SiteRecords> {
  const site = new SiteRepository(database, new JobRepository(database));
  const entries = (await attempt(() => site.listEntries(jobId))) ?? [];
  return {
    ticks: (await attempt(() => site.listTicks(jobId))) ?? [],
    entries: await putBackPhotos(entries, (hash) => attempt(() => site.findPhoto(jobId, hash))),
  };
}

interface RowName {
  readonly jobId: string;
  readonly id: string;
}

const idsIn = async (database: Database, sql: string): Promise<readonly RowName[]> =>
  (await attempt(() => database.query<RowName>(sql))) ?? [];

async function docsOf<Doc>(database: Database, sql: string, rows: readonly RowName[], jobId?: string): Promise<Doc[]> {
  const docs: Doc[] = [];
  for (const row of rows.filter((one) => jobId === undefined || one.jobId === jobId)) {
    const found = await attempt(() => database.query<{ doc: Doc }>(sql, [row.jobId, row.id]));
    if (found?.[0]) docs.push(found[0].doc);
  }
  return docs;
}

const attempt = async <T>(work: () => Promise<T>): Promise<T | null> => work().catch(() => null);
