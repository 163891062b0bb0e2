import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { z } from 'zod';
import { tickSchema } from '@azulejo/core/site/tick';
import { entrySchema } from '@azulejo/core/site/entry';
import { shelfItemSchema } from '@azulejo/core/formats/apiTypes';
import type { SiteRepository } from './siteRepository.ts';

const params = z.object({ id: z.string().min(1).max(40) });
const log = z.array(z.unknown()).describe('Entries as they were written');
const inForce = z.array(tickSchema).describe('The tick in force of every piece that was ticked');

/** Pieces ticked as cut and laid, the log of a job, and what is left over of all jobs. */
export const siteRoutes =
  (site: SiteRepository): FastifyPluginAsyncZod =>
  async (app) => {
    app.get(
      '/jobs/:id/ticks',
      { schema: { summary: 'How far along the pieces of a job are', params, response: { 200: inForce } } },
      async ({ params: { id } }) => [...(await site.listTicks(id))],
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
        await site.addTicks(id, body.ticks);
        return [...(await site.listTicks(id))];
      },
    );

    app.get(
      '/jobs/:id/entries',
      { schema: { summary: 'The log of a job, corrections beside what they correct', params, response: { 200: log } } },
      async ({ params: { id } }) => [...(await site.listEntries(id))],
    );

    app.post(
      '/jobs/:id/entries',
      {
        schema: {
          summary: 'Write to the log; sent again or in another order, it comes to the same',
          params,
          body: z.object({ entries: z.array(entrySchema).min(1).max(200) }),
          response: { 200: z.object({ added: z.int() }) },
        },
      },
      async ({ params: { id }, body }) => {
        await site.addEntries(id, body.entries);
        return { added: body.entries.length };
      },
    );

    app.get(
      '/shelf',
      { schema: { summary: 'What is left over of all jobs and was not taken', response: { 200: z.array(shelfItemSchema) } } },
      async () =>
        (await site.listShelf()).flatMap(({ id, jobId, jobName, data, taken }) => {
          const pieces = Math.round(data.pieces - taken);
          const { productId, name, widthMm, heightMm } = data;
          return pieces > 0 ? [{ id, jobId, jobName, productId, name, widthMm, heightMm, pieces }] : [];
        }),
    );
  };
