/** Whatever slides go from whatever package, nothing that stays leads to them. */
import { describe, expect, test } from '@jest/globals';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { awkwardTemplate, plainTemplate, usualTemplate } from '../../../../demo/src/templates.ts';
import { checkPackage } from '../../../../package-check/src/index.ts';
import { originMark, ZipReader } from '../../container/index.ts';
import { convert, writeDeck } from '../../pipeline/index.ts';
import type { Edit } from '../../edits/index.ts';
import { readTemplate } from '../../template/index.ts';
import { doc, h, li, random } from '../../test/build.ts';
import { foreignTemplates, ownOutput } from '../../test/foreign-templates.ts';
import type { TemplateUse } from '../../theme/index.ts';

const GONE = 'earlier.docx';
const NEW = doc(h(1, 'Fresh'), li('x'), h(1, 'Fresher'), li('y'));

/** A deck of ours with sections, an agenda that leads to its slides, notes and charts. */
function linkedDeck(): Uint8Array {
  const document = doc(
    ...[1, 2, 3, 4, 5, 6].flatMap((i) => [h(1, `Part ${i}`), li('a'), li('b'), h(2, `Below ${i}`), li('c')]),
  );
  const openers = document.blocks.filter((_, i) => i % 5 === 0);
  const edits: readonly Edit[] = [
    { kind: 'matter', part: 'agenda', on: true },
    ...openers.map(({ id }) => ({ kind: 'turn', block: id, to: 'section' }) as const),
  ];
  return writeDeck('pptx', convert(document, edits), []);
}

const SLIDE = /slides\/[^/]+\.xml$/;
/** The same file with some of its slides marked as made before. */
function marked(bytes: Uint8Array, which: (i: number) => boolean): Uint8Array {
  const files = unzipSync(bytes);
  Object.keys(files)
    .filter((name) => SLIDE.test(name))
    .forEach((name, i) => {
      const xml = strFromU8(files[name]!);
      if (which(i)) files[name] = strToU8(xml.replace(/<\/p:sld>\s*$/, `${originMark(GONE, xml)}</p:sld>`));
    });
  return zipSync(files);
}

/** Jumps from every slide to every other, and custom shows of all of them. */
function tangled(bytes: Uint8Array): Uint8Array {
  const files = unzipSync(bytes);
  const names = Object.keys(files).filter((name) => SLIDE.test(name));
  const REL = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
  for (const name of names) {
    const rels = name.replace('slides/', 'slides/_rels/') + '.rels';
    const others = names.filter((other) => other !== name);
    const more = others
      .map((other, i) => `<Relationship Id="rJ${i}" Type="${REL}/slide" Target="/${other}"/>`)
      .join('');
    files[rels] = strToU8(strFromU8(files[rels]!).replace('</Relationships>', `${more}</Relationships>`));
    const buttons = others
      .map(
        (_, i) =>
          `<p:sp><p:nvSpPr><p:cNvPr id="${700 + i}" name="To ${i}"><a:hlinkClick r:id="rJ${i}" action="ppaction://hlinksldjump"/></p:cNvPr><p:cNvSpPr/><p:nvPr/></p:nvSpPr><p:spPr/></p:sp>`,
      )
      .join('');
    files[name] = strToU8(strFromU8(files[name]!).replace('</p:spTree>', `${buttons}</p:spTree>`));
  }
  const presentation = strFromU8(files['ppt/presentation.xml']!);
  const ids = [...presentation.matchAll(/<p:sldId [^>]*r:id="(\w+)"/g)].map(([, id]) => id!);
  const shows = ids.map(
    (id, i) =>
      `<p:custShow name="Show ${i}" id="${i}"><p:sldLst><p:sld r:id="${id}"/><p:sld r:id="${ids[(i + 1) % ids.length]}"/></p:sldLst></p:custShow>`,
  );
  files['ppt/presentation.xml'] = strToU8(
    presentation.replace(/<p:notesSz [^>]*\/>/, (found) => `${found}<p:custShowLst>${shows.join('')}</p:custShowLst>`),
  );
  return zipSync(files);
}

const PACKAGES: readonly (readonly [string, Uint8Array])[] = [
  ['usual', usualTemplate()],
  ['plain', plainTemplate()],
  ['awkward', awkwardTemplate()],
  ...(await foreignTemplates()),
  ['linked', linkedDeck()],
  ['tangled', tangled(ownOutput('slipway'))],
  ['tangled, usual', tangled(usualTemplate())],
];

describe.each(PACKAGES)('%s', (_, bytes) => {
  test('loses any of its slides, and nothing is left that leads to them', async () => {
    const chance = random(bytes.length);
    for (let round = 0; round < 2; round++) {
      const share = chance();
      const file = marked(bytes, () => chance() < share);
      const count = readTemplate(file).model.slides;
      const gone = new Set(readTemplate(file).model.made?.[0]?.slides);
      const keep = (['none', 'before', 'after'] as const)[Math.floor(chance() * 3)]!;
      const use: TemplateUse = {
        ...{ hash: `${round}`, fileName: 'f.pptx', layouts: {}, keep, replaces: GONE },
        ...(keep === 'before' && count > 0 && chance() < 0.5 ? { behind: 1 + Math.floor(chance() * count) } : {}),
      };
      const models = new Map([[use.hash, readTemplate(file).model]]);
      const converted = convert(NEW, [{ kind: 'template', template: use }], undefined, models);
      const made = writeDeck('pptx', converted, [], { template: file, origin: 'new.docx' });
      // What a file had wrong before stays as it was.
      const wrong = new Set((await checkPackage(file)).map(({ message }) => message));
      expect((await checkPackage(made)).filter(({ message }) => !wrong.has(message))).toEqual([]);
      const after = readTemplate(made).model;
      expect(after.slides).toBe(converted.pages.length + (keep === 'none' ? 0 : count - gone.size));
      const app = new ZipReader(made).names.find((name) => /app\.xml$/.test(name));
      const said = app === undefined ? undefined : /<Slides>(\d+)</.exec(strFromU8(new ZipReader(made).read(app)))?.[1];
      if (said !== undefined) expect(Number(said)).toBe(after.slides);
    }
  });
});
