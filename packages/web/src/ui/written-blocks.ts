/** Blocks of the document as the editor's document, and back. What the editor does not know stays whole, by its id. */
import type { JSONContent } from '@tiptap/core';
import {
  READ_FIELDS,
  mergeRuns,
  safeLink,
  type Block,
  type BlockId,
  type Level,
  type Picture,
  type Run,
  type Runs,
  type TableCell,
  type TableRow,
  type WrittenBlock,
} from '@alvex/core';

/** What the reader saw at a block stays with its id. */
const READ: ReadonlySet<string> = new Set(READ_FIELDS);

type Mark = NonNullable<JSONContent['marks']>[number];

export function toEditor(blocks: readonly Block[]): JSONContent {
  const content: JSONContent[] = [];
  for (let i = 0; i < blocks.length;) {
    const block = blocks[i]!;
    if (block.kind === 'listItem' && block.left === undefined) {
      let end = i;
      while (end < blocks.length && blocks[end]!.kind === 'listItem' && blocks[end]!.left === undefined) end++;
      content.push(...lists(blocks.slice(i, end) as readonly ListItem[], 1));
      i = end;
    } else {
      content.push(nodeOf(block));
      i++;
    }
  }
  return { type: 'doc', content };
}

type ListItem = Block & { kind: 'listItem' };

/** Nested lists of a flat run of items; a depth that is skipped is filled with the next that is there. */
function lists(items: readonly ListItem[], depth: number): JSONContent[] {
  const result: JSONContent[] = [];
  for (let i = 0; i < items.length;) {
    const item = items[i]!;
    let end = i + 1;
    while (end < items.length && items[end]!.depth > Math.max(depth, item.depth)) end++;
    const node: JSONContent = {
      type: 'listItem',
      content: [paragraph(item.id, item.runs), ...lists(items.slice(i + 1, end), Math.max(depth, item.depth) + 1)],
    };
    const type = item.ordered ? 'orderedList' : 'bulletList';
    const last = result.at(-1);
    if (last?.type === type) last.content!.push(node);
    else result.push({ type, ...(item.ordered ? { attrs: { start: item.number ?? 1 } } : {}), content: [node] });
    i = end;
  }
  return result;
}

const paragraph = (id: string, runs: Runs): JSONContent => ({
  type: 'paragraph',
  attrs: { blockId: id },
  content: inline(runs),
});

function nodeOf(block: Block): JSONContent {
  const attrs = { blockId: block.id };
  if (block.left !== undefined) return { type: 'keptBlock', attrs };
  switch (block.kind) {
    case 'heading':
      return { type: 'heading', attrs: { ...attrs, level: block.level }, content: inline(block.runs) };
    case 'paragraph':
      // A title or a caption is one by its role, which the editor does not know.
      return block.role === undefined
        ? paragraph(block.id, block.runs)
        : { type: 'paragraph', attrs: { ...attrs, role: block.role }, content: inline(block.runs) };
    case 'quote':
      return { type: 'blockquote', content: [paragraph(block.id, block.runs)] };
    case 'code':
      return { type: 'codeBlock', attrs, content: block.text === '' ? [] : [{ type: 'text', text: block.text }] };
    case 'break':
      return block.type === 'rule' ? { type: 'horizontalRule', attrs } : { type: 'keptBlock', attrs };
    case 'table':
      return tableNode(block);
    case 'listItem':
    case 'picture':
    case 'footnote':
      return { type: 'keptBlock', attrs };
  }
}

function tableNode(block: Block & { kind: 'table' }): JSONContent {
  const rows = block.table.rows.filter((row) => row.cells.length > 0);
  if (rows.length === 0) return { type: 'keptBlock', attrs: { blockId: block.id } };
  return {
    type: 'table',
    attrs: { blockId: block.id },
    content: rows.map((row) => ({
      type: 'tableRow',
      content: row.cells.map((cell) => ({
        type: row.header ? 'tableHeader' : 'tableCell',
        attrs: { colspan: cell.columns, rowspan: cell.rows },
        content: [{ type: 'paragraph', content: inline(cell.runs) }],
      })),
    })),
  };
}

