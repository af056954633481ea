import { beforeAll, describe, expect, test } from '@jest/globals';
import { unzipSync, strFromU8 } from 'fflate';
import { SaxesParser } from 'saxes';
import { languageTag } from '../../base/index.ts';
import type { PictureData, PictureId } from '../../content/index.ts';
import { FULL_RULES } from '../../deck/index.ts';
import type { DocumentModel } from '../../document/index.ts';
import type { Edit } from '../../edits/index.ts';
import { convert, writeDeck } from '../../pipeline/index.ts';
import { presetMap } from '../../mapping/index.ts';
import { code, doc, h, li, p, picture, quote, random, randomDocument, table } from '../../test/build.ts';
import { png } from '../../test/docx.ts';
import { randomSlideEdit } from '../../test/random-edits.ts';

const data = ['a', 'b'].map((id): PictureData => ({
  id: id as PictureId,
  mime: 'image/png',
  width: 400,
  height: 300,
  bytes: png(),
}));
const write = (document: DocumentModel, edits: readonly Edit[] = []): Record<string, string> => {
  const parts = unzipSync(writeDeck('pptx', convert(document, edits), data));
  return Object.fromEntries(Object.entries(parts).map(([name, bytes]) => [name, strFromU8(bytes)]));
};
const slideNames = (parts: Record<string, string>): readonly string[] =>
  Object.keys(parts)
    .filter((name) => /^ppt\/slides\/slide\d+\.xml$/.test(name))
    .sort((a, b) => Number(/\d+/.exec(a)![0]) - Number(/\d+/.exec(b)![0]));

describe('a deck of everything', () => {
  const document: DocumentModel = {
    ...doc(
      p('The <mill> & "more"', 'title'),
      h(1, 'Gates'),
      p([{ text: 'Spoken ' }, { text: 'bold', bold: true }]),
      li('north', 1),
      li('deep', 2),
      p([{ text: 'linked', link: 'https://a.example/?x=1&y=2' }]),
      picture('a', 'The pit & wheel'),
      quote('said'),
      code('let x;'),
      h(1, 'Costs'),
      table([
        ['Work', 'Sum'],
        ['Gates', '31'],
      ]),
    ),
    author: 'The Trust',
    language: languageTag('en')!,
  };
  let parts: Record<string, string>;
  beforeAll(() => {
    parts = write(document);
  });

  test('titles, points, pictures and numbers stand in placeholders and inherit everything', () => {
    const slide = parts['ppt/slides/slide2.xml']!;
    expect(slide).toContain('<p:ph type="title"/>');
    expect(slide).toContain('<p:ph type="body" sz="half" idx="1"/>');
    expect(slide).toContain('<p:ph type="pic" idx="13"/>');
    expect(slide).toContain('<p:ph type="sldNum" sz="quarter" idx="12"/>');
    expect(slide).toContain('descr="The pit &amp; wheel"');
    const points = /<p:sp>(?:(?!<p:sp>).)*type="body".*?<\/p:sp>/s.exec(slide)![0];
    expect(points).toContain('<a:pPr lvl="1">');
    // Of all points and titles only code says its size and face.
    for (const paragraph of points.match(/<a:p>.*?<\/a:p>/gs)!) {
      if (paragraph.includes('let x;')) continue;
      expect(paragraph).not.toMatch(/ sz=|<a:latin|srgbClr/);
    }
    expect(slide).toContain('<p:spPr/>');
  });

  test('colours and fonts are references to the theme', () => {
    for (const [name, xml] of Object.entries(parts))
      if (name.startsWith('ppt/slide') || name.startsWith('ppt/notes')) expect(xml).not.toContain('srgbClr');
    const master = parts['ppt/slideMasters/slideMaster1.xml']!;
    expect(master).toContain('<a:latin typeface="+mj-lt"/>');
    expect(master).toContain('<a:latin typeface="+mn-lt"/>');
    expect(parts['ppt/theme/theme1.xml']).toMatch(
      /<a:latin typeface="Source Serif 4" panose="0202[0-9A-F]{16}" pitchFamily="18" charset="0"\/>/,
    );
  });

  test('notes are notes slides with their paragraphs', () => {
    const notes = parts['ppt/notesSlides/notesSlide2.xml']!;
    expect(notes).toContain('<a:t>Spoken </a:t>');
    expect(notes).toMatch(/<a:rPr lang="en" b="1"\/><a:t>bold/);
    expect(parts['ppt/notesSlides/_rels/notesSlide2.xml.rels']).toContain('Target="../slides/slide2.xml"');
    expect(parts['ppt/slides/_rels/slide2.xml.rels']).toContain('Target="../notesSlides/notesSlide2.xml"');
  });

  test('links are relationships, once for one target', () => {
    expect(parts['ppt/notesSlides/_rels/notesSlide2.xml.rels']).toContain(
      'Target="https://a.example/?x=1&amp;y=2" TargetMode="External"',
    );
  });

  test('tables are native', () => {
    const slide = parts['ppt/slides/slide3.xml']!;
    const style = /<a:tblPr firstRow="1"(?: firstCol="1")?><a:tableStyleId>([^<]+)</.exec(slide)![1]!;
    expect(parts['ppt/tableStyles.xml']).toContain(`<a:tblStyle styleId="${style}"`);
    // All of their look is the style's: cells say their size and their margins.
    const cells = /<a:tblGrid>.*<\/a:tbl>/s.exec(slide)![0];
    expect(cells).not.toMatch(/<a:lnB|<a:solidFill| b="1"/);
    expect(slide).toContain('descr="Costs: Work, Sum"');
    expect(slide).toContain('<p:ph type="tbl" idx="14"/>');
    expect(slide.match(/<a:tc>/g)).toHaveLength(4);
  });

  test('title and author are document properties, escaped', () => {
    expect(parts['docProps/core.xml']).toContain(
      '<dc:title>The &lt;mill&gt; &amp; &quot;more&quot;</dc:title><dc:creator>The Trust</dc:creator>',
    );
    expect(parts['docProps/core.xml']).not.toContain('dcterms:created>');
  });

  test('the same input gives the same bytes', () => {
    const once = writeDeck('pptx', convert(document, []), data);
    expect(Buffer.compare(once, writeDeck('pptx', convert(document, []), data))).toBe(0);
  });
});

