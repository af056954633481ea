/** Writes a scene as PPTX (ECMA-376-1 §13, §19): everything native, everything that can be inherited inherited. */
import { xmlText, ZipWriter, type Deflate, type Part } from '../../container/index.ts';
import type { PictureId, PictureMime } from '../../content/index.ts';
import type { PictureSource, Scene, SceneSlide } from '../../scene/index.ts';
import type { Palette } from '../../theme/index.ts';
import { layoutPart, masterPart } from './master-part.ts';
import { NOTES_HEIGHT, NOTES_WIDTH, notesMasterPart, notesSlidePart } from './notes-part.ts';
import { chartPart } from './chart-part.ts';
import { slidePart } from './slide-part.ts';
import { themeOverridePart, themePart } from './theme-part.ts';
import { workbook } from './workbook.ts';
import { guid, NS, relationships, XML, type Rel } from './xml.ts';

const TYPES = 'application/vnd.openxmlformats-officedocument.presentationml';
const ENDINGS: Readonly<Record<PictureMime, string>> = { 'image/png': 'png', 'image/jpeg': 'jpeg', 'image/gif': 'gif' };
const FIRST_SLIDE_ID = 256;

/** The same scene gives the same bytes. */
export function writePptx(scene: Scene, pictures: PictureSource, deflate?: Deflate): Uint8Array {
  const zip = new ZipWriter(deflate);
  const overrides: string[] = [];
  const add = (name: string, content: string, type?: string, rels?: readonly Rel[]): void => {
    zip.add({ name, content });
    if (type !== undefined) overrides.push(`<Override PartName="/${name}" ContentType="${type}"/>`);
    const slash = name.lastIndexOf('/');
    if (rels !== undefined && rels.length > 0)
      zip.add({ name: `${name.slice(0, slash)}/_rels/${name.slice(slash + 1)}.rels`, content: relationships(rels) });
  };
  const media = new Media(pictures);
  const { theme, slides } = scene;
  let charts = 0;
  const overridden = new Map<Palette, number>();
  const themeType = 'application/vnd.openxmlformats-officedocument.theme+xml';

  const withMedia = (rels: Rels) => (id: PictureId) => {
    const name = media.take(id);
    return name === undefined ? undefined : rels.add('image', `../media/${name}`);
  };
  const masterRels = new Rels();
  theme.layouts.forEach((_, i) => masterRels.add('slideLayout', `../slideLayouts/slideLayout${i + 1}.xml`));
  masterRels.add('theme', '../theme/theme1.xml');
  const master = masterPart(theme, withMedia(masterRels));
  add('ppt/slideMasters/slideMaster1.xml', master, `${TYPES}.slideMaster+xml`, masterRels.list);
  theme.layouts.forEach((layout, i) => {
    const rels = new Rels();
    rels.add('slideMaster', '../slideMasters/slideMaster1.xml');
    const xml = layoutPart(layout, theme, withMedia(rels));
    add(`ppt/slideLayouts/slideLayout${i + 1}.xml`, xml, `${TYPES}.slideLayout+xml`, rels.list);
  });
  add('ppt/theme/theme1.xml', themePart(theme), themeType);
  add('ppt/notesMasters/notesMaster1.xml', notesMasterPart(theme), `${TYPES}.notesMaster+xml`, [
    { id: 'rId1', type: 'theme', target: '../theme/theme2.xml' },
  ]);
  add('ppt/theme/theme2.xml', themePart(theme), themeType);
  slides.forEach((slide, i) => addSlide(slide, i + 1));

  const presentation: Rel[] = [
    { id: 'rId1', type: 'slideMaster', target: 'slideMasters/slideMaster1.xml' },
    { id: 'rId2', type: 'notesMaster', target: 'notesMasters/notesMaster1.xml' },
    { id: 'rId3', type: 'theme', target: 'theme/theme1.xml' },
    { id: 'rId4', type: 'presProps', target: 'presProps.xml' },
    { id: 'rId5', type: 'viewProps', target: 'viewProps.xml' },
    { id: 'rId6', type: 'tableStyles', target: 'tableStyles.xml' },
    ...slides.map((_, i): Rel => ({ id: `rId${i + 7}`, type: 'slide', target: `slides/slide${i + 1}.xml` })),
  ];
  add('ppt/presentation.xml', presentationPart(scene), `${TYPES}.presentation.main+xml`, presentation);
  add('ppt/presProps.xml', `${XML}<p:presentationPr ${NS}/>`, `${TYPES}.presProps+xml`);
  add('ppt/viewProps.xml', `${XML}<p:viewPr ${NS}/>`, `${TYPES}.viewProps+xml`);
  add(
    'ppt/tableStyles.xml',
    `${XML}<a:tblStyleLst xmlns:a="http://schemas.openxmlformats.org/drawingml/2006/main" def="{5C22544A-7EE6-4342-B048-85BDC9FD1C3A}"/>`,
    `${TYPES}.tableStyles+xml`,
  );
  add('docProps/core.xml', coreProperties(scene), 'application/vnd.openxmlformats-package.core-properties+xml');
  add(
    'docProps/app.xml',
    `${XML}<Properties xmlns="http://schemas.openxmlformats.org/officeDocument/2006/extended-properties"><Slides>${slides.length}</Slides><Application>Alvex</Application></Properties>`,
    'application/vnd.openxmlformats-officedocument.extended-properties+xml',
  );

  const endings = media.endings
    .map((ending) => `<Default Extension="${ending}" ContentType="image/${ending}"/>`)
    .join('');
  const books =
    charts === 0
      ? ''
      : '<Default Extension="xlsx" ContentType="application/vnd.openxmlformats-officedocument.spreadsheetml.sheet"/>';
  const types = `${XML}<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Default Extension="xml" ContentType="application/xml"/>${endings}${books}${overrides.join('')}</Types>`;
  const root = relationships([
    { id: 'rId1', type: 'officeDocument', target: 'ppt/presentation.xml' },
    {
      id: 'rId2',
      type: 'http://schemas.openxmlformats.org/package/2006/relationships/metadata/core-properties',
      target: 'docProps/core.xml',
    },
    { id: 'rId3', type: 'extended-properties', target: 'docProps/app.xml' },
  ]);
  for (const part of media.parts) zip.add(part);
  return zip.finish([
    { name: '[Content_Types].xml', content: types },
    { name: '_rels/.rels', content: root },
  ]);

  function addSlide(slide: SceneSlide, number: number): void {
    const rels = new Rels();
    rels.add('slideLayout', `../slideLayouts/slideLayout${theme.layouts.indexOf(slide.layout) + 1}.xml`);
    const language = scene.language ?? 'en-GB';
    const xml = slidePart(slide, {
      theme,
      language,
      link: (target) => rels.link(target),
      picture: withMedia(rels),
      chart: ({ chart }) => {
        charts++;
        const name = `ppt/charts/chart${charts}.xml`;
        const book = `../embeddings/workbook${charts}.xlsx`;
        // An archive itself: packing it again takes time for nothing.
        zip.add({ name: `ppt/embeddings/workbook${charts}.xlsx`, content: workbook(chart, deflate), stored: true });
        add(name, chartPart(chart, 'rId1'), 'application/vnd.openxmlformats-officedocument.drawingml.chart+xml', [
          { id: 'rId1', type: 'package', target: book },
        ]);
        return rels.add('chart', `../charts/chart${charts}.xml`);
      },
    });
    if (slide.colors !== null) {
      const known = overridden.get(slide.colors.palette) ?? overridden.size + 1;
      if (!overridden.has(slide.colors.palette)) {
        overridden.set(slide.colors.palette, known);
        const type = 'application/vnd.openxmlformats-officedocument.themeOverride+xml';
        add(`ppt/theme/themeOverride${known}.xml`, themeOverridePart(slide.colors.palette, theme), type);
      }
      rels.add('themeOverride', `../theme/themeOverride${known}.xml`);
    }
    if (slide.notes.length > 0) {
      const name = `ppt/notesSlides/notesSlide${number}.xml`;
      rels.add('notesSlide', `../notesSlides/notesSlide${number}.xml`);
      const notesRels = new Rels();
      notesRels.add('notesMaster', '../notesMasters/notesMaster1.xml');
      notesRels.add('slide', `../slides/slide${number}.xml`);
      const notes = notesSlidePart(slide.notes, { theme, language, link: (target) => notesRels.link(target) });
      add(name, notes, `${TYPES}.notesSlide+xml`, notesRels.list);
    }
    add(`ppt/slides/slide${number}.xml`, xml, `${TYPES}.slide+xml`, rels.list);
  }
}

