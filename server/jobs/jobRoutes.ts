import { randomUUID } from 'node:crypto';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { z } from 'zod';
import { readJobFile } from '@azulejo/core/formats/jobFile';
import { startJob } from '@azulejo/core/job/startJob';
import { IMPERIAL_TAPE, METRIC_TAPE } from '@azulejo/core/units/tape';
import { ApiError } from '../errors/apiError.ts';
import type { JobRepository } from './jobRepository.ts';

const IMPORT_LIMIT_BYTES = 4 * 1024 * 1024;

const params = z.object({ id: z.string().min(1).max(40) });
const baseVersion = z.int().min(1);
const stored = z.object({ job: z.unknown(), version: z.number(), undoLabel: z.string().nullable(), redoLabel: z.string().nullable() });
const standing = stored.omit({ job: true });
const created = z.object({ id: z.string() });
const entry = z.object({
  id: z.string(),
  name: z.string(),
  client: z.string(),
  surfaceCount: z.number(),
  version: z.number(),
  updatedAt: z.date(),
});
const patch = z.object({
  op: z.enum(['add', 'remove', 'replace']),
  path: z.array(z.union([z.string().max(80), z.int()])).max(20),
  value: z.unknown().optional(),
});
const change = z.object({
  label: z.string().min(1).max(120),
  forward: z.array(patch).max(1000).describe('What the change does, as JSON patches with key paths'),
  inverse: z.array(patch).max(1000).describe('What takes it back'),
});

/** Jobs: list, make, read, change, undo, redo, delete, import. */
export const jobRoutes =
  (jobs: JobRepository): FastifyPluginAsyncZod =>
  async (app) => {
    app.addContentTypeParser(
      ['application/octet-stream', 'text/plain'],
      { parseAs: 'string', bodyLimit: IMPORT_LIMIT_BYTES },
      (_request, body, done) => done(null, body),
    );

    app.get('/jobs', { schema: { summary: 'All jobs, newest first', response: { 200: z.array(entry) } } }, async () => [
      ...(await jobs.list()),
    ]);

    app.post(
      '/jobs',
      {
        schema: {
          summary: 'Start an empty job',
          body: z.object({
            name: z.string().trim().min(1).max(80),
            client: z.string().trim().max(120).default(''),
            system: z.enum(['metric', 'imperial']),
          }),
          response: { 201: created },
        },
      },
      async ({ body }, reply) => {
        const id = randomUUID();
        await jobs.insert({ ...startJob(id, body.name, body.system === 'metric' ? METRIC_TAPE : IMPERIAL_TAPE), client: body.client });
        return reply.status(201).send({ id });
      },
    );

    app.post(
      '/jobs/import',
      {
        bodyLimit: IMPORT_LIMIT_BYTES,
        schema: {
          summary: 'Read a job file back; a job of the same id is kept and the file becomes another',
          consumes: ['application/octet-stream'],
          body: z.string(),
          response: { 201: created },
        },
      },
      async ({ body }, reply) => {
        const read = readJobFile(body);
        if (!read.ok) throw new ApiError('job/refused', read.issues);
        if (await jobs.insert(read.value)) return reply.status(201).send({ id: read.value.id });
        const id = randomUUID();
        await jobs.insert({ ...read.value, id });
        return reply.status(201).send({ id });
      },
    );

    app.get('/jobs/:id', { schema: { summary: 'One job with its version', params, response: { 200: stored } } }, ({ params: { id } }) =>
      jobs.find(id),
    );

    app.post(
      '/jobs/:id/changes',
      {
        schema: {
          summary: 'Make one change, built on a version',
          params,
          body: z.object({ baseVersion, change }),
          response: { 200: standing },
        },
      },
      ({ params: { id }, body }) => jobs.makeChange(id, body.baseVersion, body.change),
    );

    app.post(
      '/jobs/:id/undo',
      { schema: { summary: 'Take the last change back', params, body: z.object({ baseVersion }), response: { 200: stored } } },
      ({ params: { id }, body }) => jobs.undo(id, body.baseVersion),
    );

    app.post(
      '/jobs/:id/redo',
      { schema: { summary: 'Make the undone change again', params, body: z.object({ baseVersion }), response: { 200: stored } } },
      ({ params: { id }, body }) => jobs.redo(id, body.baseVersion),
    );

    app.delete(
      '/jobs/:id',
      {
        schema: {
          summary: 'Delete a job',
          params,
          querystring: z.object({ baseVersion: z.coerce.number().int().min(1) }),
          response: { 204: z.null() },
        },
      },
      async ({ params: { id }, query }, reply) => {
        await jobs.remove(id, query.baseVersion);
        return reply.status(204).send(null);
      },
    );
  };
