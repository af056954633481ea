/** The page as another reader of HTML sees it: what it says, in which order, and that nothing of a document can act in it. */
import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, test } from '@jest/globals';
import { beginning, convert, detectType, openDocument, runsText, type Edit } from '@alvex/core';
import { create } from 'fontkit';
import { parse, type DefaultTreeAdapterMap } from 'parse5';
import { code, doc, h, li, p, random, randomDocument, table } from '../../../core/src/test/build.ts';
import { writeOutput, type OutputOptions } from '../index.ts';

type Node = DefaultTreeAdapterMap['node'];
type Element = DefaultTreeAdapterMap['element'];
const isElement = (node: Node): node is Element => 'tagName' in node;
function* elementsIn(node: Node): Generator<Element> {
  if (isElement(node)) yield node;
  if ('childNodes' in node) for (const child of node.childNodes) yield* elementsIn(child);
}
const attribute = (element: Element, name: string): string | undefined =>
  element.attrs.find((one) => one.name === name)?.value;
function textOf(node: Node): string {
  if ('value' in node) return node.value;
  return 'childNodes' in node ? node.childNodes.map(textOf).join(' ') : '';
}
const inWords = (source: string): readonly string[] => source.match(/[\p{L}\p{N}]+/gu) ?? [];

async function written(made: ReturnType<typeof convert>, options: OutputOptions = {}, pictures = []) {
  const bytes = await writeOutput('html', made, pictures, options);
  const source = new TextDecoder().decode(bytes);
  const page = parse(source);
  const all = [...elementsIn(page)];
  const slides = all.filter((one) => attribute(one, 'class') === 'slide');
  return { bytes, source, all, slides };
}
const first = (document: Parameters<typeof convert>[0], edits: readonly Edit[] = []) =>
  convert(document, [...beginning(document), ...edits]);

const mill = doc(
  h(1, 'The mill'),
  h(2, 'Gates'),
  li('Oak'),
  li('Iron', 2),
  li('水車は回る'),
  p('Said <b>aloud</b> & clear.'),
  h(2, 'Costs'),
  table([
    ['Work', 'Cost'],
    ['Gates', 'much'],
    ['Wheel', 'more'],
  ]),
  h(2, 'Log'),
  code('let gate = "</script><script>alert(1)</script>";'),
  h(2, 'Hidden'),
  li('Not seen'),
);
const deck = first(mill);
/** Without figures. */
const plain = (edits: readonly Edit[]) =>
  convert(mill, [...beginning(mill).filter(({ kind }) => kind === 'map'), ...edits]);
const hidden = deck.deck.slides.find(({ title }) => runsText(title.runs) === 'Hidden')!;

