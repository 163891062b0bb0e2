import type { FastifyRequest } from 'fastify';
import { ApiError } from './errors/apiError.ts';

/** Whom the server answers. */
export interface Welcome {
  /** Names it may be asked by, in small letters. */
  readonly hostNames: ReadonlySet<string>;
  /** Origins of a proxy in front. */
  readonly publicOrigins: readonly string[];
}

/**
 * Refuses names that are not this server's, what a page of another site sends, and what it would have the
 * browser fetch from the API: the app has no passwords yet, so whoever reaches it by its own name is trusted.
 */
export const refuseForeignOrigins =
  ({ hostNames, publicOrigins }: Welcome) =>
  async (request: FastifyRequest): Promise<void> => {
    const { host = '', origin, 'sec-fetch-site': site } = request.headers;
    const name = host
      .replace(/:\d+$/, '')
      .replace(/^\[|\]$/g, '')
      .toLowerCase();
    const own = [`${request.protocol}://${host}`, ...publicOrigins];
    const foreign =
      !hostNames.has(name) ||
      (origin !== undefined && !own.includes(origin)) ||
      (request.url.startsWith('/api') && (site === 'cross-site' || site === 'same-site'));
    if (foreign) throw new ApiError('request/foreign-origin');
  };
