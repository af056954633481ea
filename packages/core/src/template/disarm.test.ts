/** Nothing that acts or leads outside comes through with a template; what only looks stays. */
import { describe, expect, test } from '@jest/globals';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { awkwardTemplate, plainTemplate, usualTemplate } from '../../../demo/src/templates.ts';
import { checkPackage } from '../../../package-check/src/index.ts';
import { disarm } from './disarm.ts';
import { readTemplate } from './read-template.ts';

type Files = Record<string, Uint8Array>;
const REL = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
const changed = (files: Files, name: string, change: (xml: string) => string): void => {
  files[name] = strToU8(change(strFromU8(files[name]!)));
};
const related = (files: Files, part: string, ...rels: string[]): void => {
  const slash = part.lastIndexOf('/');
  const name = `${part.slice(0, slash + 1)}_rels/${part.slice(slash + 1)}.rels`;
  files[name] ??= strToU8(
    '<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"></Relationships>',
  );
  changed(files, name, (xml) => xml.replace('</Relationships>', `${rels.join('')}</Relationships>`));
};
const rel = (id: string, type: string, target: string, external = false): string =>
  `<Relationship Id="${id}" Type="${type.includes('/') ? type : `${REL}/${type}`}" Target="${target}"${external ? ' TargetMode="External"' : ''}/>`;
const intoTree = (xml: string, inner: string): string => xml.replace('</p:spTree>', `${inner}</p:spTree>`);

const MASTER = 'ppt/slideMasters/slideMaster1.xml';
const LAYOUT = 'ppt/slideLayouts/slideLayout1.xml';
const SLIDE = 'ppt/slides/slide1.xml';
const sp = (id: number, inside: string): string =>
  `<p:sp><p:nvSpPr><p:cNvPr id="${id}" name="S${id}">${inside}</p:cNvPr><p:cNvSpPr/><p:nvPr/></p:nvSpPr><p:spPr/></p:sp>`;
const OLE = `<p:graphicFrame><p:nvGraphicFramePr><p:cNvPr id="70" name="Object"/><p:cNvGraphicFramePr/><p:nvPr/></p:nvGraphicFramePr><p:xfrm><a:off x="0" y="0"/><a:ext cx="9" cy="9"/></p:xfrm><a:graphic><a:graphicData uri="http://schemas.openxmlformats.org/presentationml/2006/ole"><p:oleObj name="Sheet" r:id="rOle" imgW="9" imgH="9" progId="Sheet.12"><p:embed/></p:oleObj></a:graphicData></a:graphic></p:graphicFrame>`;

function armed(): Uint8Array {
  const files: Files = unzipSync(usualTemplate());
  files['ppt/vbaProject.bin'] = strToU8('macros');
  related(
    files,
    'ppt/presentation.xml',
    rel('rVba', 'http://schemas.microsoft.com/office/2006/relationships/vbaProject', 'vbaProject.bin'),
  );
  changed(files, '[Content_Types].xml', (xml) =>
    xml
      .replace(
        'application/vnd.openxmlformats-officedocument.presentationml.presentation.main+xml',
        'application/vnd.ms-powerpoint.presentation.macroEnabled.main+xml',
      )
      .replace(
        /<Types[^>]*>/,
        (start) => `${start}<Default Extension="bin" ContentType="application/vnd.ms-office.vbaProject"/>`,
      )
      .replace(
        '</Types>',
        '<Override PartName="/ppt/embeddings/book.xlsx" ContentType="application/vnd.openxmlformats-officedocument.spreadsheetml.sheet"/></Types>',
      ),
  );
  files['ppt/embeddings/book.xlsx'] = strToU8('a workbook');
  related(files, SLIDE, rel('rOle', 'package', '../embeddings/book.xlsx'));
  changed(files, SLIDE, (xml) => intoTree(xml, OLE));
  related(
    files,
    MASTER,
    rel('rOut', 'hyperlink', 'https://trust.example/', true),
    rel('rPic', 'image', 'file:///c:/a.png', true),
  );
  changed(files, MASTER, (xml) =>
    intoTree(
      xml,
      sp(60, '<a:hlinkClick r:id="rOut"/>') +
        '<p:pic><p:nvPicPr><p:cNvPr id="61" name="Linked"/><p:cNvPicPr/><p:nvPr/></p:nvPicPr><p:blipFill><a:blip r:link="rPic"/><a:stretch><a:fillRect/></a:stretch></p:blipFill><p:spPr/></p:pic>',
    ),
  );
  changed(files, LAYOUT, (xml) => intoTree(xml, sp(62, '<a:hlinkClick r:id="" action="ppaction://macro?name=Run"/>')));
  return zipSync(files);
}

describe('a template with macros, an object, links and a button that runs something', () => {
  const { bytes, ...removed } = disarm(armed());
  const files = unzipSync(bytes);
  const all = Object.entries(files)
    .filter(([name]) => /\.(xml|rels)$/.test(name))
    .map(([, content]) => strFromU8(content))
    .join('\n');

  test('is told what was taken out', () => expect(removed).toEqual({ macros: true, objects: 1, links: 2 }));
  test('has none of it left', () => {
    expect(Object.keys(files).filter((name) => /vba|embeddings/i.test(name))).toEqual([]);
    expect(all).not.toMatch(/TargetMode="External"|ppaction|macroEnabled|vbaProject|oleObj|rOut|rPic|rOle|rVba/);
  });
  test('is whole by the standard, read as before, and not touched again', async () => {
    expect(await checkPackage(bytes)).toEqual([]);
    const [before, after] = [readTemplate(usualTemplate()).model, readTemplate(bytes).model];
    expect(after.layouts.map(({ name, part }) => [name, part])).toEqual(
      before.layouts.map(({ name, part }) => [name, part]),
    );
    expect(after.pictures).toEqual(before.pictures);
    expect(disarm(bytes).bytes).toBe(bytes);
  });
  test('shapes that had a link or an action stay; parts that had nothing stay byte for byte', () => {
    expect(strFromU8(files[MASTER]!)).toContain('name="S60"');
    expect(strFromU8(files[LAYOUT]!)).toContain('name="S62"');
    const before = unzipSync(usualTemplate());
    for (const name of Object.keys(before))
      if (![MASTER, LAYOUT, SLIDE, '[Content_Types].xml'].includes(name) && !name.endsWith('.rels'))
        expect(files[name]).toEqual(before[name]);
  });
});

