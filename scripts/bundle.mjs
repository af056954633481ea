/** Bundles what stands outside of the packages, to be run by Node: benchmarks, faults, contact sheets. */
import { build } from 'esbuild';
import { join } from 'node:path';

/** @param outputs Where to write, inside the project so that packages are found from there: `outfile` or `outdir`. */
export const bundle = (root, entryPoints, outputs) =>
  build({
    entryPoints: entryPoints.map((path) => join(root, path)),
    bundle: true,
    platform: 'node',
    format: 'esm',
    jsx: 'automatic',
    packages: 'external',
    logLevel: 'error',
    alias: Object.fromEntries(
      ['contract', 'core', 'font-files', 'raster'].map((name) => [
        `@alvex/${name}`,
        join(root, `packages/${name}/src/index.ts`),
      ]),
    ),
    define: { 'import.meta.dirname': JSON.stringify(join(root, 'e2e')) },
    ...outputs,
  });
