/** Takes no more heavy work in a minute than is useful to anybody: a script that went wild must not hold up a person. */
import type { Context as KoaContext, Middleware } from 'koa';
import { RateLimiterMemory, RateLimiterRes } from 'rate-limiter-flexible';
import { AppError } from '../services/app-error.ts';

/** What reads or writes files; edits and what is looked at are not counted. */
const isHeavy = ({ method, path }: KoaContext): boolean =>
  (method === 'POST' && !path.endsWith('/entries')) || /\/deck\.[\w.]+$/.test(path);

/** @param most Of heavy requests in a minute, for each address that asks. Each server counts for itself. */
export function rateLimit(most: number): Middleware {
  const limiter = new RateLimiterMemory({ points: most, duration: 60 });
  return async (ctx, next) => {
    if (!isHeavy(ctx)) return next();
    const state = await limiter.consume(ctx.ip).catch((refused: unknown) => {
      if (refused instanceof RateLimiterRes) return refused;
      throw refused;
    });
    const seconds = String(Math.ceil(state.msBeforeNext / 1000));
    ctx.set({
      'RateLimit-Limit': String(most),
      'RateLimit-Remaining': String(state.remainingPoints),
      'RateLimit-Reset': seconds,
    });
    if (state.consumedPoints > most) {
      ctx.req.resume();
      ctx.set('Retry-After', seconds);
      throw new AppError('too-much', `Try again in ${seconds} ${seconds === '1' ? 'second' : 'seconds'}.`);
    }
    return next();
  };
}
