import helmet from '@fastify/helmet';
import rateLimit from '@fastify/rate-limit';
import swagger from '@fastify/swagger';
import Fastify, { type FastifyInstance } from 'fastify';
import { jsonSchemaTransform, serializerCompiler, validatorCompiler } from 'fastify-type-provider-zod';
import type { Database } from './db/database.ts';
import { ApiError, errorBody, toApiError } from './errors/apiError.ts';
import { ERRORS } from './errors/catalogue.ts';
import { exportRoutes } from './exports/exportRoutes.ts';
import { JobRepository } from './jobs/jobRepository.ts';
import { jobRoutes } from './jobs/jobRoutes.ts';
import { refuseForeignOrigins } from './refuseForeignOrigins.ts';
import { webRoutes } from './web/webRoutes.ts';

const BODY_LIMIT_BYTES = 1024 * 1024;

/** How an app is put together. */
export interface AppOptions {
  readonly database: Database;
  /** The built web application; null serves the API alone. */
  readonly webFolder: string | null;
  /** Requests a minute from one address; null for no limit, as on the loopback. */
  readonly requestsPerMinute: number | null;
}

/** Builds the server without listening. */
export async function buildApp({ database, webFolder, requestsPerMinute }: AppOptions): Promise<FastifyInstance> {
  const app = Fastify({ bodyLimit: BODY_LIMIT_BYTES, logger: false });
  app.setValidatorCompiler(validatorCompiler);
  app.setSerializerCompiler(serializerCompiler);
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
  app.addHook('onRequest', refuseForeignOrigins);
  await app.register(swagger, { openapi: { info: { title: 'Azulejo', version: '1' } }, transform: jsonSchemaTransform });
  const jobs = new JobRepository(database);
  await app.register(jobRoutes(jobs), { prefix: '/api' });
  await app.register(exportRoutes(jobs), { prefix: '/api' });
  app.get('/api/docs', { schema: { hide: true } }, () => app.swagger());
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
