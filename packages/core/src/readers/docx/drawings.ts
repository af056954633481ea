/** Takes pictures, charts and what else is drawn in a paragraph (ECMA-376-1 §20, §21; VML in Part 4). */
import type { SourcePlace } from '../../base/index.ts';
import type { Attributes } from '../../container/index.ts';
import { chartDrafts } from '../chart-drafts.ts';
import type { Draft } from '../read-result.ts';
import { readChart } from '../ooxml-chart.ts';
import type { PartContext } from './context.ts';

interface Drawing {
  alt: string | null;
  found: boolean;
  /** What had been produced when it began. */
  readonly start: number;
}

export class Drawings {
  /** Pieces of text and pictures so far; tells whether a drawing or a branch gave anything. */
  produced = 0;
  readonly #context: PartContext;
  readonly #host: { place: () => SourcePlace; out: (draft: Draft) => void };
  readonly #open: Drawing[] = [];
  readonly #alternatives: number[] = [];

  constructor(context: PartContext, host: { place: () => SourcePlace; out: (draft: Draft) => void }) {
    this.#context = context;
    this.#host = host;
  }

  /** A later branch of alternate content says the same in other terms; it counts only where the former gave nothing. */
  get branchIsTold(): boolean {
    return this.produced > (this.#alternatives.at(-1) ?? this.produced);
  }

  /** @returns Whether the element was one of ours. */
  open(name: string, a: Attributes): boolean {
    switch (name) {
      case 'mc:AlternateContent':
        this.#alternatives.push(this.produced);
        return true;
      case 'w:drawing':
      case 'w:pict':
      case 'w:object':
        this.#open.push({ alt: null, found: false, start: this.produced });
        return true;
      case 'wp:docPr':
      case 'pic:cNvPr':
      case 'v:shape':
        this.#describe(a['descr'] || a['alt'] || a['title']);
        return true;
      case 'a:blip':
        this.#picture(a['r:embed'] ?? a['r:link']);
        return true;
      case 'v:imagedata':
        this.#describe(a['o:title']);
        this.#picture(a['r:id']);
        return true;
      case 'c:chart':
        this.#chart(a['r:id']);
        return true;
      case 'dgm:relIds':
        this.#lost('diagram-not-read', 'Diagram');
        return true;
      default:
        return false;
    }
  }

  close(name: string): void {
    switch (name) {
      case 'mc:AlternateContent':
        if (this.#alternatives.pop() === this.produced) this.#lostShape();
        break;
      case 'w:drawing':
      case 'w:pict':
      case 'w:object':
        this.#end(name);
        break;
    }
  }

  #describe(text: string | undefined): void {
    const drawing = this.#open.at(-1);
    if (drawing !== undefined && text?.trim()) drawing.alt ??= text.trim();
  }

  #picture(relationshipId: string | undefined): void {
    const drawing = this.#open.at(-1);
    if (drawing === undefined || relationshipId === undefined) return;
    drawing.found = true;
    const { relationships, zip, report, pictures } = this.#context;
    const rel = relationships.get(relationshipId);
    const place = this.#host.place();
    let picture;
    if (rel === undefined || rel.external || !zip.has(rel.target))
      report.add(rel ? 'picture-not-in-file' : 'picture-missing', place, rel ? { name: rel.target } : {});
    else picture = pictures.take(rel.target, () => zip.read(rel.target), place);
    this.#add({ kind: 'picture', alt: drawing.alt, place, ...(picture === undefined ? {} : { picture }) });
  }

  /** A chart comes as the table of its numbers, which the file keeps beside the drawing (§21.2.2.121). */
  #chart(relationshipId: string | undefined): void {
    const drawing = this.#open.at(-1);
    if (drawing === undefined || drawing.found) return;
    const { relationships, zip } = this.#context;
    const rel = relationships.get(relationshipId ?? '');
    const chart = rel === undefined || rel.external || !zip.has(rel.target) ? undefined : readChart(zip, rel.target);
    const place = this.#host.place();
    if (chart === undefined) {
      this.#lost('chart-not-read', 'Chart');
      return;
    }
    drawing.found = true;
    for (const draft of chartDrafts(chart, drawing.alt, place, this.#context.report)) this.#add(draft);
  }

  #lost(code: 'chart-not-read' | 'diagram-not-read', what: string): void {
    const drawing = this.#open.at(-1);
    if (drawing === undefined || drawing.found) return;
    drawing.found = true;
    const place = this.#host.place();
    this.#context.report.add(code, place);
    this.#add({ kind: 'picture', alt: drawing.alt === null ? what : `${what}: ${drawing.alt}`, place });
  }

  #add(draft: Draft): void {
    this.produced++;
    this.#host.out(draft);
  }

  #end(name: string): void {
    const drawing = this.#open.pop();
    if (drawing === undefined || drawing.found || this.produced > drawing.start || name === 'w:pict') return;
    if (name === 'w:object') this.#context.report.add('object-not-read', this.#host.place());
    // Another branch may still give the picture.
    else if (this.#alternatives.length === 0) this.#lostShape();
  }

  #lostShape(): void {
    const place = this.#host.place();
    this.#context.report.add('shape-not-read', place);
    this.#host.out({ kind: 'picture', alt: 'Drawing', place });
  }
}
