/** All kinds of edits. A new one is a file in `kinds/`, a line here, and its schema in contract. */
import { accept, type AcceptEdit } from './kinds/accept.ts';
import { add, type AddEdit } from './kinds/add.ts';
import { alt, type AltEdit } from './kinds/alt.ts';
import { arrange, type ArrangeEdit } from './kinds/arrange.ts';
import { branch, type BranchEdit } from './kinds/branch.ts';
import { breaks, type BreaksEdit } from './kinds/breaks.ts';
import { carry, type CarryEdit } from './kinds/carry.ts';
import { chart, type ChartEdit } from './kinds/chart.ts';
import { colors, type ColorsEdit } from './kinds/colors.ts';
import { cut, type CutEdit } from './kinds/cut.ts';
import { describe, type DescribeEdit } from './kinds/describe.ts';
import { drop, type DropEdit } from './kinds/drop.ts';
import { duplicate, type DuplicateEdit } from './kinds/duplicate.ts';
import { edition, type EditionEdit } from './kinds/edition.ts';
import { fonts, type FontsEdit } from './kinds/fonts.ts';
import { foot, type FootEdit } from './kinds/foot.ts';
import { frame, type FrameEdit } from './kinds/frame.ts';
import { full, type FullEdit } from './kinds/full.ts';
import { fullAt, type FullAtEdit } from './kinds/full-at.ts';
import { hide, type HideEdit } from './kinds/hide.ts';
import { icon, type IconEdit } from './kinds/icon.ts';
import { insert, type InsertEdit } from './kinds/insert.ts';
import { join, type JoinEdit } from './kinds/join.ts';
import { keep, type KeepEdit } from './kinds/keep.ts';
import { layout, type LayoutEdit } from './kinds/layout.ts';
import { leave, type LeaveEdit } from './kinds/leave.ts';
import { level, type LevelEdit } from './kinds/level.ts';
import { map, type MapEdit } from './kinds/map.ts';
import { matter, type MatterEdit } from './kinds/matter.ts';
import { merge, type MergeEdit } from './kinds/merge.ts';
import { mix, type MixEdit } from './kinds/mix.ts';
import { mode, type ModeEdit } from './kinds/mode.ts';
import { motion, type MotionEdit } from './kinds/motion.ts';
import { motionAt, type MotionAtEdit } from './kinds/motion-at.ts';
import { move, type MoveEdit } from './kinds/move.ts';
import { order, type OrderEdit } from './kinds/order.ts';
import { pace, type PaceEdit } from './kinds/pace.ts';
import { palette, type PaletteEdit } from './kinds/palette.ts';
import { place, type PlaceEdit } from './kinds/place.ts';
import { prose, type ProseEdit } from './kinds/prose.ts';
import { rehearse, type RehearseEdit } from './kinds/rehearse.ts';
import { remove, type RemoveEdit } from './kinds/remove.ts';
import { renote, type RenoteEdit } from './kinds/renote.ts';
import { replace, type ReplaceEdit } from './kinds/replace.ts';
import { restore, type RestoreEdit } from './kinds/restore.ts';
import { retitle, type RetitleEdit } from './kinds/retitle.ts';
import { reword, type RewordEdit } from './kinds/reword.ts';
import { shape, type ShapeEdit } from './kinds/shape.ts';
import { speak, type SpeakEdit } from './kinds/speak.ts';
import { speech, type SpeechEdit } from './kinds/speech.ts';
import { split, type SplitEdit } from './kinds/split.ts';
import { take, type TakeEdit } from './kinds/take.ts';
import { target, type TargetEdit } from './kinds/target.ts';
import { template, type TemplateEdit } from './kinds/template.ts';
import { theme, type ThemeEdit } from './kinds/theme.ts';
import { turn, type TurnEdit } from './kinds/turn.ts';
import { type, type TypeEdit } from './kinds/type.ts';
import { write, type WriteEdit } from './kinds/write.ts';
import type { EditKind } from './kind.ts';

/** What decides how the document is converted. */
export type PlanEdit =
  | MapEdit
  | ProseEdit
  | SpeechEdit
  | BranchEdit
  | FullEdit
  | FullAtEdit
  | MatterEdit
  | TargetEdit
  | PaceEdit
  | TakeEdit
  | MixEdit
  | BreaksEdit
  | TurnEdit
  | CutEdit
  | JoinEdit;

/** What the deck looks like. */
export type LookEdit =
  | ThemeEdit
  | PaletteEdit
  | ModeEdit
  | FontsEdit
  | TypeEdit
  | FootEdit
  | TemplateEdit
  | ArrangeEdit
  | LayoutEdit
  | ColorsEdit
  | MotionEdit
  | MotionAtEdit
  | IconEdit
  | ChartEdit
  | FrameEdit
  | ReplaceEdit
  | PlaceEdit
  | AltEdit
  | DropEdit;

/** What is done to the slides that the map made. */
export type SlideEdit =
  | RetitleEdit
  | RewordEdit
  | RenoteEdit
  | OrderEdit
  | RemoveEdit
  | RestoreEdit
  | HideEdit
  | DuplicateEdit
  | AddEdit
  | InsertEdit
  | CarryEdit
  | LevelEdit
  | SpeakEdit
  | SplitEdit
  | MergeEdit;

/** What is done to the document. */
export type StructureEdit = ShapeEdit | WriteEdit | MoveEdit | LeaveEdit | KeepEdit | DescribeEdit;

/** What is said of the deck, and changes no slide. */
export type CheckEdit = AcceptEdit | RehearseEdit;

export type SingleEdit = PlanEdit | LookEdit | SlideEdit | StructureEdit | CheckEdit | EditionEdit;

type Kinds = { readonly [K in SingleEdit['kind']]: EditKind<Extract<SingleEdit, { readonly kind: K }>> };

export const KINDS: Kinds = {
  accept,
  add,
  alt,
  arrange,
  branch,
  breaks,
  carry,
  chart,
  colors,
  cut,
  describe,
  drop,
  duplicate,
  edition,
  fonts,
  foot,
  frame,
  full,
  fullAt,
  hide,
  icon,
  insert,
  join,
  keep,
  layout,
  leave,
  level,
  map,
  matter,
  merge,
  mix,
  mode,
  motion,
  motionAt,
  move,
  order,
  pace,
  palette,
  place,
  prose,
  speech,
  rehearse,
  remove,
  renote,
  replace,
  restore,
  retitle,
  reword,
  shape,
  speak,
  split,
  take,
  target,
  template,
  theme,
  turn,
  type,
  write,
};

/** What is to be known of an edit's kind. */
export const kindOf = <E extends SingleEdit>(edit: E): EditKind<E> => KINDS[edit.kind] as unknown as EditKind<E>;

export const isKnownKind = (kind: string): kind is SingleEdit['kind'] => Object.hasOwn(KINDS, kind);
