import { existsSync } from 'node:fs';
import { join } from 'node:path';
import compression from 'compression';
import express, { type Express } from 'express';
import { rateLimit } from 'express-rate-limit';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import { healthOf } from './keep/health';
import { Bus } from './live/bus';
import { cookRoutes } from './routes/cooks';
import { deviceRoutes } from './routes/devices';
import { dishRoutes } from './routes/dishes';
import { neverStored, pageRules, requestId } from './routes/headers';
import { kitchenRoutes } from './routes/kitchen';
import { logRoutes } from './routes/log';
import { planRoutes } from './routes/plan';
import { noRoute, problems } from './routes/problems';
import { recipeRoutes } from './routes/recipe';
import { sameHouse } from './routes/same-house';
import { setAsideRoutes } from './routes/set-aside';
import { snapshotRoutes } from './routes/snapshots';
import type { Store } from './store/connect';
import { Learning } from './sums/learning';
import { sumsHere, type Sums } from './sums/sums';

/** A household asks for a page, a plan and some taps a minute; a loop gone wrong asks for thousands. */
const mostRequestsPerMin = 1500;

export interface AppOptions {
  /** the built interface; without it there is only the API */
  webFolder?: string;
  sums?: Sums;
  /** open to the house, not to this machine only */
  lan?: boolean;
  version?: string;
}

/** The whole server as one Express app: the API below /api, the built interface for everything else. */
export function createApp(
  store: Store,
  log: Logger,
  { webFolder, sums = sumsHere, lan = false, version = '0' }: AppOptions = {},
): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(pinoHttp({ logger: log, autoLogging: false, genReqId: requestId }));
  app.use(sameHouse(lan));
  app.use(pageRules);
  app.use(compression());
  app.use(
    '/api',
    rateLimit({ windowMs: 60_000, limit: mostRequestsPerMin, standardHeaders: true, legacyHeaders: false }),
  );
  app.use('/api', neverStored);
  // A log of ten years is a large file; nothing else is.
  app.use('/api/log', express.json({ limit: '30mb' }));
  app.use('/api', express.json({ limit: '2mb' }));
  const startedMs = Date.now();
  app.get('/api/health', async (_req, res) => {
    const health = await healthOf(store, { version, startedMs });
    res.status(health.ok ? 200 : 503).json(health);
  });
  app.use('/api/plan', planRoutes(sums));
  app.use('/api/recipe', recipeRoutes(store, sums));
  app.use('/api/dishes', dishRoutes(store));
  const bus = new Bus();
  const learning = new Learning(store, sums, log);
  app.use('/api/cooks', cookRoutes({ store, bus, sums, learning }));
  app.use('/api/devices', deviceRoutes(store, bus));
  app.use('/api/log', logRoutes(store, sums, learning));
  app.use('/api/kitchen', kitchenRoutes(store, bus, learning));
  app.use('/api/snapshots', snapshotRoutes(store));
  app.use('/api/set-aside', setAsideRoutes(store));
  app.use('/api', noRoute);
  if (webFolder && existsSync(webFolder)) {
    app.use(express.static(webFolder, { index: false, maxAge: '1y', immutable: true, setHeaders: neverKeepPage }));
    // A file that is not there is no page: a browser would take it for the script that it asked for.
    app.get(/[^/]\.[^/.]+$/, noRoute);
    app.get('/{*path}', (_req, res) => {
      res.setHeader('Cache-Control', 'no-cache');
      res.sendFile(join(webFolder, 'index.html'));
    });
  }
  app.use(problems);
  return app;
}

/** Hashed files may be kept for ever; the page that names them may not. */
function neverKeepPage(res: { setHeader(name: string, value: string): void }, path: string): void {
  if (!/-[A-Z0-9]{8}\.(js|css|woff2?)$/i.test(path)) res.setHeader('Cache-Control', 'no-cache');
}
