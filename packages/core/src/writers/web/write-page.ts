/** Writes a document as one web page (HTML Living Standard), pictures in it, so that work on its structure stays. */
import { sha256 } from '@noble/hashes/sha2.js';
import {
  encodeBase64,
  encodeUtf8,
  firstStrong,
  formatNumber,
  groupBy,
  unreachable,
  type NumberFormat,
} from '../../base/index.ts';
import { xmlText } from '../../container/index.ts';
import { placeCells, runsText, type Run, type Runs, type Table } from '../../content/index.ts';
import {
  Anchors,
  notesBelow,
  withReferences,
  type Block,
  type DocumentModel,
  type Footnote,
} from '../../document/index.ts';
import type { PictureSource } from '../../scene/index.ts';

const STYLE =
  'body{max-width:42rem;margin:3rem auto;padding:0 1.2rem;font:1.05rem/1.55 Georgia,serif;color:#1f2a2e}h1,h2,h3,h4,h5,h6{font-family:Arial,sans-serif;line-height:1.25;margin:2em 0 .5em}img{max-width:100%;height:auto}table{border-collapse:collapse;margin:1em 0}td,th{border:1px solid #8a8f8b;padding:.3em .6em;text-align:start;vertical-align:top}pre{background:#f2f0ea;padding:.7em;overflow:auto}blockquote{margin:1em 2em;font-style:italic}.label{list-style:none}aside{font-size:.9em}figure{margin:1em 0}h1{font-size:1.6rem}h2{font-size:1.3rem}h3{font-size:1.1rem}.title{font:bold 2.2rem/1.2 Arial,sans-serif}.subtitle{font-size:1.2rem;color:#5a6468}';

/** Nothing of a document can act: its page has no script, asks nothing of the network, and knows its one style by its sum (CSP 3, §6.7.3.3). */
const POLICY = `default-src 'none'; img-src data:; style-src 'sha256-${encodeBase64(sha256(encodeUtf8(STYLE)))}'`;

/** What is left out of the document is not written. */
export function writePage(document: DocumentModel, pictures: PictureSource): Uint8Array {
  const blocks = document.blocks.filter(({ left }) => left === undefined);
  const lang = document.language === null ? '' : ` lang="${document.language}"`;
  const title = document.title ?? '';
  const author = document.author === null ? '' : `<meta name="author" content="${xmlText(document.author)}">`;
  return encodeUtf8(
    `<!doctype html>\n<html${lang}><head><meta charset="utf-8"><meta http-equiv="Content-Security-Policy" content="${POLICY}"><meta name="viewport" content="width=device-width"><title>${xmlText(title)}</title>${author}<style>${STYLE}</style></head><body><main>\n${new Page(blocks, pictures).html}</main></body></html>\n`,
  );
}

/** Numbers that a list counts by itself (§4.4.5), by their type. */
const TYPES: readonly (readonly [type: string, format: NumberFormat])[] = [
  ['1', 'decimal'],
  ['a', 'lower-letter'],
  ['A', 'upper-letter'],
  ['i', 'lower-roman'],
  ['I', 'upper-roman'],
];

class Page {
  html = '';
  readonly #notes: ReadonlyMap<Block, readonly Footnote[]>;
  readonly #pictures: PictureSource;
  readonly #anchors: Anchors;
  readonly #numbers = new Map<Footnote, number>();
  readonly #open: { readonly depth: number; readonly tag: string }[] = [];
  #below = '';

  constructor(blocks: readonly Block[], pictures: PictureSource) {
    this.#notes = notesBelow(blocks);
    this.#pictures = pictures;
    this.#anchors = new Anchors(blocks);
    for (const block of blocks) this.#block(block);
    this.#closeTo(0);
    this.html += this.#below;
  }

  #block(block: Block): void {
    if (block.kind === 'listItem') return this.#item(block);
    this.#closeTo(0);
    switch (block.kind) {
      case 'heading':
        return this.#put(`h${block.level}`, block, block.runs, block.label);
      case 'paragraph':
        return this.#put('p', block, block.runs, undefined, block.role);
      case 'quote':
        this.html += '<blockquote>';
        this.#put('p', block, block.runs);
        this.html += '</blockquote>\n';
        return;
      case 'code':
        this.html += `<pre${this.#about(block, '')}><code>${xmlText(block.text)}</code></pre>\n`;
        return;
      case 'table':
        this.html += table(block.table, this.#about(block, ''), this.#anchors);
        return;
      case 'picture':
        return this.#picture(block);
      case 'break':
        this.html += '<hr>\n';
        return;
      case 'footnote':
        if (!this.#notes.has(block)) this.#put('p', block, [{ text: `${block.label} ` }, ...block.runs]);
        return;
      default:
        return unreachable(block);
    }
  }

  #put(tag: string, block: Block, runs: Runs, label?: string, role?: string): void {
    const use = role === undefined ? '' : ` class="${role}"`;
    this.html += `<${tag}${use}${this.#about(block, runsText(runs))}>${this.#words(block, runs, label)}</${tag}>\n`;
  }

