import { randomUUID } from 'node:crypto';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { z } from 'zod';
import { editSchema } from '@azulejo/core/job/edit/edit';
import { readJobFile, readSiteOfFile } from '@azulejo/core/formats/jobFile';
import { habitsSchema } from '@azulejo/core/job/job';
import { startJob, withHabits } from '@azulejo/core/job/startJob';
import { IMPERIAL_TAPE, METRIC_TAPE } from '@azulejo/core/units/tape';
import { ApiError } from '../errors/apiError.ts';
import type { Job } from '@azulejo/core/job/job';
import { withoutShelf, type SiteRecords } from '@azulejo/core/site/siteRecords';
import type { SiteRepository } from '../site/siteRepository.ts';
import type { JobRepository } from './jobRepository.ts';

/** A job of 500 tiles, each with a picture, is half of this. */
const IMPORT_LIMIT_BYTES = 64 * 1024 * 1024;

const params = z.object({ id: z.string().min(1).max(40) });
const version = z.int().min(1).max(2_147_483_647);
const last = z.object({ label: z.string(), person: z.string(), own: z.boolean() }).nullable().optional();
const stored = z.object({
  job: z.unknown(),
  version: z.number(),
  undoLabel: z.string().nullable(),
  redoLabel: z.string().nullable(),
  last,
});
const by = z.string().max(60).default('').describe('The browser that asks: undo and redo are its own');
const standing = stored.omit({ job: true });
const parts = z.array(z.string()).describe('Parts of a job: name, surfaces/kitchen, products/tile');
const saved = standing.extend({ others: parts.describe('What others changed since the version this was built on') });
const since = z.coerce.number().int().min(1).max(2_147_483_647).optional();
const created = z.object({ id: z.string() });
const entry = z.object({
  id: z.string(),
  name: z.string(),
  client: z.string(),
  surfaceCount: z.number(),
  version: z.number(),
  updatedAt: z.date(),
  laidCount: z.number().describe('Surfaces that the work is done on'),
  toMeasureAgain: z.number(),
  latest: z
    .array(z.object({ id: z.string(), name: z.string(), laid: z.boolean(), shape: z.unknown() }))
    .describe('Surfaces that changed last; those not laid first'),
});
const change = z.object({
  id: z.string().min(1).max(60).describe('The change, named by who makes it: sent again, it is not made twice'),
  label: z.string().min(1).max(120),
  edits: z.array(editSchema).min(1).max(5000).describe('What the change does; lists are addressed by id'),
  by,
  person: z.string().max(60).default('').describe('Who made it, where they said so'),
});
const inHistory = z.object({ baseVersion: version.optional().describe('No longer looked at'), by });

/** Jobs: list, make, read, change, undo, redo, delete, import. */
export const jobRoutes =
  (jobs: JobRepository, site: SiteRepository, keepCopy: (job: Job, beside: SiteRecords) => Promise<void>): FastifyPluginAsyncZod =>
  async (app) => {
    app.addContentTypeParser(
      ['application/octet-stream', 'text/plain'],
      { parseAs: 'string', bodyLimit: IMPORT_LIMIT_BYTES },
      (_request, body, done) => done(null, body),
    );

    app.get('/jobs', { schema: { summary: 'All jobs, newest first', response: { 200: z.array(entry) } } }, async () =>
      (await jobs.list()).map((one) => ({ ...one, latest: [...one.latest] })),
    );

    app.post(
      '/jobs',
      {
        schema: {
          summary: 'Start an empty job',
          body: z.object({
            id: z.uuid().optional().describe('Named by who makes it: sent again, it is not made twice'),
            name: z.string().trim().min(1).max(80),
            client: z.string().trim().max(120).default(''),
            system: z.enum(['metric', 'imperial']),
            habits: habitsSchema.optional(),
          }),
          response: { 201: created },
        },
      },
      async ({ body }, reply) => {
        const { id = randomUUID() } = body;
        const job = startJob(id, body.name, body.system === 'metric' ? METRIC_TAPE : IMPERIAL_TAPE);
        await jobs.insert({ ...withHabits(job, body.habits), client: body.client });
        return reply.status(201).send({ id });
      },
    );

    app.post(
      '/jobs/import',
      {
        bodyLimit: IMPORT_LIMIT_BYTES,
        schema: {
          summary: 'Read a job file back with its ticks and log; a job of the same id is kept and the file becomes another',
          consumes: ['application/octet-stream'],
          body: z.string(),
          response: { 201: created },
        },
      },
      async ({ body }, reply) => {
        const [read, beside] = [readJobFile(body), readSiteOfFile(body)];
        if (!read.ok) throw new ApiError('file/refused', read.issues);
        if (!beside.ok) throw new ApiError('file/refused', beside.issues);
        const id = (await jobs.insert(read.value)) ? read.value.id : randomUUID();
        if (id !== read.value.id) await jobs.insert({ ...read.value, id });
        await site.bringBack(id, id === read.value.id ? beside.value : withoutShelf(beside.value));
        return reply.status(201).send({ id });
      },
    );

    app.get(
      '/jobs/:id',
      {
        schema: {
          summary: 'One job with its version, what changed in it since another version, and whether a change was made',
          params,
          querystring: z.object({ since, change: z.string().max(60).default(''), by }),
          response: {
            200: stored.extend({ changed: parts, made: z.boolean().describe('Whether the change asked for is in its history') }),
          },
        },
      },
      async ({ params: { id }, query }) => {
        const found = await jobs.find(id, query.by);
        return {
          ...found,
          ...(query.since === undefined ? { changed: [], made: false } : await jobs.since(id, query.since, query.change)),
        };
      },
    );

    app.get(
      '/jobs/:id/standing',
      {
        schema: {
          summary: 'Where a job stands, without the job',
          params,
          querystring: z.object({ by }),
          response: { 200: standing },
        },
      },
      ({ params: { id }, query }) => jobs.standing(id, query.by),
    );

    app.post(
      '/jobs/:id/changes',
      {
        schema: {
          summary: 'Make one change, built on a version',
          params,
          body: z.object({ baseVersion: version, change }),
          response: { 200: saved },
        },
      },
      async ({ params: { id }, body }) => {
        const made = await jobs.makeChange(id, body.baseVersion, body.change);
        return { ...made, others: [...made.others] };
      },
    );

    app.post(
      '/jobs/:id/undo',
      { schema: { summary: 'Take back the last change that one made oneself', params, body: inHistory, response: { 200: stored } } },
      ({ params: { id }, body }) => jobs.undo(id, body.by),
    );

    app.post(
      '/jobs/:id/redo',
      { schema: { summary: 'Make again what one took back last', params, body: inHistory, response: { 200: stored } } },
      ({ params: { id }, body }) => jobs.redo(id, body.by),
    );

    app.delete(
      '/jobs/:id',
      {
        schema: {
          summary: 'Delete a job; a copy of it stays with the daily ones',
          params,
          querystring: z.object({ baseVersion: z.coerce.number().int().min(1).max(2_147_483_647) }),
          response: { 204: z.null() },
        },
      },
      async ({ params: { id }, query }, reply) => {
        const { job, version } = await jobs.find(id);
        if (version === query.baseVersion) await keepCopy(job, await site.findWhole(id));
        await jobs.remove(id, query.baseVersion);
        return reply.status(204).send(null);
      },
    );
  };
