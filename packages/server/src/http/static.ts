/** Serves the built web application; every address that is not a file is the application's own. */
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { Middleware } from 'koa';
import { send } from '@koa/send';

export function webFiles(root: string): Middleware {
  return async (ctx, next) => {
    if ((ctx.method !== 'GET' && ctx.method !== 'HEAD') || ctx.path.startsWith('/api/')) return next();
    if (!/\.[a-z0-9]+$/i.test(ctx.path)) {
      const page = await readFile(join(root, 'index.html'), 'utf8');
      ctx.type = 'text/html';
      ctx.set('Cache-Control', 'no-store');
      ctx.body = page.replaceAll('%NONCE%', String(ctx.state.nonce));
      return undefined;
    }
    const immutable = ctx.path.startsWith('/assets/');
    await send(ctx, ctx.path, {
      root,
      setHeaders: (res) =>
        void res.setHeader('Cache-Control', immutable ? 'public, max-age=31536000, immutable' : 'no-cache'),
    }).catch((error: { status?: number }) => {
      if (error.status !== 404) throw error;
    });
    return undefined;
  };
}
