/** Writes a document as DOCX (ECMA-376-1 §11, §17) with real styles, lists, notes and comments, so that work on its structure stays. */
import { getOrMake, USUAL_LANGUAGE } from '../../base/index.ts';
import { ZipWriter, type Deflate } from '../../container/index.ts';
import type { PictureId, PictureMime } from '../../content/index.ts';
import { Anchors, notesBelow, type Block, type DocumentModel } from '../../document/index.ts';
import type { PictureSource } from '../../scene/index.ts';
import { contentTypes, coreProperties, CORE_REL, CORE_TYPE, relationships, XML, type Rel } from '../opc/package.ts';
import { BodyWriter } from './body-writer.ts';
import { ListNumbers } from './list-numbers.ts';
import { stylesPart } from './styles-part.ts';
import { W } from './xml.ts';

export interface DocxOptions {
  readonly deflate?: Deflate | undefined;
  /** Pictures that stand before blocks, with what they show. */
  readonly before?: ReadonlyMap<Block['id'], readonly { readonly picture: PictureId; readonly alt: string }[]>;
  /** Blocks that are not in the file. */
  readonly without?: ReadonlySet<Block['id']>;
  /** Heading of a table of contents; none without. */
  readonly contents?: string;
}

const TYPE = 'application/vnd.openxmlformats-officedocument.wordprocessingml';
const WP =
  'xmlns:wp="http://schemas.openxmlformats.org/drawingml/2006/wordprocessingDrawing" xmlns:a="http://schemas.openxmlformats.org/drawingml/2006/main" xmlns:pic="http://schemas.openxmlformats.org/drawingml/2006/picture"';
const ENDINGS: Readonly<Record<PictureMime, string>> = { 'image/png': 'png', 'image/jpeg': 'jpeg', 'image/gif': 'gif' };

/** What is left out of the document is not written. The same document gives the same bytes. */
export function writeDocx(
  document: DocumentModel,
  pictures: PictureSource,
  { deflate, before = new Map(), without = new Set(), contents }: DocxOptions = {},
): Uint8Array {
  const zip = new ZipWriter(deflate);
  const language = document.language ?? USUAL_LANGUAGE;
  const blocks = document.blocks.filter(({ id, left }) => left === undefined && !without.has(id));
  const numbers = new ListNumbers(blocks);
  const rels: Rel[] = [
    { id: 'rId1', type: 'styles', target: 'styles.xml' },
    { id: 'rId2', type: 'numbering', target: 'numbering.xml' },
    { id: 'rId3', type: 'settings', target: 'settings.xml' },
    { id: 'rId4', type: 'footnotes', target: 'footnotes.xml' },
    { id: 'rId5', type: 'comments', target: 'comments.xml' },
  ];
  const known = new Map<string, string>();
  const relate = (type: string, target: string, external = false): string =>
    getOrMake(known, `${type} ${target}`, () => {
      const id = `rId${rels.length + 1}`;
      rels.push({ id, type, target, ...(external ? { external } : {}) });
      return id;
    });
  const media = new Map<PictureId, string>();
  const writer = new BodyWriter({
    numbers,
    anchors: new Anchors(blocks),
    link: (target) => (target.startsWith('#') ? undefined : relate('hyperlink', target, true)),
    picture: (id) => {
      const picture = pictures(id);
      if (picture === undefined) return undefined;
      const name = getOrMake(media, id, () => {
        const made = `media/picture${media.size + 1}.${ENDINGS[picture.mime]}`;
        zip.add({ name: `word/${made}`, content: picture.bytes, stored: true });
        return made;
      });
      return { rel: relate('image', name), width: picture.width, height: picture.height };
    },
  });
  const body = bodyOf(blocks, writer, before, contents);
  const add = (name: string, content: string, type: string): void => {
    zip.add({ name, content });
    overrides.push(`<Override PartName="/${name}" ContentType="${type}"/>`);
  };
  const overrides: string[] = [];
  const section =
    '<w:sectPr><w:pgSz w:w="11906" w:h="16838"/><w:pgMar w:top="1247" w:right="1304" w:bottom="1247" w:left="1304" w:header="709" w:footer="709" w:gutter="0"/></w:sectPr>';
  const word = (name: string, inner: string): string => `${XML}<w:${name} ${W} ${WP}>${inner}</w:${name}>`;
  add(
    'word/document.xml',
    word('document', `<w:body>${body.join('')}${section}</w:body>`),
    `${TYPE}.document.main+xml`,
  );
  add('word/styles.xml', stylesPart(language), `${TYPE}.styles+xml`);
  add('word/numbering.xml', numbers.part(), `${TYPE}.numbering+xml`);
  add('word/settings.xml', word('settings', SETTINGS), `${TYPE}.settings+xml`);
  add('word/footnotes.xml', word('footnotes', `${SEPARATORS}${writer.footnotes.join('')}`), `${TYPE}.footnotes+xml`);
  add('word/comments.xml', word('comments', writer.comments.join('')), `${TYPE}.comments+xml`);
  add('docProps/core.xml', coreProperties(document), CORE_TYPE);
  zip.add({ name: 'word/_rels/document.xml.rels', content: relationships(rels) });
  if (writer.noteRels.length > 0)
    zip.add({ name: 'word/_rels/footnotes.xml.rels', content: relationships(writer.noteRels) });
  return zip.finish([
    contentTypes(
      Object.entries(ENDINGS).map(([mime, ending]) => [ending, mime]),
      overrides,
    ),
    {
      name: '_rels/.rels',
      content: relationships([
        { id: 'rId1', type: 'officeDocument', target: 'word/document.xml' },
        { id: 'rId2', type: CORE_REL, target: 'docProps/core.xml' },
      ]),
    },
  ]);
}

function bodyOf(
  blocks: readonly Block[],
  writer: BodyWriter,
  before: NonNullable<DocxOptions['before']>,
  contents: string | undefined,
): readonly string[] {
  const footnotes = notesBelow(blocks);
  const body: string[] = [];
  const first = blocks.findIndex(({ kind }) => kind === 'heading');
  blocks.forEach((block, i) => {
    if (contents !== undefined && i === first) body.push(writer.contents(blocks, contents));
    for (const one of before.get(block.id) ?? []) body.push(writer.picture(one.picture, one.alt, true));
    // Else the two would be one.
    if (block.kind === 'code' && blocks[i - 1]?.kind === 'code') body.push('<w:p/>');
    if (block.kind !== 'footnote') body.push(writer.place(block) + writer.block(block, footnotes.get(block) ?? []));
    // With nothing before it that could refer to it, it stays where it is.
    else if (!footnotes.has(block)) body.push(writer.looseNote(block));
  });
  return body;
}

const SETTINGS = '<w:footnotePr><w:footnote w:id="-1"/><w:footnote w:id="0"/></w:footnotePr>';
const SEPARATORS =
  '<w:footnote w:type="separator" w:id="-1"><w:p><w:r><w:separator/></w:r></w:p></w:footnote><w:footnote w:type="continuationSeparator" w:id="0"><w:p><w:r><w:continuationSeparator/></w:r></w:p></w:footnote>';
