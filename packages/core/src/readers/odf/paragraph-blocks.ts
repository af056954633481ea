/** What a paragraph is: by its element, its style, its list. */
import type { SourcePlace } from '../../base/index.ts';
import type { Level } from '../../document/index.ts';
import { cleanRuns } from '../clean-runs.ts';
import type { GatheredText } from '../gathered-text.ts';
import { itemNumber } from '../list-label.ts';
import type { Draft } from '../read-result.ts';
import type { OdtContext } from './context.ts';
import { OUTLINE, type Style } from './styles.ts';

export interface Paragraph {
  readonly text: GatheredText;
  readonly style: Style;
  /** Of a heading, by its element. */
  readonly level: number | undefined;
  readonly before: Draft[];
  readonly after: Draft[];
  /** What comments at it say. */
  readonly remarks: string[];
  /** `text:is-list-header`: a heading without its number (§19.838). */
  readonly listHeader: boolean;
  readonly item: { depth: number; ordered: boolean; number: number; label: string } | undefined;
}

const LOWEST = 6; // level of headings

export class ParagraphBlocks {
  readonly #context: OdtContext;
  /** How many headings of each level there are so far, as the outline counts them. */
  readonly #headings: number[] = [];

  constructor(context: OdtContext) {
    this.#context = context;
  }

  /** @param contents It stands in a list of contents. @returns undefined for one without words. */
  of({ text, style, level, item, listHeader }: Paragraph, place: SourcePlace, contents: boolean): Draft | undefined {
    const raw = text.runs.map(({ text: t }) => t).join('');
    const empty = raw.trim() === '';
    const runs = empty ? [] : cleanRuns(text.runs, place, this.#context.report);
    if (contents) return empty ? undefined : { kind: 'paragraph', role: 'contents', runs, place };
    const { use } = style;
    if (use === 'title' && !empty) return { kind: 'paragraph', role: 'title', runs, place };
    const outline = level ?? (style.outline || (typeof use === 'number' ? use : undefined));
    if (outline !== undefined) {
      if (outline > LOWEST) this.#context.report.add('level-raised', place, { level: outline });
      const label = empty || listHeader ? '' : this.#headingLabel(outline, item);
      const heading: Draft = { kind: 'heading', level: Math.min(Math.max(1, outline), LOWEST) as Level, runs, place };
      return label === '' ? heading : { ...heading, label };
    }
    if (empty) return undefined;
    if (use === 'subtitle' || use === 'caption' || use === 'contents')
      return { kind: 'paragraph', role: use, runs, place };
    if (use === 'quote') return { kind: 'quote', runs, place };
    if (use === 'code' || (text.allMono && style.mono)) return { kind: 'code', text: raw, place };
    if (item !== undefined) {
      const { depth, ordered, number, label } = item;
      return {
        kind: 'listItem',
        depth,
        ordered,
        ...itemNumber(ordered, number, label),
        runs,
        place,
      };
    }
    const look = text.look(style.align === 'end' ? 'right' : style.align, style.size);
    return { kind: 'paragraph', runs, place, ...(look === undefined ? {} : { look }) };
  }

  /** The number that the outline's style sets before a heading, or the list in which it stands. */
  #headingLabel(level: number, item: Paragraph['item']): string {
    if (item !== undefined) return item.ordered ? item.label : '';
    const { styles } = this.#context;
    const counts = this.#headings;
    counts.length = Math.min(counts.length, level);
    for (let above = counts.length; above < level; above++) counts[above] = styles.list(OUTLINE, above + 1).start - 1;
    counts[level - 1]!++;
    return styles.label(OUTLINE, counts);
  }
}
