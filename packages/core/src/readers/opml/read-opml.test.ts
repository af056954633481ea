import { expect, test } from '@jest/globals';
import { shortBlock } from '../../test/short-block.ts';
import { readOpml } from './read-opml.ts';

const read = (body: string, head = '') =>
  readOpml(
    new TextEncoder().encode(
      `<?xml version="1.0"?><opml version="2.0"><head>${head}</head><body>${body}</body></opml>`,
    ),
  ).document;

test('items are headings while all beside them have items; notes are text, addresses links', () => {
  const document = read(
    '<outline text="One"><outline text="a" _note="say&#10;&#10;this"/><outline text="b &lt;b&gt;bold&lt;/b&gt;"><outline text="c" url="https://a.example/"/></outline></outline><outline text="Two"><outline text="Three"><outline text="d"/></outline></outline>',
    '<title>Plan</title>',
  );
  expect(document.title).toBe('Plan');
  expect(document.blocks.map(shortBlock)).toEqual([
    'h1 One',
    '- a',
    'p say',
    'p this',
    '- b bold',
    '  - c',
    'h1 Two',
    'h2 Three',
    '- d',
  ]);
  expect(document.blocks[5]).toMatchObject({ runs: [{ link: 'https://a.example/' }] });
});

test('what is no outline, or an empty one, is refused', () => {
  expect(() => readOpml(new TextEncoder().encode('<x/>'))).toThrow(expect.objectContaining({ code: 'wrong-type' }));
  expect(() => read('')).toThrow(expect.objectContaining({ code: 'empty' }));
});