function inline(runs: Runs): JSONContent[] {
  return runs.flatMap((run) => {
    const marks = marksOf(run);
    return run.text
      .split('\n')
      .flatMap((text, i): JSONContent[] => [
        ...(i > 0 ? [{ type: 'hardBreak', ...(marks.length === 0 ? {} : { marks }) }] : []),
        ...(text === '' ? [] : [{ type: 'text', text, ...(marks.length === 0 ? {} : { marks }) }]),
      ]);
  });
}

function marksOf(run: Run): Mark[] {
  const marks: Mark[] = [];
  for (const type of ['bold', 'italic', 'strike', 'code'] as const) if (run[type]) marks.push({ type });
  if (run.position !== undefined) marks.push({ type: 'position', attrs: { at: run.position } });
  if (run.link !== undefined) marks.push({ type: 'link', attrs: { href: run.link } });
  return marks;
}

/**
 * The blocks of the editor's document, and the pictures that are new among them.
 * @param known What stood there; blocks that the editor only keeps are taken from it.
 * @param newId Gives ids for blocks that are new.
 */
export function fromEditor(
  doc: JSONContent,
  known: ReadonlyMap<string, Block>,
  newId: () => string,
): { readonly blocks: readonly WrittenBlock[]; readonly pictures: readonly Picture[] } {
  const written = new Written(known, newId);
  written.walk(doc, 0);
  return { blocks: written.blocks, pictures: [...written.pictures.values()] };
}

class Written {
  readonly blocks: WrittenBlock[] = [];
  readonly pictures = new Map<string, Picture>();
  readonly #known: ReadonlyMap<string, Block>;
  readonly #newId: () => string;
  readonly #used = new Set<string>();

  constructor(known: ReadonlyMap<string, Block>, newId: () => string) {
    this.#known = known;
    this.#newId = newId;
  }

