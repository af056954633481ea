/** The one error path: every failure becomes a code, a sentence and what was kept. */
import type { Middleware } from 'koa';
import type { Logger } from 'pino';
import { AppError, failureOf } from '../services/app-error.ts';

export function errors(log: Logger): Middleware {
  return async (ctx, next) => {
    try {
      await next();
      if (ctx.status === 404 && (ctx.body === undefined || ctx.body === null)) throw new AppError('not-found');
    } catch (error) {
      const { status, body } = failureOf(error);
      if (status >= 500) log.error({ err: error, path: ctx.path }, 'request failed');
      ctx.status = status;
      ctx.body = body;
    }
  };
}
