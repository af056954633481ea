/**
 * Refuses what another site's page asks for: there is no sign-in yet that could tell the two apart.
 * On loopback the name that was asked for must be this computer's, else a name that somebody points here could read all.
 */
import type { Middleware } from 'koa';
import { AppError } from '../services/app-error.ts';

const LOOPBACK = new Set(['localhost', '127.0.0.1', '[::1]']);
const READING = new Set(['GET', 'HEAD']);

/** @param host Address that the server listens on. */
export function sameOrigin(host: string): Middleware {
  const local = LOOPBACK.has(host);
  return async (ctx, next) => {
    if (local && !LOOPBACK.has(ctx.hostname))
      throw new AppError('bad-request', 'It was sent to another name than this computer’s.');
    const site = ctx.get('Sec-Fetch-Site');
    const origin = ctx.get('Origin');
    const foreignSite = site !== '' && site !== 'same-origin' && site !== 'none';
    const foreignOrigin = origin !== '' && origin !== `${ctx.protocol}://${ctx.host}`;
    if ((foreignSite || foreignOrigin) && !READING.has(ctx.method))
      throw new AppError('bad-request', 'It came from another site.');
    await next();
  };
}