test.each([
  ['usual', usualTemplate()],
  ['plain', plainTemplate()],
  ['awkward', awkwardTemplate()],
])('the %s template has nothing to take out and stays as it is', (_, bytes) => {
  expect(disarm(bytes)).toEqual({ bytes, macros: false, objects: 0, links: 0 });
});

test.each(['oleObject', 'control', 'webextension'])('an object by the relationship %s goes', (type) => {
  const files: Files = unzipSync(usualTemplate());
  files['ppt/x/part.bin'] = strToU8('x');
  related(files, LAYOUT, rel('rX', type, '../x/part.bin'));
  const result = disarm(zipSync(files));
  expect(result).toMatchObject({ macros: false, objects: 1, links: 0 });
  expect(Object.keys(unzipSync(result.bytes))).not.toContain('ppt/x/part.bin');
});

test('the numbers of a chart stay', () => {
  const files: Files = unzipSync(usualTemplate());
  files['ppt/charts/chart1.xml'] = strToU8(
    '<c:chartSpace xmlns:c="http://schemas.openxmlformats.org/drawingml/2006/chart"/>',
  );
  files['ppt/embeddings/numbers.xlsx'] = strToU8('numbers');
  related(files, 'ppt/charts/chart1.xml', rel('rId1', 'package', '../embeddings/numbers.xlsx'));
  related(files, LAYOUT, rel('rChart', 'chart', '../charts/chart1.xml'));
  const bytes = zipSync(files);
  expect(disarm(bytes).bytes).toBe(bytes);
});

test('words on a slide that lead to the web stay; what would be fetched unasked goes', () => {
  const files: Files = unzipSync(usualTemplate());
  related(
    files,
    SLIDE,
    rel('rWeb', 'hyperlink', 'https://tide.example/', true),
    rel('rMail', 'hyperlink', 'mailto:mill@tide.example', true),
    rel('rFile', 'hyperlink', 'file:///c:/run.exe', true),
    rel('rPic', 'image', 'https://tide.example/seen.png', true),
  );
  changed(files, SLIDE, (xml) =>
    intoTree(xml, ['rWeb', 'rMail', 'rFile'].map((id, i) => sp(80 + i, `<a:hlinkClick r:id="${id}"/>`)).join('')),
  );
  const { bytes, ...removed } = disarm(zipSync(files));
  expect(removed).toEqual({ macros: false, objects: 0, links: 2 });
  const slide = strFromU8(unzipSync(bytes)[SLIDE]!);
  expect(slide.match(/r:id="r\w+"/g)).toEqual(['r:id="rWeb"', 'r:id="rMail"']);
  expect(disarm(bytes).bytes).toBe(bytes);
});

test('of an object on a slide its picture stays, under its number, and so do the animations that move it', async () => {
  const files: Files = unzipSync(usualTemplate());
  const picture =
    '<p:pic><p:nvPicPr><p:cNvPr id="0" name=""/><p:cNvPicPr/><p:nvPr/></p:nvPicPr><p:blipFill><a:blip r:embed="rShown"/><a:stretch><a:fillRect/></a:stretch></p:blipFill><p:spPr><a:xfrm><a:off x="0" y="0"/><a:ext cx="9" cy="9"/></a:xfrm><a:prstGeom prst="rect"><a:avLst/></a:prstGeom></p:spPr></p:pic>';
  files['ppt/embeddings/book.xlsx'] = strToU8('a workbook');
  const media = Object.keys(files).find((name) => /media\/.*png$/.test(name))!;
  changed(files, '[Content_Types].xml', (xml) =>
    xml.replace('</Types>', '<Default Extension="xlsx" ContentType="application/octet-stream"/></Types>'),
  );
  related(files, SLIDE, rel('rOle', 'package', '../embeddings/book.xlsx'), rel('rShown', 'image', `/${media}`));
  const timing =
    '<p:timing><p:tnLst><p:par><p:cTn id="1" dur="indefinite" restart="never" nodeType="tmRoot"/></p:par></p:tnLst></p:timing>';
  changed(files, SLIDE, (xml) =>
    intoTree(xml, OLE.replace('</p:oleObj>', `${picture}</p:oleObj>`)).replace('</p:sld>', `${timing}</p:sld>`),
  );
  const { bytes, ...removed } = disarm(zipSync(files));
  expect(removed).toMatchObject({ objects: 1 });
  const slide = strFromU8(unzipSync(bytes)[SLIDE]!);
  expect(slide).toMatch(/<p:pic><p:nvPicPr><p:cNvPr id="70" name="Object"\/>/);
  expect(slide).toContain('<p:timing>');
  expect(slide).not.toContain('oleObj');
  expect(await checkPackage(bytes)).toEqual([]);
});
