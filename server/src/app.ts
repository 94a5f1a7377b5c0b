import { existsSync } from 'node:fs';
import { join } from 'node:path';
import compression from 'compression';
import express, { type Express, type RequestHandler } from 'express';
import { ipKeyGenerator, rateLimit } from 'express-rate-limit';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import { healthOf } from './keep/health';
import { Codes } from './keys/codes';
import { callerOf, onlyWithRight, whoAsks } from './keys/guard';
import { Keys } from './keys/keys';
import { Bus } from './live/bus';
import { archiveRoutes } from './routes/archive';
import { cookRoutes } from './routes/cooks';
import { deviceRoutes } from './routes/devices';
import { dishRoutes } from './routes/dishes';
import { neverStored, nonceOf, pageRules, requestId } from './routes/headers';
import { doorRoutes } from './routes/door';
import { keyRoutes, type HouseDoor } from './routes/keys';
import { kitchenRoutes } from './routes/kitchen';
import { logRoutes } from './routes/log';
import { planRoutes } from './routes/plan';
import { noRoute, problems, plainAddress } from './routes/problems';
import { recipeRoutes } from './routes/recipe';
import { sameHouse } from './routes/same-house';
import { setAsideRoutes } from './routes/set-aside';
import { snapshotRoutes } from './routes/snapshots';
import { timeRoutes } from './routes/time';
import type { Store } from './store/connect';
import { Learning } from './sums/learning';
import { sumsHere, type Sums } from './sums/sums';

/** A household asks for a page, a plan and some taps a minute; a loop gone wrong asks for thousands. */
const mostRequestsPerMin = 1500;
/** A code is typed a few times, not guessed. */
const mostCodesPerMin = 20;

/** So much is answered a minute to each key, or, where there is none, to each address: a foreign page locks no stove out. */
const limited = (mostPerMin: number): RequestHandler =>
  rateLimit({
    windowMs: 60_000,
    limit: mostPerMin,
    standardHeaders: true,
    legacyHeaders: false,
    keyGenerator: (req, res) => callerOf(res).key?.id ?? ipKeyGenerator(req.ip ?? ''),
  });

export interface AppOptions {
  /** the built interface; without it there is only the API */
  webFolder?: string;
  sums?: Sums;
  /** open to the house, and where it is found there; null: to this machine only */
  house?: HouseDoor | null;
  /** the pairing codes that are good now */
  codes?: Codes;
  version?: string;
  /** requests a minute that one key may send */
  mostPerMin?: number;
}

/** The whole server as one Express app: the API below /api, the built interface for everything else. */
export function createApp(
  store: Store,
  log: Logger,
  {
    webFolder,
    sums = sumsHere,
    house = null,
    codes = new Codes(),
    version = '0',
    mostPerMin = mostRequestsPerMin,
  }: AppOptions = {},
): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(pinoHttp({ logger: log, autoLogging: false, genReqId: requestId }));
  app.use(sameHouse(house !== null));
  app.use(pageRules(nonceOf(webFolder)));
  app.use(compression());
  const keys = new Keys(store);
  app.use('/api', plainAddress);
  app.use('/api', whoAsks(keys));
  app.use('/api', limited(mostPerMin));
  app.use('/api', neverStored);
  app.use('/api/door', express.json({ limit: '10kb' }));
  app.use('/api/door', doorRoutes({ keys, codes, limit: limited(mostCodesPerMin) }));
  // Nothing is read of what somebody without a key sends.
  app.use('/api', onlyWithRight(keys));
  // A log of ten years is a large file; nothing else is.
  app.use('/api/log', express.json({ limit: '30mb' }));
  app.use('/api', express.json({ limit: '2mb' }));
  const startedMs = Date.now();
  app.get('/api/health', async (_req, res) => {
    const health = await healthOf(store, { version, startedMs });
    res.status(health.ok ? 200 : 503).json(health);
  });
  app.use('/api/time', timeRoutes(store));
  app.use('/api/plan', planRoutes(sums));
  app.use('/api/recipe', recipeRoutes(store, sums));
  app.use('/api/dishes', dishRoutes(store));
  const bus = new Bus((e) => {
    log.error({ err: e }, 'a listener failed');
  });
  const learning = new Learning(store, sums, log);
  app.use('/api/cooks', cookRoutes({ store, bus, sums, learning }));
  app.use('/api/keys', keyRoutes(keys, codes, house));
  app.use('/api/devices', deviceRoutes(store, bus));
  app.use('/api/log', logRoutes(store, sums, learning));
  app.use('/api/kitchen', kitchenRoutes(store, bus, learning));
  app.use('/api/archive', archiveRoutes(store, learning, version));
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
