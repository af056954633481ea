/** Templates that are built in other ways than ours: by other libraries, by hand with everything that is drawn, of our own output. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { encode } from 'fast-png';
import pptxgen from 'pptxgenjs';
import { templateOf } from '../../../demo/src/templates.ts';
import { convert, writeDeck } from '../pipeline/index.ts';
import { doc, h, li } from './build.ts';

/** A picture of two halves, left and right. */
export function halves(left: readonly number[], right: readonly number[]): Uint8Array {
  const [width, height] = [40, 30];
  const data = new Uint8Array(width * height * 4);
  for (let i = 0; i < width * height; i++) data.set([...(i % width < width / 2 ? left : right), 255], i * 4);
  return encode({ width, height, data, channels: 4 });
}

export const at = (x: number, y: number, width: number, height: number, more = ''): string =>
  `<a:xfrm${more}><a:off x="${x}" y="${y}"/><a:ext cx="${width}" cy="${height}"/></a:xfrm>`;
export const shape = (properties: string, words = '', id = 91, style = ''): string =>
  `<p:sp><p:nvSpPr><p:cNvPr id="${id}" name="Form"/><p:cNvSpPr/><p:nvPr/></p:nvSpPr><p:spPr>${properties}</p:spPr>${style}<p:txBody><a:bodyPr/><a:lstStyle/><a:p>${words === '' ? '' : `<a:r><a:rPr lang="de-DE" sz="1000"/><a:t>${words}</a:t></a:r>`}</a:p></p:txBody></p:sp>`;
export const gradient = (from: string, to: string, angle = 5_400_000): string =>
  `<a:gradFill><a:gsLst><a:gs pos="0"><a:schemeClr val="${from}"/></a:gs><a:gs pos="100000"><a:schemeClr val="${to}"/></a:gs></a:gsLst><a:lin ang="${angle}" scaled="0"/></a:gradFill>`;
const ground = (fill: string): string => `<p:bg><p:bgPr>${fill}<a:effectLst/></p:bgPr></p:bg>`;
const WAVE =
  '<a:custGeom><a:avLst/><a:gdLst><a:gd name="half" fmla="*/ h 1 2"/></a:gdLst><a:pathLst><a:path w="1000" h="400"><a:moveTo><a:pt x="0" y="200"/></a:moveTo><a:cubicBezTo><a:pt x="300" y="0"/><a:pt x="700" y="400"/><a:pt x="1000" y="200"/></a:cubicBezTo><a:lnTo><a:pt x="1000" y="400"/></a:lnTo><a:lnTo><a:pt x="0" y="400"/></a:lnTo><a:close/></a:path></a:pathLst></a:custGeom>';
/** A group that is drawn at half its size, turned by a right angle. */
const GROUP = `<p:grpSp><p:nvGrpSpPr><p:cNvPr id="95" name="Gruppe"/><p:cNvGrpSpPr/><p:nvPr/></p:nvGrpSpPr><p:grpSpPr><a:xfrm rot="5400000"><a:off x="5800000" y="200000"/><a:ext cx="600000" cy="300000"/><a:chOff x="0" y="0"/><a:chExt cx="1200000" cy="600000"/></a:xfrm><a:solidFill><a:schemeClr val="accent2"/></a:solidFill></p:grpSpPr>${shape(`${at(0, 0, 600_000, 600_000)}<a:prstGeom prst="ellipse"><a:avLst/></a:prstGeom><a:grpFill/>`, '', 92)}${shape(`${at(600_000, 0, 600_000, 600_000)}<a:prstGeom prst="star5"><a:avLst/></a:prstGeom><a:solidFill><a:schemeClr val="accent1"><a:alpha val="40000"/></a:schemeClr></a:solidFill>`, '', 93)}</p:grpSp>`;

/** By hand, upright, in German, without types of layouts: shades, free outlines, a turned group, pictures as grounds, words of its own. */
export const paintedTemplate = (): Uint8Array =>
  templateOf({
    size: [750, 1000],
    slides: [
      {
        layout: 2,
        shapes: `<p:sp><p:nvSpPr><p:cNvPr id="2" name="Titel"/><p:cNvSpPr/><p:nvPr><p:ph type="title"/></p:nvPr></p:nvSpPr><p:spPr/><p:txBody><a:bodyPr/><a:lstStyle/><a:p><a:r><a:rPr lang="de-DE"/><a:t>Was die Flut leistet</a:t></a:r></a:p></p:txBody></p:sp><p:sp><p:nvSpPr><p:cNvPr id="3" name="Inhalt"/><p:cNvSpPr/><p:nvPr><p:ph idx="1"/></p:nvPr></p:nvSpPr><p:spPr/><p:txBody><a:bodyPr/><a:lstStyle/><a:p><a:r><a:rPr lang="de-DE"/><a:t>Zwei Tiden am Tag</a:t></a:r></a:p><a:p><a:pPr lvl="1"/><a:r><a:rPr lang="de-DE" b="1"/><a:t>je sechs Stunden</a:t></a:r></a:p></p:txBody></p:sp>`,
      },
      { layout: 1, shapes: '', ground: ground(gradient('accent1', 'accent2')) },
    ],
    masters: [
      {
        name: 'Mühlenverein',
        colors: {
          ...{ dk1: '20262B', lt1: 'FFFFFF', dk2: '4A5A66', lt2: 'F1EFE6', accent1: '1C4E63' },
          ...{ accent2: 'F4D35E', accent3: 'C9E4CA', accent4: '87BBA2', accent5: '55828B', accent6: 'E07A5F' },
        },
        fonts: ['Georgia', 'Verdana'],
        ground: ground(gradient('bg1', 'bg2')),
        extra: `${shape(`${at(0, 8_600_000, 6_858_000, 544_000)}${WAVE}<a:solidFill><a:schemeClr val="accent1"/></a:solidFill>`, 'Mühlenverein Sallow Quay')}${GROUP}`,
        phs: [
          { type: 'title', box: [60, 60, 560, 120] },
          { type: 'body', idx: 1, box: [60, 210, 630, 680] },
        ],
        layouts: [
          {
            name: 'Titelfolie',
            ground: ground('<a:blipFill><a:blip r:embed="rId2"/><a:stretch><a:fillRect/></a:stretch></a:blipFill>'),
            picture: halves([12, 30, 40], [18, 44, 52]),
            phs: [
              { type: 'ctrTitle', box: [60, 300, 630, 200], size: 44 },
              { type: 'subTitle', idx: 1, box: [60, 520, 630, 120] },
            ],
          },
          { name: 'Titel und Inhalt', phs: [{ type: 'title' }, { idx: 1 }] },
          {
            name: 'Abschnitt',
            ground: ground('<a:solidFill><a:schemeClr val="accent1"/></a:solidFill>'),
            phs: [
              { type: 'title', box: [60, 400, 630, 160] },
              { type: 'body', idx: 1, box: [60, 580, 630, 100] },
            ],
          },
          { name: 'Nur Titel', phs: [{ type: 'title' }] },
        ],
      },
    ],
  });