describe('a deck as a page', () => {
  test('slides say what they are, in reading order, the hidden ones left out', async () => {
    const { slides } = await written(plain([{ kind: 'hide', slides: [hidden.id], hidden: true }]));
    expect(slides.map((slide) => attribute(slide, 'aria-label'))).toEqual(
      ['The mill', 'Gates', 'Costs', 'Log'].map((title, i) => `Slide ${i + 1}: ${title}`),
    );
    const roles = (slide: Element): readonly string[] =>
      [...elementsIn(slide)].flatMap((one) => attribute(one, 'role') ?? []).filter((role) => role !== 'group');
    expect(roles(slides[1]!)).toEqual(['heading', 'list', 'listitem', 'list', 'listitem', 'listitem']);
    expect(roles(slides[2]!)).toEqual([
      ...['heading', 'table'],
      ...[...Array(3).keys()].flatMap((row) => ['row', ...Array<string>(2).fill(row === 0 ? 'columnheader' : 'cell')]),
    ]);
    expect(roles(slides[3]!)).toEqual(['heading', 'code']);
    const [heading] = [...elementsIn(slides[1]!)].filter((one) => attribute(one, 'role') === 'heading');
    expect([textOf(heading!).trim(), attribute(heading!, 'aria-level')]).toEqual(['Gates', '2']);
  });

  test('notes are in it, as text and not as markup, or are not', async () => {
    const { all, source } = await written(deck);
    const notes = all.filter((one) => attribute(one, 'class') === 'notes');
    expect(notes.map((one) => textOf(one).trim())).toEqual(['Said <b>aloud</b> & clear.']);
    expect(source).toContain('class="open-speaker"');
    const without = await written(deck, { notes: false });
    expect(without.source).not.toContain('aloud');
    expect(without.source).not.toContain('class="open-speaker"');
  });

  test('points say when they come, where they come one by one', async () => {
    const moving = await written(plain([{ kind: 'motion', motion: { transition: 'push', points: true } }]));
    const steps = (slide: Element) => [...elementsIn(slide)].flatMap((one) => attribute(one, 'data-step') ?? []);
    expect(moving.slides.map(steps)[1]).toEqual(['1', '1', '2']);
    expect(new Set(moving.slides.map((slide) => attribute(slide, 'data-comes')))).toEqual(new Set(['push']));
    expect((await written(plain([]))).source).not.toContain('data-step="');
  });

  test('what runs from right to left stands piece by piece where it was set', async () => {
    const { slides } = await written(convert(doc(h(1, 'البوابات'), li('تسرب the sill'), li('North only')), []));
    const texts = [...elementsIn(slides[0]!)].filter(({ tagName }) => tagName === 'text');
    const mixed = texts.filter((one) => /تسرب|sill/.test(textOf(one)));
    // Its direction stands at the text itself, by which a browser orders it.
    expect(mixed.map((one) => [textOf(one).trim(), attribute(one, 'direction')])).toEqual([['تسرب the sill', 'rtl']]);
    const plainOne = texts.find((one) => textOf(one).includes('North'))!;
    expect([...elementsIn(plainOne)].map((one) => attribute(one, 'direction') ?? 'none')).not.toContain('rtl');
  });

  test('one script runs, and nothing comes from outside', async () => {
    const { all, source } = await written(deck);
    const scripts = all.filter((one) => one.tagName === 'script');
    const styles = all.filter((one) => one.tagName === 'style');
    expect([scripts.length, styles.length]).toEqual([1, 1]);
    const policy = all.flatMap((one) =>
      attribute(one, 'http-equiv') === 'Content-Security-Policy' ? [attribute(one, 'content')!] : [],
    )[0]!;
    const sum = (text: string): string => `'sha256-${createHash('sha256').update(text).digest('base64')}'`;
    expect(policy).toContain(`script-src ${sum(textOf(scripts[0]!))};`);
    expect(policy).toContain(`style-src ${sum(textOf(styles[0]!))};`);
    expect(policy).toContain("default-src 'none'");
    // No style and no handler stands at an element, where the policy would stop it.
    const names = new Set(all.flatMap(({ attrs }) => attrs.map(({ name }) => name)));
    expect([...names].filter((name) => name === 'style' || name.startsWith('on') || name === 'src')).toEqual([]);
    expect(source.match(/https?:\/\/[^"\s)<]+/g)?.filter((link) => !link.startsWith('http://www.w3.org/'))).toEqual([]);
  });

  test('ids are there once, and every link within leads somewhere', async () => {
    const { all } = await written(first(mill, [{ kind: 'matter', part: 'agenda', on: true }]));
    const ids = all.flatMap((one) => attribute(one, 'id') ?? []);
    expect(new Set(ids).size).toBe(ids.length);
    const goals = all.flatMap((one) => attribute(one, 'href') ?? []).filter((href) => href.startsWith('#'));
    expect(goals.filter((goal) => !ids.includes(goal.slice(1)))).toEqual([]);
  });

  test('links within the document lead to their slides', async () => {
    const source =
      '# Mill\n\n## Gates\n\n- See [the wheel](#wheel) or [nothing](#pit)\n- Oak\n- Elm\n\n## Wheel\n\n- Turns\n- Creaks\n- Stops\n';
    const { document } = await openDocument(new TextEncoder().encode(source), 'markdown');
    const made = first(document);
    const { all, slides } = await written(made);
    const links = all
      .filter(({ tagName }) => tagName === 'a')
      .map((one) => [textOf(one).trim(), attribute(one, 'href')]);
    const wheel = slides[made.deck.slides.findIndex(({ title }) => runsText(title.runs) === 'Wheel')]!;
    expect(links.filter(([text]) => !text!.startsWith('Slide '))).toEqual([
      ['the wheel', `#${attribute(wheel, 'id')}`],
    ]);
  });

  test('fonts in it have the letters that are set in them', async () => {
    const { source } = await written(deck);
    const faces = [...source.matchAll(/@font-face\{font-family:"([^"]+)".*?base64,([^)]+)\)/g)].map(
      ([, family, bytes]) => ({ family: family!, font: create(Buffer.from(bytes!, 'base64')) }),
    );
    expect(faces.some(({ font }) => font.hasGlyphForCodePoint('水'.codePointAt(0)!))).toBe(true);
    const heading = faces.find(({ family }) => family === deck.theme.fonts.heading)!;
    for (const letter of 'Gates') expect(heading.font.hasGlyphForCodePoint(letter.codePointAt(0)!)).toBe(true);
    // And no others.
    expect(heading.font.hasGlyphForCodePoint('Ж'.codePointAt(0)!)).toBe(false);
  });

  test('the same deck gives the same bytes; its own words are in its language', async () => {
    const german = first({ ...mill, language: 'de' as never });
    const { bytes, source } = await written(german);
    expect(Buffer.from((await written(german)).bytes).equals(bytes)).toBe(true);
    expect(source).toContain('Alle Folien');
    expect(source).toContain('aria-label="Folie 1: The mill"');
    const japanese = await written(first({ ...mill, language: 'ja-JP' as never }));
    expect(japanese.source).toContain('aria-label="スライド 1: The mill"');
    expect(japanese.source).toContain('lang="ja-JP"');
    // None of these has words for it: they are English, and say so.
    expect((await written(first({ ...mill, language: 'eu' as never }))).source).toMatch(/aria-label="Slide" lang="en"/);
  });

  test('progress is told, and a deck that shows nothing is a page all the same', async () => {
    const told: number[] = [];
    await written(deck, { progress: (done) => told.push(done) });
    expect(told.at(-1)).toBe(1);
    const all = deck.deck.slides.map(({ id }) => id);
    const none = await written(first(mill, [{ kind: 'hide', slides: all, hidden: true }]));
    expect(none.slides).toEqual([]);
    // A slide is called by the number that stands on it, though one before it is hidden.
    const some = await written(first(mill, [{ kind: 'hide', slides: [deck.deck.slides[1]!.id], hidden: true }]));
    expect(some.slides.map((slide) => attribute(slide, 'data-number'))).toEqual(['1', '3', '4', '5']);
  });
});

test.each(['volunteer-induction-course.md', 'sallow-quay-feasibility-report.docx'])(
  '%s: pictures stand in it once, all words are there',
  async (name) => {
    const bytes = readFileSync(join(import.meta.dirname, '../../../demo/files', name));
    const { document, pictures } = await openDocument(bytes, detectType(bytes, name));
    const made = first(document);
    const { all, slides } = await written(made, {}, pictures as never);
    expect(all.filter(({ tagName }) => tagName === 'image')).toHaveLength(
      new Set(
        made.deck.slides.flatMap(({ content }) =>
          content.flatMap((part) => (part.kind === 'picture' ? [part.picture] : [])),
        ),
      ).size,
    );
    const found = new Set(inWords(slides.map(textOf).join(' ')));
    const said = made.deck.slides.flatMap(({ title, notes }) => [title, ...notes].map(({ runs }) => runsText(runs)));
    expect(said.flatMap(inWords).filter((word) => !found.has(word))).toEqual([]);
  },
);

test('random decks: every word of a slide is on it, none twice', async () => {
  for (let seed = 1; seed <= 5; seed++) {
    const made = first(randomDocument(random(seed), 30));
    const { slides } = await written(made);
    const found = new Map<string, number>();
    for (const word of inWords(slides.map(textOf).join(' '))) found.set(word, (found.get(word) ?? 0) + 1);
    const shown = made.deck.slides.flatMap(({ content }) =>
      content.flatMap((part) => ('runs' in part ? inWords(runsText(part.runs)) : [])),
    );
    expect([seed, shown.filter((word) => !found.has(word))]).toEqual([seed, []]);
  }
});
