/** Routes of the author's own level maps. */
import Router from '@koa/router';
import { validateNewOwnMap, validateRenameOwnMap } from '@alvex/contract/validate';
import { dropMap, keepMap, ownMaps, renameOwnMap } from '../services/own-maps.ts';
import { readJson } from './body.ts';

export function mapRoutes(): Router {
  const router = new Router({ prefix: '/api/maps' });
  router.get('/', async (ctx) => {
    ctx.body = { maps: await ownMaps(ctx.state.context) };
  });
  router.post('/', async (ctx) => {
    ctx.body = { map: await keepMap(ctx.state.context, await readJson(ctx.req, validateNewOwnMap)) };
    ctx.status = 201;
  });
  router.patch('/:id', async (ctx) => {
    await renameOwnMap(ctx.state.context, ctx.params.id ?? '', (await readJson(ctx.req, validateRenameOwnMap)).name);
    ctx.status = 204;
  });
  router.delete('/:id', async (ctx) => {
    await dropMap(ctx.state.context, ctx.params.id ?? '');
    ctx.status = 204;
  });
  return router;
}
