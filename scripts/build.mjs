/** Builds what is run: command line, server with its worker, and the web application. `npm run build [cli|server|web ...]` */
import { build, transform } from 'esbuild';
import { execFileSync } from 'node:child_process';
import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { readFile, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { basename, dirname, join } from 'node:path';
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
    if (/\.[cm]js(\.map|\.code)?$/.test(name)) rmSync(join(folder, name));
  return folder;
};

const targets = {
  cli: async () => {
    const folder = fresh(at('packages/cli/dist'));
    const { metafile } = await build({
      ...node,
      entryPoints: {
        start: at('packages/cli/src/start.ts'),
        alvex: at('packages/cli/src/main.ts'),
        worker: at('packages/cli/src/worker.ts'),
      },
      // One file starts several times faster than some hundred; what has files of its own stays outside.
      packages: 'bundle',
      external: ['sharp', 'pdfkit', 'fontkit', '@hyzyla/pdfium', 'libxml2-wasm', 'subset-font', 'piscina'],
      banner: { js: REQUIRE },
      minifySyntax: true,
      outdir: folder,
      outExtension: { '.js': '.mjs' },
      metafile: true,
    });
    await asScripts(folder, metafile.outputs);
    const made = mkdtempSync(join(tmpdir(), 'alvex-build-'));
    const convert = ['convert', at('packages/demo/files/minutes-october.docx'), '-o', join(made, 'minutes.pptx')];
    execFileSync('node', [join(folder, 'start.mjs'), ...convert], {
      env: { ...process.env, ALVEX_KEEP_CODE: '1' },
      stdio: ['ignore', 'ignore', 'inherit'],
    });
    rmSync(made, { recursive: true });
  },
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

/** Turns what the command always loads into scripts, since Node keeps no code of modules (`packages/cli/src/start.ts`); what it loads on demand stays modules. */
async function asScripts(folder, outputs) {
  const always = new Set();
  const walk = (path) => {
    if (always.has(path)) return;
    always.add(path);
    for (const { path: next, kind, external } of outputs[path].imports)
      if (kind === 'import-statement' && external !== true) walk(next);
  };
  walk(Object.keys(outputs).find((path) => basename(path) === 'alvex.mjs'));
  const names = [...always].map((path) => basename(path, '.mjs'));
  const asked = [...always].flatMap((path) => outputs[path].imports.filter(({ kind }) => kind === 'dynamic-import'));
  const asScript = (code) => names.reduce((text, name) => text.replaceAll(`"./${name}.mjs"`, `"./${name}.cjs"`), code);
  const onDemand = new Set(asked.map(({ path, external }) => asScript(`"${external ? path : `./${basename(path)}`}"`)));
  for (const file of readdirSync(folder).filter((name) => name.endsWith('.mjs'))) {
    const code = asScript(readFileSync(join(folder, file), 'utf8'));
    const name = basename(file, '.mjs');
    if (!names.includes(name)) writeFileSync(join(folder, file), code);
    else {
      const script = await transform(code, {
        format: 'cjs',
        platform: 'node',
        target: node.target,
        define: { 'import.meta.url': 'MODULE_URL' },
        banner:
          'const MODULE_URL = require("node:url").pathToFileURL(__filename).href, importHere = module.importHere ?? ((name) => import(name));',
      });
      let text = script.code;
      for (const path of onDemand) text = text.replaceAll(`import(${path})`, `importHere(${path})`);
      writeFileSync(join(folder, `${name}.cjs`), text);
      rmSync(join(folder, file));
    }
  }
}

/** Beside a file its packed forms, which `@koa/send` serves: packed once here, and not at each load of a page. */
async function pack(file) {
  const bytes = await readFile(file);
  const params = { [zlib.constants.BROTLI_PARAM_QUALITY]: 7 };
  await writeFile(`${file}.br`, await promisify(zlib.brotliCompress)(bytes, { params }));
  await writeFile(`${file}.gz`, await promisify(zlib.gzip)(bytes));
}

const chosen = process.argv.slice(2);
for (const [name, run] of Object.entries(targets)) if (chosen.length === 0 || chosen.includes(name)) await run();
