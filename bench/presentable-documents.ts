/** Real documents for the measure of first decks: Markdown of installed packages, the same as DOCX by another library, Debian's manuals where they are installed. */
import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs';
import { basename, join } from 'node:path';
import {
  AlignmentType,
  Document,
  HeadingLevel,
  LevelFormat,
  Packer,
  Paragraph,
  Table,
  TableCell,
  TableRow,
} from 'docx';
import MarkdownIt from 'markdown-it';
import { filesIn } from '../e2e/readers/real-documents.ts';

export interface RealDocument {
  readonly name: string;
  readonly bytes: Uint8Array;
}

const LENGTH = [4_000, 120_000] as const; // bytes

/** So many of them, spread evenly over all. */
function spread<T>(all: readonly T[], count: number): readonly T[] {
  return all.length <= count
    ? all
    : Array.from({ length: count }, (_, i) => all[Math.floor((i * all.length) / count)]!);
}

function markdown(folder: string, count: number): readonly string[] {
  const seen = new Set<string>();
  const all = [...filesIn(folder, /\.md$/i)].sort().filter((path) => {
    const { size } = statSync(path);
    if (size < LENGTH[0] || size > LENGTH[1]) return false;
    const text = readFileSync(path, 'utf8');
    if (seen.has(text)) return false;
    seen.add(text);
    return true;
  });
  return spread(all, count);
}

const HANDBOOK = '/usr/share/doc/debian-handbook/html';
const LANGUAGES = ['de-DE', 'fr-FR', 'es-ES', 'it-IT', 'ru-RU', 'ja-JP', 'zh-CN', 'ko-KR', 'ar-MA', 'en-US'];
const PAGES = [
  'sect.why-debian.html',
  'sect.release-lifecycle.html',
  'sect.quality-of-service.html',
  'sect.installation-steps.html',
  'sect.backup.html',
];
const OTHERS = [
  '/usr/share/doc/debian-policy/ch-opersys.html',
  '/usr/share/doc/base-passwd/users-and-groups.html',
  '/usr/share/doc/python3/python-policy.html',
  '/usr/share/doc/debian-faq-de/html/faqinfo.de.html',
];

/** What stands in the folder `root` and on this machine. */
export async function presentableDocuments(root: string, count = 30): Promise<readonly RealDocument[]> {
  const read = (path: string): RealDocument => ({
    name: path.replace(`${root}/`, '').replace(/^.*node_modules\//, ''),
    bytes: new Uint8Array(readFileSync(path)),
  });
  const demo = readdirSync(join(root, 'packages/demo/files')).filter((name) => !name.endsWith('.pptx'));
  const files = markdown(join(root, 'node_modules'), count);
  const manuals = LANGUAGES.flatMap((language) => PAGES.map((page) => join(HANDBOOK, language, page)));
  return [
    ...demo.map((name) => read(join(root, 'packages/demo/files', name))),
    ...files.map(read),
    ...(await Promise.all(
      spread(files, 8).map(async (path) => ({
        name: `${basename(join(path, '..'))}.docx`,
        bytes: await asDocx(readFileSync(path, 'utf8')),
      })),
    )),
    ...[...manuals, ...OTHERS].filter((path) => existsSync(path)).map(read),
  ];
}

const HEADINGS = [
  HeadingLevel.HEADING_1,
  HeadingLevel.HEADING_2,
  HeadingLevel.HEADING_3,
  HeadingLevel.HEADING_4,
  HeadingLevel.HEADING_5,
  HeadingLevel.HEADING_6,
];

/** Markdown as DOCX: headings, paragraphs, lists and tables, without the looks of their text. */
async function asDocx(source: string): Promise<Uint8Array> {
  const children: (Paragraph | Table)[] = [];
  let heading: number | undefined;
  const lists: ('number' | 'bullet')[] = [];
  let rows: string[][] | undefined;
  for (const token of new MarkdownIt().parse(source, {})) {
    if (token.type === 'heading_open') heading = Number(token.tag.slice(1)) - 1;
    else if (token.type === 'heading_close') heading = undefined;
    else if (token.type === 'bullet_list_open') lists.push('bullet');
    else if (token.type === 'ordered_list_open') lists.push('number');
    else if (/_list_close$/.test(token.type)) lists.pop();
    else if (token.type === 'table_open') rows = [];
    else if (token.type === 'tr_open') rows!.push([]);
    else if (token.type === 'table_close') {
      children.push(
        new Table({
          rows: rows!.map(
            (cells, i) =>
              new TableRow({
                tableHeader: i === 0,
                children: cells.map((text) => new TableCell({ children: [new Paragraph(text)] })),
              }),
          ),
        }),
      );
      rows = undefined;
    } else if (token.type === 'inline' || token.type === 'fence') {
      const text = (token.children ?? [])
        .map(({ type, content }) =>
          type === 'text' || type === 'code_inline' ? content : type.endsWith('break') ? ' ' : '',
        )
        .join('');
      const words = token.type === 'fence' ? token.content : text;
      if (rows !== undefined) rows.at(-1)!.push(words);
      else if (heading !== undefined) children.push(new Paragraph({ text: words, heading: HEADINGS[heading]! }));
      else if (lists.length > 0 && token.type === 'inline')
        children.push(new Paragraph({ text: words, numbering: { reference: lists.at(-1)!, level: lists.length - 1 } }));
      else
        children.push(
          ...words
            .trim()
            .split('\n')
            .map((line) => new Paragraph(line)),
        );
    }
  }
  const levels = (format: (typeof LevelFormat)[keyof typeof LevelFormat], text: (level: number) => string) =>
    Array.from({ length: 9 }, (_, level) => ({ level, format, text: text(level), alignment: AlignmentType.START }));
  const file = new Document({
    numbering: {
      config: [
        { reference: 'bullet', levels: levels(LevelFormat.BULLET, () => '•') },
        { reference: 'number', levels: levels(LevelFormat.DECIMAL, (level) => `%${level + 1}.`) },
      ],
    },
    sections: [{ children }],
  });
  return new Uint8Array(await Packer.toBuffer(file));
}
