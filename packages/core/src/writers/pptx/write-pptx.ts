/** Writes a scene as PPTX (ECMA-376-1 §13, §19): everything native, everything that can be inherited inherited. */
import { groupBy, USUAL_LANGUAGE } from '../../base/index.ts';
import type { FaceStyle } from '../../fonts/index.ts';
import { ZipWriter, type Deflate } from '../../container/index.ts';
import type { EmbeddedFace, PictureSource, Scene } from '../../scene/index.ts';
import { layoutPart, masterPart, otherLevels } from './master-part.ts';
import { NOTES_HEIGHT, NOTES_WIDTH, notesMasterPart } from './notes-part.ts';
import { appProperties, APP_TYPE, describedBy } from './properties.ts';
import { contentTypes, coreProperties, CORE_REL, CORE_TYPE, THUMBNAIL, THUMBNAIL_REL } from '../opc/package.ts';
import { sectionList, sectionsOf } from './section-list.ts';
import { Rels, SlideParts, TYPES } from './slide-parts.ts';
import { tableStyles } from './table-style.ts';
import { embeddedOpenType } from './embedded-font.ts';
import { fontFace, themePart } from './theme-part.ts';
import { relationships, XML, type Rel } from '../opc/package.ts';
import { NS } from './xml.ts';

const FIRST_SLIDE_ID = 256;
const THEME = 'application/vnd.openxmlformats-officedocument.theme+xml';

/** The same scene gives the same bytes. */
export function writePptx(
  scene: Scene,
  pictures: PictureSource,
  fonts: readonly EmbeddedFace[],
  thumbnail: Uint8Array | undefined,
  deflate?: Deflate,
): Uint8Array {
  const { theme, slides } = scene;
  const zip = new ZipWriter(deflate);
  const language = scene.language ?? USUAL_LANGUAGE;
  const at = {
    prefix: '',
    layout: ({ layout }: Scene['slides'][number]) =>
      `../slideLayouts/slideLayout${theme.layouts.indexOf(layout) + 1}.xml`,
    notesMaster: '../notesMasters/notesMaster1.xml',
    ownNotes: true,
  };
  const parts = new SlideParts(zip, scene, pictures, at, deflate);
  const masterRels = new Rels();
  theme.layouts.forEach((_, i) => masterRels.add('slideLayout', `../slideLayouts/slideLayout${i + 1}.xml`));
  masterRels.add('theme', '../theme/theme1.xml');
  const master = masterPart(theme, language, parts.pictureOf(masterRels));
  parts.add('ppt/slideMasters/slideMaster1.xml', master, `${TYPES}.slideMaster+xml`, masterRels.list);
  theme.layouts.forEach((layout, i) => {
    const rels = new Rels();
    rels.add('slideMaster', '../slideMasters/slideMaster1.xml');
    const xml = layoutPart(layout, theme, language, parts.pictureOf(rels));
    parts.add(`ppt/slideLayouts/slideLayout${i + 1}.xml`, xml, `${TYPES}.slideLayout+xml`, rels.list);
  });
  parts.add('ppt/theme/theme1.xml', themePart(theme), THEME);
  parts.add('ppt/notesMasters/notesMaster1.xml', notesMasterPart(theme, language), `${TYPES}.notesMaster+xml`, [
    { id: 'rId1', type: 'theme', target: '../theme/theme2.xml' },
  ]);
  parts.add('ppt/theme/theme2.xml', themePart(theme), THEME);
  slides.forEach((slide, i) => parts.addSlide(slide, i + 1));

  const presentation: Rel[] = [
    { id: 'rId1', type: 'slideMaster', target: 'slideMasters/slideMaster1.xml' },
    { id: 'rId2', type: 'notesMaster', target: 'notesMasters/notesMaster1.xml' },
    { id: 'rId3', type: 'theme', target: 'theme/theme1.xml' },
    { id: 'rId4', type: 'presProps', target: 'presProps.xml' },
    { id: 'rId5', type: 'viewProps', target: 'viewProps.xml' },
    { id: 'rId6', type: 'tableStyles', target: 'tableStyles.xml' },
    ...slides.map((_, i): Rel => ({ id: `rId${i + 7}`, type: 'slide', target: parts.slideName(i + 1) })),
  ];
  const embedded = fonts.map((face, i) => {
    const name = `fonts/font${i + 1}.fntdata`;
    zip.add({ name: `ppt/${name}`, content: embeddedOpenType(face) });
    const id = `rId${presentation.length + 1}`;
    presentation.push({ id, type: 'font', target: name });
    return { ...face, id };
  });
  parts.add('ppt/presentation.xml', presentationPart(scene, embedded), `${TYPES}.presentation.main+xml`, presentation);
  parts.add('ppt/presProps.xml', `${XML}<p:presentationPr ${NS}/>`, `${TYPES}.presProps+xml`);
  parts.add('ppt/viewProps.xml', `${XML}<p:viewPr ${NS}/>`, `${TYPES}.viewProps+xml`);
  parts.add('ppt/tableStyles.xml', tableStyles(theme), `${TYPES}.tableStyles+xml`);
  parts.add('docProps/core.xml', coreProperties(describedBy(scene)), CORE_TYPE);
  parts.add('docProps/app.xml', appProperties(scene), APP_TYPE);

  const defaults = new Map([
    ...parts.defaults,
    ...(fonts.length === 0 ? [] : [['fntdata', 'application/x-fontdata'] as const]),
    ...(thumbnail === undefined ? [] : [['png', 'image/png'] as const]),
  ]);
  if (thumbnail !== undefined) zip.add({ name: THUMBNAIL, content: thumbnail, stored: true });
  const root = relationships([
    { id: 'rId1', type: 'officeDocument', target: 'ppt/presentation.xml' },
    {
      id: 'rId2',
      type: CORE_REL,
      target: 'docProps/core.xml',
    },
    { id: 'rId3', type: 'extended-properties', target: 'docProps/app.xml' },
    ...(thumbnail === undefined ? [] : [{ id: 'rId4', type: THUMBNAIL_REL, target: THUMBNAIL }]),
  ]);
  for (const part of parts.media.parts) zip.add(part);
  return zip.finish([contentTypes(defaults, parts.overrides), { name: '_rels/.rels', content: root }]);
}