  /** Runs, with the references of its notes; these stand below all. */
  #words(block: Block, runs: Runs, label?: string): string {
    const before = label === undefined ? '' : `${xmlText(label)} `;
    const words = withReferences(runs, this.#notes.get(block) ?? []).map((piece) =>
      'kind' in piece ? this.#reference(piece) : run(piece, this.#anchors),
    );
    return before + words.join('');
  }

  #reference(note: Footnote): string {
    const number = this.#numbers.size + 1;
    this.#numbers.set(note, number);
    const label = xmlText(note.label);
    this.#below += `<aside id="note-${number}" role="doc-footnote"${this.#about(note, runsText(note.runs))}><p>${label} ${note.runs.map((piece) => run(piece, this.#anchors)).join('')}</p></aside>\n`;
    return `<sup><a href="#note-${number}" role="doc-noteref">${label}</a></sup>`;
  }

  #picture(block: Block & { readonly kind: 'picture' }): void {
    const { picture, alt } = block;
    const data = picture === undefined ? undefined : this.#pictures(picture);
    if (data !== undefined)
      this.html += `<figure${this.#about(block, '')}><img src="data:${data.mime};base64,${encodeBase64(data.bytes)}" width="${data.width}" height="${data.height}" alt="${xmlText(alt ?? '')}"></figure>\n`;
    else if (alt !== null) this.html += `<p>[${xmlText(alt)}]</p>\n`;
  }

  #item(block: Block & { readonly kind: 'listItem' }): void {
    const { depth, ordered, number, label, checked, runs } = block;
    const value = number ?? 1;
    const written = label ?? `${value}.`;
    const type = ordered ? TYPES.find(([, format]) => written === `${formatNumber(value, format)}.`)?.[0] : undefined;
    const tag = type === undefined ? 'ul' : type === '1' ? 'ol' : `ol type="${type}"`;
    this.#closeTo(depth);
    const last = this.#open.at(-1);
    if (last?.depth === depth && last.tag !== tag) this.#closeTo(depth - 1);
    if (this.#open.at(-1)?.depth === depth) this.html += '</li>\n';
    while ((this.#open.at(-1)?.depth ?? 0) < depth) {
      const next = (this.#open.at(-1)?.depth ?? 0) + 1;
      const own = next === depth ? tag : 'ul';
      this.html += `<${own}>\n${next === depth ? '' : '<li class="label">'}`;
      this.#open.push({ depth: next, tag: own });
    }
    const worded = ordered && type === undefined;
    const box = checked === undefined ? '' : `<input type="checkbox" disabled${checked ? ' checked' : ''}> `;
    this.html += `<li${type === undefined ? '' : ` value="${value}"`}${worded ? ' class="label"' : ''}${this.#about(block, runsText(runs))}>${box}${this.#words(block, runs, worded ? written : undefined)}`;
  }

  /** Its name, where a link leads to it; language and direction, where it says them or its words tell. */
  #about(block: Block, text: string): string {
    const { lang, direction } = block;
    const anchor = this.#anchors.at(block);
    const rtl = (direction ?? firstStrong(text)) === 'rtl';
    return `${anchor === undefined ? '' : ` id="${anchor}"`}${lang === undefined ? '' : ` lang="${lang}"`}${rtl ? ' dir="rtl"' : ''}`;
  }

  #closeTo(depth: number): void {
    for (let last = this.#open.at(-1); last !== undefined && last.depth > depth; last = this.#open.at(-1)) {
      this.html += `</li></${last.tag.slice(0, 2)}>\n`;
      this.#open.pop();
    }
  }
}

function table({ rows }: Table, attributes: string, anchors: Anchors): string {
  const placed = groupBy(placeCells(rows), ({ row }) => row);
  const lines = rows.map(({ header }, r) => {
    const tag = header ? 'th' : 'td';
    const cells = (placed.get(r) ?? []).map(({ cell }) => {
      const spans = `${cell.columns > 1 ? ` colspan="${cell.columns}"` : ''}${cell.rows > 1 ? ` rowspan="${cell.rows}"` : ''}`;
      return `<${tag}${spans}>${cell.runs.map((piece) => run(piece, anchors)).join('')}</${tag}>`;
    });
    return `<tr>${cells.join('')}</tr>`;
  });
  const heads = rows.findIndex(({ header }) => !header);
  const head = lines.slice(0, heads < 0 ? 0 : heads);
  return `<table${attributes}>${head.length === 0 ? '' : `<thead>${head.join('')}</thead>`}<tbody>${lines.slice(head.length).join('')}</tbody></table>\n`;
}

function run({ text, bold, italic, strike, code, position, link }: Run, anchors: Anchors): string {
  let html = xmlText(text).replaceAll('\n', '<br>');
  if (code === true) html = `<code>${html}</code>`;
  if (position !== undefined) html = position === 'super' ? `<sup>${html}</sup>` : `<sub>${html}</sub>`;
  if (strike === true) html = `<s>${html}</s>`;
  if (italic === true) html = `<em>${html}</em>`;
  if (bold === true) html = `<strong>${html}</strong>`;
  const anchor = link?.startsWith('#') === true ? anchors.of(link) : undefined;
  const to = anchor === undefined ? link : `#${anchor}`;
  return to === undefined || to === '#' || (anchor === undefined && to.startsWith('#'))
    ? html
    : `<a href="${xmlText(to)}">${html}</a>`;
}
