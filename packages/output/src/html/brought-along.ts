/** Fonts and pictures within a file of vectors, so that it needs nothing else. */
import type { DrawnParts, FaceUse, PictureData } from '@alvex/core';
import { webFaces, type FaceFormat } from '@alvex/font-files';
import { piecesIn } from '../drawn.ts';
import { facesOf, isBold, isItalic, keyOf, styleOf } from '../faces.ts';
import { element } from './markup.ts';
import type { SvgTools } from './slide-svg.ts';

/** Each picture once, as a square of one by one that is used wherever it stands. */
export class PictureStore {
  readonly #pictures: ReadonlyMap<PictureData['id'], PictureData>;
  readonly #used = new Map<PictureData['id'], string>();

  constructor(pictures: readonly PictureData[]) {
    this.#pictures = new Map(pictures.map((picture) => [picture.id, picture]));
  }

  readonly idOf = (id: PictureData['id']): string | undefined => {
    if (!this.#pictures.has(id)) return undefined;
    let name = this.#used.get(id);
    if (name === undefined) this.#used.set(id, (name = `picture-${this.#used.size + 1}`));
    return name;
  };

  /** Elements to be used by their ids. */
  get images(): string {
    return [...this.#used]
      .map(([id, name]) => {
        const { mime, bytes } = this.#pictures.get(id)!;
        const href = `data:${mime};base64,${Buffer.from(bytes).toString('base64')}`;
        return element('image', { id: name, width: 1, height: 1, preserveAspectRatio: 'none', href });
      })
      .join('');
  }
}

/** Rules for the faces that the slides need, and the class of each. */
export async function fontRules(drawn: readonly DrawnParts[], language: string | null, format: FaceFormat) {
  const used = facesOf(piecesIn(drawn));
  const uses = [...used.values()].map(({ family, style, signs }) => ({
    family,
    style,
    characters: [...signs].sort().join(''),
  }));
  const { faces, others } = await webFaces(uses, language, format);
  const type = format === 'woff2' ? 'woff2' : 'ttf';
  const rule = (family: string, style: FaceUse['style'], bytes: Uint8Array): string =>
    `@font-face{font-family:"${family}";${setting(style)};src:url(data:font/${type};base64,${Buffer.from(bytes).toString('base64')})}\n`;
  const weights = ['regular', 'bold'] as const;
  const rules = [
    ...faces.map(({ family, style, bytes }) => rule(family, style, bytes)),
    ...weights.flatMap((weight) => others[weight].map((bytes, i) => rule(`other ${weight} ${i}`, weight, bytes))),
  ];
  const classes = new Map([...used.keys()].map((key, i) => [key, `f${i}`]));
  for (const [key, { family, style }] of used) {
    const weight = isBold(style) ? 'bold' : 'regular';
    const families = [family, ...others[weight].map((_, i) => `other ${weight} ${i}`)].map((name) => `"${name}"`);
    rules.push(`.${classes.get(key)!}{font-family:${[...families, 'sans-serif'].join()};${setting(style)}}\n`);
  }
  const face: SvgTools['face'] = (piece) => classes.get(keyOf(piece.family, styleOf(piece))) ?? '';
  return { css: rules.join(''), face };
}

const setting = (style: FaceUse['style']): string =>
  `font-weight:${isBold(style) ? 700 : 400};font-style:${isItalic(style) ? 'italic' : 'normal'}`;
