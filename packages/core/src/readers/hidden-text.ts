/** What becomes of text that the original hides. */
import type { Report, SourcePlace } from '../base/index.ts';
import { plain } from '../content/index.ts';
import { dropForbidden } from '../container/index.ts';
import type { Draft } from './read-result.ts';

/**
 * A paragraph that is hidden as a whole stays in its place, left out, and can be brought back; a hidden part of one is told.
 * @returns The block of a whole hidden paragraph.
 */
export function hiddenBlock(hidden: string, shown: boolean, place: SourcePlace, report: Report): Draft | undefined {
  const text = dropForbidden(hidden).trim();
  if (text === '') return undefined;
  if (!shown) return { kind: 'paragraph', runs: plain(text), place, left: 'hidden' };
  report.add('hidden-text-left', place, { text });
  return undefined;
}
