/** The files of the fonts that ship, for those who edit a presentation elsewhere. */
import Router from '@koa/router';
import { isShipped } from '@alvex/core';
import { readFile, readdir } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { createRequire } from 'node:module';
import { AppError } from '../services/app-error.ts';

const STYLES = ['400Regular', '400Regular_Italic', '700Bold', '700Bold_Italic'];
const require = createRequire(import.meta.url);

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

/** The four faces and the licence under which they may be passed on. */
async function fontFiles(family: string): Promise<readonly { readonly name: string; readonly bytes: Uint8Array }[]> {
  const slug = family.toLowerCase().replaceAll(' ', '-');
  const folder = dirname(require.resolve(`@expo-google-fonts/${slug}/package.json`));
  const files = [{ name: 'LICENCE.txt', bytes: await readFile(join(folder, 'LICENSE_FONT')) }];
  for (const style of STYLES)
    for (const name of await readdir(join(folder, style)))
      if (name.endsWith('.ttf')) files.push({ name, bytes: await readFile(join(folder, style, name)) });
  return files;
}
