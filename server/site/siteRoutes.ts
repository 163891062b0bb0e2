import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { z } from 'zod';
import { tickSchema } from '@azulejo/core/site/tick';
import { entrySchema } from '@azulejo/core/site/entry';
import { shelfItemSchema } from '@azulejo/core/formats/apiTypes';
import { ApiError } from '../errors/apiError.ts';
import type { Came, SiteRepository } from './siteRepository.ts';

const params = z.object({ id: z.string().min(1).max(40) });
const log = z.array(z.unknown()).describe('Entries as they were written');
const inForce = z.array(tickSchema).describe('The tick in force of every piece that was ticked');
const since = z.object({ since: z.coerce.number().int().min(0).max(2_147_483_647).optional() });
const cameSince = z
  .object({ records: z.array(z.unknown()), came: z.int().describe('The count to ask with the next time') })
  .describe('Where a count was asked with: what came after it');

/** Pieces ticked as cut and laid, the log of a job, and what is left over of all jobs. */
export const siteRoutes =
  (site: SiteRepository): FastifyPluginAsyncZod =>
  async (app) => {
    /** All there is of one kind, or what came since a count. */
    const look = async <Record>(
      id: string,
      count: number | undefined,
      list: (jobId: string, since: number) => Promise<readonly Record[]>,
    ): Promise<readonly Record[] | Came<Record>> => (count === undefined ? list(id, 0) : site.since(id, list, count));

    app.get(
      '/jobs/:id/ticks',
      {
        schema: {
          summary: 'How far along the pieces of a job are; since a count, what changed after it',
          params,
          querystring: since,
          response: { 200: z.union([inForce, cameSince]) },
        },
      },
      async ({ params: { id }, query }) => answer(await look(id, query.since, (job, count) => site.listTicks(job, count))),
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
      {
        schema: {
          summary: 'The log of a job, corrections beside what they correct, photos by name; since a count, what came after it',
          params,
          querystring: since,
          response: { 200: z.union([log, cameSince]) },
        },
      },
      async ({ params: { id }, query }) => answer(await look(id, query.since, (job, count) => site.listEntries(job, count))),
    );

    app.post(
      '/jobs/:id/entries',
      {
        schema: {
          summary: 'Write to the log; sent again or in another order, it comes to the same',
          params,
          body: z.object({ entries: z.array(entrySchema).min(1).max(200) }),
          response: { 200: z.object({ added: z.int(), entries: log }) },
        },
      },
      async ({ params: { id }, body }) => {
        const kept = await site.addEntries(id, body.entries);
        return { added: kept.length, entries: [...kept] };
      },
    );

    app.get(
      '/jobs/:id/photos/:hash',
      {
        schema: {
          summary: 'A photo of the log, by what it holds',
          params: params.extend({ hash: z.string().regex(/^[0-9a-f]{64}$/) }),
        },
      },
      async ({ params: { id, hash } }, reply) => {
        const photo = await site.findPhoto(id, hash);
        if (!photo) throw new ApiError('photo/not-found');
        return (
          reply
            .header('content-type', photo.media)
            // Nobody else's answer carries it: a browser keeps no page to sign in for a photo.
            .header('x-photo', 'yes')
            .header('cache-control', 'private, max-age=31536000, immutable')
            .send(Buffer.from(photo.content, 'base64'))
        );
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

/** As the schema of an answer wants it: lists that may be written to. */
const answer = <Record>(found: readonly Record[] | Came<Record>): Record[] | { records: Record[]; came: number } =>
  'came' in found ? { records: [...found.records], came: found.came } : [...found];
