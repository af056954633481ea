/** The text that the parts of a DOCX hold: all that people see in its body, notes, comments, heads and feet. */
import { textDecoder, type TextDecoding } from '../../base/index.ts';
import { encodingOf, mainPart, openZip, readRelationships } from '../../container/index.ts';
import { decodeEntities, prefixOf } from '../xml-source.ts';

const WORD =
  /http:\/\/schemas\.openxmlformats\.org\/wordprocessingml\/2006\/main|http:\/\/purl\.oclc\.org\/ooxml\/wordprocessingml\/main/;
const MATH =
  /http:\/\/schemas\.openxmlformats\.org\/officeDocument\/2006\/math|http:\/\/purl\.oclc\.org\/ooxml\/officeDocument\/math/;
const COMPATIBILITY = /http:\/\/schemas\.openxmlformats\.org\/markup-compatibility\/2006/;
const OTHER_PARTS = new Set(['footnotes', 'endnotes', 'comments', 'header', 'footer']);

export function docxText(bytes: Uint8Array, take: (piece: string) => void): void {
  const zip = openZip(bytes);
  const main = mainPart(zip, 'wordprocessingml');
  const parts = new Set([main]);
  for (const { type, target } of readRelationships(zip, main).values())
    if (OTHER_PARTS.has(type) && zip.has(target)) parts.add(target);
  for (const part of parts) {
    let text: PartText | undefined;
    let decoder: TextDecoding | undefined;
    let rest = '';
    // Not as a whole: a part may have a hundred megabytes.
    zip.stream(part, (piece) => {
      decoder ??= textDecoder(encodingOf(piece));
      rest += decoder.decode(piece, { stream: true });
      const cut = rest.lastIndexOf('<');
      if (cut <= 0) return;
      text ??= new PartText(rest, take);
      text.read(rest.slice(0, cut));
      rest = rest.slice(cut);
    });
    text?.read(rest);
    text?.end();
  }
}

class PartText {
  readonly #take: (piece: string) => void;
  readonly #tags: RegExp;
  #piece = '';
  #deleted = 0;
  /** Of alternate contents, the first that has text counts. */
  readonly #choices: { told: boolean; skip: boolean }[] = [];

  /** @param start As much of the part as declares its namespaces. */
  constructor(start: string, take: (piece: string) => void) {
    this.#take = take;
    const [w, m, mc] = [prefixOf(start, WORD, 'w'), prefixOf(start, MATH, 'm'), prefixOf(start, COMPATIBILITY, 'mc')];
    // Attributes of these elements hold no `>` in any file that a program wrote.
    this.#tags = new RegExp(
      `<(/?)(?:(${w}t|${m}t)|(${w}del|${w}moveFrom)|(${mc}Choice|${mc}Fallback|${mc}AlternateContent)|${w}(?:p|tab|br|cr))(?=[\\s/>])([^>]*)>([^<]*)`,
      'g',
    );
  }

  read(xml: string): void {
    this.#tags.lastIndex = 0;
    for (let found = this.#tags.exec(xml); found !== null; found = this.#tags.exec(xml)) {
      const [, end = '', text, deletion, alternative, attributes = '', content = ''] = found;
      const empty = attributes.endsWith('/');
      if (text !== undefined) {
        if (end !== '' || empty || content === '' || this.#deleted > 0 || this.#choices.some(({ skip }) => skip))
          continue;
        for (const choice of this.#choices) choice.told = true;
        this.#piece += decodeEntities(content);
      } else if (deletion !== undefined) {
        if (!empty) this.#deleted += end === '' ? 1 : -1;
      } else if (alternative !== undefined) this.#alternative(alternative.endsWith('AlternateContent'), end === '');
      else this.end();
    }
  }

  #alternative(whole: boolean, begins: boolean): void {
    if (whole && begins) this.#choices.push({ told: false, skip: false });
    else if (whole) this.#choices.pop();
    else if (this.#choices.length > 0) this.#choices.at(-1)!.skip = begins && this.#choices.at(-1)!.told;
  }

  /** A word ends. */
  end(): void {
    if (this.#piece !== '') this.#take(this.#piece);
    this.#piece = '';
  }
}
