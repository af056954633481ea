import { expect, test } from '@jest/globals';
import { USUAL_LANGUAGE } from '../base/index.ts';
import type { DocumentModel } from '../document/index.ts';
import { convert } from '../pipeline/index.ts';
import { doc, h, li, p } from '../test/build.ts';
import { makeScene } from './scene.ts';

const about = { title: 'The mill', author: null, language: USUAL_LANGUAGE };

function scene(document: DocumentModel) {
  const map = convert(document, []).map;
  const { pages, theme } = convert(document, [
    { kind: 'map', name: null, map: { ...map, heading1: 'section', heading2: 'title' } },
  ]);
  return makeScene(pages, theme, about);
}

test('slides are numbered, know their layout and title, and keep their notes', () => {
  const { slides } = scene(doc(h(2, 'A'), li('a'), p('say this'), h(2, 'B'), li('b')));
  expect(slides.map(({ number, title, layout, notes }) => [number, title, layout.name, notes.length])).toEqual([
    [1, 'A', 'statement', 1],
    [2, 'B', 'statement', 0],
  ]);
});

test('sections cover all slides or none', () => {
  expect(scene(doc(h(2, 'A'), li('a'))).sections).toEqual([]);
  const { sections, slides } = scene(
    doc(h(2, 'Before'), li('a'), h(1, 'One'), h(2, 'B'), li('b'), h(1, 'Two'), h(2, 'C'), li('c')),
  );
  expect(slides.map(({ title }) => title)).toEqual(['Before', 'One', 'B', 'Two', 'C']);
  expect(sections).toEqual([
    { title: 'The mill', from: 0 },
    { title: 'One', from: 1 },
    { title: 'Two', from: 3 },
  ]);
});
