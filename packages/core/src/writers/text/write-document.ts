/** Writes a document as Markdown (CommonMark 0.31 with tables, strikethrough and footnotes), so that work on its structure stays. */
import type { ListItem, RootContent } from 'mdast';
import { unreachable } from '../../base/index.ts';
import { runsText, trimRuns, type PictureId, type Runs } from '../../content/index.ts';
import {
  headingSlug,
  notesBelow,
  withReferences,
  type Block,
  type DocumentModel,
  type Footnote,
} from '../../document/index.ts';
import type { PictureSource } from '../../scene/index.ts';
import { MarkdownLists } from './markdown-lists.ts';
import { lineText, markdownText, paragraphs, phrasing, reference, rows, withHead } from './markdown-nodes.ts';

/** What is left out of the document is not written. */
export function writeDocument(document: DocumentModel, pictures: PictureSource): Uint8Array {
  const all = document.blocks.filter(({ left }) => left === undefined);
  const [head, blocks] = titled(all);
  const used: PictureId[] = [];
  const text = markdownText(new Nodes(blocks, used, pictures).nodes, used, pictures);
  return withHead({ ...head, lang: document.language }, text);
}

/** A title and a subtitle that no headings are stand at the head of the file. */
function titled(blocks: readonly Block[]): readonly [head: Readonly<Record<string, string>>, others: readonly Block[]] {
  const head: Record<string, string> = {};
  let at = 0;
  for (const role of ['title', 'subtitle'] as const) {
    const block = blocks[at];
    if (block?.kind !== 'paragraph' || block.role !== role) break;
    head[role] = runsText(block.runs);
    at++;
  }
  return [head, blocks.slice(at)];
}

/**
 * Depths of the items to which text between two items belongs: where the later one stands deeper than a list begins, the text and it stand
 * within an item.
 */
function belowItems(blocks: readonly Block[]): ReadonlyMap<Block, number> {
  const found = new Map<Block, number>();
  let between: Block[] = [];
  let above = 0;
  for (const block of blocks) {
    if (block.kind === 'listItem') {
      const depth = Math.min(above, block.depth - 1);
      if (depth > 0) for (const one of between) found.set(one, depth);
      above = block.depth;
      between = [];
    } else if (block.kind === 'heading' || block.kind === 'break') above = 0;
    else between.push(block);
  }
  return found;
}

/** Names of a block that no program would give it by its words. */
const anchorsOf = (block: Block): readonly { readonly html: string }[] =>
  (block.names ?? [])
    .filter((name) => /^[^\s"'<>&]+$/.test(name))
    .filter(
      (name) => block.kind !== 'heading' || block.label !== undefined || name !== headingSlug(runsText(block.runs)),
    )
    .map((name) => ({ html: `<a id="${name}"></a>` }));

class Nodes {
  readonly nodes: RootContent[] = [];
  readonly #notes: ReadonlyMap<Block, readonly Footnote[]>;
  readonly #used: PictureId[];
  readonly #pictures: PictureSource;
  /** Names of notes that are taken: labels may come again. */
  readonly #names = new Set<string>();
  readonly #below: ReadonlyMap<Block, number>;
  readonly #lists = new MarkdownLists(this.nodes);

  constructor(blocks: readonly Block[], used: PictureId[], pictures: PictureSource) {
    this.#notes = notesBelow(blocks);
    this.#used = used;
    this.#pictures = pictures;
    this.#below = belowItems(blocks);
    for (const block of blocks) this.#block(block);
  }

  #block(block: Block): void {
    if (block.kind === 'listItem') return this.#listItem(block);
    this.#lists.closeTo(this.#below.get(block) ?? 0);
    const { item } = this.#lists;
    // Else it would be read as more of the item's own words.
    if (item !== undefined) item.spread = true;
    switch (block.kind) {
      case 'heading':
        return this.#withNotes(block, block.runs, block.label, (children) => ({
          type: 'heading',
          depth: block.level,
          children,
        }));
      case 'paragraph':
        return this.#withNotes(block, block.runs, undefined, (children) => ({ type: 'paragraph', children }));
      case 'quote':
        return this.#withNotes(block, block.runs, undefined, (children) => ({
          type: 'blockquote',
          children: [{ type: 'paragraph', children }],
        }));
      case 'code':
        return this.#add({ type: 'code', value: block.text, lang: block.language ?? null });
      case 'table':
        return this.#add({ type: 'table', children: rows(block.table) });
      case 'picture':
        return this.#picture(block);
      case 'break':
        return this.#add({ type: 'thematicBreak' });
      case 'footnote':
        // With nothing before it that could refer to it, a note stays where it is.
        if (!this.#notes.has(block)) this.nodes.push(...paragraphs([{ text: `${block.label} ` }, ...block.runs]));
        return;
      default:
        return unreachable(block);
    }
  }

  #add(...nodes: readonly RootContent[]): void {
    const { item } = this.#lists;
    if (item === undefined) this.nodes.push(...nodes);
    else item.children.push(...(nodes as ListItem['children']));
  }

  #picture({ picture, alt }: Block & { readonly kind: 'picture' }): void {
    if (picture === undefined || this.#pictures(picture) === undefined) {
      if (alt !== null) this.#add(...paragraphs([{ text: `[${alt}]` }]));
      return;
    }
    if (!this.#used.includes(picture)) this.#used.push(picture);
    this.#add({ type: 'paragraph', children: [reference(this.#used.indexOf(picture), alt)] });
  }

  #listItem(block: Block & { readonly kind: 'listItem' }): void {
    const { depth, ordered, number, label, checked } = block;
    // Markdown counts with points and brackets alone; other labels are words.
    const counted = label === undefined || label === `${number}.`;
    const value = ordered && counted ? (number ?? 1) : null;
    const before = ordered && !counted ? label : undefined;
    this.#withNotes(block, block.runs, before, (children) => {
      this.#lists.add(depth, { value, checked }, children);
      return undefined;
    });
  }

  /** @param label What stands before its words. @param make The node of its words; undefined where it has its place already. */
  #withNotes(
    block: Block,
    runs: Runs,
    label: string | undefined,
    make: (children: ReturnType<typeof phrasing>) => RootContent | undefined,
  ): void {
    const notes = this.#notes.get(block) ?? [];
    const named = new Map(notes.map((note) => [note, this.#nameOf(note)]));
    const words = trimRuns(label === undefined ? runs : [{ text: `${label} ` }, ...runs]);
    const children = [...anchorsOf(block), ...withReferences(words, notes)].flatMap((piece) =>
      'html' in piece
        ? [{ type: 'html', value: piece.html } as const]
        : 'kind' in piece
          ? [{ type: 'html', value: `[^${named.get(piece)!}]` } as const]
          : phrasing([piece]),
    );
    const node = make(children);
    if (node !== undefined) this.#add(node);
    for (const note of notes) {
      this.nodes.push({ type: 'html', value: `[^${named.get(note)!}]: ${lineText(note.runs)}` });
    }
  }

  #nameOf({ label }: Footnote): string {
    const base = label.replace(/[^\p{L}\p{N}]+/gu, '-').replace(/^-|-$/g, '') || 'note';
    let name = base;
    for (let i = 2; this.#names.has(name); i++) name = `${base}-${i}`;
    this.#names.add(name);
    return name;
  }
}
