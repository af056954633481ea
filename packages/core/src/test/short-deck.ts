/** Shows a deck as lines, so that a golden file of it can be read; `@3` is the fourth block of the document. */
import { runsText } from '../content/index.ts';
import type { Content, Deck, Note, Slide } from '../deck/index.ts';
import type { DocumentModel } from '../document/index.ts';
import { makeLedger } from '../mapping/ledger.ts';

export function shortDeck(document: DocumentModel, deck: Deck): readonly string[] {
  const places = new Map<string, number>(document.blocks.map(({ id }, i) => [id, i]));
  const of = (blocks: readonly string[]): string => blocks.map((block) => ` @${places.get(block) ?? '?'}`).join('');
  const kept = ({ kept: ranges }: Content | Note): string =>
    ranges === undefined ? '' : ` {${ranges.map(([from, to]) => `${from}-${to}`).join(' ')}}`;
  const content = (part: Content): string => {
    switch (part.kind) {
      case 'point':
        return `${'  '.repeat(part.level)}${part.mark?.text ?? '-'} ${runsText(part.runs)}`;
      case 'text':
        return `  (${part.style}) ${runsText(part.runs).replace(/\n/g, ' / ')}`;
      case 'table':
        return `  (table) ${part.table.rows.length} × ${part.table.columns}`;
      case 'picture':
        return `  (picture) ${part.alt ?? 'no text'}${part.caption === undefined ? '' : `: ${runsText(part.caption)}`}`;
    }
  };
  const note = (slide: Slide, one: Note): string => {
    const at = slide.content.findIndex(({ id }) => id === one.anchor);
    const mark = one.kind === 'item' ? `${'  '.repeat(one.depth - 1)}${one.mark?.text ?? '-'} ` : '';
    return `  ~${at < 0 ? '' : at + 1} ${mark}${runsText(one.runs)}${kept(one)}${of(one.blocks)}`;
  };
  return [
    ...deck.slides.flatMap((slide) => [
      [
        `[${slide.matter ?? slide.kind}] ${runsText(slide.title.runs)}${of(slide.title.blocks)}`,
        ...(slide.section === null ? [] : [`in ${slide.section}`]),
        ...(slide.continues ? ['continues'] : []),
        ...(slide.opens === undefined ? [] : [`${slide.opens.at + 1} of ${slide.opens.of.length}`]),
        `passages${of(slide.passages)}`,
      ].join('; '),
      ...slide.content.map((part) => `${content(part)}${kept(part)}${of(part.blocks)}`),
      ...slide.notes.map((one) => note(slide, one)),
    ]),
    `left out:${deck.leftOut.map(({ block, reason }) => `${of([block])} ${reason}`).join(',')}`,
    `went: ${deck.destinations.join(' ')}`,
    `words: ${Object.entries(makeLedger(document, deck))
      .map(([account, words]) => `${account} ${words}`)
      .join(', ')}`,
  ];
}
