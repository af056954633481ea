/** Takes a part off its slide and speaks it. */
import { unreachable } from '../base/index.ts';
import { cellText, plain, type Runs } from '../content/index.ts';
import type { Content, Note, Slide } from '../deck/index.ts';
import { noteOfPart, type BlockId, type PartId } from '../ids/index.ts';

/** Pictures that nothing describes cannot be spoken; their blocks come back as left out. */
export function spokenInstead(
  slide: Slide,
  part: Content,
): { readonly slide: Slide; readonly leftOut: readonly BlockId[] } {
  const at = slide.content.indexOf(part);
  const anchor = slide.content[at - 1]?.id ?? null;
  // What was shortened is spoken in full already.
  const inFull =
    part.kept !== undefined && slide.notes.some((note) => note.blocks.some((block) => part.blocks.includes(block)));
  const said = inFull || slide.said?.includes(part.id) === true ? [] : spoken(part, anchor);
  const own = slide.notes.findIndex((note) => note.anchor === part.id);
  const place = own >= 0 ? own : slide.notes.findLastIndex((note) => note.anchor === anchor) + 1;
  const notes = slide.notes.map((note) => (note.anchor === part.id ? { ...note, anchor } : note));
  return {
    slide: { ...slide, content: slide.content.toSpliced(at, 1), notes: notes.toSpliced(place, 0, ...said) },
    leftOut: part.kind === 'picture' && said.length === 0 ? part.blocks : [],
  };
}

/** What is said of a part that is not shown, a note for each paragraph. @param idOf Names them. */
export function spoken(part: Content, anchor: PartId | null, idOf = noteOfPart): readonly Note[] {
  const item = part.kind === 'point';
  return rowsOf(part).map((runs, i) => ({
    kind: item ? 'item' : 'paragraph',
    depth: item ? part.level : 0,
    ordered: false,
    id: idOf(part.id, i),
    runs,
    blocks: part.blocks,
    anchor,
  }));
}

/** What can be said of a part, a paragraph each. */
function rowsOf(part: Content): readonly Runs[] {
  switch (part.kind) {
    case 'table':
      return part.table.rows.map((row) => plain(row.cells.map(cellText).join(' | ')));
    case 'picture':
      return part.alt === null ? [] : [plain(part.alt)];
    case 'point':
    case 'text':
      return [part.runs];
    default:
      return unreachable(part);
  }
}
