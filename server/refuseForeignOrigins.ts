import type { FastifyRequest } from 'fastify';
import { ApiError } from './errors/apiError.ts';

const LOOPBACK_NAMES = new Set(['localhost', '127.0.0.1', '[::1]']);

/**
 * Refuses what a page of another site sends, and names that point at the loopback from outside:
 * the app has no passwords yet, so whoever sits at this machine is trusted, and nobody else.
 */
export async function refuseForeignOrigins(request: FastifyRequest): Promise<void> {
  const host = request.headers.host ?? '';
  const { origin } = request.headers;
  if (origin !== undefined && origin !== `${request.protocol}://${host}`) throw new ApiError('request/foreign-origin');
  const name = host.replace(/:\d+$/, '');
  const onLoopback = /^(127\.|::1$|::ffff:127\.)/.test(request.ip);
  if (onLoopback && !LOOPBACK_NAMES.has(name)) throw new ApiError('request/foreign-origin');
}
