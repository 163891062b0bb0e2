import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { z } from 'zod';
import { tickSchema } from '@azulejo/core/site/tick';
import type { TickRepository } from './tickRepository.ts';

const params = z.object({ id: z.string().min(1).max(40) });
const inForce = z.array(tickSchema).describe('The tick in force of every piece that was ticked');

/** Pieces ticked as cut and laid. */
export const tickRoutes =
  (ticks: TickRepository): FastifyPluginAsyncZod =>
  async (app) => {
    app.get(
      '/jobs/:id/ticks',
      { schema: { summary: 'How far along the pieces of a job are', params, response: { 200: inForce } } },
      async ({ params: { id } }) => [...(await ticks.list(id))],
    );

    app.post(
      '/jobs/:id/ticks',
      {
        schema: {
          summary: 'Tick pieces; sent again or in another order, it comes to the same',
          params,
          body: z.object({ ticks: z.array(tickSchema).min(1).max(2000) }),
          response: { 200: inForce },
        },
      },
      async ({ params: { id }, body }) => {
        await ticks.add(id, body.ticks);
        return [...(await ticks.list(id))];
      },
    );
  };
