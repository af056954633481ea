/** Slides of one title, each called after what it stands below or what is on it. */
import { expect, test } from '@jest/globals';
import { runsText } from '../content/index.ts';
import { doc, h, li, p, type Draft } from '../test/build.ts';
import { mapDocument } from './map-document.ts';
import { presetMap } from './preset-maps.ts';
import { toldApart } from './told-apart.ts';

/** Titles of the slides that headings of all levels make. */
function titles(...drafts: readonly Draft[]): readonly string[] {
  const document = doc(...drafts);
  const map = presetMap('talk', document);
  const every = { ...map, heading1: 'title', heading2: 'title', heading3: 'title' } as const;
  const { slides } = mapDocument(document, every);
  return toldApart(slides, document).map(({ title }) => runsText(title.runs));
}
const long = 'A heading of so many words that nobody would call a slide after it';

test('by the heading above, the nearest that is higher', () => {
  expect(
    titles(
      ...[
        h(1, 'Library'),
        h(2, 'Install'),
        li('a'),
        h(3, 'Notes'),
        li('b'),
        h(2, 'Use'),
        li('c'),
        h(3, 'Notes'),
        li('d'),
      ],
      ...[h(1, 'Server'), h(2, 'Install'), li('e'), h(3, 'Notes'), li('f')],
    ),
  ).toEqual(['Library', 'Install', 'Notes', 'Use', 'Notes: Use', 'Server', 'Install: Server', 'Notes: Install']);
});

test('a heading that is left out, or has too many words, gives no name; then what is on the slide does', () => {
  const twice = (above: Draft): readonly string[] =>
    titles(
      ...[h(1, 'Begin'), h(1, 'One'), h(2, 'Install'), li('First of all'), h(2, 'Use'), li('At once')],
      ...[above, h(2, 'Install'), li('Open the gate')],
    );
  expect(twice(h(1, 'Server')).at(-1)).toBe('Install: Server');
  expect(twice({ ...h(1, 'Server'), left: 'hidden' } as Draft).at(-1)).toBe('Install: One');
  expect(twice(h(1, long)).at(-1)).toBe('Install: Open the gate');
});

test('beside each other by what is on them; by number where nothing tells them apart', () => {
  expect(titles(h(1, 'Gates'), li('of oak'), h(1, 'Gates'), li('of elm'), h(1, 'Gates'), li('of elm'))).toEqual([
    'Gates',
    'Gates: of elm',
    'Gates (3)',
  ]);
  expect(titles(h(1, 'Gates'), h(1, 'Gates')).at(-1)).toBe('Gates (2)');
  expect(titles(h(1, 'Gates'), li('of oak'), h(1, 'Wheel'), p('It turns.'))).toEqual(['Gates', 'Wheel']);
});

test('the same slides are told apart as the same slides, down to their identity', () => {
  const document = doc(h(1, 'Gates'), li('of oak'), h(1, 'Gates'), li('of elm'));
  const { slides } = mapDocument(document, presetMap('talk', document));
  const [first, second] = [toldApart(slides, document), toldApart(slides, document)];
  expect(first.every((slide, i) => slide === second[i])).toBe(true);
  expect(first[1]).not.toBe(slides[1]);
});
