import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { z } from 'zod';
import { briefOf } from '@azulejo/core/plan/layout/briefOf';
import type { JobRepository } from '../jobs/jobRepository.ts';
import type { LayoutStore } from './layoutStore.ts';
import { layoutKey } from './recall.ts';

/** What is kept of how the surfaces of a job are laid out, for a browser that has not planned it yet. */
export const layoutRoutes =
  (jobs: JobRepository, store: LayoutStore, release: string | null): FastifyPluginAsyncZod =>
  async (app) => {
    app.get(
      '/jobs/:id/layouts',
      {
        schema: {
          summary:
            'Layouts of the surfaces of a job as they are kept, each with what it was made from; none for another release of the core',
          params: z.object({ id: z.string().min(1).max(40) }),
          querystring: z.object({ release: z.string().max(64).describe('The release of the core that asks') }),
          response: { 200: z.object({ layouts: z.array(z.string().describe('Compressed by gzip, in base64')) }) },
        },
      },
      async ({ params: { id }, query }) => {
        const { job } = await jobs.findStamped(id);
        if (release === null || query.release !== release) return { layouts: [] };
        const keys = job.surfaces.map((surface) => layoutKey(release, briefOf(job, surface)));
        const found = await store.find(keys);
        return { layouts: found.map(({ content }) => content) };
      },
    );
  };