  /** @param depth Of the list in which it stands; 0 outside of lists. */
  walk(node: JSONContent, depth: number): void {
    const children = node.content ?? [];
    switch (node.type ?? '') {
      case 'heading':
        return this.#heading(node);
      case 'paragraph':
        return this.#paragraph(node);
      case 'blockquote':
        for (const child of children)
          if (child.type === 'paragraph') this.#quote(child);
          else this.walk(child, depth);
        return;
      case 'codeBlock': {
        const text = children.map((child) => child.text ?? '').join('');
        if (text.trim() !== '') this.blocks.push({ kind: 'code', id: this.#idOf(node), text });
        return;
      }
      case 'bulletList':
      case 'orderedList':
        children.forEach((child, i) => {
          const number = ((node.attrs?.['start'] as number | undefined) ?? 1) + i;
          this.#listItem(child, depth + 1, node.type === 'orderedList', number);
        });
        return;
      case 'horizontalRule':
        this.blocks.push({ kind: 'break', id: this.#idOf(node), type: 'rule' });
        return;
      case 'table':
        this.blocks.push({ kind: 'table', id: this.#idOf(node), table: tableOf(node) });
        return;
      case 'newPicture':
        return this.#newPicture(node);
      case 'keptBlock':
        return this.#keptBlock(node);
      default:
        for (const child of children) this.walk(child, depth);
    }
  }

  /** A block that was split in two has its id twice; the first keeps it. */
  #idOf(node: JSONContent): BlockId {
    const own = node.attrs?.['blockId'] as string | null | undefined;
    const id = own && !this.#used.has(own) ? own : this.#newId();
    this.#used.add(id);
    return id as BlockId;
  }

  #heading(node: JSONContent): void {
    const runs = runsOf(node);
    const id = this.#idOf(node);
    const label = labelOf(this.#known.get(id));
    if (runs.length > 0)
      this.blocks.push({ kind: 'heading', id, level: (node.attrs?.['level'] ?? 1) as Level, ...label, runs });
  }

  #paragraph(node: JSONContent): void {
    const runs = runsOf(node);
    const role = node.attrs?.['role'] as (Block & { kind: 'paragraph' })['role'] | null | undefined;
    if (runs.length > 0) this.blocks.push({ kind: 'paragraph', id: this.#idOf(node), runs, ...(role ? { role } : {}) });
  }

  #quote(node: JSONContent): void {
    const runs = runsOf(node);
    if (runs.length > 0) this.blocks.push({ kind: 'quote', id: this.#idOf(node), runs });
  }

  #newPicture(node: JSONContent): void {
    const picture = node.attrs?.['picture'] as Picture | null | undefined;
    if (!picture) return;
    this.pictures.set(picture.id, picture);
    this.blocks.push({ kind: 'picture', id: this.#idOf(node), picture: picture.id, alt: null });
  }

  #keptBlock(node: JSONContent): void {
    const block = this.#known.get((node.attrs?.['blockId'] as string | undefined) ?? '');
    if (block === undefined || this.#used.has(block.id)) return;
    this.#used.add(block.id);
    const kept = Object.entries(block).filter(([key]) => !READ.has(key));
    this.blocks.push(Object.fromEntries(kept) as unknown as WrittenBlock);
  }

  #listItem(node: JSONContent, depth: number, ordered: boolean, number: number): void {
    for (const [i, child] of (node.content ?? []).entries())
      if (i === 0 && child.type === 'paragraph') this.#itemText(child, depth, ordered, number);
      else this.walk(child, depth);
  }

  #itemText(node: JSONContent, depth: number, ordered: boolean, number: number): void {
    const id = this.#idOf(node);
    const runs = runsOf(node);
    if (runs.length === 0) return;
    const before = this.#known.get(id);
    const item = before?.kind === 'listItem' ? before : undefined;
    this.blocks.push({
      kind: 'listItem',
      id,
      depth,
      ordered,
      ...(ordered ? { number } : {}),
      ...(ordered && item?.number === number ? labelOf(item) : {}),
      ...(item?.checked === undefined ? {} : { checked: item.checked }),
      runs,
    });
  }
}

/** How the original numbers it, which the editor does not know. */
const labelOf = (block: Block | undefined): { readonly label?: string } =>
  (block?.kind === 'heading' || block?.kind === 'listItem') && block.label !== undefined ? { label: block.label } : {};

function runsOf(node: JSONContent): Runs {
  const runs = mergeRuns(
    (node.content ?? []).map((child): Run => {
      const run: { -readonly [K in keyof Run]: Run[K] } = {
        text: child.type === 'hardBreak' ? '\n' : (child.text ?? ''),
      };
      for (const mark of child.marks ?? []) {
        if (mark.type === 'bold' || mark.type === 'italic' || mark.type === 'strike' || mark.type === 'code')
          run[mark.type] = true;
        if (mark.type === 'position') run.position = mark.attrs?.['at'] as 'super' | 'sub';
        const link = mark.type === 'link' ? safeLink((mark.attrs?.['href'] as string | undefined) ?? '') : undefined;
        if (link !== undefined) run.link = link;
      }
      return run;
    }),
  );
  return runs.some((run) => run.text.trim() !== '') ? runs : [];
}

/** The lines of a cell, whatever they stand in. */
function linesOf(node: JSONContent): readonly Runs[] {
  if (node.type === 'paragraph' || node.type === 'heading' || node.type === 'codeBlock') return [runsOf(node)];
  return (node.content ?? []).flatMap(linesOf);
}

function tableOf(node: JSONContent): (Block & { kind: 'table' })['table'] {
  const rows = (node.content ?? []).map((row): TableRow => {
    const cells = row.content ?? [];
    return {
      header: cells.length > 0 && cells.every((cell) => cell.type === 'tableHeader'),
      cells: cells.map((cell): TableCell => ({
        runs: mergeRuns(linesOf(cell).flatMap((runs, i) => [...(i > 0 ? [{ text: '\n' }] : []), ...runs])),
        columns: (cell.attrs?.['colspan'] as number | undefined) ?? 1,
        rows: (cell.attrs?.['rowspan'] as number | undefined) ?? 1,
      })),
    };
  });
  const columns = Math.max(0, ...rows.map((row) => row.cells.reduce((sum, cell) => sum + cell.columns, 0)));
  return { rows, columns };
}
