/** Lists within lists, as items come one after another with their depths. */
import type { ListItem, Paragraph, RootContent } from 'mdast';

interface OpenList {
  readonly depth: number;
  readonly ordered: boolean;
  readonly items: ListItem[];
  /** The number that comes next. */
  next: number;
}

/** What stands before the words of an item: a number that Markdown counts, or a box to tick. */
interface Marked {
  readonly value: number | null;
  readonly checked?: boolean | undefined;
}

export class MarkdownLists {
  readonly #nodes: RootContent[];
  #open: OpenList[] = [];

  /** @param nodes Where lists of the first depth go. */
  constructor(nodes: RootContent[]) {
    this.#nodes = nodes;
  }

  /** What comes next stands within an item of this depth or above; 0 for behind all lists. */
  closeTo(depth: number): void {
    this.#open = this.#open.filter((one) => one.depth <= depth);
  }

  /** The item that is open. */
  get item(): ListItem | undefined {
    return this.#open.at(-1)?.items.at(-1);
  }

  /** A list goes on with items of its kind, and with the number that comes next. */
  add(depth: number, { value, checked }: Marked, children: Paragraph['children']): void {
    this.closeTo(depth);
    const last = this.#open.at(-1);
    const ordered = value !== null;
    const goesOn = last?.depth === depth && last.ordered === ordered && (value === null || value === last.next);
    if (!goesOn) {
      if (last?.depth === depth) this.#open.pop();
      const items: ListItem[] = [];
      const start = value === null ? {} : { start: value };
      const list: RootContent = { type: 'list', ordered, ...start, spread: false, children: items };
      const parent = this.item;
      if (parent === undefined) this.#nodes.push(list);
      else parent.children.push(list);
      this.#open.push({ depth, ordered, items, next: value ?? 1 });
    }
    const list = this.#open.at(-1)!;
    list.next++;
    // A box is a sign of GFM, which must not be escaped.
    const box = checked === undefined ? [] : [{ type: 'html', value: checked ? '[x] ' : '[ ] ' } as const];
    list.items.push({
      type: 'listItem',
      spread: false,
      children: [{ type: 'paragraph', children: [...box, ...children] }],
    });
  }
}
