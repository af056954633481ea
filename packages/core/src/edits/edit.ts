/** The author's edits as data: a closed union, kept in the order in which they were made. */
import type { ChartSettings } from '../charts/index.ts';
import type { Picture, Runs } from '../content/index.ts';
import type {
  Destination,
  FullRule,
  Icon,
  LevelMap,
  MatterKind,
  PartId,
  PictureDress,
  PointLevel,
  Prose,
  SlideId,
  TextKind,
} from '../deck/index.ts';
import type { StructureChange } from '../structure/index.ts';
import type { Foot, LayoutName, PaletteChoice, RuledRole, TemplateUse, TextRule } from '../theme/index.ts';

export interface NoteText {
  readonly kind: 'paragraph' | 'item';
  readonly depth: number;
  readonly ordered: boolean;
  readonly runs: Runs;
}

/** What the deck should come to. */
export interface Target {
  readonly unit: 'slides' | 'minutes';
  readonly amount: number;
}

/** How a document is converted; what takes differ in. */
export interface TakeSettings {
  /** Name of a ready-made map, or null. */
  readonly name: string | null;
  readonly map: LevelMap;
  readonly prose: Prose;
  readonly full: FullRule;
}

/** What decides how the document is converted. */
export type MapEdit =
  /** Lays a level map on the document. `name` is a ready-made map's, or null for the author's own. Without `prose` that stays as it was. */
  | { readonly kind: 'map'; readonly name: string | null; readonly map: LevelMap; readonly prose?: Prose }
  | { readonly kind: 'prose'; readonly prose: Prose }
  /** Below one heading, a kind of text goes elsewhere; null gives it back to the map. */
  | { readonly kind: 'branch'; readonly block: string; readonly text: TextKind; readonly to: Destination | null }
  | { readonly kind: 'full'; readonly rule: FullRule }
  /** The rule of single slides; null gives them back to the deck's. */
  | { readonly kind: 'fullAt'; readonly slides: readonly SlideId[]; readonly rule: FullRule | null }
  | { readonly kind: 'matter'; readonly part: MatterKind; readonly on: boolean }
  | { readonly kind: 'target'; readonly target: Target | null }
  /** Words a minute. */
  | { readonly kind: 'pace'; readonly rate: number }
  /** Keeps a way to convert the document beside the others; null drops it. */
  | { readonly kind: 'take'; readonly take: string; readonly settings: TakeSettings | null }
  /** Whether separators and page breaks start slides. */
  | { readonly kind: 'breaks'; readonly start: boolean }
  /** Sends one block somewhere else; null gives it back to the map. */
  | { readonly kind: 'turn'; readonly block: string; readonly to: Destination | null }
  /** Starts a new slide at a block. */
  | { readonly kind: 'cut'; readonly block: string }
  /** Lets the slide that starts at a block go on the slide before it. */
  | { readonly kind: 'join'; readonly block: string };

/** What the deck looks like. */
export type LookEdit =
  | { readonly kind: 'theme'; readonly theme: string }
  /** Null is the theme's own. */
  | { readonly kind: 'palette'; readonly palette: PaletteChoice | null }
  | { readonly kind: 'mode'; readonly dark: boolean | null }
  /** Name of a font pair. */
  | { readonly kind: 'fonts'; readonly pair: string | null }
  /** One rule for all text of a role; null is as the theme says. */
  | { readonly kind: 'type'; readonly role: RuledRole; readonly rule: TextRule | null }
  | { readonly kind: 'foot'; readonly foot: Foot }
  /** Builds the deck on an organisation's file; null on our own themes. */
  | { readonly kind: 'template'; readonly template: TemplateUse | null }
  /** Layouts that were chosen for all slides together, in the place of those chosen so before. */
  | {
      readonly kind: 'arrange';
      readonly layouts: readonly { readonly slide: SlideId; readonly layout: LayoutName }[];
    }
  /** The layout of single slides; null gives them back to what suits them. */
  | { readonly kind: 'layout'; readonly slides: readonly SlideId[]; readonly layout: LayoutName | null }
  /** Colours of single slides; with neither a palette nor a mode they have the deck's again. */
  | {
      readonly kind: 'colors';
      readonly slides: readonly SlideId[];
      readonly palette: PaletteChoice | null;
      readonly dark: boolean | null;
    }
  | { readonly kind: 'icon'; readonly part: PartId; readonly icon: Icon | null }
  /** How a table is drawn as a chart; null makes it a table again. */
  | { readonly kind: 'chart'; readonly part: PartId; readonly chart: ChartSettings | null }
  /** How a picture stands in its frame; null is as it comes. */
  | { readonly kind: 'frame'; readonly part: PartId; readonly dress: PictureDress | null }
  /** Another picture in the place of one. */
  | { readonly kind: 'replace'; readonly part: PartId; readonly picture: Picture; readonly alt: string | null }
  /** A picture of the author's own; null is the beginning. */
  | {
      readonly kind: 'place';
      readonly slide: SlideId;
      readonly part: PartId;
      readonly after: PartId | null;
      readonly picture: Picture;
      readonly alt: string | null;
    }
  /** Describes a picture on its slide. */
  | { readonly kind: 'alt'; readonly part: PartId; readonly alt: string }
  /** Takes off a picture that the author put there. */
  | { readonly kind: 'drop'; readonly part: PartId };