/** By another library, with its own slides: a table, a chart, a picture, a turned shape, notes. */
export async function libraryTemplate(layout: 'LAYOUT_WIDE' | 'LAYOUT_4x3' = 'LAYOUT_WIDE'): Promise<Uint8Array> {
  const deck = new pptxgen();
  deck.layout = layout;
  deck.theme = { headFontFace: 'Arial', bodyFontFace: 'Arial' };
  const wide = layout === 'LAYOUT_WIDE' ? 13.33 : 10;
  deck.defineSlideMaster({
    title: 'Harbour cover',
    background: { color: '0B3954' },
    objects: [
      { rect: { x: 0, y: 6.2, w: wide, h: 0.3, fill: { color: 'FF6663' } } },
      {
        placeholder: {
          options: { name: 'title', type: 'title', x: 0.6, y: 2, w: wide - 1.2, h: 1.5, fontSize: 40, color: 'FFFFFF' },
          text: '',
        },
      },
    ],
  });
  deck.defineSlideMaster({
    title: 'Harbour content',
    background: { color: 'FFFFFF' },
    slideNumber: { x: wide - 1, y: 6.9, fontSize: 10, color: '0B3954' },
    objects: [
      { rect: { x: 0, y: 0, w: 0.25, h: 7.5, fill: { color: 'BFD7EA' } } },
      {
        placeholder: {
          options: { name: 'title', type: 'title', x: 0.6, y: 0.3, w: wide - 1.2, h: 1, fontSize: 28, color: '0B3954' },
          text: '',
        },
      },
      {
        placeholder: {
          options: { name: 'body', type: 'body', x: 0.6, y: 1.5, w: wide - 1.2, h: 5, fontSize: 18 },
          text: '',
        },
      },
    ],
  });
  const cover = deck.addSlide({ masterName: 'Harbour cover' });
  cover.addText('Harbour report', { placeholder: 'title' });
  const content = deck.addSlide({ masterName: 'Harbour content' });
  content.addText('What came in', { placeholder: 'title' });
  content.addTable(
    [
      [{ text: 'Boat' }, { text: 'Load' }],
      [{ text: 'Sprat' }, { text: '12' }],
    ],
    { x: 0.6, y: 1.6, w: 4 },
  );
  content.addNotes('Said of the table.');
  const more = deck.addSlide({ masterName: 'Harbour content' });
  more.addText('How much', { placeholder: 'title' });
  more.addChart(deck.ChartType.bar, [{ name: 'Load', labels: ['May', 'June'], values: [3, 5] }], {
    x: 0.6,
    y: 1.5,
    w: 4,
    h: 3,
  });
  more.addShape(deck.ShapeType.rightArrow, { x: 5.5, y: 2, w: 2, h: 1, rotate: 30, fill: { color: 'FF6663' } });
  return (await deck.write({ outputType: 'uint8array' })) as Uint8Array;
}

/** What we hand over ourselves, in a theme of ours. */
export function ownOutput(theme: string): Uint8Array {
  const document = doc(h(1, 'Opening'), li('a'), h(1, 'Middle'), li('b'), li('c'));
  return writeDeck('pptx', convert(document, [{ kind: 'theme', theme }]), []);
}

/** As two more libraries wrote them: see templates/README.md. */
export const otherLibrary = (name: 'library-b' | 'library-c'): Uint8Array =>
  new Uint8Array(readFileSync(join(import.meta.dirname, 'templates', `${name}.pptx`)));

/** All of them by name. */
export const foreignTemplates = async (): Promise<readonly (readonly [name: string, bytes: Uint8Array])[]> => [
  ['painted', paintedTemplate()],
  ['library', await libraryTemplate()],
  ['library 4:3', await libraryTemplate('LAYOUT_4x3')],
  ['library B', otherLibrary('library-b')],
  ['library C', otherLibrary('library-c')],
  ['own output', ownOutput('millrace')],
  ['own output, dark', ownOutput('nightwatch')],
];
