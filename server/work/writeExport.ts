import { Memory } from '@azulejo/core/memory';
import type { Job, Surface } from '@azulejo/core/job/job';
import { entriesInForce } from '@azulejo/core/site/entry';
import { wordsIn, type Words } from '@azulejo/core/messages/words';
import type { Language } from '@azulejo/core/messages/language';
import { NO_RECORDS, type SiteRecords } from '@azulejo/core/site/siteRecords';
import { plan, planSurface } from '@azulejo/core/plan';
import { ApiError } from '../errors/apiError.ts';
import { surfaceSource, type ExportKind, type SurfaceSource } from '../exports/exportKind.ts';
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
  /** What it is said in; English where left out. */
  readonly language?: Language;
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
  { exportId, job, surfaceId, records = NO_RECORDS, label, language = 'en' }: ExportTask,
  memory: Memory = new Memory(),
): Promise<Written> {
  const kind = Object.hasOwn(kinds, exportId) ? kinds[exportId] : undefined;
  if (!kind) throw new ApiError('export/not-found');
  const words = wordsIn(language);
  if (kind.of === 'job') {
    const log = entriesInForce(records.entries);
    return { name: job.name, content: await kind.write({ job, plan: () => plan(job, memory), log, records, words }) };
  }
  const surface = job.surfaces.find(({ id }) => id === surfaceId);
  if (!surface) throw new ApiError('surface/not-found');
  const source = sourceOf(job, surface, memory, words);
  if (label === undefined) return { name: `${job.name}-${surface.name}`, content: await kind.write(source) };
  if (!source.planned.toCut.some((piece) => piece.label === label)) throw new ApiError('piece/not-found');
  return { name: `${job.name}-${surface.name}-${label}`, content: await kind.write({ ...source, label }) };
}

/** A surface as it is planned beside the others: what its pieces are cut from, and how it is mixed for, is planned for all together. */
function sourceOf(job: Job, surface: Surface, memory: Memory, words: Words): SurfaceSource {
  const { surfaces, mixes } = plan(job, memory);
  const planned = surfaces.find(({ surfaceId }) => surfaceId === surface.id) ?? planSurface(job, surface, memory);
  return surfaceSource({ job, surface, planned, mixes }, words);
}