test('a link whose words do not say where it leads says so itself', () => {
  const link = (text: string) => [{ text, link: 'https://mill.example/gates?a=1&b=2' }];
  const { 'ppt/slides/slide1.xml': slide } = write(
    doc(h(1, 'Mill'), li(link('💻')), li(link('here')), li(link('The gates'))),
  );
  const tips = [...slide!.matchAll(/<a:hlinkClick r:id="rId\d+"(?: tooltip="([^"]*)")?\/><\/a:rPr><a:t>([^<]*)/g)];
  expect(tips.map(([, tip, text]) => [text, tip])).toEqual([
    ['💻', 'mill.example/gates?a=1&amp;b=2'],
    ['here', 'mill.example/gates?a=1&amp;b=2'],
    ['The gates', undefined],
  ]);
});

test('a hidden slide is in the file and not shown', () => {
  const document = doc(h(1, 'A'), h(1, 'B'));
  const [, second] = convert(document, []).deck.slides;
  const parts = write(document, [{ kind: 'hide', slides: [second!.id], hidden: true }]);
  expect(parts['ppt/slides/slide1.xml']).not.toContain('show="0"');
  expect(parts['ppt/slides/slide2.xml']).toMatch(/<p:sld [^>]*show="0"/);
});

test('section openers make sections that hold every slide', () => {
  const document = doc(p('T', 'title'), h(1, 'S1'), h(2, 'A'), h(3, 'a'), h(1, 'S2'), h(2, 'B'));
  const parts = write(document, [{ kind: 'map', name: 'reading', map: presetMap('reading', document) }]);
  const presentation = parts['ppt/presentation.xml']!;
  expect([...presentation.matchAll(/<p14:section name="([^"]+)"/g)].map((match) => match[1])).toEqual([
    'T',
    'S1',
    'S2',
  ]);
  expect(presentation.match(/<p14:sldId /g)).toHaveLength(slideNames(parts).length);
});

test('type that was stepped down is told by the scale, not by sizes', () => {
  const parts = write(
    doc(
      h(1, 'T'),
      ...Array.from({ length: 9 }, (_, i) =>
        li(`Mühlenbetriebsgenossenschaft Wasserradgesellschaft Hafenverwaltung am Kai ${i}`),
      ),
    ),
  );
  expect(parts['ppt/slides/slide1.xml']).toMatch(/<a:normAutofit fontScale="\d+"\/>/);
  expect(parts['ppt/slides/slide1.xml']).not.toMatch(/ sz="\d+"/);
});

test('the outline of the presentation is the outline of the document', () => {
  const parts = write(doc(h(1, 'T'), h(2, 'A'), li('a'), h(1, 'U'), li('u')));
  const outline = slideNames(parts).map((name) =>
    [
      ...parts[name]!.matchAll(/<a:p>(?:<a:pPr(?: lvl="(\d)")?(?:\/>|>.*?<\/a:pPr>))?<a:r><a:rPr[^>]*\/><a:t>([^<]*)/g),
    ].map((match) => `${match[1] ?? 0} ${match[2]}`),
  );
  expect(outline).toEqual([
    ['0 T', '0 A', '1 a'],
    ['0 U', '0 u'],
  ]);
});

