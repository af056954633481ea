/** Headers that keep a page from loading or sending anything but its own. */
import { randomBytes } from 'node:crypto';
import type { Middleware } from 'koa';
import helmet from 'koa-helmet';

export function security(): Middleware {
  return async (ctx, next) => {
    const nonce = randomBytes(16).toString('base64');
    ctx.state.nonce = nonce;
    await helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'none'"],
          scriptSrc: ["'self'"],
          workerSrc: ["'self'"],
          styleSrc: ["'self'", `'nonce-${nonce}'`],
          imgSrc: ["'self'", 'data:', 'blob:'],
          fontSrc: ["'self'"],
          connectSrc: ["'self'"],
          formAction: ["'none'"],
          frameAncestors: ["'none'"],
          baseUri: ["'none'"],
        },
      },
      // Plain HTTP on loopback.
      strictTransportSecurity: false,
    })(ctx, next);
  };
}
