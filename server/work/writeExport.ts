import { Memory } from '@azulejo/core/memory';
import type { Job, Surface } from '@azulejo/core/job/job';
import { entriesInForce } from '@azulejo/core/site/entry';
import { NO_RECORDS, type SiteRecords } from '@azulejo/core/site/siteRecords';
import { plan, planSurface } from '@azulejo/core/plan';
import { ApiError } from '../errors/apiError.ts';
import type { ExportKind, SurfaceSource } from '../exports/exportKind.ts';
import { EXPORTS } from '../exports/registry.ts';

/** One export to be written. */
export interface ExportTask {
  readonly exportId: string;
  readonly job: Job;
  /** The surface it is of; null for the whole job. */
  readonly surfaceId: string | null;
  /** What was ticked and written down on site; nothing where left out. */
  readonly records?: SiteRecords;
  /** The one piece of the surface that it is of; all where left out. */
  readonly label?: string;
}

/** A written export. */
export interface Written {
  /** What it is of, for its file name. */
  readonly name: string;
  readonly content: string | Uint8Array;
}

const kinds: Readonly<Record<string, ExportKind>> = EXPORTS;

/** Writes one export. Throws `export/not-found`, `surface/not-found`, `piece/not-found`. */
export async function writeExport(
  { exportId, job, surfaceId, records = NO_RECORDS, label }: ExportTask,
  memory: Memory = new Memory(),
): Promise<Written> {
  const kind = Object.hasOwn(kinds, exportId) ? kinds[exportId] : undefined;
  if (!kind) throw new ApiError('export/not-found');
  if (kind.of === 'job')
    return { name: job.name, content: await kind.write(job, () => plan(job, memory), entriesInForce(records.entries), records) };
  const surface = job.surfaces.find(({ id }) => id === surfaceId);
  if (!surface) throw new ApiError('surface/not-found');
  const source = sourceOf(job, surface, memory);
  if (label === undefined) return { name: `${job.name}-${surface.name}`, content: await kind.write(source) };
  if (!source.planned.cuts.some((piece) => piece.label === label)) throw new ApiError('piece/not-found');
  return { name: `${job.name}-${surface.name}-${label}`, content: await kind.write({ ...source, label }) };
}

/** A surface as it is planned beside the others: what its pieces are cut from, and how it is mixed for, is planned for all together. */
function sourceOf(job: Job, surface: Surface, memory: Memory): SurfaceSource {
  const { surfaces, mixes } = plan(job, memory);
  const planned = surfaces.find(({ surfaceId }) => surfaceId === surface.id) ?? planSurface(job, surface, memory);
  return { job, surface, planned, mixes };
}
