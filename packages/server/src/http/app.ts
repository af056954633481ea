/** The HTTP application. */
import Router from '@koa/router';
import Koa from 'koa';
import compress from 'koa-compress';
import type { Logger } from 'pino';
import type { Config } from '../config/config.ts';
import { openApi } from '@alvex/contract/api';
import { AppError } from '../services/app-error.ts';
import { contextFor, type Base } from '../services/context.ts';
import { openDemo } from '../services/load-demo.ts';
import { deckRoutes, fileRoutes } from './deck-routes.ts';
import { errors } from './errors.ts';
import { deckFileRoutes } from './file-routes.ts';
import { fontRoutes } from './font-routes.ts';
import { idempotent } from './idempotent.ts';
import { mapRoutes } from './map-routes.ts';
import { rateLimit } from './rate-limit.ts';
import { sameOrigin } from './same-origin.ts';
import { security } from './security.ts';
import './state.ts';
import { webFiles } from './static.ts';

/** Ids and hashes are ASCII; the database would not even compare others. @throws AppError `bad-request`, `not-found`. */
function checkAddress(path: string): void {
  let address: string;
  try {
    address = decodeURIComponent(path);
  } catch (error) {
    throw new AppError('bad-request', 'The address is not encoded as it should be.', { cause: error });
  }
  if (address.startsWith('/api/') && !/^[\x20-\x7e]*$/.test(address)) throw new AppError('not-found');
}

export function makeApp(
  base: Base,
  { host, webRoot, demoRoot, mostAMinute }: Pick<Config, 'host' | 'webRoot' | 'demoRoot' | 'mostAMinute'>,
  log: Logger,
): Koa {
  const app = new Koa();
  app.on('error', (error: unknown) => log.error({ err: error }, 'response failed'));
  app.use(async (ctx, next) => {
    const start = performance.now();
    await next();
    log.info(
      { method: ctx.method, path: ctx.path, status: ctx.status, ms: Math.round(performance.now() - start) },
      'request',
    );
  });
  app.use(security());
  app.use(
    compress({
      threshold: 2048,
      filter: (type) => /json(?!l)|text|javascript|svg/.test(type) && !type.includes('ndjson'),
    }),
  );
  app.use(errors(log));
  app.use(sameOrigin(host));
  app.use((ctx, next) => {
    checkAddress(ctx.path);
    return next();
  });
  app.use((ctx, next) => {
    ctx.state.context = contextFor(base);
    return next();
  });
  app.use(rateLimit(mostAMinute));
  app.use(idempotent());
  for (const router of apiRouters(demoRoot)) app.use(router.routes());
  if (webRoot !== '') app.use(webFiles(webRoot));
  return app;
}

/** All that a program can ask for; `openApi` of the contract describes it. */
export function apiRouters(demoRoot: string): readonly Router[] {
  const others = new Router();
  const description = openApi();
  others.get('/api/health', async (ctx) => {
    await ctx.state.context.db.raw('select 1');
    ctx.body = { ok: true };
  });
  others.get('/api/openapi.json', (ctx) => {
    ctx.body = description;
  });
  others.post('/api/demo', async (ctx) => {
    ctx.body = { deck: await openDemo(ctx.state.context, demoRoot) };
    ctx.status = 201;
  });
  return [others, deckRoutes(), deckFileRoutes(), fileRoutes(), mapRoutes(), fontRoutes()];
}
