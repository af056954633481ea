/** How a file begins that is text: its first lines, as they are written or as they look. */
import {
  blockText,
  deckTables,
  deckText,
  runsText,
  writeOpml,
  writePlain,
  type Converted,
  type DocumentModel,
} from '@alvex/core';
import type { Asking, ExcerptLine } from './questions.ts';

const MOST = 24; // lines
const LONGEST = 90; // characters, of which more are seen nowhere

export function excerpt({ format, source, only }: Asking<'excerpt'>, converted: Converted): readonly ExcerptLine[] {
  if (format === 'csv') {
    const tables = deckTables(converted.deck);
    return (tables[(only ?? 1) - 1]?.rows ?? []).slice(0, MOST).map((cells) => plain(cells.join(',')));
  }
  if (format === 'md') return (source ? headed(converted.document) : outlined(converted)).slice(0, MOST).map(plain);
  if (format !== 'txt' && format !== 'opml') return looks(converted.document);
  const bytes = format === 'txt' ? writePlain(converted.deck) : writeOpml(converted.deck, converted.deck.title);
  const text = new TextDecoder().decode(bytes.slice(0, MOST * 400));
  return text.split('\n').slice(0, MOST).map(plain);
}

/** Slides as Markdown writes them, near enough to be seen small; its writer needs more than a page should load for that. */
function outlined({ deck }: Converted): readonly string[] {
  const lines: string[] = [];
  for (const { depth, title, content, notes } of deckText(deck)) {
    if (lines.length >= MOST) break;
    lines.push(`${'#'.repeat(depth)} ${runsText(title)}`, '');
    for (const part of content)
      if (part.kind === 'point') lines.push(`${'  '.repeat(part.level - 1)}- ${runsText(part.runs)}`);
      else if (part.kind === 'text') lines.push(...broken(runsText(part.runs)));
      else if (part.kind === 'picture') lines.push(`![${part.alt ?? ''}]`);
      else
        lines.push(...part.table.rows.map(({ cells }) => `| ${cells.map(({ runs }) => runsText(runs)).join(' | ')} |`));
    for (const note of notes) lines.push('', ...broken(runsText(note.runs)));
    if (lines.at(-1) !== '') lines.push('');
  }
  return lines;
}

const headed = (document: DocumentModel): readonly string[] =>
  looks(document).flatMap(({ text, level }) => (level === 0 ? [text] : ['', `${'#'.repeat(level)} ${text}`, '']));

const plain = (text: string): ExcerptLine => ({ text: text.slice(0, LONGEST), level: 0 });

/** The document as it is read. */
function looks({ blocks }: DocumentModel): readonly ExcerptLine[] {
  const lines: ExcerptLine[] = [];
  for (const block of blocks) {
    if (lines.length >= MOST) break;
    const text = blockText(block).trim();
    if (text === '' || block.left !== undefined) continue;
    const title = block.kind === 'paragraph' && block.role === 'title';
    if (title) lines.push({ text: text.slice(0, LONGEST), level: 1 });
    else if (block.kind === 'heading') lines.push({ text: text.slice(0, LONGEST), level: block.level });
    else lines.push(...broken(block.kind === 'listItem' ? `• ${text}` : text).map(plain));
  }
  return lines.slice(0, MOST);
}

const ACROSS = 46; // characters of a line on a small page
const MOST_OF_ONE = 5; // lines of a paragraph

function broken(text: string): readonly string[] {
  const lines = [''];
  for (const word of text.slice(0, ACROSS * MOST_OF_ONE).split(/\s+/)) {
    if (lines.at(-1) !== '' && lines.at(-1)!.length + word.length > ACROSS) lines.push('');
    lines.push(`${lines.pop()!} ${word}`.trim());
  }
  return lines;
}
