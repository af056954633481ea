/**
 * Compiles for Jest as `@swc/jest` does, and gives each module the globals that it names as constants of its own.
 * Modules of tests run in a context of `node:vm`, where each look at a global goes through an interceptor: `Math.max` takes some 30 times as long.
 */
import { readFileSync } from 'node:fs';
import swc from '@swc/jest';

/** Those that no test puts something else in the place of. */
const GLOBALS =
  'Array ArrayBuffer BigInt Boolean DataView Error Float32Array Float64Array Infinity Int32Array Intl JSON Map Math NaN Number Object Promise RangeError RegExp Set String Symbol TextDecoder TextEncoder TypeError URL Uint16Array Uint32Array Uint8Array WeakMap WeakSet parseFloat parseInt'.split(
    ' ',
  );
const self = readFileSync(new URL(import.meta.url), 'utf8');

/** On the first line, before what stands there: places in the source stay as they are. */
function withConstants(source) {
  const names = new Set(source.match(/\b[A-Za-z]\w+\b/g));
  const declared = new Set(
    [...source.matchAll(/\b(?:const|let|function|class|as|import)\s+(\w+)/g)].map(([, name]) => name),
  );
  const used = GLOBALS.filter((name) => names.has(name) && !declared.has(name));
  return used.length === 0 ? source : `const { ${used.join(', ')} } = globalThis; ${source}`;
}

export default {
  createTransformer(options) {
    const inner = swc.createTransformer(options);
    return {
      ...inner,
      process: (source, ...rest) => inner.process(withConstants(source), ...rest),
      processAsync: (source, ...rest) => inner.processAsync(withConstants(source), ...rest),
      getCacheKey: (source, ...rest) => inner.getCacheKey(self + source, ...rest),
    };
  },
};
