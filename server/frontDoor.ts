import { createServer, type RequestListener, type Server } from 'node:http';
import { createServer as createSecureServer } from 'node:https';
import { errorBody, ApiError } from './errors/apiError.ts';
import type { Certificate } from './tls/certificate.ts';
import { ERRORS } from './errors/catalogue.ts';

/** What does not arrive whole in this time is cut off, ms. */
const ARRIVAL = { headersTimeout: 15_000, requestTimeout: 30_000, connectionsCheckingInterval: 5000 };

const OPENING = `<!doctype html><html lang="en"><meta charset="utf-8"><meta http-equiv="refresh" content="1">
<title>Azulejo</title><p>Azulejo is opening its data. The first time takes some seconds.</p></html>`;

/** A port that is taken before anything else is done, and what answers on it. */
export interface FrontDoor {
  readonly server: Server;
  /** Puts the app in the place of "it is starting". */
  open(listener: RequestListener): void;
}

/** Takes the port; whoever asks before the app is there is told so. Rejects when the port is taken. */
export function takePort(host: string, port: number, certificate: Certificate | null = null): Promise<FrontDoor> {
  let listener: RequestListener = (request, reply) => {
    const starting = new ApiError('server/starting');
    const isApi = request.url?.startsWith('/api/') === true;
    reply.writeHead(ERRORS[starting.code].status, {
      'content-type': isApi ? 'application/json' : 'text/html; charset=utf-8',
      'content-security-policy': "default-src 'none'; frame-ancestors 'none'",
      'retry-after': '1',
      'cache-control': 'no-store',
    });
    reply.end(isApi ? JSON.stringify(errorBody(starting)) : OPENING);
  };
  const answer: RequestListener = (request, reply) => listener(request, reply);
  const server: Server = certificate ? createSecureServer({ ...ARRIVAL, ...certificate }, answer) : createServer(ARRIVAL, answer);
  return new Promise((resolve, reject) => {
    server.once('error', reject);
    server.listen({ host, port }, () => {
      server.off('error', reject);
      resolve({
        server,
        open: (next) => {
          listener = next;
        },
      });
    });
  });
}
