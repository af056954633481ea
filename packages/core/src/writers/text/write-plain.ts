/** Writes a deck as plain text: titles with their numbers, points by their levels, tables line by line, and what is said. */
import { encodeUtf8 } from '../../base/index.ts';
import { runsText, textGrid, type Runs } from '../../content/index.ts';
import type { Content, Deck, Note } from '../../deck/index.ts';
import { deckText } from './deck-text.ts';

const line = (runs: Runs): string => runsText(runs).replace(/\s+/g, ' ').trim();
const INDENT = '  ';

export function writePlain(deck: Pick<Deck, 'slides'>): Uint8Array {
  const slides = deckText(deck).map(({ kind, title, content, notes }, i) => {
    const head = kind === 'content' ? `${i + 1}. ${line(title)}` : line(title).toLocaleUpperCase();
    const said = notes.map(spoken);
    return [head, ...content.flatMap(shown), ...(said.length === 0 ? [] : ['', ...said])].join('\n');
  });
  return encodeUtf8(`${slides.join('\n\n')}\n`);
}

function shown(part: Content): readonly string[] {
  switch (part.kind) {
    case 'point':
      return [`${INDENT.repeat(part.level)}${part.mark?.text ?? '-'} ${line(part.runs)}`];
    case 'text':
      return part.style === 'code'
        ? runsText(part.runs)
            .split('\n')
            .map((text) => INDENT.repeat(2) + text)
        : [INDENT + line(part.runs)];
    case 'table':
      return textGrid(part.table, line).map((cells) => INDENT + cells.join('\t').trimEnd());
    case 'picture':
      return part.alt === null || part.alt.trim() === '' ? [] : [`${INDENT}[${part.alt.trim()}]`];
  }
}

const spoken = ({ kind, depth, ordered, mark, runs }: Note): string =>
  kind === 'paragraph' ? line(runs) : `${INDENT.repeat(depth)}${mark?.text ?? (ordered ? '1.' : '-')} ${line(runs)}`;
