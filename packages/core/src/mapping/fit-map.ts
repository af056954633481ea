/**
 * Chooses which headings make slides, for each branch of a document: those at which most slides come out well filled, neither a
 * row of continued ones nor nearly empty. What stands above opens sections, what stands below is points.
 */
import { unreachable } from '../base/index.ts';
import { readWords } from '../content/index.ts';
import { blockText, findTitle, type Block, type DocumentModel } from '../document/index.ts';
import type { BlockId } from '../ids/index.ts';
import type { BranchRule } from '../deck/index.ts';

/** A heading with what stands below it. */
interface Branch {
  readonly block: BlockId;
  readonly level: number;
  readonly own: Load;
  readonly children: Branch[];
}
/** What stands directly below a heading. */
interface Load {
  words: number /* that would be shown */;
  code: number /* lines */;
  objects: number;
  prose: number /* words that are spoken */;
}
const load = (): Load => ({ words: 0, code: 0, objects: 0, prose: 0 });

export interface FittedLevels {
  /** How many of the levels in use stand above the titles. */
  readonly above: number;
  /** Where a branch does otherwise. */
  readonly branches: readonly BranchRule[];
}

type Choice = 'slide' | 'section' | 'title';

/** @param levels In use, highest first, without the title's. */
export function fitMap(document: DocumentModel, levels: readonly number[]): FittedLevels {
  const roots = branchesOf(document);
  // Headings may be there that say nothing.
  if (levels.length === 0 || roots.length === 0) return { above: 0, branches: [] };
  const chosen = new Map<Branch, Choice>();
  const costs = new Map<Branch, number>();
  const choose = (branch: Branch): number => {
    const known = costs.get(branch);
    if (known !== undefined) return known;
    const whole = slideCost(all(branch));
    let cost = whole;
    let choice: Choice = 'slide';
    if (branch.children.length > 1) {
      const alone = shown(branch.own);
      const parts = branch.children.reduce((sum, child) => sum + choose(child), alone ? slideCost(branch.own) : OPENER);
      if (parts < whole) [cost, choice] = [parts, alone ? 'title' : 'section'];
    }
    chosen.set(branch, choice);
    costs.set(branch, cost);
    return cost;
  };
  for (const root of roots) choose(root);
  return encoded(roots, chosen, levels);
}

const WORDS = 50; // on one slide
const THIN = 14;
const LONGEST_ITEM = 26;
const CODE = 14;
const SPOKEN = 320; // words beside one slide
const SLIDE = 0.25;
const CONTINUED = 0.8;
const OPENER = 0.45;

const shown = ({ words, code, objects }: Load): boolean => words + code + objects > 0;

/** What it costs to show so much below one title; 0.25 for a slide that nothing can be said against. */
function slideCost({ words, code, objects, prose }: Load): number {
  const pages = Math.max(1, Math.ceil(words / WORDS)) + Math.max(0, Math.ceil(code / CODE) - (words > 0 ? 0 : 1));
  // One table or picture stands beside little text.
  const more = Math.max(0, objects - (words <= WORDS ? 1 : 0));
  const count = pages + more;
  const thin = objects === 0 && code === 0 && words > 0 && words < THIN ? 0.3 : 0;
  const long = Math.max(0, prose / SPOKEN - 1) * 0.35;
  return count * SLIDE + (count - 1) * CONTINUED + thin + long;
}

/** All of a branch below one title: its headings are points. */
function all(branch: Branch): Load {
  const sum = { ...branch.own };
  for (const child of branch.children) {
    const below = all(child);
    sum.words += below.words + HEADING_WORDS;
    sum.code += below.code;
    sum.objects += below.objects;
    sum.prose += below.prose;
  }
  return sum;
}
const HEADING_WORDS = 4;

function branchesOf({ blocks }: DocumentModel): readonly Branch[] {
  const roots: Branch[] = [];
  const open: Branch[] = [];
  const title = findTitle(blocks);
  for (const block of blocks) {
    if (block.left !== undefined || block === title) continue;
    if (block.kind === 'heading' && blockText(block).trim() !== '') {
      while (open.length > 0 && open.at(-1)!.level >= block.level) open.pop();
      const branch: Branch = { block: block.id, level: block.level, own: load(), children: [] };
      (open.at(-1)?.children ?? roots).push(branch);
      open.push(branch);
    } else if (open.length > 0) add(open.at(-1)!.own, block);
  }
  return roots;
}

function add(sum: Load, block: Block): void {
  switch (block.kind) {
    case 'listItem':
      sum.words += Math.min(LONGEST_ITEM, readWords(blockText(block)));
      return;
    case 'quote':
      sum.words += readWords(blockText(block));
      return;
    case 'code':
      sum.code += blockText(block).split('\n').length;
      return;
    case 'table':
      sum.objects++;
      return;
    case 'picture':
      if (block.picture !== undefined) sum.objects++;
      return;
    case 'paragraph':
      sum.prose += readWords(blockText(block));
      return;
    case 'heading':
    case 'footnote':
    case 'break':
      return;
    default:
      unreachable(block);
  }
}

/** The commonest level of titles is the map's; branches that do otherwise have rules of their own. */
function encoded(
  roots: readonly Branch[],
  chosen: ReadonlyMap<Branch, Choice>,
  levels: readonly number[],
): FittedLevels {
  const count = new Map<number, number>();
  walk(roots, (branch) => {
    if (chosen.get(branch) === 'section') return true;
    count.set(branch.level, (count.get(branch.level) ?? 0) + 1);
    return chosen.get(branch) === 'title';
  });
  const common = [...count].reduce((best, one) => (one[1] > best[1] ? one : best))[0];
  const branches: BranchRule[] = [];
  const rule = (block: BlockId, level: number, to: BranchRule['to']): void => {
    branches.push({ block, text: `heading${level}` as BranchRule['text'], to });
  };
  walk(roots, (branch) => {
    const choice = chosen.get(branch)!;
    const usual = branch.level < common ? 'section' : branch.level === common ? 'slide' : 'point';
    if (choice === 'section') {
      if (usual !== 'section') rule(branch.block, branch.level, 'section');
      return true;
    }
    if (usual !== 'slide') rule(branch.block, branch.level, 'title');
    // Below a slide, headings that are titles elsewhere are points here.
    if (choice === 'slide')
      for (const level of levels) if (level > branch.level && level <= common) rule(branch.block, level, 'point1');
    return choice === 'title';
  });
  return { above: levels.filter((level) => level < common).length, branches };
}

/** @param visit Says whether to go on below. */
function walk(branches: readonly Branch[], visit: (branch: Branch) => boolean): void {
  for (const branch of branches) if (visit(branch)) walk(branch.children, visit);
}
