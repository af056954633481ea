/** Takes pictures, charts and other objects out of frames (OASIS ODF 1.3 part 3, §10.4), with their descriptions. */
import type { SourcePlace } from '../../base/index.ts';
import type { Attributes } from '../../container/index.ts';
import { chartDrafts, type ChartNumbers } from '../chart-drafts.ts';
import type { Draft } from '../read-result.ts';
import { readOdfChart } from './chart.ts';
import type { OdtContext } from './context.ts';

interface Frame {
  title: string;
  description: string;
  text: boolean;
  chart: ChartNumbers | undefined;
  object: boolean;
  picture: string | undefined;
}

export class Frames {
  readonly #context: OdtContext;
  readonly #host: { readonly place: () => SourcePlace; readonly out: (draft: Draft) => void };
  readonly #open: Frame[] = [];
  #describing: 'title' | 'description' | undefined;

  constructor(context: OdtContext, host: { place: () => SourcePlace; out: (draft: Draft) => void }) {
    this.#context = context;
    this.#host = host;
  }

  open(name: string, a: Attributes): void {
    const frame = this.#open.at(-1);
    const href = (a['xlink:href'] ?? '').replace(/^\.\//, '');
    if (name === 'draw:frame')
      this.#open.push({ title: '', description: '', text: false, chart: undefined, object: false, picture: undefined });
    else if (frame === undefined) return;
    else if (name === 'svg:title') this.#describing = 'title';
    else if (name === 'svg:desc') this.#describing = 'description';
    else if (name === 'draw:image') frame.picture ??= href;
    else if (name === 'draw:object') {
      frame.object = true;
      const part = `${href}/content.xml`;
      if (this.#context.zip.has(part)) frame.chart ??= readOdfChart(this.#context.zip, part);
    }
  }

  close(name: string): void {
    if (name === 'svg:title' || name === 'svg:desc') this.#describing = undefined;
    if (name === 'draw:frame') this.#end();
  }

  /** @returns Whether the text describes a frame. */
  text(text: string): boolean {
    const frame = this.#open.at(-1);
    if (this.#describing === undefined || frame === undefined) return false;
    frame[this.#describing] += text;
    return true;
  }

  /** The open frame holds text, which is read as such. */
  hasText(): void {
    const frame = this.#open.at(-1);
    if (frame !== undefined) frame.text = true;
  }

  #end(): void {
    const frame = this.#open.pop();
    if (frame === undefined || frame.text) return;
    const place = this.#host.place();
    const { zip, report, pictures } = this.#context;
    // The description says more than the title, wherever it stands (§9.2.20, §9.2.21).
    const alt = frame.description.trim() || frame.title.trim() || null;
    const { chart, picture: name } = frame;
    if (chart !== undefined) {
      for (const draft of chartDrafts(chart, alt, place, report)) this.#host.out(draft);
      return;
    }
    // An object that is no chart comes with a picture of itself as the second choice.
    if (name === undefined) {
      report.add('drawing-not-read', place);
      this.#host.out({ kind: 'picture', alt: alt ?? (frame.object ? 'Object' : 'Drawing'), place });
      return;
    }
    let picture;
    if (!zip.has(name)) report.add('picture-not-in-file', place, { name });
    else picture = pictures.take(name, () => zip.read(name), place);
    this.#host.out({ kind: 'picture', alt, place, ...(picture === undefined ? {} : { picture }) });
  }
}