/** What is done to the slides that the map made. */
export type SlideEdit =
  | { readonly kind: 'retitle'; readonly slide: SlideId; readonly runs: Runs }
  /** Gives a point or a text another wording; no runs takes it off the slide. */
  | { readonly kind: 'reword'; readonly part: PartId; readonly runs: Runs }
  /** Puts `notes` in the place of those with the ids `replaces`; with none of those, behind `anchor`. */
  | {
      readonly kind: 'renote';
      readonly slide: SlideId;
      readonly replaces: readonly PartId[];
      readonly anchor: PartId | null;
      readonly notes: readonly NoteText[];
    }
  /** Moves slides, kept in their order, before another; null is the end. */
  | { readonly kind: 'order'; readonly slides: readonly SlideId[]; readonly before: SlideId | null }
  | { readonly kind: 'remove'; readonly slides: readonly SlideId[] }
  | { readonly kind: 'restore'; readonly slides: readonly SlideId[] }
  | { readonly kind: 'hide'; readonly slides: readonly SlideId[]; readonly hidden: boolean }
  /** A copy of a slide, behind it. */
  | { readonly kind: 'duplicate'; readonly slide: SlideId; readonly as: SlideId }
  /** A slide of the author's own; null is the beginning. */
  | { readonly kind: 'add'; readonly slide: SlideId; readonly after: SlideId | null; readonly title: Runs }
  /** A point of the author's own; null is the beginning. */
  | {
      readonly kind: 'insert';
      readonly slide: SlideId;
      readonly part: PartId;
      readonly after: PartId | null;
      readonly level: PointLevel;
      readonly runs: Runs;
    }
  /** Moves points, texts, pictures, tables or notes onto a slide, before another of its parts; null is the end. */
  | {
      readonly kind: 'carry';
      readonly parts: readonly PartId[];
      readonly to: SlideId;
      readonly before: PartId | null;
    }
  /** Moves points in (1) or out (-1) by levels. */
  | { readonly kind: 'level'; readonly parts: readonly PartId[]; readonly by: number }
  /** Takes parts off their slide and speaks them. */
  | { readonly kind: 'speak'; readonly parts: readonly PartId[] }
  /** A slide starts at a part, under the same title. */
  | { readonly kind: 'split'; readonly slide: SlideId; readonly part: PartId; readonly as: SlideId }
  /** A slide goes on another, its title as a point. */
  | { readonly kind: 'merge'; readonly slide: SlideId; readonly into: SlideId };

export type Edit =
  | StructureChange
  | MapEdit
  | LookEdit
  | SlideEdit
  /** Several edits that were one action, and are undone as one. */
  | { readonly kind: 'all'; readonly edits: readonly Edit[] }
  /** A new edition of the document comes in. What was made before it is carried over by `ids`. */
  | EditionEdit;

export interface EditionEdit {
  readonly kind: 'edition';
  /** Hash of the file, and how it is read. */
  readonly original: string;
  readonly type: string;
  readonly fileName: string;
  /** Blocks that have another id in the new edition: the old, the new. */
  readonly ids: readonly (readonly [string, string])[];
}

/** What is appended to a deck's log. Undoing is an entry too, so that it survives a reload and reaches other windows. */
export type LogEntry = Edit | { readonly kind: 'undo' } | { readonly kind: 'redo' };

export interface History {
  /** Edits in force, oldest first. */
  readonly done: readonly Edit[];
  /** Edits that can be made again, the next one last. */
  readonly undone: readonly Edit[];
}

/** The edits in force after a log. An undo with nothing to undo does nothing. */
export function foldLog(log: readonly LogEntry[]): History {
  const done: Edit[] = [];
  let undone: Edit[] = [];
  for (const entry of log) {
    if (entry.kind === 'undo') {
      const last = done.pop();
      if (last !== undefined) undone.push(last);
    } else if (entry.kind === 'redo') {
      const next = undone.pop();
      if (next !== undefined) done.push(next);
    } else {
      done.push(entry);
      undone = [];
    }
  }
  return { done, undone };
}

/** Edits one by one, without the groups in which they were made. */
export function singleEdits(edits: readonly Edit[]): readonly Edit[] {
  return edits.some(({ kind }) => kind === 'all')
    ? edits.flatMap((edit) => (edit.kind === 'all' ? singleEdits(edit.edits) : [edit]))
    : edits;
}

/** Several edits as one action; one or none as they are. */
export const together = (edits: readonly Edit[]): readonly Edit[] =>
  edits.length > 1 ? [{ kind: 'all', edits }] : edits;
