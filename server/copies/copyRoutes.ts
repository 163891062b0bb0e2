import { randomUUID } from 'node:crypto';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { z } from 'zod';
import { withoutShelf } from '@azulejo/core/site/siteRecords';
import { clipText } from '@azulejo/core/units/clipText';
import { ApiError } from '../errors/apiError.ts';
import type { JobRepository } from '../jobs/jobRepository.ts';
import type { SiteRepository } from '../site/siteRepository.ts';
import type { CopyFolder } from './copyFolder.ts';
import type { RescueNote } from './rescueNote.ts';

const copy = z.object({
  day: z.string(),
  jobs: z.array(z.object({ id: z.string(), name: z.string(), client: z.string(), surfaceCount: z.number() })),
});
const rescue = z.object({
  at: z.string(),
  fromData: z.array(z.string()),
  fromCopies: z.array(z.object({ name: z.string(), day: z.string() })),
  lost: z.array(z.object({ name: z.string(), parts: z.number() })),
  setAside: z.string(),
});

/** Where copies of all jobs lie, and what was rescued. */
export interface Copies {
  readonly copies: CopyFolder;
  readonly note: RescueNote;
}

/** Daily copies: what there is, and bringing a job back from one. */
export const copyRoutes =
  (jobs: JobRepository, site: SiteRepository, { copies, note }: Copies): FastifyPluginAsyncZod =>
  async (app) => {
    app.get('/copies', { schema: { summary: 'Daily copies of all jobs, newest first', response: { 200: z.array(copy) } } }, async () =>
      (await copies.list()).map(({ day, jobs: inside }) => ({ day, jobs: [...inside] })),
    );

    app.get(
      '/copies/rescue',
      { schema: { summary: 'What was rescued when the server started on damaged data', response: { 200: rescue.nullable() } } },
      async () => note.read() as z.input<typeof rescue> | null,
    );

    app.delete(
      '/copies/rescue',
      { schema: { summary: 'The note on what was rescued has been read', response: { 204: z.null() } } },
      async (_request, reply) => {
        note.forget();
        return reply.status(204).send(null);
      },
    );

    app.post(
      '/copies/:day/jobs/:id',
      {
        schema: {
          summary: 'Bring a job back from a copy; one that is still there is kept, and the copy becomes another',
          params: z.object({ day: z.string().regex(/^\d{4}-\d\d-\d\d$/), id: z.string().min(1).max(40) }),
          response: { 201: z.object({ id: z.string() }) },
        },
      },
      async ({ params: { day, id } }, reply) => {
        const job = await copies.find(day, id);
        if (!job) throw new ApiError('copy/not-found');
        if (await jobs.insert(job)) {
          await site.bringBack(id, await copies.siteOf(day, id));
          return reply.status(201).send({ id: job.id });
        }
        const other = { ...job, id: randomUUID(), name: `${clipText(job.name, 60)} (${day})` };
        await jobs.insert(other);
        await site.bringBack(other.id, withoutShelf(await copies.siteOf(day, id)));
        return reply.status(201).send({ id: other.id });
      },
    );
  };
