/** What the parts of a page are, for those who hear or reflow it (ISO 32000-1 §14.8.4). */
type Doc = PDFKit.PDFDocument;
export type Element = PDFKit.PDFStructureElement;

/** Draws what means nothing. */
export function artifact(doc: Doc, draw: () => void): void {
  doc.markContent('Artifact', { type: 'Layout' });
  draw();
  doc.endMarkedContent();
}

/** Draws content of an element that is already there. */
export function into(doc: Doc, element: Element, tag: string, draw: () => void): void {
  const content = doc.markStructureContent(tag);
  draw();
  doc.endMarkedContent();
  element.add(content);
}

/** Elements in the order in which they are read; items become lists, deeper ones lists within them. */
export class Reading {
  readonly #doc: Doc;
  readonly #under: Element;
  #lists: { readonly level: number; readonly list: Element; body: Element }[] = [];

  constructor(doc: Doc, under: Element) {
    this.#doc = doc;
    this.#under = under;
  }

  add(element: Element): Element {
    this.#lists = [];
    this.#under.add(element);
    return element;
  }

  /** @returns Where the item's mark and its text go. */
  item(level: number, lang: string | undefined): { readonly label: Element; readonly body: Element } {
    const doc = this.#doc;
    while ((this.#lists.at(-1)?.level ?? 0) > level) this.#lists.pop();
    let top = this.#lists.at(-1);
    const item = doc.struct('LI', lang === undefined ? {} : { lang });
    const label = doc.struct('Lbl');
    const body = doc.struct('LBody');
    item.add(label).add(body);
    if (top?.level !== level) {
      const list = doc.struct('L');
      (top?.body ?? this.#under).add(list);
      top = { level, list, body };
      this.#lists.push(top);
    }
    top.list.add(item);
    top.body = body;
    return { label, body };
  }
}
