/** Writes a deck as an outline, OPML 2.0: sections, slides and points, each with what is said of it as its note. */
import { encodeUtf8 } from '../../base/index.ts';
import { runsText } from '../../content/index.ts';
import type { Deck, Note } from '../../deck/index.ts';
import { xmlText } from '../../container/index.ts';
import { deckText, type TextSlide } from './deck-text.ts';

interface Item {
  readonly text: string;
  readonly notes: string[];
  readonly children: Item[];
}

export function writeOpml(deck: Pick<Deck, 'slides'>, title: string | null): Uint8Array {
  const top: Item[] = [];
  /** Headings that are open, outermost first. */
  let open: { readonly depth: number; readonly item: Item }[] = [];
  for (const slide of deckText(deck)) {
    const item = slideItem(slide);
    open = open.filter(({ depth }) => depth < slide.depth);
    (open.at(-1)?.item.children ?? top).push(item);
    open.push({ depth: slide.depth, item });
  }
  return encodeUtf8(
    `<?xml version="1.0" encoding="UTF-8"?>\n<opml version="2.0">\n<head>${
      title === null ? '' : `<title>${xmlText(title)}</title>`
    }</head>\n<body>\n${top.map((item) => outline(item, '')).join('')}</body>\n</opml>\n`,
  );
}

function slideItem({ title, content, notes }: TextSlide): Item {
  const slide: Item = {
    text: runsText(title).trim(),
    notes: said(notes.filter(({ anchor }) => anchor === null)),
    children: [],
  };
  let open: { readonly level: number; readonly item: Item }[] = [];
  for (const part of content) {
    const text =
      part.kind === 'table'
        ? part.table.rows.map((row) => row.cells.map((cell) => runsText(cell.runs)).join(' | '))
        : [part.kind === 'picture' ? (part.alt ?? '') : runsText(part.runs)];
    const level = part.kind === 'point' ? part.level : 1;
    open = open.filter((one) => one.level < level);
    for (const line of text) {
      if (line.trim() === '') continue;
      const item: Item = { text: line, notes: [], children: [] };
      (open.at(-1)?.item ?? slide).children.push(item);
      if (part.kind === 'point') {
        item.notes.push(...said(notes.filter(({ anchor }) => anchor === part.id)));
        open.push({ level, item });
      }
    }
    if (part.kind !== 'point') slide.notes.push(...said(notes.filter(({ anchor }) => anchor === part.id)));
  }
  return slide;
}

const said = (notes: readonly Note[]): string[] => notes.map(({ runs }) => runsText(runs));

function outline({ text, notes, children }: Item, indent: string): string {
  const note = notes.length === 0 ? '' : ` _note="${attribute(notes.join('\n\n'))}"`;
  const open = `${indent}<outline text="${attribute(text)}"${note}`;
  return children.length === 0
    ? `${open}/>\n`
    : `${open}>\n${children.map((child) => outline(child, `${indent}  `)).join('')}${indent}</outline>\n`;
}

/** Line ends in attributes are written as references, or a parser makes blanks of them (XML 1.0 §3.3.3). */
const attribute = (text: string): string => xmlText(text).replace(/\n/g, '&#10;').replace(/\t/g, '&#9;');
