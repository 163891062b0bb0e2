import { plan, planSurface } from '@azulejo/core/plan';
import { ApiError } from '../errors/apiError.ts';
import type { ExportKind } from '../exports/exportKind.ts';
import { EXPORTS } from '../exports/registry.ts';
import type { ExportTask, Written } from './task.ts';

const kinds: Readonly<Record<string, ExportKind>> = EXPORTS;

/** Writes one export. Throws `export/not-found`, `surface/not-found`. */
export async function writeExport({ exportId, job, surfaceId }: ExportTask): Promise<Written> {
  const kind = Object.hasOwn(kinds, exportId) ? kinds[exportId] : undefined;
  if (!kind) throw new ApiError('export/not-found');
  if (kind.of === 'job') return { name: job.name, content: await kind.write(job, () => plan(job)) };
  const surface = job.surfaces.find(({ id }) => id === surfaceId);
  if (!surface) throw new ApiError('surface/not-found');
  return { name: `${job.name}-${surface.name}`, content: await kind.write({ job, surface, planned: planSurface(job, surface) }) };
}
