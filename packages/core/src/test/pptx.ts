/** Makes PPTX packages of raw PresentationML, for tests of what generators do not write. */
import { strToU8, zipSync } from 'fflate';

const OFFICE = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
const NAMESPACES = `xmlns:a="http://schemas.openxmlformats.org/drawingml/2006/main" xmlns:p="http://schemas.openxmlformats.org/presentationml/2006/main" xmlns:r="${OFFICE}" xmlns:c="http://schemas.openxmlformats.org/drawingml/2006/chart" xmlns:dgm="http://schemas.openxmlformats.org/drawingml/2006/diagram" xmlns:mc="http://schemas.openxmlformats.org/markup-compatibility/2006" xmlns:m="http://schemas.openxmlformats.org/officeDocument/2006/math" xmlns:a14="http://schemas.microsoft.com/office/drawing/2010/main" xmlns:p14="http://schemas.microsoft.com/office/powerpoint/2010/main" xmlns:p188="http://schemas.microsoft.com/office/powerpoint/2018/8/main"`;

export interface RawSlide {
  /** Shapes of its tree. */
  readonly shapes: string;
  /** Type of its layout; that of content where none is said. */
  readonly layout?: 'title' | 'secHead' | 'obj';
  readonly notes?: string;
  /** Inner XML of its comments, of the standard or of the extension. */
  readonly comments?: string;
  readonly hidden?: boolean;
  /** Relationships beyond those of layout, notes and comments: id, type, target, and whether it is outside. */
  readonly rels?: readonly (readonly [id: string, type: string, target: string, external?: boolean])[];
}
export interface RawPptx {
  readonly slides: readonly RawSlide[];
  /** Names of sections with the numbers of their slides, from 0. */
  readonly sections?: readonly (readonly [name: string, slides: readonly number[]])[];
  readonly files?: Readonly<Record<string, Uint8Array | string>>;
}

const root = (name: string, inner: string, attributes = ''): string =>
  `<?xml version="1.0"?><p:${name} ${NAMESPACES}${attributes}>${inner}</p:${name}>`;
const tree = (shapes: string): string => `<p:cSld><p:spTree>${shapes}</p:spTree></p:cSld>`;
const relationships = (rels: RawSlide['rels']): string =>
  `<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships">${(rels ?? [])
    .map(
      ([id, type, target, external]) =>
        `<Relationship Id="${id}" Type="${OFFICE}/${type}" Target="${target}"${external === true ? ' TargetMode="External"' : ''}/>`,
    )
    .join('')}</Relationships>`;

const LAYOUTS = ['title', 'secHead', 'obj'] as const;
const MASTER = `${tree(
  '<p:sp><p:nvSpPr><p:cNvPr id="2" name="t"/><p:cNvSpPr/><p:nvPr><p:ph type="title"/></p:nvPr></p:nvSpPr><p:spPr><a:xfrm><a:off x="500000" y="300000"/><a:ext cx="8000000" cy="900000"/></a:xfrm></p:spPr></p:sp><p:sp><p:nvSpPr><p:cNvPr id="3" name="b"/><p:cNvSpPr/><p:nvPr><p:ph type="body" idx="1"/></p:nvPr></p:nvSpPr><p:spPr><a:xfrm><a:off x="500000" y="1400000"/><a:ext cx="8000000" cy="3500000"/></a:xfrm></p:spPr></p:sp>',
)}<p:txStyles><p:titleStyle><a:lvl1pPr><a:defRPr sz="4000"/></a:lvl1pPr></p:titleStyle><p:bodyStyle><a:lvl1pPr><a:buChar char="•"/><a:defRPr sz="2800"/></a:lvl1pPr><a:lvl2pPr><a:buAutoNum type="alphaLcParenR"/><a:defRPr sz="2400"/></a:lvl2pPr></p:bodyStyle></p:txStyles>`;

