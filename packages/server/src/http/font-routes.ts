/** The files of the fonts that ship, for those who edit a presentation elsewhere. */
import Router from '@koa/router';
import { isShipped } from '@alvex/core';
import { fontFiles } from '@alvex/font-files';
import { AppError } from '../services/app-error.ts';

export function fontRoutes(): Router {
  const router = new Router({ prefix: '/api/fonts' });
  router.get('/:family.zip', async (ctx) => {
    const family = ctx.params.family ?? '';
    if (!isShipped(family)) throw new AppError('not-found');
    ctx.attachment(`${family}.zip`);
    ctx.type = 'application/zip';
    ctx.body = Buffer.from(await ctx.state.context.jobs.run('zip', { files: await fontFiles(family), level: 6 }));
  });
  return router;
}