/** A map, running text, front and back matter, a rule for full slides, and some work on slides. */
function worked(document: DocumentModel, seed: number): readonly Edit[] {
  const next = random(seed);
  const edits: Edit[] = [
    { kind: 'map', name: null, map: presetMap(seed % 2 ? 'talk' : 'reading', document) },
    { kind: 'prose', prose: seed % 3 === 0 ? { as: 'short', density: 'words' } : { as: 'first' } },
    { kind: 'matter', part: 'agenda', on: true },
    { kind: 'matter', part: 'sources', on: true },
    { kind: 'full', rule: FULL_RULES[seed % FULL_RULES.length]! },
  ];
  const { deck } = convert(document, edits);
  return [...edits, ...Array.from({ length: 12 }, (_, i) => randomSlideEdit(next, deck, i))];
}

test('over random documents every part is well-formed, every relationship leads somewhere, ids are unique', () => {
  for (let seed = 1; seed <= 15; seed++) {
    const document = randomDocument(random(seed), 60);
    const parts = write(document, worked(document, seed));
    for (const [name, xml] of Object.entries(parts)) {
      if (!/\.(xml|rels)$/.test(name)) continue;
      const ids: string[] = [];
      const parser = new SaxesParser({ xmlns: true });
      parser.on('error', (error) => {
        throw new Error(`${name}: ${error.message}`);
      });
      parser.on('opentag', (tag) => {
        if (tag.name === 'p:cNvPr') ids.push(String(tag.attributes.id?.value));
        if (tag.name === 'Relationship' && tag.attributes.TargetMode === undefined) {
          const folder = name.replace(/_rels\/[^/]+$/, '');
          const target = new URL(String(tag.attributes.Target!.value), `file:///${folder}`).pathname.slice(1);
          expect(Object.keys(parts)).toContain(target);
        }
      });
      parser.write(xml).close();
      expect(new Set(ids).size).toBe(ids.length);
    }
  }
});

test('numbered notes are numbered, others have bullets, paragraphs neither', () => {
  const source = doc(h(1, 'A'), p('Spoken.'), li('first', 1, true), li('second', 1, 2), li('deep', 2), li('other'));
  const map = { ...presetMap('talk', source), list1: 'notes', list2: 'notes' } as const;
  const xml = write(source, [{ kind: 'map', name: null, map }])['ppt/notesSlides/notesSlide1.xml']!;
  const marks = [
    ...xml.matchAll(/<a:p>(?:<a:pPr([^>]*)>(.*?)<\/a:pPr>|<a:pPr([^>]*)\/>)?<a:r>.*?<a:t>(.*?)<\/a:t>/g),
  ].map(([, attributes = '', inner = '', , text]) => [
    text,
    /lvl="(\d)"/.exec(attributes)?.[1] ?? '0',
    /<a:(buAutoNum|buChar)/.exec(inner)?.[1] ?? '',
  ]);
  expect(marks).toEqual([
    ['Spoken.', '0', ''],
    ['first', '0', 'buAutoNum'],
    ['second', '0', 'buAutoNum'],
    ['deep', '1', 'buChar'],
    ['other', '0', 'buChar'],
  ]);
});

test('a deck without slides, and one without sections, are written without their lists', () => {
  expect(write(doc())['ppt/presentation.xml']).not.toContain('sldIdLst');
  expect(write(doc(h(1, 'A'), li('a')))['ppt/presentation.xml']).not.toContain('extLst');
});

test('each run says its language: by its words, and by its letters within them', () => {
  const source = {
    ...doc(
      h(1, 'The mill'),
      li('The gates of the mill are to be mended by the end of the year'),
      li('Die Tore der Mühle sind bis zum Ende des Jahres zu erneuern und werden aus Eiche sein'),
      li([{ text: 'The mill, ' }, { text: 'طاحونة المد', bold: true }, { text: ', is old and it is at the quay' }]),
      li('Sallow Quay'),
    ),
    language: languageTag('en-US')!,
  };
  const parts = write(source);
  const slides = slideNames(parts)
    .map((name) => parts[name]!)
    .join('');
  const said = (text: string): string | undefined =>
    new RegExp(`<a:rPr lang="([^"]*)"[^>]*(?:/>|>(?:(?!</a:rPr>).)*</a:rPr>)<a:t>${text}`).exec(slides)?.[1];
  expect(said('The gates')).toBe('en-US');
  expect(said('Die Tore')).toBe('de');
  expect([said('The mill, '), said('طاحونة'), said(', is old')]).toEqual(['en-US', 'ar', 'en-US']);
  expect(said('Sallow Quay')).toBe('en-US');
});

