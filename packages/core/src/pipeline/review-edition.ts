/** What a new edition of the document changes, and what of the author's own work stands on it; with the edits that keep or take. */
import { diffWordsWithSpace } from 'diff';
import { plain, runsText, type Runs } from '../content/index.ts';
import { blockRuns, blockText, type Block, type DocumentModel } from '../document/index.ts';
import { carryOver, singleEdits, type Edit } from '../edits/index.ts';
import { asWritten, changedIds, matchEditions, type BlockMatch, type WrittenBlock } from '../structure/index.ts';
import { blockIn, mapIds, writtenNote, type BlockId, type IdMap, type SlideId } from '../ids/index.ts';

/** A stretch of words that stands in both texts, or in one of them. */
export interface WordChange {
  readonly text: string;
  readonly in: 'both' | 'before' | 'after';
}

/** A wording of the author's own on a passage. */
export interface OwnWork {
  readonly kind: 'title' | 'point' | 'notes' | 'text' | 'description';
  readonly text: string;
  /** Gives the passage its new text instead. */
  readonly takeNew: Edit;
}

export interface ReviewItem {
  readonly kind: 'changed' | 'new' | 'gone';
  readonly moved: boolean;
  readonly before: Block | null;
  readonly after: Block | null;
  readonly words: readonly WordChange[];
  /** What the author wrote on it. Where there is any, the author decides. */
  readonly own: readonly OwnWork[];
  /** Keeps the passage as it was: the old text, without the new one, or the one that is gone. */
  readonly keepOld: Edit;
}

export interface EditionReview {
  readonly ids: readonly (readonly [BlockId, BlockId])[];
  readonly same: number;
  readonly moved: number;
  readonly items: readonly ReviewItem[];
}

/**
 * @param before The edition in force, as it was read.
 * @param after The new one, as it was read.
 * @param log The author's edits in force.
 */
export function reviewEdition(before: DocumentModel, after: DocumentModel, log: readonly Edit[]): EditionReview {
  const matches = matchEditions(before.blocks, after.blocks);
  const old = new Map(before.blocks.map((block) => [block.id, block]));
  const fresh = new Map(after.blocks.map((block) => [block.id, block]));
  const work = workByBlock(carryOver(singleEdits(log)), new Set(old.keys()));
  const ids = changedIds(matches);
  const renamed = mapIds(new Map(ids));
  const items: ReviewItem[] = [];
  let behind: BlockId | null = null;
  for (const match of matches) {
    if (match.kind !== 'same') items.push(itemOf(match, behind));
    if (match.kind !== 'gone') behind = match.after;
  }
  const same = matches.filter((match) => match.kind === 'same');
  return { ids, same: same.length, moved: same.filter(({ moved }) => moved).length, items };

  function itemOf(match: Exclude<BlockMatch, { kind: 'same' }>, place: BlockId | null): ReviewItem {
    const was = match.kind === 'new' ? null : old.get(match.before)!;
    const is = match.kind === 'gone' ? null : fresh.get(match.after)!;
    const own = was === null ? [] : (work.get(was.id) ?? []).map((make) => make(is, renamed));
    return {
      kind: match.kind,
      moved: match.kind === 'changed' && match.moved,
      before: was,
      after: is,
      words: wordChanges(was === null ? '' : blockText(was), is === null ? '' : blockText(is)),
      own,
      keepOld: keepOld(was, is, place),
    };
  }
}

function keepOld(before: Block | null, after: Block | null, behind: BlockId | null): Edit {
  if (before === null) return { kind: 'leave', blocks: [after!.id], as: 'deleted' };
  if (after === null) return { kind: 'write', replaces: [], after: behind, blocks: [written(before, before.id)] };
  return { kind: 'write', replaces: [after.id], after: null, blocks: [written(before, after.id)] };
}

function written(block: Block, id: BlockId): WrittenBlock {
  return { ...asWritten(block), id };
}

/** Differences beyond this are not looked for: the whole text counts as another. */
const MOST_DIFFERENT = 2000;

