/** Each reader beside the bare parse of the same bytes: `readers FORMAT ours|floor`. */
import { strToU8, unzipSync, zipSync } from 'fflate';
import MarkdownIt from 'markdown-it';
import { parse } from 'parse5';
import { SaxesParser } from 'saxes';
import { convert, openDocument, readDocument, writeDeck, type DocumentType } from '../../packages/core/src/index.ts';
import { rtfTokens } from '../../packages/core/src/readers/rtf/tokens.ts';
import { odf } from '../../packages/core/src/test/odt.ts';
import { best, sentence, tell } from '../measure.ts';

const MEGABYTE = 1_000_000;

/** Pieces until `size` characters are full. */
function filled(size: number, piece: (i: number) => string): string {
  const pieces: string[] = [];
  for (let i = 0, length = 0; length < size; i++) {
    pieces.push(piece(i));
    length += pieces.at(-1)!.length;
  }
  return pieces.join('');
}

const paragraphs = (i: number): string =>
  `<text:h text:outline-level="2">${sentence(i, 5)}</text:h><text:p text:style-name="P${i % 3}">${sentence(i, 60)} <text:span text:style-name="B">${sentence(i + 1, 4)}</text:span></text:p><text:list><text:list-item><text:p>${sentence(i + 2, 7)}</text:p></text:list-item></text:list>`;

const sax = (text: string): void => {
  const parser = new SaxesParser({ xmlns: false, position: false });
  parser.write(text).close();
};

const cases: Readonly<
  Record<string, () => Promise<readonly [Uint8Array, DocumentType, (bytes: Uint8Array) => unknown]>>
> = {
  html: () => {
    const source = `<html><body><main>${filled(MEGABYTE, (i) => `<h2>${sentence(i, 5)}</h2><p>${sentence(i, 60)} <b>${sentence(i + 1, 4)}</b> <a href="https://a.example/${i}">x</a></p><ul><li>${sentence(i + 2, 7)}</li></ul>`)}</main></body></html>`;
    return Promise.resolve([strToU8(source), 'html', () => parse(source)]);
  },
  odt: () => {
    const content = odf(
      'document-content',
      `<office:body><office:text>${filled(5 * MEGABYTE, paragraphs)}</office:text></office:body>`,
    );
    const bytes = zipSync({
      mimetype: strToU8('application/vnd.oasis.opendocument.text'),
      'content.xml': strToU8(content),
    });
    return Promise.resolve([bytes, 'odt', (all) => sax(new TextDecoder().decode(unzipSync(all)['content.xml']))]);
  },
  pptx: () => {
    const lines = Array.from(
      { length: 500 },
      (_, i) =>
        `# ${sentence(i, 5)}\n\n- ${sentence(i, 8)}\n- ${sentence(i + 1, 8)}\n  - ${sentence(i + 2, 6)}\n\n${sentence(i, 60)}\n\n`,
    );
    return openDocument(strToU8(lines.join('')), 'markdown').then(({ document }) => {
      const bytes = writeDeck('pptx', convert(document, []), []);
      // What holds its words: slides and notes.
      return [
        bytes,
        'pptx',
        (all: Uint8Array) => {
          for (const [name, part] of Object.entries(unzipSync(all)))
            if (/^ppt\/(slides|notesSlides)\/.*\.xml/.test(name)) sax(new TextDecoder().decode(part));
        },
      ] as const;
    });
  },
  rtf: () => {
    const body = filled(
      5 * MEGABYTE,
      (i) =>
        `\\pard\\s1\\b ${sentence(i, 5)}\\par\\pard\\plain ${sentence(i, 60)} {\\b ${sentence(i + 1, 4)}} caf\\'e9\\par\n`,
    );
    const bytes = strToU8(`{\\rtf1\\ansi{\\stylesheet{\\s1 heading 1;}}${body}}`);
    return Promise.resolve([bytes, 'rtf', (all) => [...rtfTokens(all)].length]);
  },
  text: () => {
    const source = filled(
      5 * MEGABYTE,
      (i) =>
        `${i}. ${sentence(i, 5).slice(0, -1)}\n\n${sentence(i, 60)}\n\n- ${sentence(i + 2, 7)}\n- ${sentence(i + 3, 6)}\n\n`,
    );
    return Promise.resolve([strToU8(source), 'text', (all) => new TextDecoder().decode(all).split('\n').length]);
  },
  opml: () => {
    const source = `<opml version="2.0"><body>${filled(MEGABYTE, (i) => `<outline text="${sentence(i, 6)}"><outline text="${sentence(i + 1, 9)}"/><outline text="${sentence(i + 2, 9)}" _note="${sentence(i, 30)}"/></outline>`)}</body></opml>`;
    return Promise.resolve([strToU8(source), 'opml', () => sax(source)]);
  },
  markdown: () => {
    const source = filled(
      10 * MEGABYTE,
      (i) => `## ${sentence(i, 5)}\n\n${sentence(i, 60)} **${sentence(i + 1, 4)}**\n\n- ${sentence(i, 9)}\n\n`,
    );
    const parser = new MarkdownIt({ html: true });
    return Promise.resolve([strToU8(source), 'markdown', () => parser.parse(source, {})]);
  },
};

const [, , subject, format] = process.argv;
const [bytes, type, floor] = await cases[format!]!();
const ms = await best(3, () => (subject === 'ours' ? readDocument(bytes, type) : floor(bytes)));
tell(ms, { megabytes: bytes.length / MEGABYTE });
