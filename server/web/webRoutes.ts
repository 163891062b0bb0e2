import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import fastifyStatic from '@fastify/static';
import type { FastifyInstance } from 'fastify';

/** Serves the built web application; its one page carries this answer's nonce for the styles it adds. */
export async function webRoutes(app: FastifyInstance, folder: string): Promise<void> {
  const file = join(folder, 'index.html');
  if (!existsSync(file)) throw new Error(`the web application is not built: expected ${file}`);
  const page = readFileSync(file, 'utf8');
  await app.register(fastifyStatic, { root: folder, index: false, wildcard: false, preCompressed: true, immutable: true, maxAge: '365d' });
  app.get('/*', { schema: { hide: true } }, (request, reply) => {
    // A file that is not there is not a page: after an update, a page still open asks for files of the old one.
    if (request.url.startsWith('/api/') || request.url.startsWith('/assets/')) return reply.callNotFound();
    return reply
      .header('cache-control', 'no-store')
      .type('text/html; charset=utf-8')
      .send(page.replaceAll('__NONCE__', reply.cspNonce.style));
  });
}
