/** The structure of a page of a tagged PDF (ISO 32000-1 §14.7): elements, and the marked content that they hold. */
import type { Pdfium, Pointer } from './pdfium.ts';

export interface StructureElement {
  /** A standard type (§14.8.4), as the file's role map gives it: `H1`, `P`, `LI`. */
  readonly type: string;
  /** What stands for it where it cannot be seen. */
  readonly alt: string;
  /** BCP 47; empty where it says none (§14.9.2). */
  readonly language: string;
  /** Elements, and ids of marked content, in reading order. */
  readonly children: readonly (StructureElement | number)[];
}

const DEEPEST = 60;
const MOST_CHILDREN = 20_000;

/** @returns No elements for a page that is not tagged. */
export function structureOf(pdfium: Pdfium, page: Pointer): readonly StructureElement[] {
  const tree = pdfium.call('FPDF_StructTree_GetForPage', page);
  if (tree === 0) return [];
  try {
    const count = Math.min(pdfium.call('FPDF_StructTree_CountChildren', tree), MOST_CHILDREN);
    return Array.from({ length: Math.max(0, count) }, (_, i) => pdfium.call('FPDF_StructTree_GetChildAtIndex', tree, i))
      .filter((element) => element !== 0)
      .map((element) => elementOf(pdfium, element, 0));
  } finally {
    pdfium.call('FPDF_StructTree_Close', tree);
  }
}

function elementOf(pdfium: Pdfium, at: Pointer, depth: number): StructureElement {
  const children: (StructureElement | number)[] = [];
  const count = Math.min(pdfium.call('FPDF_StructElement_CountChildren', at), MOST_CHILDREN);
  for (let i = 0; i < count && depth < DEEPEST; i++) {
    const child = pdfium.call('FPDF_StructElement_GetChildAtIndex', at, i);
    if (child !== 0) children.push(elementOf(pdfium, child, depth + 1));
    else {
      const mark = pdfium.call('FPDF_StructElement_GetChildMarkedContentID', at, i);
      if (mark >= 0) children.push(mark);
    }
  }
  return {
    type: pdfium.wideText((buffer, length) => pdfium.call('FPDF_StructElement_GetType', at, buffer, length)),
    alt: pdfium.wideText((buffer, length) => pdfium.call('FPDF_StructElement_GetAltText', at, buffer, length)).trim(),
    language: pdfium.wideText((buffer, length) => pdfium.call('FPDF_StructElement_GetLang', at, buffer, length)),
    children,
  };
}
