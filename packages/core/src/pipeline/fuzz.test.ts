/** Damaged files of every format: never a crash, a hang or a lost word. ALVEX_FUZZ sets how many of each; ALVEX_SEED where to begin. */
import { expect, test } from '@jest/globals';
import { strToU8, unzipSync, zipSync } from 'fflate';
import { ReadError } from '../base/index.ts';
import { detectType } from '../readers/index.ts';
import { findings, lookAlikes } from '../structure/index.ts';
import { random } from '../test/build.ts';
import { FIXTURES } from '../test/fixtures.ts';
import { mutate } from '../test/mutate.ts';
import { convert } from './convert.ts';
import { openDocument } from './open-document.ts';

const rounds = Number(process.env['ALVEX_FUZZ'] ?? 12);
const seed = Number(process.env['ALVEX_SEED'] ?? 1);
const MOST_SECONDS = 10;
/** Seconds that this process has been at work: what else the machine does is no fault of ours. */
const busy = (): number => Object.values(process.cpuUsage()).reduce((sum, part) => sum + part, 0) / 1e6;
const MOST_MEGABYTES = 1024;
/** Peak of this process in MB. Other tests may have raised it before; `npm test` runs this file in a process of its own. */
const peak = (): number => process.resourceUsage().maxRSS / 1024;
const before = peak();

/** Packages are damaged within their parts too: what is wrong outside of them is found at once. */
function damaged(bytes: Uint8Array, file: string, next: () => number): Uint8Array {
  if (!/\.(docx|odt|pptx|odp)$/.test(file) || next() < 0.3) return mutate(bytes, next);
  const parts = unzipSync(bytes);
  const inner = Object.keys(parts).filter((part) => part.endsWith('.xml') || part.endsWith('.rels'));
  const part = inner[Math.floor(next() * inner.length)]!;
  return zipSync({ ...parts, [part]: mutate(parts[part]!, next) }, { level: 1 });
}

test.each(FIXTURES)(
  '$name, damaged',
  async ({ name, file, bytes: original }) => {
    for (let i = 0; i < rounds; i++) {
      const next = random(seed * 1000 + i);
      const bytes = damaged(original, file, next);
      const start = busy();
      const told = `${name}, seed ${seed * 1000 + i}`;
      try {
        const { document } = await openDocument(bytes, detectType(bytes, file));
        lookAlikes(document);
        findings(document, { titleFits: () => true });
        expect([told, convert(document, []).ledger.lost]).toEqual([told, 0]);
      } catch (error) {
        // The one error of readers has a code and a sentence; anything else is a fault of ours.
        if (!(error instanceof ReadError)) throw new Error(told, { cause: error });
        expect(error.message).not.toBe('');
      }
      expect([told, busy() - start < MOST_SECONDS]).toEqual([told, true]);
    }
    expect(peak() - before).toBeLessThan(MOST_MEGABYTES);
  },
  600_000,
);

test.each([
  ['html', '<title'],
  ['html', '<!--StartFragment-->'],
  ['html', '<p '],
  ['html', '<!---->'],
  ['html', '<a href="x">a</a> '],
  ['html', '<div class="ad share nav">x</div>'],
  ['html', '<table><tr><td>x</td></tr></table>'],
  ['text', '. '],
  ['text', '[a '],
  ['text', '\n- a'],
  ['text', '1.1.1.1 a\n\n'],
  ['text', 'A B C\n\n'],
  ['text', '\t'],
  ['markdown', '[['],
  ['markdown', '**a '],
  ['markdown', '> '],
  ['markdown', '|-|-|\n'],
  ['rtf', '{\\b x}'],
  ['rtf', '\\par\\trowd\\cellx1\\intbl a\\cell\\row '],
  ['rtf', "\\'e9"],
  ['opml', '<outline text="a"/>'],
] as const)('%s of nothing but %j is read or refused in time', async (type, piece) => {
  const body = piece.repeat(Math.ceil(300_000 / piece.length));
  const source = type === 'rtf' ? `{\\rtf1 ${body}}` : type === 'opml' ? `<opml><body>${body}</body></opml>` : body;
  const start = busy();
  const bytes = strToU8(source);
  detectType(bytes, 'x.html');
  await openDocument(bytes, type)
    .then(({ document }) => {
      lookAlikes(document);
      findings(document, { titleFits: () => true });
    })
    .catch((error: unknown) => expect(error).toBeInstanceOf(ReadError));
  expect(busy() - start).toBeLessThan(MOST_SECONDS);
});

test('files of nothing but noise are refused or read', async () => {
  for (let i = 0; i < rounds * 3; i++) {
    const next = random(seed * 7919 + i);
    const bytes = Uint8Array.from({ length: 1 + Math.floor(next() * 3000) }, () => Math.floor(next() * 256));
    for (const start of ['', 'PK\u0003\u0004', '{\\rtf1', '%PDF-1.7\n', '<html>', '<opml>']) {
      const file = Uint8Array.from(Buffer.concat([strToU8(start), bytes]));
      await Promise.resolve()
        .then(() => openDocument(file, detectType(file, 'noise')))
        .catch((error: unknown) => expect(error).toBeInstanceOf(ReadError));
    }
  }
}, 120_000);
