/** Reads PPTX (ECMA-376-1 §19, ISO/IEC 29500 transitional and strict) as a headed document: bytes to document. */
import { getOrMake, LIMITS, ReadError, Report, type SourcePlace } from '../../base/index.ts';
import {
  mainPart,
  nodeAt,
  nodesNamed,
  nodesWithin,
  openZip,
  readRelationships,
  readPlainTree,
  relatedPart,
  type Relationships,
  type XmlNode,
  type ZipReader,
} from '../../container/index.ts';
import { packageProperties } from '../package-properties.ts';
import { PictureStore } from '../picture-store.ts';
import { BlockList, readResult, type ReadOptions, type ReadResult } from '../read-result.ts';
import { slideDrafts } from '../slides/slide-drafts.ts';
import type { ReadSlide } from '../slides/read-slide.ts';
import { isOn, nameOfSlide, treeOrTold, type PptxContext, type SlideContext } from './context.ts';
import { plainText } from './paragraphs.ts';
import { heldIn, notesDrafts, slidePieces, type Origin } from './slide-reader.ts';
import { pptxText } from './source-text.ts';

/** In EMU, where the file says no size (§19.2.1.39). */
const USUAL_WIDTH = 9_144_000;
const USUAL_HEIGHT = 6_858_000;

/** @throws ReadError when the package cannot be used; what is merely missing in it is reported. */
export function readPptx(bytes: Uint8Array, options: ReadOptions = {}): ReadResult {
  const zip = openZip(bytes);
  const main = mainPart(zip, 'presentationml');
  const root = readPlainTree(zip, main);
  const relationships = readRelationships(zip, main);
  const report = new Report();
  const pictures = new PictureStore(report);
  const size = nodeAt(root, 'p:sldSz')?.attributes;
  const listed = nodesNamed(nodeAt(root, 'p:sldIdLst'), 'p:sldId');
  const context: PptxContext = {
    zip,
    pictures,
    report,
    width: Number(size?.cx) || USUAL_WIDTH,
    height: Number(size?.cy) || USUAL_HEIGHT,
    usual: nodeAt(root, 'p:defaultTextStyle'),
    numbers: new Map(
      listed.flatMap(({ attributes }, i) => {
        const rel = relationships.get(attributes['r:id'] ?? '');
        return rel === undefined || rel.external ? [] : [[rel.target, i + 1] as const];
      }),
    ),
  };
  if (listed.length > LIMITS.blocks) throw new ReadError('too-many-blocks', { part: main });
  const reader = new SlidesReader(context);
  const slides: ReadSlide[] = [];
  const placeOf = new Map<string, number>();
  listed.forEach(({ attributes }, i) => {
    options.progress?.(i / listed.length);
    const rel = relationships.get(attributes['r:id'] ?? '');
    if (attributes.id !== undefined) placeOf.set(attributes.id, slides.length);
    if (rel === undefined || rel.external || !zip.has(rel.target)) {
      report.add('slide-missing', { page: i + 1 });
      return;
    }
    const slide = reader.read(rel.target, i + 1);
    if (slide !== undefined) slides.push(slide);
  });
  const aspect = context.width / context.height;
  const { drafts, slidesAt } = slideDrafts({ slides, sections: sectionsIn(root, placeOf), aspect }, report);
  const list = new BlockList();
  for (const draft of drafts) list.add(draft);
  if (list.blocks.length === 0) throw new ReadError('no-slides');
  const result = readResult(list, pictures.pictures, report, packageProperties(zip), (take) =>
    pptxText(bytes, take, zip),
  );
  return { ...result, document: { ...result.document, slidesAt } };
}

/** Names of sections by the place of their first slide (an extension of §19.2.1.26, [MS-PPTX] 2.6.11). */
function sectionsIn(root: XmlNode, placeOf: ReadonlyMap<string, number>): ReadonlyMap<number, string> {
  const sections = new Map<number, string>();
  for (const section of nodesWithin(root, 'p14:section')) {
    const [first] = nodesWithin(section, 'p14:sldId');
    const place = placeOf.get(first?.attributes.id ?? '');
    const name = section.attributes.name?.trim() ?? '';
    if (place !== undefined && name !== '') sections.set(place, name);
  }
  return sections;
}

class SlidesReader {
  readonly #context: PptxContext;
  readonly #origins = new Map<string, { readonly origin: Origin; readonly type: string | undefined }>();

  constructor(context: PptxContext) {
    this.#context = context;
  }

  /** @returns undefined for a slide that cannot be read; the report says so. */
  read(part: string, page: number): ReadSlide | undefined {
    const { zip, report } = this.#context;
    const place = { part, page };
    const relationships = readRelationships(zip, part);
    const context: SlideContext = { ...this.#context, part, relationships, place };
    const root = treeOrTold(zip, part, report, place);
    if (root === undefined) return undefined;
    const { origin, type } = this.#originOf(relatedPart(zip, relationships, 'slideLayout'));
    const notes = relatedPart(zip, relationships, 'notesSlide');
    const said = notes === undefined ? undefined : treeOrTold(zip, notes, report, { part: notes, page });
    const pieces = slidePieces(root, origin, context);
    return {
      place,
      name: nameOfSlide(page),
      kind: type === 'title' ? 'cover' : type === 'secHead' ? 'opener' : 'content',
      hidden: !isOn(root.attributes.show ?? '1'),
      pieces,
      notes:
        notes === undefined || said === undefined
          ? []
          : notesDrafts(said, {
              ...context,
              part: notes,
              // Few notes have a link.
              get relationships() {
                return readRelationships(zip, notes);
              },
              place: { part: notes, page },
            }),
      remark: commentsOf(zip, relationships, report, place),
    };
  }

  #originOf(layout: string | undefined) {
    return getOrMake(this.#origins, layout ?? '', () => {
      const { zip, report } = this.#context;
      const tree = layout === undefined ? undefined : treeOrTold(zip, layout, report, { part: layout });
      const master = layout === undefined ? undefined : relatedPart(zip, readRelationships(zip, layout), 'slideMaster');
      const above = master === undefined ? undefined : treeOrTold(zip, master, report, { part: master });
      const origin = { layout: heldIn(tree), master: heldIn(above), styles: nodeAt(above, 'p:txStyles') };
      return { origin, type: tree?.attributes.type };
    });
  }
}

/** Comments of the standard (§19.4.4) and of the later extension, with their replies. */
function commentsOf(
  zip: ZipReader,
  relationships: Relationships,
  report: Report,
  place: SourcePlace,
): string | undefined {
  const part = relatedPart(zip, relationships, 'comments');
  const root = part === undefined ? undefined : treeOrTold(zip, part, report, place);
  if (root === undefined) return undefined;
  const texts = [
    ...nodesWithin(root, 'p:text').map(plainText),
    ...nodesWithin(root, 'p188:txBody').map((body) => nodesWithin(body, 'a:t').map(plainText).join('')),
  ].filter((text) => text.trim() !== '');
  return texts.length === 0 ? undefined : texts.join('\n');
}
