/** Answers what is sent a second time with the same key as the first (IETF draft-ietf-httpapi-idempotency-key-header). */
import { Stream } from 'node:stream';
import type { Middleware } from 'koa';
import { AppError } from '../services/app-error.ts';
import { once } from '../services/once.ts';

const KEY = /^[\x21-\x7e]{1,200}$/;

export function idempotent(): Middleware {
  return async (ctx, next) => {
    const key = ctx.get('Idempotency-Key');
    if (key === '' || ctx.method !== 'POST') return next();
    if (!KEY.test(key)) throw new AppError('bad-request', 'An Idempotency-Key is 1 to 200 signs without blanks.');
    // What the body holds is told by its length: it may be hundreds of megabytes.
    const { before, end } = await once(ctx.state.context, key, `${ctx.url} ${ctx.get('Content-Length')}`);
    if (before !== undefined) {
      ctx.req.resume();
      const watched = ctx.get('Accept') === 'application/x-ndjson';
      ctx.status = watched ? 200 : before.status;
      ctx.type = watched ? 'application/x-ndjson' : 'application/json';
      ctx.body = `${JSON.stringify(before.body)}\n`;
      return;
    }
    ctx.state.answered = end;
    try {
      await next();
    } catch (error) {
      await end(undefined);
      throw error;
    }
    // What is watched tells itself when it is done.
    if (!(ctx.body instanceof Stream)) await end(ctx.status < 400 ? { status: ctx.status, body: ctx.body } : undefined);
  };
}
