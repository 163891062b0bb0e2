import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { LANGUAGES } from '@azulejo/core/messages/language';
import { z } from 'zod';
import { ApiError } from '../errors/apiError.ts';
import type { JobRepository } from '../jobs/jobRepository.ts';
import type { SiteRepository } from '../site/siteRepository.ts';
import type { DoWork } from '../work/registry.ts';
import type { ExportKind } from './exportKind.ts';
import { EXPORTS } from './registry.ts';

const kinds: Readonly<Record<string, ExportKind>> = EXPORTS;

/** Exports: what there is, and each as a download. A stored job is exported as it is, whatever today's checks say. */
export const exportRoutes =
  (jobs: JobRepository, site: SiteRepository, write: DoWork<'export'>): FastifyPluginAsyncZod =>
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
          querystring: z.object({
            surface: z.string().max(200).optional(),
            piece: z.string().max(40).optional(),
            language: z.enum(LANGUAGES).optional().describe('What a paper is written in; English where left out'),
          }),
        },
      },
      async ({ params, query }, reply) => {
        const kind = Object.hasOwn(kinds, params.exportId) ? kinds[params.exportId] : undefined;
        if (!kind) throw new ApiError('export/not-found');
        const { job } = await jobs.find(params.id);
        const records = await (kind.of === 'job' && kind.withPhotos ? site.findWhole(params.id) : site.find(params.id));
        const { name, content } = await write({
          exportId: params.exportId,
          job,
          surfaceId: query.surface ?? null,
          ...(query.piece === undefined ? {} : { label: query.piece }),
          ...(query.language === undefined ? {} : { language: query.language }),
          records,
        });
        const fileName = `${fileNameOf(name)}-${params.exportId}.${kind.extension}`;
        return reply
          .header('content-type', kind.mediaType)
          .header(
            'content-disposition',
            `attachment; filename="${plainLetters(fileName)}"; filename*=UTF-8''${encodeURIComponent(fileName)}`,
          )
          .send(typeof content === 'string' ? content : Buffer.from(content.buffer, content.byteOffset, content.byteLength));
      },
    );
  };

/** A name as a file may have it, in its own letters. */
const fileNameOf = (name: string): string =>
  name
    .normalize('NFC')
    .toLowerCase()
    .replace(/[^\p{L}\p{M}\p{N}]+/gu, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 60)
    .toWellFormed() || 'job';

/** The same for whoever reads no other letters. */
const plainLetters = (name: string): string =>
  name
    .normalize('NFKD')
    .replace(/[^a-z0-9.-]+/gi, '')
    .replace(/^[-.]+/, '') || 'azulejo';
