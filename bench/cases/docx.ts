/** Reading a DOCX of about 500 pages: ours, the floor (unzip and SAX alone), and mammoth. */
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { SaxesParser } from 'saxes';
import { documentWords, readDocument } from '../../packages/core/src/index.ts';
import { ZipReader } from '../../packages/core/src/container/index.ts';
import { best, sentence, tell } from '../measure.ts';

const PARAGRAPHS = 1990;
const WORDS_EACH = 88;

/** Made by an independent library; the run splits and revision ids that word processors write are added to its XML. */
async function make(path: string): Promise<void> {
  const { Document, HeadingLevel, Packer, Paragraph, TextRun } = await import('docx');
  const children = Array.from({ length: PARAGRAPHS }, (_, i) => {
    if (i % 11 === 0)
      return new Paragraph({
        text: sentence(i, 6),
        heading: i % 33 === 0 ? HeadingLevel.HEADING_1 : HeadingLevel.HEADING_2,
      });
    const words = sentence(i, WORDS_EACH).split(' ');
    const runs = Array.from(
      { length: Math.ceil(words.length / 2) },
      (_, k) =>
        new TextRun({
          text: `${words.slice(k * 2, k * 2 + 2).join(' ')} `,
          bold: k % 19 === 0,
          language: { value: 'en-GB' },
        }),
    );
    return new Paragraph({ children: runs });
  });
  const parts = unzipSync(await Packer.toBuffer(new Document({ sections: [{ children }] })));
  let id = 0;
  const revision = (): string => (0x00a70000 + (id++ % 9000)).toString(16).toUpperCase().padStart(8, '0');
  const xml = strFromU8(parts['word/document.xml']!)
    .replaceAll('<w:r>', () => `<w:r w:rsidR="${revision()}" w:rsidRPr="${revision()}">`)
    .replaceAll(
      '<w:p>',
      () =>
        `<w:p w14:paraId="${revision()}" w14:textId="77777777" w:rsidR="${revision()}" w:rsidRDefault="${revision()}" w:rsidP="${revision()}">`,
    )
    .replaceAll(
      '<w:rPr>',
      '<w:rPr><w:rFonts w:ascii="Serif" w:hAnsi="Serif" w:cs="Serif"/><w:sz w:val="22"/><w:szCs w:val="22"/>',
    );
  parts['word/document.xml'] = strToU8(xml);
  writeFileSync(path, zipSync(parts, { level: 6 }));
  console.error(`document.xml: ${(xml.length / 1e6).toFixed(1)} MB`);
}

const [, , subject, path = ''] = process.argv;
if (!existsSync(path)) await make(path);
const bytes = new Uint8Array(readFileSync(path));
const runs = subject === 'mammoth' ? 1 : 3;

if (subject === 'ours') {
  let words = 0;
  const ms = await best(runs, async () => (words = documentWords((await readDocument(bytes, 'docx')).document)));
  tell(ms, { words });
} else if (subject === 'floor') {
  tell(
    await best(runs, () => {
      const parser = new SaxesParser({ xmlns: false, position: false });
      const decoder = new TextDecoder();
      parser.on('opentag', () => undefined);
      parser.on('closetag', () => undefined);
      parser.on('text', () => undefined);
      new ZipReader(bytes).stream('word/document.xml', (piece) =>
        parser.write(decoder.decode(piece, { stream: true })),
      );
      parser.close();
    }),
  );
} else if (subject === 'mammoth') {
  const { default: mammoth } = await import('mammoth');
  tell(await best(runs, () => mammoth.convertToHtml({ buffer: Buffer.from(bytes) })));
}