test('texts whose Latin words are of another language say so', () => {
  const source = {
    ...doc(h(1, 'Mill'), li('潮力水車小屋の門は修理が必要です'), li('Gates')),
    language: languageTag('ja')!,
  };
  const slide = write(source)['ppt/slides/slide1.xml']!;
  expect(slide).toMatch(/lang="ja" altLang="en-GB"[^>]*(\/>|>.*?<\/a:rPr>)<a:t>潮力/);
  expect(write(doc(h(1, 'Mill'), li('Gates')))['ppt/slides/slide1.xml']).not.toContain('altLang');
});

test('what the document says of itself is what its file says', () => {
  const about = {
    subject: 'Tide & mill',
    keywords: 'tide, mill',
    created: '2026-03-14',
    modified: '2026-04-02T10:00:00Z',
  };
  const parts = write({ ...doc(h(1, 'Mill'), li('Oak')), title: 'The mill', about });
  expect(parts['docProps/core.xml']).toContain(
    '<dc:subject>Tide &amp; mill</dc:subject><cp:keywords>tide, mill</cp:keywords>',
  );
  expect(parts['docProps/core.xml']).toContain(
    '<dcterms:created xsi:type="dcterms:W3CDTF">2026-03-14</dcterms:created><dcterms:modified xsi:type="dcterms:W3CDTF">2026-04-02T10:00:00Z</dcterms:modified>',
  );
});

test('each paragraph is in its own language, on slides and in notes', () => {
  const french = { lang: languageTag('fr')! };
  const document = {
    ...doc(
      h(1, 'Mill'),
      h(2, 'Gates'),
      li('north gate'),
      { ...li('la porte'), ...french },
      { ...p('La roue tourne.'), ...french },
    ),
    language: languageTag('en-IE')!,
  };
  const parts = write(document, [{ kind: 'map', name: 'talk', map: presetMap('talk', document) }]);
  const slide = Object.values(parts).find((xml) => xml.includes('<p:sld ') && xml.includes('la porte'))!;
  expect(slide).toMatch(/<a:rPr lang="en-IE"[^>]*\/><a:t>north gate/);
  expect(slide).toMatch(/<a:rPr lang="fr"[^>]*\/><a:t>la porte/);
  const notes = Object.entries(parts).find(([name, xml]) => name.includes('notesSlide') && xml.includes('La roue'))![1];
  expect(notes).toMatch(/<a:rPr lang="fr"\/><a:t>La roue/);
});

test('a paragraph that its markup turns is turned, whatever its first letters are', () => {
  const turned = { ...li('HTML הוא שפת סימון'), direction: 'rtl' as const };
  const document = doc(h(1, 'Mill'), h(2, 'Gates'), li('north'), li('south'), turned);
  const parts = write(document, [{ kind: 'map', name: 'talk', map: presetMap('talk', document) }]);
  const slide = Object.values(parts).find((xml) => xml.includes('<p:sld ') && xml.includes('HTML'))!;
  const paragraphs = slide.match(/<a:p>.*?<\/a:p>/gs)!;
  expect(paragraphs.filter((xml) => xml.includes('rtl="1"')).map((xml) => xml.includes('HTML'))).toEqual([true]);
  expect(paragraphs.find((xml) => xml.includes('HTML'))).toContain('algn="r" rtl="1"');
});

test('entries of an agenda lead to their slides', () => {
  const document = doc(p('Mill', 'title'), h(1, 'Gates'), li('north'), h(1, 'Pond'), li('silt'));
  const parts = write(document, [
    { kind: 'map', name: 'talk', map: presetMap('talk', document) },
    { kind: 'matter', part: 'agenda', on: true },
  ]);
  const names = slideNames(parts);
  const agenda = names.find((name) => parts[name]!.includes('hlinksldjump'))!;
  const rels = parts[agenda.replace('slides/', 'slides/_rels/') + '.rels']!;
  for (const entry of ['Gates', 'Pond']) {
    const id = new RegExp(`r:id="(rId\\d+)" action="ppaction://hlinksldjump">(?:(?!<a:t>).)*<a:t>${entry}<`).exec(
      parts[agenda]!,
    )![1];
    const target = new RegExp(`Id="${id}" Type="[^"]*/slide" Target="([^"]+)"`).exec(rels)![1]!;
    const led = parts[`ppt/slides/${target}`]!;
    expect(/<p:ph type="title"\/>.*?<a:t>([^<]*)</s.exec(led)![1]).toBe(entry);
  }
});

test('pictures, charts and tables say what they are, and what was said to be decoration is', () => {
  const document = doc(h(1, 'Mill'), h(2, 'Pit'), picture('a', null), h(2, 'Wall'), li('Old'), picture('b', ''));
  const parts = write(document);
  const all = slideNames(parts)
    .map((name) => parts[name]!)
    .join('');
  expect(all).toContain('descr="Pit"');
  expect(all.match(/adec:decorative/g)).toHaveLength(1);
});
