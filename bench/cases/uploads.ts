/** Ten documents of 20 MB sent at once to the real server: its memory over the idle one, and how long others wait. */
import { Document, HeadingLevel, ImageRun, Packer, Paragraph } from 'docx';
import { encode } from 'fast-png';
import { once } from 'node:events';
import { readFileSync } from 'node:fs';
import { Worker } from 'node:worker_threads';
import { Alvex } from '../../e2e/alvex.ts';
import { random } from '../../packages/core/src/test/build.ts';
import { sentence, tell } from '../measure.ts';

const UPLOADS = 10;
const MEGABYTES = 20;
const EDGE = 1000; // pixels of a picture, which then has 3 MB

const megabytesOf = (pid: number): number =>
  Number(/^VmRSS:\s+(\d+) kB/m.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))![1]) / 1024;
const pause = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

/** Text of a hundred pages and pictures that cannot be packed. */
async function report(seed: number): Promise<Buffer> {
  const next = random(seed);
  const noise = (): Buffer => {
    const data = new Uint8Array(EDGE * EDGE * 3).map(() => Math.floor(next() * 256));
    return Buffer.from(encode({ width: EDGE, height: EDGE, data, channels: 3 }));
  };
  const pictures = Array.from({ length: Math.floor(MEGABYTES / 3) }, () => noise());
  const children = Array.from({ length: 200 }, (_, i) => [
    new Paragraph({ text: sentence(seed + i, 5), heading: HeadingLevel.HEADING_1 }),
    ...Array.from({ length: 4 }, (_, k) => new Paragraph(sentence(seed + i * 7 + k, 60))),
  ]).flat();
  for (const data of pictures)
    children.push(
      new Paragraph({ children: [new ImageRun({ type: 'png', data, transformation: { width: 300, height: 300 } })] }),
    );
  return Packer.toBuffer(new Document({ sections: [{ children }] }));
}

const files: Buffer[] = [];
for (let i = 0; i < UPLOADS; i++) files.push(await report(i + 1));
const alvex = new Alvex();
await alvex.start();
try {
  const server = alvex.processOf('server');
  await fetch(`${alvex.address}/api/decks`);
  await pause(1000);
  const idle = megabytesOf(server);
  let [peak, longest, running] = [idle, 0, true];
  // Whoever waits has a thread of its own: this one is busy with sending.
  const other = new Worker(
    `const { workerData, parentPort } = require('node:worker_threads');
    const pause = (ms) => new Promise((resolve) => setTimeout(resolve, ms));
    let [longest, running] = [0, true];
    parentPort.on('message', () => (running = false));
    (async () => {
      while (running) {
        const start = performance.now();
        await (await fetch(workerData)).arrayBuffer();
        longest = Math.max(longest, performance.now() - start);
        await pause(10);
      }
      parentPort.postMessage(longest);
      parentPort.close();
    })();`,
    { eval: true, workerData: `${alvex.address}/api/decks` },
  );
  const watching = (async () => {
    while (running) {
      peak = Math.max(peak, megabytesOf(server));
      await pause(10);
    }
    other.postMessage('end');
    [longest] = (await once(other, 'message')) as [number];
  })();
  const start = performance.now();
  const places: number[] = [];
  await Promise.all(
    files.map(async (body, i) => {
      const response = await fetch(`${alvex.address}/api/decks?name=r${i}.docx`, {
        method: 'POST',
        body: new Uint8Array(body),
        headers: { Accept: 'application/x-ndjson' },
      });
      const lines = (await response.text())
        .trim()
        .split('\n')
        .map((line) => JSON.parse(line) as Record<string, unknown>);
      if (lines.at(-1)?.['deck'] === undefined) throw new Error(JSON.stringify(lines.at(-1)));
      places.push(...lines.flatMap(({ waiting }) => (typeof waiting === 'number' ? [waiting] : [])));
    }),
  );
  const ms = performance.now() - start;
  running = false;
  await watching;
  tell(ms, {
    idle,
    over: peak - idle,
    longest,
    farthest: Math.max(0, ...places) + 1,
    megabytes: files.reduce((sum, { length }) => sum + length, 0) / 1e6 / UPLOADS,
  });
} finally {
  await alvex.stop();
  alvex.clean();
}