function wordChanges(before: string, after: string): readonly WordChange[] {
  if (before === '' || after === '')
    return [
      ...(before === '' ? [] : [{ text: before, in: 'before' as const }]),
      ...(after === '' ? [] : [{ text: after, in: 'after' as const }]),
    ];
  const changes = diffWordsWithSpace(before, after, { maxEditLength: MOST_DIFFERENT });
  if (changes === undefined)
    return [
      { text: before, in: 'before' },
      { text: after, in: 'after' },
    ];
  return changes.map(({ value, added, removed }) => ({
    text: value,
    in: added ? 'after' : removed ? 'before' : 'both',
  }));
}

type MakeWork = (after: Block | null, ids: IdMap) => OwnWork;

interface Work {
  readonly block: BlockId;
  /** Of works with one key the last counts. */
  readonly key: string;
  readonly make: MakeWork;
}

/** The author's last wording of each thing, by the block that it stands on. */
function workByBlock(edits: readonly Edit[], blocks: ReadonlySet<string>): ReadonlyMap<BlockId, readonly MakeWork[]> {
  const latest = new Map<string, Work>();
  const notes = new Map<SlideId, number>();
  for (const edit of edits) for (const work of worksOf(edit, blocks, notes)) latest.set(work.key, work);
  const byBlock = new Map<BlockId, MakeWork[]>();
  for (const { block, make } of latest.values()) byBlock.set(block, [...(byBlock.get(block) ?? []), make]);
  return byBlock;
}

/** @param notes How many were written before, by slide; counted on. */
function worksOf(edit: Edit, blocks: ReadonlySet<string>, notes: Map<SlideId, number>): readonly Work[] {
  if (edit.kind === 'retitle')
    return wordingOf(blockIn(edit.slide, blocks), `t ${edit.slide}`, 'title', edit.runs, (ids, runs) => ({
      ...edit,
      slide: ids.slide(edit.slide),
      runs,
    }));
  if (edit.kind === 'reword')
    return wordingOf(blockIn(edit.part, blocks), `p ${edit.part}`, 'point', edit.runs, (ids, runs) => ({
      ...edit,
      part: ids.part(edit.part),
      runs,
    }));
  if (edit.kind === 'renote') {
    const first = notes.get(edit.slide) ?? 0;
    notes.set(edit.slide, first + edit.notes.length);
    const written = edit.notes.map((_, i) => writtenNote(edit.slide, first + i));
    const text = plain(edit.notes.map(({ runs }) => runsText(runs)).join('\n'));
    const stood = new Set(edit.replaces.flatMap((id) => blockIn(id, blocks) ?? []));
    return [...stood].flatMap((block) =>
      wordingOf(block, `n ${block}`, 'notes', text, (ids, runs) => ({
        kind: 'renote',
        slide: ids.slide(edit.slide),
        replaces: written.map(ids.note),
        anchor: edit.anchor === null ? null : ids.part(edit.anchor),
        notes: [{ kind: 'paragraph', depth: 0, ordered: false, runs }],
      })),
    );
  }
  if (edit.kind === 'write')
    return edit.blocks
      .filter(({ id }) => edit.replaces.includes(id) && blocks.has(id))
      .map((one) => ({
        block: one.id,
        key: `w ${one.id}`,
        make: (after, ids) => ({
          kind: 'text',
          text: blockText(one as Block),
          takeNew: {
            ...edit,
            replaces: [ids.block(one.id)],
            blocks: after === null ? [one] : [written(after, after.id)],
          },
        }),
      }));
  if (edit.kind === 'describe') {
    const make: MakeWork = (after, ids) => ({
      kind: 'description',
      text: edit.alt,
      takeNew: {
        ...edit,
        block: ids.block(edit.block),
        alt: after?.kind === 'picture' ? (after.alt ?? '') : edit.alt,
      },
    });
    return [{ block: edit.block, key: `d ${edit.block}`, make }];
  }
  return [];
}

/** @param takeNew The edit that has the words of the new edition in place of the author's. */
function wordingOf(
  block: BlockId | undefined,
  key: string,
  kind: OwnWork['kind'],
  runs: Runs,
  takeNew: (ids: IdMap, runs: Runs) => OwnWork['takeNew'],
): readonly Work[] {
  if (block === undefined) return [];
  const make: MakeWork = (after, ids) => ({
    kind,
    text: runsText(runs),
    takeNew: takeNew(ids, after === null ? runs : blockRuns(after)),
  });
  return [{ block, key, make }];
}