type Embedded = Omit<EmbeddedFace, 'bytes'> & { readonly id: string };

/** Faces by family, in the order that the schema wants (§19.2.1.9). */
function fontList(embedded: readonly Embedded[]): string {
  if (embedded.length === 0) return '';
  const families = [...groupBy(embedded, ({ family }) => family)].map(([family, faces]) => {
    const inOrder = FACE_STYLES.flatMap((style) => faces.filter((face) => face.style === style));
    return `<p:embeddedFont><p:font ${fontFace(family)}/>${inOrder.map(({ style, id }) => `<p:${style} r:id="${id}"/>`).join('')}</p:embeddedFont>`;
  });
  return `<p:embeddedFontLst>${families.join('')}</p:embeddedFontLst>`;
}
const FACE_STYLES: readonly FaceStyle[] = ['regular', 'bold', 'italic', 'boldItalic'];

function presentationPart(scene: Scene, embedded: readonly Embedded[]): string {
  const { slides, theme } = scene;
  const slideIds = slides.map((_, i) => FIRST_SLIDE_ID + i);
  const ids = slideIds.map((id, i) => `<p:sldId id="${id}" r:id="rId${i + 7}"/>`).join('');
  const extension = sectionList(sectionsOf(scene, slideIds));
  const slideList = ids === '' ? '' : `<p:sldIdLst>${ids}</p:sldIdLst>`;
  return `${XML}<p:presentation ${NS}${theme.mirrored ? ' rtl="1"' : ''}${embedded.length === 0 ? '' : ' embedTrueTypeFonts="1" saveSubsetFonts="1"'}><p:sldMasterIdLst><p:sldMasterId id="2147483648" r:id="rId1"/></p:sldMasterIdLst><p:notesMasterIdLst><p:notesMasterId r:id="rId2"/></p:notesMasterIdLst>${slideList}<p:sldSz cx="${theme.size.width}" cy="${theme.size.height}"/><p:notesSz cx="${NOTES_WIDTH}" cy="${NOTES_HEIGHT}"/>${fontList(embedded)}<p:defaultTextStyle>${otherLevels(theme)}</p:defaultTextStyle>${extension === '' ? '' : `<p:extLst>${extension}</p:extLst>`}</p:presentation>`;
}
