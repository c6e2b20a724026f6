import { existsSync } from 'node:fs';
import http from 'node:http';
import type { Server } from 'node:http';
import path from 'node:path';
import compression from 'compression';
import express from 'express';
import type { Express } from 'express';
import helmet from 'helmet';
import type { DemoAccount } from '@lucky-thread/contract';
import { authRoutes } from './auth/routes';
import type { Sessions } from './auth/session';
import { identify, openSessions, requireSession } from './auth/session';
import type { OpenDatabase } from './db/database';
import { deviceRoutes } from './devices/routes';
import { isLoopbackHost, noStore, ownHostOnly, withRequestId } from './http/guards';
import { problemHandler, unknownRoute } from './http/handlers';
import { readingFiles } from './http/readingFiles';
import { jobRoutes } from './jobs/routes';
import type { PaperMaker } from './papers/makePaper';
import { paperRoutes } from './papers/routes';
import { attachMeter } from './meter/attachMeter';
import type { MeterConnections } from './meter/connections';
import { newMeterConnections } from './meter/connections';
import { packRoutes } from './packs/routes';
import { readingRoutes } from './readings/routes';
import { shopRoutes } from './shop/routes';
import { tapRoutes } from './taps/routes';
import { photoRoutes } from './vehicles/photos/routes';
import { vehicleRoutes } from './vehicles/routes';

/** What the application is made of. */
export interface AppParts {
  /** An open database with today's schema. */
  readonly database: OpenDatabase;
  /** Signs the cookies of sessions. */
  readonly sessionSecret: string;
  /** Accounts that the sign-in screen may offer; none outside the demo. */
  readonly demoAccounts: readonly DemoAccount[];
  /** Folder of the built web app; undefined to serve the API alone. */
  readonly webFolder: string | undefined;
  /** Uniform in [0, 1); the simulated meter's noise. */
  readonly random: () => number;
  /** Makes papers, away from the thread that answers. */
  readonly makePaper: PaperMaker;
}

/** The whole server: API under `/api`, the meter's WebSocket, the web app everywhere else. */
export function createServer(parts: AppParts): Server {
  const { db } = parts.database;
  const sessions = openSessions(parts.database, parts.sessionSecret);
  const meters = newMeterConnections();
  const server = http.createServer(createApp(parts, { sessions, meters }));
  server.requestTimeout = REQUEST_MS;
  attachMeter(server, meters, {
    db,
    sessions: sessions.handler,
    random: parts.random,
    isOwnHost: isDemo(parts) ? isLoopbackHost : () => true,
  });
  // Node counts a WebSocket no longer among a server's connections: it is closed with the others here.
  const closeHttp = server.closeAllConnections.bind(server);
  server.closeAllConnections = () => {
    sessions.close();
    meters.close();
    closeHttp();
  };
  return server;
}

/** Smaller answers go out in one breath as they are: packing them takes a millisecond and saves no way. */
const PACKED_FROM_BYTES = 8192;

/** Longest time that a request may take to arrive, ms. */
const REQUEST_MS = 30_000;

/** With open accounts the server is for this machine alone. */
function isDemo(parts: AppParts): boolean {
  return parts.demoAccounts.length > 0;
}

function createApp(
  parts: AppParts,
  shared: { readonly sessions: Sessions; readonly meters: MeterConnections },
): Express {
  const { db, pool, isAlive } = parts.database;
  const readBody = express.json({ limit: '256kb' });
  const app = express();
  app.disable('x-powered-by');
  // Plain text and numbers are all that the query strings here carry.
  app.set('query parser', 'simple');
  // Answers of the API are kept nowhere, and files bring marks of their own: a hash of each answer serves nobody.
  app.disable('etag');
  app.use(withRequestId, compression({ threshold: PACKED_FROM_BYTES }), helmet(SECURITY));
  if (isDemo(parts)) app.use(ownHostOnly);
  app.use('/api', noStore);
  app.get('/api/health', async (_request, response) => {
    const alive = await isAlive();
    response.status(alive ? 200 : 503).json({ ok: alive });
  });
  app.use('/api', shared.sessions.handler, identify);
  app.use(
    '/api',
    authRoutes({
      db,
      pool,
      demoAccounts: parts.demoAccounts,
      readBody,
      onSignedOut: shared.meters.endSession,
    }),
    requireSession,
    readBody,
  );
  app.use(
    '/api',
    vehicleRoutes(db),
    photoRoutes(db),
    deviceRoutes(db),
    jobRoutes(db),
    paperRoutes(db, parts.makePaper),
    readingRoutes(db),
  );
  app.use('/api', tapRoutes(db), packRoutes(db), shopRoutes(db));
  app.use('/api', unknownRoute);
  app.use('/reading', readingFiles());
  if (parts.webFolder !== undefined) serveWeb(app, parts.webFolder);
  app.use(problemHandler);
  return app;
}

/** React Native Web writes its styles into the page; the rest comes from here alone. */
const SECURITY: Parameters<typeof helmet>[0] = {
  contentSecurityPolicy: {
    useDefaults: false,
    directives: {
      defaultSrc: ["'self'"],
      // The print reader is WebAssembly; nothing else is compiled from what arrives.
      scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
      styleSrc: ["'self'", "'unsafe-inline'"],
      imgSrc: ["'self'", 'data:', 'blob:'],
      workerSrc: ["'self'"],
      connectSrc: ["'self'"],
      objectSrc: ["'none'"],
      frameAncestors: ["'none'"],
      baseUri: ["'self'"],
      formAction: ["'self'"],
    },
  },
  // Served on loopback without TLS; a proxy in front of it sets its own.
  strictTransportSecurity: false,
};

function serveWeb(app: Express, folder: string): void {
  const index = path.join(folder, 'index.html');
  const immutable = express.static(folder, { index: false, maxAge: '1y', immutable: true });
  const plain = express.static(folder, { index: false, maxAge: 0 });
  app.use((request, response, next) =>
    /^\/(_expo|assets)\//.test(request.path)
      ? immutable(request, response, next)
      : plain(request, response, next),
  );
  app.get('/{*path}', (_request, response) => {
    if (!existsSync(index)) {
      response.status(503).type('text/plain').send('The web app has not been built.');
      return;
    }
    response.set('Cache-Control', 'no-cache').sendFile(index);
  });
}
