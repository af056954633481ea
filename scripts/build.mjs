/** Builds what is run: command line, server with its worker, and the web application. `npm run build [cli|server|web ...]` */
import { build } from 'esbuild';
import { existsSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { readFile, writeFile } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { promisify } from 'node:util';
import * as zlib from 'node:zlib';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const at = (...path) => join(root, ...path);
const node = {
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  logLevel: 'warning',
  // Packages stay outside: bundled, piscina's tasks hang.
  packages: 'external',
  // What is imported on demand stands in files of its own; without, its modules would be wrapped and run out of order.
  splitting: true,
  alias: {
    '@alvex/contract/api': at('packages/contract/src/api.ts'),
    '@alvex/contract/validate': at('packages/contract/src/validate.ts'),
    '@alvex/core': at('packages/core/src/index.ts'),
    '@alvex/contract': at('packages/contract/src/index.ts'),
    '@alvex/package-check': at('packages/package-check/src/index.ts'),
    '@alvex/raster': at('packages/raster/src/index.ts'),
    '@alvex/output': at('packages/output/src/index.ts'),
    '@alvex/font-files': at('packages/font-files/src/index.ts'),
  },
};

/** Packages of the older kind ask for others by `require`, which modules do not have. */
const REQUIRE =
  "import { createRequire as requireFor } from 'node:module'; const require = requireFor(import.meta.url);";

/** Files of an earlier build have other names and would stay. */
const fresh = (folder) => {
  for (const name of existsSync(folder) ? readdirSync(folder) : [])
    if (/\.mjs(\.map)?$/.test(name)) rmSync(join(folder, name));
  return folder;
};

const targets = {
  cli: () =>
    build({
      ...node,
      entryPoints: { alvex: at('packages/cli/src/main.ts'), worker: at('packages/cli/src/worker.ts') },
      // One file starts several times faster than some hundred; what has files of its own stays outside.
      packages: 'bundle',
      external: ['sharp', 'pdfkit', 'fontkit', '@hyzyla/pdfium', 'libxml2-wasm', 'subset-font', 'piscina'],
      banner: { js: REQUIRE },
      minifySyntax: true,
      outdir: fresh(at('packages/cli/dist')),
      outExtension: { '.js': '.mjs' },
    }),
  server: () =>
    build({
      ...node,
      entryPoints: { main: at('packages/server/src/main.ts'), worker: at('packages/server/src/jobs/worker.ts') },
      outdir: fresh(at('packages/server/dist')),
      outExtension: { '.js': '.mjs' },
      sourcemap: true,
    }),
  web: async () => {
    const vite = await import('vite');
    await vite.build({ root: at('packages/web'), configFile: at('packages/web/vite.config.ts'), logLevel: 'warn' });
    const assets = at('packages/web/dist/assets');
    const names = readdirSync(assets);
    // They are some megabytes, and one import from core that needs them brings them into what every station loads.
    const heavy = names.filter(
      (name) => name.endsWith('.js') && readFileSync(join(assets, name), 'utf8').includes('"unitsPerEm":'),
    );
    if (heavy.some((name) => !name.startsWith('core.worker')))
      throw new Error(`Measures of fonts belong into the worker alone; they are in ${heavy.join(', ')}.`);
    await Promise.all(
      names.filter((name) => /\.(js|css|wasm|ttf|svg)$/.test(name)).map((name) => pack(join(assets, name))),
    );
  },
};

/** Beside a file its packed forms, which `@koa/send` serves: packed once here, and not at each load of a page. */
async function pack(file) {
  const bytes = await readFile(file);
  const params = { [zlib.constants.BROTLI_PARAM_QUALITY]: 7 };
  await writeFile(`${file}.br`, await promisify(zlib.brotliCompress)(bytes, { params }));
  await writeFile(`${file}.gz`, await promisify(zlib.gzip)(bytes));
}

const chosen = process.argv.slice(2);
for (const [name, run] of Object.entries(targets)) if (chosen.length === 0 || chosen.includes(name)) await run();
