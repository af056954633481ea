/** What stands below a title and belongs on a cover: whose a document is, of when, for whom. */
import { readWords, runsText } from '../content/index.ts';
import type { Block } from '../document/index.ts';
import { SENTENCE_END } from './tell.ts';

/** Names of a part, set as a line of their own. */
const PART_NAME =
  /^\W*(?:abstract|summary|executive summary|introduction|preface|foreword|contents|overview|zusammenfassung|einleitung|vorwort|inhalt|überblick|résumé|avant-propos|sommaire|aperçu|resumen|introducción|prólogo|índice|sommario|introduzione|prefazione|indice|resumo|introdução|samenvatting|inleiding|voorwoord|inhoud)\W*$/i;
const LONGEST_BYLINE = 14; // words
const MOST_OF_BYLINE = 90; // characters

/** Whether a line below a title is what stands on a cover: no sentence, unless it is the first, and more than links. */
export function isByline(block: Block, first: boolean): boolean {
  if (block.kind !== 'paragraph' || block.role !== undefined) return false;
  const text = runsText(block.runs).trim();
  if (PART_NAME.test(text)) return false;
  if (text.length > MOST_OF_BYLINE || readWords(text) > LONGEST_BYLINE) return false;
  const linked = block.runs.reduce((sum, run) => sum + (run.link === undefined && !run.code ? 0 : run.text.length), 0);
  if (linked > text.length / 2 || /[:：]$/.test(text)) return false;
  const sentences = text.split(/(?<=[.!?…。！？؟।])(?:\s+|$)/u).filter((part) => part !== '').length;
  return SENTENCE_END.test(text) ? first && sentences === 1 : true;
}
