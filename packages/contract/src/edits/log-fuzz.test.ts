/** Logs of edits that are valid in form and otherwise anything: no log makes a deck that cannot be opened. ALVEX_FUZZ sets how many; ALVEX_SEED where to begin. */
import { expect, test } from '@jest/globals';
import { convert, foldLog, type Edit, type LogEntry } from '@alvex/core';
import { random, randomDocument } from '../../../core/src/test/build.ts';
import { validateAppendEntries } from '../validate.ts';
import { SINGLE_EDITS } from './edit-schemas.ts';

const rounds = Number(process.env['ALVEX_FUZZ'] ?? 200);
const seed = Number(process.env['ALVEX_SEED'] ?? 1);
const MOST_SECONDS = 10;
/** Seconds that this process has been at work: what else the machine does is no fault of ours. */
const busy = (): number => Object.values(process.cpuUsage()).reduce((sum, part) => sum + part, 0) / 1e6;

interface Schema {
  readonly anyOf?: readonly Schema[];
  readonly const?: unknown;
  readonly enum?: readonly unknown[];
  readonly type?: string;
  readonly properties?: Readonly<Record<string, Schema>>;
  readonly required?: readonly string[];
  readonly items?: Schema | readonly Schema[];
  readonly minItems?: number;
  readonly maxItems?: number;
  readonly minimum?: number;
  readonly maximum?: number;
  readonly pattern?: string;
  readonly format?: string;
}

/** Any value of a form: at the edges of what it allows as often as within. */
class Anything {
  readonly #next: () => number;
  readonly #ids: readonly string[];

  constructor(next: () => number, ids: readonly string[]) {
    this.#next = next;
    this.#ids = ids;
  }

  pick<T>(from: readonly T[]): T {
    return from[Math.floor(this.#next() * from.length)]!;
  }

  of(schema: Schema, depth = 0): unknown {
    if (schema.anyOf !== undefined) return this.of(this.pick(schema.anyOf), depth);
    if ('const' in schema) return schema.const;
    if (schema.enum !== undefined) return this.pick(schema.enum);
    const { type = 'string' } = schema;
    switch (type) {
      case 'object': {
        const required = new Set(schema.required);
        return Object.fromEntries(
          Object.entries(schema.properties ?? {})
            .filter(([key]) => required.has(key) || this.#next() < 0.4)
            .map(([key, inner]) => [key, this.of(inner, depth + 1)]),
        );
      }
      case 'array': {
        if (Array.isArray(schema.items)) return schema.items.map((inner: Schema) => this.of(inner, depth + 1));
        const least = schema.minItems ?? 0;
        const length = Math.min(schema.maxItems ?? 9, least + Math.floor(this.#next() * (depth > 4 ? 2 : 4)));
        return Array.from({ length }, () => this.of(schema.items as Schema, depth + 1));
      }
      case 'integer':
      case 'number': {
        const [low, high] = [schema.minimum ?? -1e6, schema.maximum ?? 1e6];
        const value = this.pick([low, high, low + this.#next() * (high - low), 1, 0]);
        return type === 'integer' ? Math.trunc(value) : value;
      }
      case 'boolean':
        return this.#next() < 0.5;
      case 'null':
        return null;
      default: {
        const strings = [...Array.from({ length: 8 }, () => this.pick(this.#ids)), ...STRINGS];
        const pattern = schema.pattern === undefined ? undefined : new RegExp(schema.pattern, 'u');
        const fitting = strings.filter((text) => pattern?.test(text) ?? true);
        return this.pick(fitting.length > 0 ? fitting : STRINGS);
      }
    }
  }
}
const STRINGS = [
  'a'.repeat(64),
  'x',
  '~',
  'millrace',
  'a1b2c3',
  '#a1b2c3',
  'en',
  'A title of some words',
  'w'.repeat(3000),
  '\u202eold\u0301',
  'https://a.example/',
  '7f8c3a52-9a4e-4a43-8a8e-0c7a4a6d2b11',
];

test('logs of anything that the server takes are converted, with no word lost', () => {
  const kinds = new Set<string>();
  let taken = 0;
  for (let i = 0; i < rounds; i++) {
    const next = random(seed * 10_000 + i);
    const document = randomDocument(next, 5 + Math.floor(next() * 40));
    const { deck } = convert(document, []);
    const ids = [
      ...document.blocks.map((block) => block.id),
      ...deck.slides.flatMap((slide) => [
        slide.id,
        ...slide.content.map((part) => part.id),
        ...slide.notes.map((note) => note.id),
      ]),
    ].map(String);
    const anything = new Anything(next, ids);
    const log: LogEntry[] = [];
    for (let tries = 0; tries < 40 && log.length < 12; tries++) {
      const entry = (
        next() < 0.1
          ? { kind: next() < 0.6 ? 'undo' : 'redo' }
          : anything.of(anything.pick(SINGLE_EDITS) as unknown as Schema)
      ) as LogEntry;
      if (!validateAppendEntries({ base: 0, entries: [entry] }).ok) continue;
      log.push(entry);
      kinds.add(entry.kind);
    }
    taken += log.length;
    const start = busy();
    const told = `seed ${seed * 10_000 + i}`;
    try {
      const edits: readonly Edit[] = foldLog(log).done;
      const converted = convert(document, edits);
      expect([told, converted.ledger.lost]).toEqual([told, 0]);
    } catch (error) {
      throw new Error(`${told}: ${JSON.stringify(log).slice(0, 2000)}`, { cause: error });
    }
    expect([told, busy() - start < MOST_SECONDS]).toEqual([told, true]);
  }
  // The generator makes nearly all kinds, or it would prove little.
  expect(taken).toBeGreaterThan(rounds * 5);
  if (rounds >= 200) expect(kinds.size).toBeGreaterThan(40);
}, 3_600_000);
