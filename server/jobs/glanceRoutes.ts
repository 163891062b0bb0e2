import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { z } from 'zod';
import type { Glance } from '@azulejo/core/formats/glance';
import { ApiError } from '../errors/apiError.ts';
import type { DoWork } from '../work/registry.ts';
import type { JobRepository } from './jobRepository.ts';

/** Glances kept in memory; a job that did not change is planned once. */
const MOST_KEPT = 300;

/** What a job comes to at a glance, for the list of jobs. */
export const glanceRoutes =
  (jobs: JobRepository, takeGlance: DoWork<'glance'>): FastifyPluginAsyncZod =>
  async (app) => {
    const kept = new Map<string, Promise<Glance>>();

    const glanceAt = (key: string, take: () => Promise<Glance>): Promise<Glance> => {
      const known = kept.get(key) ?? take();
      kept.delete(key);
      kept.set(key, known);
      // What could not be computed would not be the next time; only what had no turn is tried again.
      known.catch((error: unknown) => {
        if (error instanceof ApiError && error.code === 'server/busy') kept.delete(key);
      });
      const [oldest] = kept.keys();
      if (kept.size > MOST_KEPT && oldest !== undefined) kept.delete(oldest);
      return known;
    };

    app.get(
      '/jobs/:id/glance',
      {
        schema: {
          summary: 'What needs attention in a job, and sketches of some of its surfaces as they are laid',
          params: z.object({ id: z.string().min(1).max(40) }),
          querystring: z.object({ sketch: z.string().max(2000).default('').describe('Surfaces to sketch, ids with commas between') }),
        },
      },
      async ({ params: { id }, query }) => {
        const { job, stamp } = await jobs.findStamped(id);
        const surfaceIds = query.sketch
          .split(',')
          .filter((one) => one !== '')
          .slice(0, MOST_SKETCHES);
        return glanceAt(JSON.stringify([stamp, surfaceIds]), () => takeGlance({ job, surfaceIds }));
      },
    );
  };

/** Sketches of one glance. */
const MOST_SKETCHES = 8;
