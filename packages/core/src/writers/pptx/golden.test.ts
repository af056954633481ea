/** Every part of a small presentation, and a slide of each layout: the golden files hold them. */
import { test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { awkwardTemplate, plainTemplate, usualTemplate } from '../../../../demo/src/templates.ts';
import { convert, writeDeck as write } from '../../pipeline/index.ts';
import { readTemplate } from '../../template/index.ts';
import { doc, h, li, p, table, THEMES } from '../../test/build.ts';
import { otherLibrary, paintedTemplate } from '../../test/foreign-templates.ts';
import { GOLDEN, holdTo } from '../../test/golden.ts';
import { packageLines } from '../../test/package-lines.ts';
import { layoutsScene, millScene, MIRRORED, pictureBytes } from '../../test/scenes.ts';
import { MILL } from '../../test/whole-document.ts';
import type { TemplateUse } from '../../theme/index.ts';
import { writeDeck } from './index.ts';

const file = (name: string): string => join(GOLDEN, 'pptx', `${name}.txt`);
const [plainsong] = THEMES.filter(({ name }) => name === 'plainsong');

const font = (name: string): Uint8Array =>
  new Uint8Array(readFileSync(`node_modules/@expo-google-fonts/source-serif-4/${name}/SourceSerif4_${name}.ttf`));

test('a document with one of everything, with fonts and a thumbnail', () => {
  const fonts = [
    { family: 'Source Serif 4', style: 'regular', bytes: font('400Regular') },
    { family: 'Source Serif 4', style: 'boldItalic', bytes: font('700Bold_Italic') },
  ] as const;
  const bytes = writeDeck(millScene(), pictureBytes, { fonts, thumbnail: MILL.bytes });
  holdTo(
    file('mill'),
    packageLines(bytes, (name) => !/slideLayouts\/slideLayout(?:[4-9]|\d\d)\.xml/.test(name)),
  );
});

test('a slide of each layout', () => {
  const scene = layoutsScene(plainsong!, 'two sides');
  holdTo(
    file('layouts'),
    packageLines(writeDeck(scene, pictureBytes, {}), (name) => /^ppt\/(slides|charts)\//.test(name)),
  );
});

test('set from the right', () => {
  const scene = layoutsScene(MIRRORED, 'numbers of a list');
  holdTo(
    file('mirrored'),
    packageLines(writeDeck(scene, pictureBytes, {}), (name) =>
      /^ppt\/slides\/slide\d*[147]\.xml$|slideMaster1\.xml$|slideLayout3\.xml$/.test(name),
    ),
  );
});

/** Into templates that are made otherwise: in themes of other colours, with slides of their own, of another library. */
const TEMPLATES = {
  usual: usualTemplate(),
  plain: plainTemplate(),
  awkward: awkwardTemplate(),
  painted: paintedTemplate(),
  'library-b': otherLibrary('library-b'),
};

test.each(Object.keys(TEMPLATES))('into a template: %s', (name) => {
  const template = TEMPLATES[name as keyof typeof TEMPLATES];
  const report = doc(
    h(1, 'The mill'),
    h(2, 'Gates'),
    li([{ text: 'Oak and ' }, { text: 'iron', link: 'https://example.org/' }]),
    li('Below', 2),
    h(2, 'Hours'),
    table([
      ['Tide', 'Hours'],
      ['Spring', '5'],
    ]),
    p('Said of it.'),
    h(2, 'Order'),
    ...['First', 'Then', 'At last'].map((text, i) => li(text, 1, i + 1)),
  );
  for (const keep of ['none', 'after'] as const) {
    const use: TemplateUse = { hash: 'f'.repeat(64), fileName: 'trust.pptx', layouts: {}, keep };
    const models = new Map([[use.hash, readTemplate(template).model]]);
    const converted = convert(report, [{ kind: 'template', template: use }], undefined, models);
    const bytes = write('pptx', converted, [], { template });
    holdTo(
      file(`into-${name}-${keep}`),
      packageLines(bytes, (part) => /^ppt\/(slides\/|presentation\.xml|_rels)|^\[Content|^docProps/.test(part)),
    );
  }
});
