/** The words of a line of Markdown with their marks and links, and the pictures and notes that stand among them. */
import type { Token } from 'markdown-it';
import type { Report, SourcePlace } from '../../base/index.ts';
import { plain, safeLink, trimRuns, type Runs } from '../../content/index.ts';
import { ELEMENT_MARKS, InlineRuns } from '../inline-runs.ts';
import { readMarkup } from '../markup/index.ts';
import { namedPicture } from '../named-picture.ts';
import type { PictureStore } from '../picture-store.ts';
import type { PlaceNames } from '../place-names.ts';
import type { Draft } from '../read-result.ts';

/** What all readers of a file share. */
export interface Shared {
  readonly report: Report;
  readonly pictures: PictureStore;
  readonly names: PlaceNames;
}
export interface Inline {
  readonly runs: Runs;
  readonly pictures: readonly Draft[];
  /** Numbers of the notes that it refers to. */
  readonly notes: readonly number[];
}

export function readInline(token: Token, shared: Shared, place: SourcePlace): Inline {
  const [only] = token.children ?? [];
  if (token.children?.length === 1 && only!.type === 'text')
    return { runs: trimRuns(plain(only!.content)), pictures: [], notes: [] };
  const reader = new InlineReader(shared, place);
  for (const child of token.children ?? []) reader.read(child);
  return { runs: reader.runs.take(), pictures: reader.pictures, notes: reader.notes };
}

class InlineReader {
  readonly runs = new InlineRuns();
  readonly pictures: Draft[] = [];
  readonly notes: number[] = [];
  readonly #shared: Shared;
  readonly #place: SourcePlace;

  constructor(shared: Shared, place: SourcePlace) {
    this.#shared = shared;
    this.#place = place;
  }

  read(child: Token): void {
    const { runs } = this;
    switch (child.type) {
      case 'text':
      case 'text_special':
        return runs.text(child.content);
      case 'softbreak':
        return runs.text(' ');
      case 'hardbreak':
        return runs.text('\n');
      case 'code_inline':
        runs.push('code');
        runs.text(child.content);
        return runs.pop('code');
      case 'strong_open':
      case 'em_open':
      case 's_open':
        return runs.push(ELEMENT_MARKS[child.tag]!);
      case 'strong_close':
      case 'em_close':
      case 's_close':
        return runs.pop(ELEMENT_MARKS[child.tag]!);
      case 'link_open':
        return runs.pushLink(safeLink(String(child.attrGet('href') ?? '')));
      case 'link_close':
        return runs.popLink();
      case 'image':
        this.pictures.push(this.#picture(child));
        return;
      case 'footnote_ref':
        this.notes.push((child.meta as { id: number }).id);
        return;
      case 'html_inline':
        this.#html(child.content);
    }
  }

  #picture(token: Token): Draft {
    const { pictures, report } = this.#shared;
    const alt = (token.children ?? []).map(({ type, content }) => (type === 'softbreak' ? ' ' : content)).join('');
    return namedPicture(String(token.attrGet('src') ?? ''), alt, this.#place, pictures, report);
  }

  /** Known marks are taken, a picture is taken, every other tag is dropped; its text stays. */
  #html(tag: string): void {
    const match = /^<(\/?)([a-z][a-z0-9]*)/i.exec(tag);
    if (match === null) return;
    const name = match[2]!.toLowerCase();
    const mark = ELEMENT_MARKS[name];
    if (name === 'br') this.runs.text('\n');
    else if (name === 'img')
      readMarkup(tag, { ...this.#shared, place: this.#place, out: (draft) => this.pictures.push(draft) });
    else if (name === 'a') this.#shared.names.add(/\s(?:id|name)\s*=\s*["']?([^\s"'>]+)/i.exec(tag)?.[1]);
    else if (mark === undefined) return;
    else if (match[1] === '/') this.runs.pop(mark);
    else this.runs.push(mark);
  }
}
