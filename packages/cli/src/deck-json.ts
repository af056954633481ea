/** The deck as the command `deck` prints it: every point once, though a slide that goes on below it says it again. */
import { runsText, type Converted, type Page } from '@alvex/core';

export function deckJson({ pages, ledger, deck }: Converted) {
  const { document, slides, notes, leftOut, lost } = ledger;
  const out = new Set(deck.leftOut.map(({ block }) => block));
  return {
    slides: pages.map((page, i) => slideJson(page, i + 1, out)),
    ledger: { document, slides, notes, leftOut, lost },
  };
}

function slideJson(page: Page, number: number, leftOut: ReadonlySet<string>) {
  const { slide, boxes } = page;
  const paragraphs = boxes
    .flatMap((box) => (box.kind === 'text' ? box.paras : []))
    .filter((paragraph) => paragraph.style !== 'title' && paragraph.repeated !== true);
  return {
    number,
    kind: slide.kind,
    layout: page.layout,
    section: slide.section,
    title: runsText(slide.title.runs),
    points: paragraphs
      .filter(({ style }) => style === 'point')
      .map(({ level, runs }) => ({ level, text: runsText(runs) })),
    text: paragraphs.filter(({ style }) => style !== 'point').map(({ runs }) => runsText(runs)),
    tables: boxes.filter(({ kind }) => kind === 'table').length,
    pictures: boxes.filter(({ kind }) => kind === 'picture').length,
    notes: page.notes.map(({ runs }) => runsText(runs)),
    fit: { state: page.fit.state, points: page.fit.points },
    continues: slide.continues || page.index > 0,
    source: page.passages.filter((block) => !leftOut.has(block)),
  };
}
