/** Long work, which ends when nobody waits for it, and tells how far it is where that is wanted. */
import { PassThrough } from 'node:stream';
import type { Context as KoaContext } from 'koa';
import type { Watching } from '../jobs/pool.ts';
import { failureOf } from '../services/app-error.ts';

/** Tells when nobody waits for the answer any more. */
export function gone(ctx: KoaContext): AbortSignal {
  const cancel = new AbortController();
  ctx.res.on('close', () => {
    if (!ctx.res.writableFinished) cancel.abort();
  });
  return cancel.signal;
}

interface Ended {
  /** The last line. */
  readonly last: object;
  /** What follows it. */
  readonly bytes?: Uint8Array;
}

/** Tells of the progress line by line; the last line is what was made, or the failure. */
export function watched(
  ctx: KoaContext,
  type: string,
  work: (watching: Watching) => Promise<Ended>,
  cancel: AbortSignal,
): void {
  const stream = new PassThrough();
  const say = (line: object): void => {
    if (!stream.destroyed) stream.write(`${JSON.stringify(line)}\n`);
  };
  ctx.status = 200;
  ctx.type = type;
  ctx.body = stream;
  work({ progress: (progress) => say({ progress }), waiting: (waiting) => say({ waiting }), cancel })
    .then(
      async ({ last, bytes }) => {
        await ctx.state.answered?.({ status: 201, body: last });
        say(last);
        if (bytes !== undefined && !stream.destroyed) stream.write(bytes);
      },
      async (error: unknown) => {
        await ctx.state.answered?.(undefined);
        const { status, body } = failureOf(error);
        if (status >= 500) ctx.app.emit('error', error, ctx);
        say(body);
      },
    )
    .catch((error: unknown) => {
      ctx.app.emit('error', error, ctx);
      say(failureOf(error).body);
    })
    .finally(() => stream.end());
}
