/** Text, tables and blocks, as schemas. */
import {
  LEFT_KINDS,
  type Level as LevelType,
  type Run as RunType,
  type Runs as RunsType,
  type Shape as ShapeType,
  type Table as TableType,
  type TableCell,
  type TableRow,
  type WrittenBlock as WrittenBlockType,
} from '@alvex/core';
import { Type } from '@sinclair/typebox';
import { Hash, Id, list, literals, object, oneOf, only, optional, orNull, whole, type SchemaOf } from './parts.ts';

const Run = object<RunType>({
  text: Type.String({ maxLength: 100_000 }),
  bold: optional(only(true)),
  italic: optional(only(true)),
  strike: optional(only(true)),
  code: optional(only(true)),
  position: optional(literals(['super', 'sub'])),
  link: optional(Type.String({ maxLength: 4000, pattern: '^(https?://|mailto:|#)' })),
});
export const Runs: SchemaOf<RunsType> = list(Run, 5000);
export const Alt = orNull(Type.String({ maxLength: 10_000 }));
export const Left = literals(LEFT_KINDS);

const Level = whole<LevelType>(1, 6);
const Depth = whole(1, 100);
const Cell = object<TableCell>({ runs: Runs, columns: whole(1, 100), rows: whole(1, 1000) });
const Table = object<TableType>({
  rows: list(object<TableRow>({ cells: list(Cell, 1000), header: Type.Boolean() }), 10_000),
  columns: whole(0, 100_000),
});

const Label = Type.String({ maxLength: 100 });

type Written<K extends WrittenBlockType['kind']> = Extract<WrittenBlockType, { readonly kind: K }>;
const base = { id: Id, left: optional(Left) };
export const WrittenBlock = oneOf<WrittenBlockType>([
  object<Written<'heading'>>({ kind: only('heading'), ...base, level: Level, label: optional(Label), runs: Runs }),
  object<Written<'paragraph'>>({
    kind: only('paragraph'),
    ...base,
    runs: Runs,
    role: optional(literals(['title', 'subtitle', 'contents', 'caption'])),
  }),
  object<Written<'listItem'>>({
    kind: only('listItem'),
    ...base,
    depth: Depth,
    ordered: Type.Boolean(),
    number: optional(Type.Integer()),
    label: optional(Label),
    checked: optional(Type.Boolean()),
    runs: Runs,
  }),
  object<Written<'quote'>>({ kind: only('quote'), ...base, runs: Runs }),
  object<Written<'footnote'>>({ kind: only('footnote'), ...base, label: Label, runs: Runs }),
  object<Written<'code'>>({
    kind: only('code'),
    ...base,
    text: Type.String({ maxLength: 1_000_000 }),
    language: optional(Type.String({ maxLength: 100 })),
  }),
  object<Written<'table'>>({ kind: only('table'), ...base, table: Table }),
  object<Written<'picture'>>({
    kind: only('picture'),
    ...base,
    picture: optional(Type.Unsafe<NonNullable<Written<'picture'>['picture']>>(Hash)),
    alt: Alt,
  }),
  object<Written<'break'>>({ kind: only('break'), ...base, type: literals(['page', 'rule']) }),
]);

type ShapeOf<K extends ShapeType['kind']> = Extract<ShapeType, { readonly kind: K }>;
export const Shape = oneOf<ShapeType>([
  object<ShapeOf<'heading'>>({ kind: only('heading'), level: Level }),
  object<ShapeOf<'paragraph'>>({ kind: only('paragraph') }),
  object<ShapeOf<'title'>>({ kind: only('title') }),
  object<ShapeOf<'quote'>>({ kind: only('quote') }),
  object<ShapeOf<'listItem'>>({ kind: only('listItem'), depth: Depth, ordered: Type.Boolean() }),
]);
