/** The outline of a presentation as receivers show it: what stands in the placeholders of its slides (ECMA-376-1 §19.3.1.36), with levels. */
import type { XmlElement } from 'libxml2-wasm';
import { Package } from './open-package.ts';
import { attribute, elements, values } from './xml.ts';
import { slidesOf } from './slides-of.ts';

export interface SlideOutline {
  readonly title: string;
  readonly points: readonly { readonly level: number /* 1.. */; readonly text: string }[];
}

const TITLES = ['title', 'ctrTitle'];
/** Placeholders of text; one without a type is for anything. */
const TEXTS = ['body', 'obj', 'subTitle', undefined];
const typeOf = (shape: XmlElement): string | undefined => values(shape, './p:nvSpPr/p:nvPr/p:ph/@type')[0];
const textOf = (at: XmlElement): string =>
  elements(at, './/a:t | .//a:br')
    .map((one) => (one.name === 'br' ? ' ' : one.content))
    .join('')
    .replace(/\s+/g, ' ')
    .trim();

/** @returns Slides in the order in which they are shown. @throws Error where the file is no presentation. */
export async function outlineOf(bytes: Uint8Array): Promise<readonly SlideOutline[]> {
  const opened = await Package.open(bytes);
  try {
    const [main] = opened.related('', 'officeDocument');
    if (main === undefined) throw new Error('it has no presentation');
    return slidesOf(opened, main).flatMap((part) => {
      const root = opened.tree(part)?.root;
      return root === undefined ? [] : [outlineIn(root)];
    });
  } finally {
    opened.dispose();
  }
}

function outlineIn(root: XmlElement): SlideOutline {
  const shapes = elements(root, '//p:sp[p:nvSpPr/p:nvPr/p:ph]');
  const title = shapes.find((shape) => TITLES.includes(typeOf(shape) ?? ''));
  const texts = shapes.filter((shape) => shape !== title && TEXTS.includes(typeOf(shape)));
  return {
    title: title === undefined ? '' : textOf(title),
    points: texts.flatMap((shape) =>
      elements(shape, './p:txBody/a:p').flatMap((paragraph) => {
        const text = textOf(paragraph);
        const [properties] = elements(paragraph, './a:pPr');
        const level = Number((properties && attribute(properties, 'lvl')) ?? 0) + 1;
        return text === '' ? [] : [{ level, text }];
      }),
    ),
  };
}
