/** Starts the command with what V8 made of it when it was built (`cachedData` of node:vm): to compile it anew takes as long as a short document. */
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import Module, { createRequire } from 'node:module';
import { dirname } from 'node:path';
import { Script } from 'node:vm';

/** Set by the build, which runs the command once. */
const keeps = process.env['ALVEX_KEEP_CODE'] === '1';
const load = createRequire(import.meta.url);

load.extensions['.cjs'] = (module, filename) => {
  const code = `${filename}.code`;
  const script = new Script(Module.wrap(readFileSync(filename, 'utf8')), {
    filename,
    // Another version of Node refuses it, and compiles as ever.
    ...(!keeps && existsSync(code) ? { cachedData: readFileSync(code) } : {}),
  });
  if (keeps) process.on('exit', () => writeFileSync(code, script.createCachedData()));
  // What was kept does not know whom to ask for a module (in Node 20), so that it asks here.
  Object.assign(module, { importHere: (name: string) => import(name) });
  const run = script.runInThisContext() as (...scope: readonly unknown[]) => void;
  run.call(module.exports, module.exports, createRequire(filename), module, filename, dirname(filename));
};
load('./alvex.cjs');
