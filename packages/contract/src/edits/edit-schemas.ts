/** The schema of every kind of edit. A kind without one, or a property without one, is an error of types. */
import {
  MATTER_KINDS,
  RULED_ROLES,
  TRANSITIONS,
  type Motion as MotionType,
  type NoteText as NoteTextType,
  type PointLevel,
  type Rehearsal as RehearsalType,
  type SingleEdit,
} from '@alvex/core';
import { Type } from '@sinclair/typebox';
import {
  ChartSettings,
  Dark,
  Foot,
  Icon,
  LayoutName,
  PaletteChoice,
  PictureDress,
  TemplateUse,
  TextRule,
} from './look.ts';
import {
  Hash,
  Id,
  IdOrNull,
  Ids,
  list,
  literals,
  object,
  only,
  optional,
  orNull,
  Picture,
  whole,
  type Properties,
  type SchemaOf,
} from './parts.ts';
import {
  Branches,
  Destination,
  FullRule,
  LevelMap,
  MapName,
  Prose,
  Share,
  TakeSettings,
  Target,
  TextKind,
  WaySettings,
} from './plan.ts';
import { Alt, Left, Runs, Shape, WrittenBlock } from './text.ts';

type EditOf<K extends SingleEdit['kind']> = Extract<SingleEdit, { readonly kind: K }>;
type Schemas = { readonly [K in SingleEdit['kind']]: Properties<Omit<EditOf<K>, 'kind'>> };

const Name = Type.String({ maxLength: 100 });
const FileName = Type.String({ minLength: 1, maxLength: 255 });
const Description = Type.String({ maxLength: 10_000 });
const NoteText = object<NoteTextType>({
  kind: literals(['paragraph', 'item']),
  depth: whole(0, 9),
  ordered: Type.Boolean(),
  runs: Runs,
});

const Spent = Type.Unsafe<RehearsalType['seconds'][number]>(
  Type.Tuple([Id, Type.Number({ minimum: 0, maximum: 86_400 })]),
);
const Rehearsal = object<RehearsalType>({
  began: Type.String({ maxLength: 40 }),
  seconds: list(Spent, 20_000),
  stumbled: list(Id, 20_000),
});

const Motion = object<MotionType>({ transition: literals(TRANSITIONS), points: Type.Boolean() });

const PROPERTIES: Schemas = {
  // What decides how the document is converted.
  map: { name: MapName, map: LevelMap, prose: optional(Prose), branches: optional(Branches) },
  prose: { prose: Prose },
  speech: { share: orNull(Share) },
  branch: { block: Id, text: TextKind, to: orNull(Destination) },
  full: { rule: FullRule },
  fullAt: { slides: Ids, rule: orNull(FullRule) },
  matter: { part: literals(MATTER_KINDS), on: Type.Boolean() },
  target: { target: orNull(Target) },
  pace: { rate: whole(20, 500) },
  take: { take: Id, settings: orNull(TakeSettings) },
  mix: { block: orNull(Id), until: orNull(Id), settings: orNull(WaySettings) },
  breaks: { start: Type.Boolean() },
  turn: { block: Id, to: orNull(Destination) },
  cut: { block: Id },
  join: { block: Id },
  // What the deck looks like.
  theme: { theme: Name },
  palette: { palette: orNull(PaletteChoice) },
  mode: { dark: Dark },
  fonts: { pair: orNull(Name) },
  type: { role: literals(RULED_ROLES), rule: orNull(TextRule) },
  foot: { foot: Foot },
  template: { template: orNull(TemplateUse) },
  arrange: { layouts: list(object<EditOf<'arrange'>['layouts'][number]>({ slide: Id, layout: LayoutName }), 20_000) },
  layout: { slides: Ids, layout: orNull(LayoutName) },
  colors: { slides: Ids, palette: orNull(PaletteChoice), dark: Dark },
  motion: { motion: Motion },
  motionAt: { slides: Ids, motion: orNull(Motion) },
  icon: { part: Id, icon: orNull(Icon) },
  chart: { part: Id, chart: orNull(ChartSettings) },
  frame: { part: Id, dress: orNull(PictureDress) },
  replace: { part: Id, picture: Picture, alt: Alt },
  place: { slide: Id, part: Id, after: IdOrNull, picture: Picture, alt: Alt },
  alt: { part: Id, alt: Description },
  drop: { part: Id },
  // What is done to slides.
  retitle: { slide: Id, runs: Runs },
  reword: { part: Id, runs: Runs },
  renote: { slide: Id, replaces: list(Id, 1000), anchor: IdOrNull, notes: list(NoteText, 1000) },
  order: { slides: Ids, before: IdOrNull },
  remove: { slides: Ids },
  restore: { slides: Ids },
  hide: { slides: Ids, hidden: Type.Boolean() },
  duplicate: { slide: Id, as: Id },
  add: { slide: Id, after: IdOrNull, title: Runs },
  insert: { slide: Id, part: Id, after: IdOrNull, level: whole<PointLevel>(1, 5), runs: Runs },
  carry: { parts: Ids, to: Id, before: IdOrNull },
  level: { parts: Ids, by: whole(-4, 4) },
  speak: { parts: Ids },
  split: { slide: Id, part: Id, as: Id },
  merge: { slide: Id, into: Id },
  // What is said of the deck.
  accept: { slide: IdOrNull, remark: Name, accepted: Type.Boolean() },
  rehearse: { id: Id, rehearsal: orNull(Rehearsal) },
  // What is done to the document.
  shape: { shapes: list(object<EditOf<'shape'>['shapes'][number]>({ block: Id, as: Shape }), 200_000) },
  write: {
    replaces: list(Id, 5000),
    after: IdOrNull,
    blocks: list(WrittenBlock, 5000),
    pictures: optional(list(Picture, 5000)),
  },
  move: { blocks: Ids, before: IdOrNull },
  leave: { blocks: Ids, as: Left },
  keep: { blocks: Ids },
  describe: { block: Id, alt: Description },
  edition: {
    original: Hash,
    type: Type.String({ minLength: 1, maxLength: 20 }),
    fileName: FileName,
    ids: list(Type.Tuple([Id, Id]), 200_000),
  },
};

/** One schema for each kind of single edit. */
export const SINGLE_EDITS: readonly SchemaOf<SingleEdit>[] = Object.entries(PROPERTIES).map(([kind, properties]) =>
  object<SingleEdit>({ kind: only(kind), ...properties } as never),
);
