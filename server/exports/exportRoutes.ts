import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { z } from 'zod';
import { readJob } from '@azulejo/core/formats/jobFile';
import type { Job } from '@azulejo/core/job/job';
import { plan, planSurface } from '@azulejo/core/plan';
import { ApiError } from '../errors/apiError.ts';
import type { JobRepository } from '../jobs/jobRepository.ts';
import type { ExportKind } from './exportKind.ts';
import { EXPORTS } from './registry.ts';

const kinds: Readonly<Record<string, ExportKind>> = EXPORTS;

/** Exports: what there is, and each as a download. */
export const exportRoutes =
  (jobs: JobRepository): FastifyPluginAsyncZod =>
  async (app) => {
    app.get(
      '/exports',
      {
        schema: {
          summary: 'What can be exported',
          response: { 200: z.array(z.object({ id: z.string(), of: z.enum(['job', 'surface']), label: z.string() })) },
        },
      },
      async () => Object.entries(kinds).map(([id, kind]) => ({ id, of: kind.of, label: kind.label })),
    );

    app.get(
      '/jobs/:id/exports/:exportId',
      {
        schema: {
          summary: 'One export as a file',
          params: z.object({ id: z.string().max(40), exportId: z.string().max(40) }),
          querystring: z.object({ surface: z.string().max(40).optional() }),
        },
      },
      async ({ params, query }, reply) => {
        const kind = Object.hasOwn(kinds, params.exportId) ? kinds[params.exportId] : undefined;
        if (!kind) throw new ApiError('export/not-found');
        const read = readJob((await jobs.find(params.id)).job);
        if (!read.ok) throw new ApiError('job/refused', read.issues);
        const { name, content } = await writeExport(kind, read.value, query.surface);
        const fileName = `${fileNameOf(name)}-${params.exportId}.${kind.extension}`;
        return reply
          .header('content-type', kind.mediaType)
          .header('content-disposition', `attachment; filename="${fileName}"`)
          .send(content);
      },
    );
  };

async function writeExport(kind: ExportKind, job: Job, surfaceId: string | undefined): Promise<{ name: string; content: string | Buffer }> {
  if (kind.of === 'job') return { name: job.name, content: await kind.write(job, () => plan(job)) };
  const surface = job.surfaces.find(({ id }) => id === surfaceId);
  if (!surface) throw new ApiError('surface/not-found');
  return { name: `${job.name}-${surface.name}`, content: await kind.write({ job, surface, planned: planSurface(job, surface) }) };
}

const fileNameOf = (name: string): string =>
  name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 60) || 'job';
