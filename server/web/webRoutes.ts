import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import fastifyStatic from '@fastify/static';
import type { FastifyInstance } from 'fastify';

/** Files that keep their name from release to release. */
const FRESH = ['sw.js', 'manifest.webmanifest', 'mark.svg'];

/** Serves the built web application; its one page carries this answer's nonce for the styles it adds. */
export async function webRoutes(app: FastifyInstance, folder: string): Promise<void> {
  const file = join(folder, 'index.html');
  if (!existsSync(file)) throw new Error(`the web application is not built: expected ${file}`);
  const page = readFileSync(file, 'utf8');
  await app.register(fastifyStatic, {
    root: folder,
    index: false,
    wildcard: false,
    // The page is written for each answer.
    globIgnore: ['index.html', 'index.html.br'],
    preCompressed: true,
    cacheControl: false,
    // What keeps the application in a browser is asked for anew; other files change their name with their content.
    setHeaders: (reply, path) => {
      const isFresh = FRESH.some((name) => path.endsWith(name) || path.endsWith(`${name}.br`));
      void reply.header('cache-control', isFresh ? 'no-cache' : 'public, max-age=31536000, immutable');
    },
  });
  app.get('/*', { schema: { hide: true } }, (request, reply) => {
    // A file that is not there is not a page: after an update, a page still open asks for files of the old one.
    if (request.url.startsWith('/api/') || request.url.startsWith('/assets/')) return reply.callNotFound();
    return reply
      .header('cache-control', 'no-store')
      .type('text/html; charset=utf-8')
      .send(page.replaceAll('__NONCE__', reply.cspNonce.style));
  });
}
