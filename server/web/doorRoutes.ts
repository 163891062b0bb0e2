import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { z } from 'zod';
import { ApiError } from '../errors/apiError.ts';

/** What a browser asks for before the application itself: the way back after signing in, and the certificate to trust. */
export const doorRoutes =
  (certificate: string | null): FastifyPluginAsyncZod =>
  async (app) => {
    app.get(
      '/back',
      {
        schema: {
          summary: 'Leads back to a page of the application; a proxy in front asks who it is on the way',
          querystring: z.object({
            // Of this server alone: no other host, however it is written.
            to: z
              .string()
              .max(2000)
              .regex(/^\/(?![/\\])[^\\]*$/)
              .default('/'),
          }),
        },
      },
      async ({ query }, reply) => reply.header('cache-control', 'no-store').redirect(query.to, 302),
    );

    app.get(
      '/certificate',
      { schema: { summary: 'The certificate that was made for this server, for a phone to trust' } },
      async (_request, reply) => {
        if (certificate === null) throw new ApiError('route/not-found');
        return reply
          .header('content-type', 'application/x-x509-ca-cert')
          .header('content-disposition', 'attachment; filename="azulejo.crt"')
          .send(certificate);
      },
    );
  };
