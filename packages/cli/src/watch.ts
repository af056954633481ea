/** Goes on when all was made, and makes anew what changes. */
import { once } from 'node:events';
import { basename, resolve } from 'node:path';
import { watch } from 'chokidar';

/** Programs write a file in several goes. */
const QUIET = 200; // milliseconds

/**
 * Comes back when it looks: what is changed from then on is told.
 * @param paths Files and folders whose changes count; what is hidden in folders, and what programs keep for themselves, does not.
 * @param changed Told which files changed, when they have been quiet for a while; it is awaited before it is told again.
 */
export async function watchPaths(
  paths: readonly string[],
  changed: (files: ReadonlySet<string>) => Promise<void>,
): Promise<void> {
  const named = new Set(paths);
  const isKept = (path: string): boolean => !named.has(path) && /^(?:\.|node_modules$)/.test(basename(path));
  let waiting = new Set<string>();
  let timer: NodeJS.Timeout | undefined;
  let running = Promise.resolve();
  const tell = (): void => {
    const files = waiting;
    waiting = new Set();
    running = running.then(() => changed(files));
  };
  const watcher = watch([...paths], { ignoreInitial: true, ignored: isKept });
  watcher.on('all', (_, path) => {
    waiting.add(resolve(path));
    clearTimeout(timer);
    timer = setTimeout(tell, QUIET);
  });
  await once(watcher, 'ready');
}
