/** Refuses writes that another site's page sends: there is no sign-in yet that could tell them apart. */
import type { Middleware } from 'koa';
import { AppError } from '../services/app-error.ts';

export const sameOrigin: Middleware = async (ctx, next) => {
  const site = ctx.get('Sec-Fetch-Site');
  const origin = ctx.get('Origin');
  const foreign =
    (site !== '' && site !== 'same-origin' && site !== 'none') || (origin !== '' && new URL(origin).host !== ctx.host);
  if (foreign && ctx.method !== 'GET' && ctx.method !== 'HEAD')
    throw new AppError('bad-request', 'It came from another site.');
  await next();
};
