import type { ServerResponse } from 'node:http';
import express, { type ErrorRequestHandler, type Express } from 'express';
import expressStaticGzip from 'express-static-gzip';
import helmet from 'helmet';
import { join } from 'node:path';
import { devicesRouter } from './devices';

/** Names that carry a hash of what is in them, as the builder writes them. */
const HASHED = /-[A-Za-z0-9_-]{8}\.[a-z0-9]+$/;

/**
 * Scripts, styles and fonts that a page takes in. What a page may do is said with the page, and with a worker's own script, which is
 * its page; on these a browser does not look at it, and dozens of them would carry it along.
 */
const PART = /^\/(?:media\/)?(?!worker-)[a-z0-9-]+-[A-Za-z0-9_-]{8}\.(?:js|css|woff2)$/;

/**
 * Serves the built app, compressed at build time, under a policy that lets only its own files run; and the simulated devices.
 * @param web folder of the built app
 */
export function kilnstoneServer(web: string): Express {
  const app = express();
  app.disable('x-powered-by');
  const policy = helmet({
    strictTransportSecurity: false,
    contentSecurityPolicy: { useDefaults: false, directives: POLICY },
  });
  app.use((request, response, next) => {
    if (!PART.test(request.path)) return policy(request, response, next);
    response.setHeader('X-Content-Type-Options', 'nosniff');
    response.setHeader('Cross-Origin-Resource-Policy', 'same-origin');
    next();
  });
  app.use('/devices', devicesRouter());
  app.use(
    expressStaticGzip(web, {
      enableBrotli: true,
      orderPreference: ['br', 'gzip'],
      index: false,
      serveStatic: { index: false, redirect: false, setHeaders: cacheHeaders },
    }),
  );
  app.use((request, response, next) => {
    // Addresses inside the app have no file; anything that looks like one and is not there is missing.
    if (request.method !== 'GET' && request.method !== 'HEAD') return next();
    if (/\.[a-z0-9]{2,5}$/i.test(request.path)) return void response.status(404).type('text').send('Not found');
    response.setHeader('Cache-Control', 'no-cache');
    response.sendFile(join(web, 'index.html'));
  });
  app.use(refused);
  return app;
}

/** A request that cannot be met, such as for a part of a file that it has not: said in a line, without the program's own traces. */
const refused: ErrorRequestHandler = (
  error: { readonly status?: number; readonly headers?: Record<string, string> },
  _,
  response,
  next,
) => {
  if (response.headersSent) return next(error);
  const status = error.status !== undefined && error.status >= 400 && error.status < 500 ? error.status : 500;
  if (status === 416 && error.headers) response.set(error.headers);
  response
    .status(status)
    .type('text')
    .send(
      status === 416 ? 'No such part of this file' : status < 500 ? 'This cannot be asked for' : 'This went wrong here',
    );
};

const POLICY = {
  defaultSrc: ["'none'"],
  scriptSrc: ["'self'"],
  styleSrc: ["'self'", "'unsafe-inline'"],
  connectSrc: ["'self'"],
  workerSrc: ["'self'"],
  fontSrc: ["'self'"],
  manifestSrc: ["'self'"],
  imgSrc: ["'self'", 'data:', 'blob:'],
  baseUri: ["'self'"],
  formAction: ["'self'"],
  frameAncestors: ["'none'"],
  objectSrc: ["'none'"],
};

function cacheHeaders(response: ServerResponse, path: string): void {
  response.setHeader(
    'Cache-Control',
    HASHED.test(path.replace(/\.(br|gz)$/, '')) ? 'public, max-age=31536000, immutable' : 'no-cache',
  );
}