class Rels {
  readonly list: Rel[] = [];

  /** One relationship for one target. */
  add(type: string, target: string, external = false): string {
    const known = this.list.find((rel) => rel.type === type && rel.target === target);
    if (known !== undefined) return known.id;
    const id = `rId${this.list.length + 1}`;
    this.list.push({ id, type, target, ...(external ? { external } : {}) });
    return id;
  }

  link(target: string): string | undefined {
    return target.startsWith('#') ? undefined : this.add('hyperlink', target, true);
  }
}

class Media {
  readonly parts: Part[] = [];
  readonly #names = new Map<PictureId, string>();
  readonly #endings = new Set<string>();
  readonly #source: PictureSource;

  constructor(source: PictureSource) {
    this.#source = source;
  }

  get endings(): readonly string[] {
    return [...this.#endings].sort();
  }

  take(id: PictureId): string | undefined {
    const known = this.#names.get(id);
    if (known !== undefined) return known;
    const picture = this.#source(id);
    if (picture === undefined) return undefined;
    const ending = ENDINGS[picture.mime];
    const name = `image${this.#names.size + 1}.${ending}`;
    this.#names.set(id, name);
    this.#endings.add(ending);
    this.parts.push({ name: `ppt/media/${name}`, content: picture.bytes, stored: true });
    return name;
  }
}

function presentationPart({ slides, sections, theme }: Scene): string {
  const ids = slides.map((_, i) => `<p:sldId id="${FIRST_SLIDE_ID + i}" r:id="rId${i + 7}"/>`).join('');
  const list = sections.map(({ title, from }, i) => {
    const to = sections[i + 1]?.from ?? slides.length;
    const members = slides
      .slice(from, to)
      .map((_, k) => `<p14:sldId id="${FIRST_SLIDE_ID + from + k}"/>`)
      .join('');
    return `<p14:section name="${xmlText(title)}" id="${guid(i, 2)}"><p14:sldIdLst>${members}</p14:sldIdLst></p14:section>`;
  });
  const extension =
    list.length === 0
      ? ''
      : `<p:extLst><p:ext uri="{521415D9-36F7-43E2-AB2F-B90AF26B5E84}"><p14:sectionLst xmlns:p14="http://schemas.microsoft.com/office/powerpoint/2010/main">${list.join('')}</p14:sectionLst></p:ext></p:extLst>`;
  const slideList = ids === '' ? '' : `<p:sldIdLst>${ids}</p:sldIdLst>`;
  return `${XML}<p:presentation ${NS}><p:sldMasterIdLst><p:sldMasterId id="2147483648" r:id="rId1"/></p:sldMasterIdLst><p:notesMasterIdLst><p:notesMasterId r:id="rId2"/></p:notesMasterIdLst>${slideList}<p:sldSz cx="${theme.size.width}" cy="${theme.size.height}"/><p:notesSz cx="${NOTES_WIDTH}" cy="${NOTES_HEIGHT}"/>${extension}</p:presentation>`;
}

function coreProperties({ title, author, language }: Scene): string {
  const element = (tag: string, value: string | null): string =>
    value === null ? '' : `<${tag}>${xmlText(value)}</${tag}>`;
  return `${XML}<cp:coreProperties xmlns:cp="http://schemas.openxmlformats.org/package/2006/metadata/core-properties" xmlns:dc="http://purl.org/dc/elements/1.1/">${element('dc:title', title)}${element('dc:creator', author)}${element('dc:language', language)}</cp:coreProperties>`;
}
