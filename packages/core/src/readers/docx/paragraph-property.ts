/** Properties of a paragraph (ECMA-376-1 §17.3.1). */
import type { Attributes } from '../../container/index.ts';
import { draftBreak } from '../read-result.ts';
import type { ParagraphDraft } from './paragraph.ts';
import { isOn } from './styles.ts';

/** @returns Whether `name` is a property that was taken. */
export function applyParagraphProperty(paragraph: ParagraphDraft, name: string, a: Attributes): boolean {
  const value = a['w:val'];
  switch (name) {
    case 'w:pStyle':
      paragraph.styleId = value;
      return true;
    case 'w:outlineLvl':
      paragraph.outline = Number(value);
      return true;
    case 'w:numId':
      paragraph.numId = value;
      return true;
    case 'w:ilvl':
      paragraph.ilvl = Number(value);
      return true;
    case 'w:spacing':
      paragraph.spaceBefore = Number(a['w:before'] ?? 0) / 20;
      return true;
    case 'w:jc':
      paragraph.align = value;
      return true;
    case 'w:bidi':
      paragraph.spoken.direction = isOn(a) ? 'rtl' : 'ltr';
      return true;
    case 'w:pageBreakBefore':
      if (isOn(a)) paragraph.before.push(draftBreak('page', paragraph.place));
      return true;
    default:
      return false;
  }
}
