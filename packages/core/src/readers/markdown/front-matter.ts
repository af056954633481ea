/** Reads the YAML block that may stand before a Markdown text. */
import { parse } from 'yaml';
import type { Report } from '../../base/index.ts';
import type { Level } from '../../document/index.ts';

export interface FrontMatter {
  readonly title: string | undefined;
  /** Lines that belong on a cover: subtitle, authors, organisation, date. */
  readonly lines: readonly string[];
  readonly author: string | undefined;
  readonly language: string | undefined;
  /** Level of the headings with which slides begin. */
  readonly slidesAt: Level | undefined;
  /** For the files that are made of it; what is not a date is none. */
  readonly about: { readonly [K in 'subject' | 'keywords' | 'created']: string | undefined };
}

/** Whose the document is besides its authors, by the names that are in use for it. */
const BODIES = ['organisation', 'organization', 'institution', 'institute', 'affiliation', 'event'] as const;
/** Ours: a deck that is written as Markdown says with which headings its slides begin. */
const SLIDES_AT = 'slides-at';
const KNOWN = new Set(['title', 'subtitle', 'author', 'authors', ...BODIES, 'date', 'lang', 'language', SLIDES_AT]);
const BLOCK = /^---[ \t]*\r?\n([\s\S]*?)\r?\n(?:---|\.\.\.)[ \t]*(?:\r?\n|$)/;

/** @returns The front matter, if there is any, and the number of characters that it takes. */
export function readFrontMatter(
  source: string,
  report: Report,
): { readonly matter: FrontMatter | undefined; readonly length: number } {
  const match = BLOCK.exec(source);
  if (match === null) return { matter: undefined, length: 0 };
  let value: unknown;
  try {
    // The failsafe schema leaves every scalar a string, so a date stays as it was written.
    value = parse(match[1]!, { schema: 'failsafe', maxAliasCount: 20 });
  } catch {
    report.add('front-matter-invalid', { line: 1 });
    return { matter: undefined, length: 0 };
  }
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return { matter: undefined, length: 0 };
  const get = (key: string): string | undefined => textOf((value as Record<string, unknown>)[key]);
  const author = get('author') ?? get('authors');
  const other = Object.entries(value as Record<string, unknown>)
    .filter(([key]) => !KNOWN.has(key))
    .map(([key, other]) => `${key}: ${textOf(other) ?? JSON.stringify(other)}`);
  if (other.length > 0) report.add('front-matter-left', { line: 1 }, { text: other.join(', ') });
  const lines = [get('subtitle'), author, ...BODIES.map(get), get('date')].filter((line) => line !== undefined);
  return {
    matter: {
      title: get('title'),
      lines,
      author,
      language: get('lang') ?? get('language'),
      slidesAt: levelOf(get(SLIDES_AT)),
      about: { subject: get('subject'), keywords: get('keywords'), created: get('date') },
    },
    length: match[0].length,
  };
}

const levelOf = (text: string | undefined): Level | undefined =>
  text !== undefined && /^[1-6]$/.test(text) ? (Number(text) as Level) : undefined;

function textOf(value: unknown): string | undefined {
  if (typeof value === 'string') return value.trim() || undefined;
  if (Array.isArray(value))
    return (
      value
        .map(textOf)
        .filter((v) => v !== undefined)
        .join(', ') || undefined
    );
  return undefined;
}