export function pptx({ slides, sections = [], files = {} }: RawPptx): Uint8Array {
  const parts: Record<string, string | Uint8Array> = {
    '[Content_Types].xml':
      '<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Override PartName="/ppt/presentation.xml" ContentType="application/vnd.openxmlformats-officedocument.presentationml.presentation.main+xml"/></Types>',
    '_rels/.rels': relationships([['r1', 'officeDocument', 'ppt/presentation.xml']]),
    'ppt/presentation.xml': root(
      'presentation',
      `<p:sldIdLst>${slides.map((_, i) => `<p:sldId id="${256 + i}" r:id="s${i}"/>`).join('')}</p:sldIdLst><p:sldSz cx="9144000" cy="5143500"/><p:extLst><p:ext uri="{521415D9-36F7-43E2-AB2F-B90AF26B5E84}"><p14:sectionLst>${sections
        .map(
          ([name, of]) =>
            `<p14:section name="${name}"><p14:sldIdLst>${of.map((i) => `<p14:sldId id="${256 + i}"/>`).join('')}</p14:sldIdLst></p14:section>`,
        )
        .join('')}</p14:sectionLst></p:ext></p:extLst>`,
    ),
    'ppt/_rels/presentation.xml.rels': relationships(
      slides.map((_, i) => [`s${i}`, 'slide', `slides/slide${i}.xml`] as const),
    ),
    'ppt/slideMasters/master.xml': root('sldMaster', MASTER),
  };
  for (const type of LAYOUTS) {
    parts[`ppt/slideLayouts/${type}.xml`] = root('sldLayout', tree(''), ` type="${type}"`);
    parts[`ppt/slideLayouts/_rels/${type}.xml.rels`] = relationships([
      ['m', 'slideMaster', '../slideMasters/master.xml'],
    ]);
  }
  slides.forEach(({ shapes, layout = 'obj', notes, comments, hidden, rels = [] }, i) => {
    const own: (readonly [string, string, string, boolean?])[] = [
      ['l', 'slideLayout', `../slideLayouts/${layout}.xml`],
      ...rels,
    ];
    if (notes !== undefined) {
      own.push(['n', 'notesSlide', `../notesSlides/notes${i}.xml`]);
      parts[`ppt/notesSlides/notes${i}.xml`] = root('notes', tree(notes));
    }
    if (comments !== undefined) {
      own.push(['c', 'comments', `../comments/comments${i}.xml`]);
      parts[`ppt/comments/comments${i}.xml`] = root('cmLst', comments);
    }
    parts[`ppt/slides/slide${i}.xml`] = root('sld', tree(shapes), hidden === true ? ' show="0"' : '');
    parts[`ppt/slides/_rels/slide${i}.xml.rels`] = relationships(own);
  });
  return zipSync(
    Object.fromEntries(
      Object.entries({ ...parts, ...files }).map(([name, content]) => [
        name,
        typeof content === 'string' ? strToU8(content) : content,
      ]),
    ),
  );
}

export interface RawShape {
  /** Attributes of a placeholder; a box of its own where there are none. */
  readonly ph?: string;
  /** In hundredths of the slide: left, top, width, height. */
  readonly box?: readonly [number, number, number, number];
  /** Paragraphs as XML. */
  readonly text: string;
  readonly description?: string;
}

const place = ([x, y, width, height]: readonly [number, number, number, number]): string =>
  `<a:xfrm><a:off x="${x * 91_440}" y="${y * 51_435}"/><a:ext cx="${width * 91_440}" cy="${height * 51_435}"/></a:xfrm>`;

export const sp = ({ ph, box, text, description = '' }: RawShape): string =>
  `<p:sp><p:nvSpPr><p:cNvPr id="9" name="x" descr="${description}"/><p:cNvSpPr/><p:nvPr>${ph === undefined ? '' : `<p:ph ${ph}/>`}</p:nvPr></p:nvSpPr><p:spPr>${box === undefined ? '' : place(box)}</p:spPr><p:txBody><a:bodyPr/><a:lstStyle/>${text}</p:txBody></p:sp>`;
/** A paragraph of one run. @param level From 0. @param run Attributes of its run. */
export const ap = (text: string, level = 0, run = '', properties = ''): string =>
  `<a:p><a:pPr lvl="${level}">${properties}</a:pPr><a:r><a:rPr lang="en-GB"${run}/><a:t>${text}</a:t></a:r></a:p>`;
export const title = (text: string): string => sp({ ph: 'type="title"', text: ap(text) });
export const body = (...paragraphs: readonly string[]): string => sp({ ph: 'idx="1"', text: paragraphs.join('') });
export const frame = (data: string, box: RawShape['box'] = [10, 30, 80, 50]): string =>
  `<p:graphicFrame><p:nvGraphicFramePr><p:cNvPr id="7" name="f" descr="What it shows"/><p:cNvGraphicFramePr/><p:nvPr/></p:nvGraphicFramePr>${place(box).replaceAll('a:xfrm', 'p:xfrm')}<a:graphic><a:graphicData uri="u">${data}</a:graphicData></a:graphic></p:graphicFrame>`;
