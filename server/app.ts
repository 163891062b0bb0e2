import helmet from '@fastify/helmet';
import rateLimit from '@fastify/rate-limit';
import swagger from '@fastify/swagger';
import Fastify, { type FastifyInstance, type FastifyServerFactory } from 'fastify';
import type { Job } from '@azulejo/core/job/job';
import type { SiteRecords } from '@azulejo/core/site/siteRecords';
import { jsonSchemaTransform, serializerCompiler, validatorCompiler } from 'fastify-type-provider-zod';
import { today } from './copies/copyFolder.ts';
import { copyRoutes, type Copies } from './copies/copyRoutes.ts';
import type { Database } from './db/database.ts';
import { ApiError, errorBody, toApiError } from './errors/apiError.ts';
import { ERRORS } from './errors/catalogue.ts';
import { exportRoutes } from './exports/exportRoutes.ts';
import { glanceRoutes } from './jobs/glanceRoutes.ts';
import { JobRepository } from './jobs/jobRepository.ts';
import { jobRoutes } from './jobs/jobRoutes.ts';
import { LayoutRepository } from './layouts/layoutRepository.ts';
import { layoutRoutes } from './layouts/layoutRoutes.ts';
import type { LayoutStore } from './layouts/layoutStore.ts';
import { readBody } from './readBody.ts';
import { refuseForeignOrigins, type Welcome } from './refuseForeignOrigins.ts';
import { doorRoutes } from './web/doorRoutes.ts';
import { webRoutes } from './web/webRoutes.ts';
import { SiteRepository } from './site/siteRepository.ts';
import { siteRoutes } from './site/siteRoutes.ts';
import type { DoWork } from './work/registry.ts';

const BODY_LIMIT_BYTES = 8 * 1024 * 1024;

/** How an app is put together. */
export interface AppOptions {
  readonly database: Database;
  readonly writeExport: DoWork<'export'>;
  readonly takeGlance: DoWork<'glance'>;
  /** Where layouts are kept, and by which release of the core; null where it is not known. */
  readonly layouts?: { readonly store: LayoutStore; readonly release: string | null };
  /** Daily copies; null keeps none. */
  readonly copies: Copies | null;
  /** The built web application; null serves the API alone. */
  readonly webFolder: string | null;
  /** Requests a minute from one address; null for no limit, as on the loopback. */
  readonly requestsPerMinute: number | null;
  readonly welcome: Welcome;
  /** The proxy whose word on the client is taken; null for none. */
  readonly trustedProxy?: string | null;
  /** The certificate that phones have to be told to trust, in PEM; null where theirs do already. */
  readonly certificate?: string | null;
  /** The server it answers on; one of its own where left out. */
  readonly serverFactory?: FastifyServerFactory;
}

/** Builds the server without listening. */
export async function buildApp(options: AppOptions): Promise<FastifyInstance> {
  const { database, webFolder, requestsPerMinute, serverFactory, trustedProxy, welcome } = options;
  const app = Fastify({
    bodyLimit: BODY_LIMIT_BYTES,
    logger: false,
    forceCloseConnections: true,
    ...(serverFactory ? { serverFactory } : {}),
    ...(trustedProxy ? { trustProxy: trustedProxy } : {}),
  });
  app.setValidatorCompiler(validatorCompiler);
  app.setSerializerCompiler(serializerCompiler);
  app.addContentTypeParser('application/json', { parseAs: 'string' }, (_request, body, done) => {
    try {
      done(null, readBody(body.toString()));
    } catch (error) {
      done(error as Error);
    }
  });
  app.setErrorHandler((error: Error, _request, reply) => {
    const known = toApiError(error);
    if (known.code === 'server/failed') process.stderr.write(`${error.stack ?? error.message}\n`);
    return reply.status(ERRORS[known.code].status).send(errorBody(known));
  });
  app.setNotFoundHandler((_request, reply) => {
    const missing = new ApiError('route/not-found');
    return reply.status(ERRORS[missing.code].status).send(errorBody(missing));
  });
  await app.register(helmet, {
    contentSecurityPolicy: { useDefaults: false, directives: CONTENT_POLICY },
    enableCSPNonces: true,
    hsts: false,
  });
  if (requestsPerMinute !== null) await app.register(rateLimit, { max: requestsPerMinute, timeWindow: 60_000 });
  app.addHook('onRequest', refuseForeignOrigins(welcome));
  await app.register(swagger, { openapi: { info: { title: 'Azulejo', version: '1' } }, transform: jsonSchemaTransform });
  const jobs = new JobRepository(database);
  const site = new SiteRepository(database, jobs);
  const { copies } = options;
  const keepCopy = async (job: Job, beside: SiteRecords): Promise<void> => copies?.copies.copyOne(job, beside, today());
  await app.register(jobRoutes(jobs, site, keepCopy), { prefix: '/api' });
  await app.register(siteRoutes(site), { prefix: '/api' });
  await app.register(glanceRoutes(jobs, options.takeGlance), { prefix: '/api' });
  const { store = new LayoutRepository(database), release = null } = options.layouts ?? {};
  await app.register(layoutRoutes(jobs, store, release), { prefix: '/api' });
  await app.register(exportRoutes(jobs, site, options.writeExport), { prefix: '/api' });
  if (copies) await app.register(copyRoutes(jobs, site, copies), { prefix: '/api' });
  app.get('/api/docs', { schema: { hide: true } }, () => app.swagger());
  await app.register(doorRoutes(options.certificate ?? null), { prefix: '/api' });
  if (webFolder !== null) await webRoutes(app, webFolder);
  return app;
}

/** No inline script, nothing from elsewhere; styles only from here or with this answer's nonce. */
const CONTENT_POLICY = {
  'default-src': ["'none'"],
  'script-src': ["'self'"],
  'style-src': ["'self'"],
  'img-src': ["'self'", 'data:', 'blob:'],
  'font-src': ["'self'"],
  'connect-src': ["'self'"],
  'worker-src': ["'self'"],
  'manifest-src': ["'self'"],
  'form-action': ["'self'"],
  'base-uri': ["'none'"],
  'frame-ancestors': ["'none'"],
};
