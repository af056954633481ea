/** Goes on when all was made, and makes anew what changes. */
import { watch } from 'node:fs';
import { dirname, join } from 'node:path';
import { isFolder } from './inputs.ts';

/** Programs write a file in several goes. */
const QUIET = 200; // milliseconds

/**
 * @param paths Files and folders whose changes count.
 * @param changed Told which files changed, when they have been quiet for a while; it is awaited before it is told again.
 */
export function watchPaths(paths: readonly string[], changed: (files: ReadonlySet<string>) => Promise<void>): void {
  const folders = new Set(paths.map((path) => (isFolder(path) ? path : dirname(path))));
  let waiting = new Set<string>();
  let timer: NodeJS.Timeout | undefined;
  let running = Promise.resolve();
  const tell = (): void => {
    const files = waiting;
    waiting = new Set();
    running = running.then(() => changed(files));
  };
  for (const folder of folders)
    watch(folder, { recursive: paths.includes(folder) }, (_, name) => {
      if (name === null) return;
      waiting.add(join(folder, name));
      clearTimeout(timer);
      timer = setTimeout(tell, QUIET);
    });
}
