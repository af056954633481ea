import { expect, test } from '@jest/globals';
import { readXmlText } from '../container/index.ts';
import { dress, plainLook } from '../theme/index.ts';
import { LIBRARY, searchWords, TagIndex } from './index.ts';

const index = new TagIndex(LIBRARY);
const found = (text: string): readonly string[] => index.search(searchWords(text), 3).map(({ name }) => name);

test('pictures are found by what a slide says, in several languages, in any form of the word', () => {
  expect(found('How the mill wheels turn')[0]).toBe('mill');
  expect(found('Boats')[0]).toBe('boats');
  expect(found('Die Mühle am Hafen')).toContain('mill');
  expect(found('Le pont')[0]).toBe('bridge');
  expect(found('El presupuesto: dinero y coste')[0]).toBe('coins');
});

test('where no word is a tag there is nothing', () => {
  expect(found('xyzzy and the of')).toEqual([]);
  expect(searchWords('the and mit für')).toEqual([]);
});

test('every picture is well-formed, says what it shows, and wears the colours of the deck', () => {
  const { palette } = dress(plainLook('millrace'));
  for (const picture of LIBRARY) {
    const svg = picture.svg(palette);
    readXmlText(svg, { open: () => undefined });
    expect(svg).toContain(`#${palette.panel}`);
    expect(picture.shows.length).toBeGreaterThan(5);
    expect(svg).not.toMatch(/NaN|undefined/);
  }
  expect(LIBRARY.length).toBeGreaterThanOrEqual(24);
});

test('a name weighs more than a tag, a rare tag more than a common one', () => {
  const few = new TagIndex([
    { name: 'gate', tags: ['wood'] },
    { name: 'fence', tags: ['gate', 'wood'] },
    { name: 'plank', tags: ['wood'] },
  ]);
  expect(few.search(['gate', 'wood'], 3).map(({ name }) => name)).toEqual(['gate', 'fence', 'plank']);
});
