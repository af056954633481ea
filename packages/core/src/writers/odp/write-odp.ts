/** Writes a scene as ODP (OASIS ODF 1.3): master pages, placeholders, notes, tables and charts as what they are. */
import { USUAL_LANGUAGE } from '../../base/index.ts';
import { xmlText, ZipWriter, type Deflate } from '../../container/index.ts';
import type { PictureId } from '../../content/index.ts';
import { goalOf, type EmbeddedFace, type PictureSource, type Scene, type SceneSlide } from '../../scene/index.ts';
import { Media } from '../slides/media.ts';
import { chartPart } from './chart-object.ts';
import { chartPicture } from './chart-picture.ts';
import { stylesPart } from './master-part.ts';
import { fontFaces, type FontPart } from './master-styles.ts';
import { mastersOf } from './masters.ts';
import { FOOT_NAMES, pageName, pageXml } from './page.ts';
import { pictureSize } from '../odf/picture-size.ts';
import { StyleSheet } from '../odf/style-sheet.ts';
import { firstParts, metaPart, pictureEntries, type ManifestEntry, type NamedPicture } from '../odf/package.ts';
import { element, NS, VERSION, XML } from '../odf/xml.ts';

const ODP_TYPE = 'application/vnd.oasis.opendocument.presentation';
/** The part that shows a file in small (part 2, §3.7), a PNG. */
const THUMBNAIL = 'Thumbnails/thumbnail.png';
const PICTURES = 'Pictures/';
const CHART_TYPE = 'application/vnd.oasis.opendocument.chart';

export interface OdpOptions {
  /** They go along, for computers that lack them. */
  readonly fonts?: readonly EmbeddedFace[] | undefined;
  /** PNG. */
  readonly thumbnail?: Uint8Array | undefined;
  readonly deflate?: Deflate | undefined;
}

/** The same scene gives the same bytes. */
export function writeOdp(
  scene: Scene,
  pictures: PictureSource,
  { fonts = [], thumbnail, deflate }: OdpOptions = {},
): Uint8Array {
  const { theme, slides } = scene;
  const zip = new ZipWriter(deflate);
  const language = scene.language ?? USUAL_LANGUAGE;
  const media = new Media(pictures, PICTURES);
  const manifest: ManifestEntry[] = [
    ['content.xml', 'text/xml'],
    ['styles.xml', 'text/xml'],
    ['meta.xml', 'text/xml'],
  ];
  const picture = (id: PictureId): NamedPicture | undefined => {
    const [href, data] = [media.take(id), pictures(id)];
    return href === undefined || data === undefined ? undefined : { href, size: pictureSize(data) };
  };
  const masters = mastersOf(scene);
  const along = fonts.map(fontPart);
  zip.add({ name: 'styles.xml', content: stylesPart(theme, masters.all, language, picture, along) });

  const styles = new StyleSheet();
  // A slide that goes on over several pages begins with its first.
  const numbers = new Map(slides.map(({ id, number }) => [id, number] as const).toReversed());
  const placeOf = (lead: SceneSlide['id'] | undefined): string | undefined => {
    const to = lead === undefined ? undefined : numbers.get(lead);
    return to === undefined ? undefined : `#${pageName(to)}`;
  };
  let [ids, charts] = [0, 0];
  const pages = slides.map((slide) =>
    pageXml(slide, masters.of(slide), {
      theme,
      language,
      styles,
      picture,
      newId: () => `id${++ids}`,
      goal: (link) => placeOf(goalOf(scene, link)),
      jump: (part) => placeOf(slide.leads.get(part)),
      chart: (box, colors) => {
        const object = `chart${++charts}`;
        const picture = `${PICTURES}${object}.svg`;
        const size = box.frame;
        zip.add({ name: `${object}/content.xml`, content: chartPart(box.chart, { theme, colors, language, size }) });
        zip.add({ name: picture, content: chartPicture(box, theme, colors) });
        manifest.push([`${object}/`, CHART_TYPE], [`${object}/content.xml`, 'text/xml'], [picture, 'image/svg+xml']);
        return { object, picture };
      },
    }),
  );
  const said = { footer: theme.look?.foot.footer.text ?? '', date: theme.look?.foot.date.text ?? '' };
  const declared =
    (said.footer === ''
      ? ''
      : element('presentation:footer-decl', { 'presentation:name': FOOT_NAMES.footer }, xmlText(said.footer))) +
    (said.date === ''
      ? ''
      : element(
          'presentation:date-time-decl',
          {
            'presentation:name': FOOT_NAMES.date,
            'presentation:source': theme.look?.foot.date.live === true ? 'current-date' : 'fixed',
          },
          xmlText(said.date),
        ));
  zip.add({
    name: 'content.xml',
    content: `${XML}<office:document-content ${NS} office:version="${VERSION}">${fontFaces(theme, along)}<office:automatic-styles>${styles.xml}</office:automatic-styles><office:body><office:presentation>${declared}${pages.join('')}</office:presentation></office:body></office:document-content>`,
  });
  zip.add({ name: 'meta.xml', content: metaPart({ ...scene, title: scene.title ?? slides[0]?.title }) });
  for (const part of media.parts) zip.add(part);
  manifest.push(...pictureEntries(media.parts));
  for (const { name, bytes } of along) {
    zip.add({ name, content: bytes });
    manifest.push([name, name.endsWith('.otf') ? 'font/otf' : 'font/ttf']);
  }
  if (thumbnail !== undefined) {
    zip.add({ name: THUMBNAIL, content: thumbnail, stored: true });
    manifest.push([THUMBNAIL, 'image/png']);
  }
  return zip.finish(firstParts(ODP_TYPE, manifest));
}

/** Outlines of PostScript's kind begin with OTTO (OpenType 1.9, "Table Directory"). */
const fontPart = ({ family, bytes }: EmbeddedFace, i: number): FontPart => ({
  family,
  name: `Fonts/font${i + 1}.${bytes[0] === 0x4f ? 'otf' : 'ttf'}`,
  bytes,
});
