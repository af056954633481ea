/** The files of the fonts that ship, for those who edit a presentation elsewhere. */
import Router from '@koa/router';
import { isShipped } from '@alvex/core';
import { zipSync } from 'fflate';
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
    const files = await fontFiles(family);
    ctx.attachment(`${family}.zip`);
    ctx.type = 'application/zip';
    ctx.body = Buffer.from(zipSync(files, { level: 6, mtime: new Date('1980-01-01T00:00:00') }));
  });
  return router;
}

/** The four faces and the licence under which they may be passed on. */
async function fontFiles(family: string): Promise<Record<string, Uint8Array>> {
  const slug = family.toLowerCase().replaceAll(' ', '-');
  const folder = dirname(require.resolve(`@expo-google-fonts/${slug}/package.json`));
  const files: Record<string, Uint8Array> = { 'LICENCE.txt': await readFile(join(folder, 'LICENSE_FONT')) };
  for (const style of STYLES)
    for (const name of await readdir(join(folder, style)))
      if (name.endsWith('.ttf')) files[name] = await readFile(join(folder, style, name));
  return files;
}
