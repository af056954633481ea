/**
 * Writes a deck as one page that needs nothing else (HTML Living Standard): slides as real text and vectors, fonts and
 * pictures within, notes, a window for the speaker. Nothing of the content can run: its policy (CSP Level 3) names the one script.
 */
import { createHash } from 'node:crypto';
import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { drawParts, firstStrong, type DrawnParts, type PictureData, type Scene, type SceneSlide } from '@alvex/core';
import { element, text } from './markup.ts';
import { pageStyle } from './page-style.ts';
import { fontRules, PictureStore } from './brought-along.ts';
import { slideSvg, type SvgTools } from './slide-svg.ts';
import { pageWords, type PageWords } from './words.ts';

export interface HtmlOptions {
  /** Whether what is said is in the file. */
  readonly notes: boolean;
  /** Told what share is written, 0 to 1. */
  readonly progress?: (done: number) => void;
}

const require = createRequire(import.meta.url);
const script = (): Promise<string> => readFile(require.resolve('@alvex/output/page-script'), 'utf8');

export async function writeHtml(
  scene: Scene,
  pictures: readonly PictureData[],
  { notes, progress }: HtmlOptions,
): Promise<Uint8Array> {
  const shown = scene.slides.filter(({ hidden }) => !hidden);
  const drawn = shown.map((slide) => drawParts(slide, scene.theme, scene.goals));
  const fonts = await fontRules(drawn, scene.language, 'woff2');
  const store = new PictureStore(pictures);
  const tools: SvgTools = { face: fonts.face, picture: store.idOf, placeOf: places(shown) };
  const words = pageWords(scene.language);
  const opens = shown[0] !== undefined && shown[0].kind !== 'content';
  const sections = shown.map((slide, i) => {
    progress?.((i + 1) / shown.length);
    return slideSection(tools, slide, drawn[i]!, { i, level: slide.kind === 'content' && opens ? 2 : 1, notes, words });
  });
  const { width, height } = scene.theme.size;
  const style = fonts.css + pageStyle(Math.round(width / 12_700), Math.round(height / 12_700));
  const code = await script();
  const title = scene.title ?? shown[0]?.title ?? '';
  const page = [
    '<!doctype html>\n',
    `<html lang="${text(scene.language ?? 'en')}" dir="${scene.theme.mirrored ? 'rtl' : 'ltr'}">`,
    '<head><meta charset="utf-8"><meta name="viewport" content="width=device-width,initial-scale=1">',
    `<meta http-equiv="Content-Security-Policy" content="${policy(style, code)}">`,
    `<title>${text(title)}</title>`,
    scene.author === null ? '' : `<meta name="author" content="${text(scene.author)}">`,
    `<style>${style}</style></head>\n<body>\n`,
    storeMarkup(store),
    element('main', {}, desk(words), ...sections),
    bar(words, notes, shown.length),
    '<div class="screen" aria-hidden="true"></div>\n',
    `<script>${code}</script>\n</body>\n</html>\n`,
  ].join('');
  return new TextEncoder().encode(page);
}

/** Only what the file brings along: its style, its script, its fonts and pictures. */
function policy(style: string, code: string): string {
  const sum = (source: string): string => `'sha256-${createHash('sha256').update(source).digest('base64')}'`;
  return `default-src 'none'; img-src data:; font-src data:; style-src ${sum(style)}; script-src ${sum(code)}; base-uri 'none'; form-action 'none'`;
}

const placeAt = (i: number): string => `slide-${i + 1}`;

function places(shown: readonly SceneSlide[]): SvgTools['placeOf'] {
  const first = new Map(shown.map(({ id }, i) => [id, placeAt(i)] as const).reverse());
  return (id) => first.get(id);
}

interface Placed {
  readonly i: number;
  readonly level: 1 | 2;
  readonly notes: boolean;
  readonly words: PageWords;
}

function slideSection(
  tools: SvgTools,
  slide: SceneSlide,
  parts: DrawnParts,
  { i, level, notes, words }: Placed,
): string {
  const name = `${words.slide.replace('#', String(slide.number))}: ${slide.title}`;
  const said = notes && slide.notes.length > 0 ? [notesMarkup(slide, words)] : [];
  return element(
    'section',
    {
      class: 'slide',
      id: placeAt(i),
      'aria-label': name,
      tabindex: -1,
      'data-number': slide.number,
      'data-comes': slide.motion.transition !== 'none' && slide.motion.transition,
    },
    slideSvg(tools, slide, parts, level, `s${i + 1}`),
    element('a', { class: 'go', href: `#${placeAt(i)}` }, text(name)),
    ...said,
    '\n',
  );
}

function notesMarkup({ notes }: SceneSlide, words: PageWords): string {
  const lines = notes.map((note) => {
    const runs = note.runs
      .map(({ text: said, bold, italic, code, link }) => {
        let made = text(said).replaceAll('\n', '<br>');
        if (code === true) made = `<code>${made}</code>`;
        if (italic === true) made = `<em>${made}</em>`;
        if (bold === true) made = `<strong>${made}</strong>`;
        const outside = link !== undefined && !link.startsWith('#');
        return outside ? element('a', { href: link, target: '_blank', rel: 'noreferrer noopener' }, made) : made;
      })
      .join('');
    const mark = note.kind === 'item' ? `${text(note.mark?.text ?? '•')} ` : '';
    const rtl = (note.direction ?? firstStrong(note.runs.map((run) => run.text).join(''))) === 'rtl';
    return element('p', { lang: note.lang, dir: rtl && 'rtl' }, mark + runs);
  });
  return element('aside', { class: 'notes', 'aria-label': words.notes, tabindex: 0 }, ...lines);
}

/** What the speaker's window has besides slides and notes. */
const desk = (words: PageWords): string =>
  [
    element(
      'div',
      { class: 'clock' },
      '<time>0:00</time>',
      element('button', { type: 'button', class: 'restart' }, text(words.clock)),
    ),
    element('p', { class: 'no-notes' }, text(words.noNotes)),
    element('p', { class: 'up-next', 'data-next': words.upNext, 'data-last': words.last }),
  ].join('');

const bar = (words: PageWords, notes: boolean, slides: number): string => {
  const button = (name: string, label: string): string =>
    element('button', { type: 'button', class: name }, text(label));
  return element(
    'nav',
    { 'aria-label': words.slide.replace('#', '').trim(), lang: words.language, dir: 'ltr' },
    element('span', { class: 'where', role: 'status' }, `1 / ${slides}`),
    button('back', words.back),
    button('next', words.next),
    button('see-all', words.all),
    ...(notes ? [button('open-speaker', words.speaker)] : []),
    button('fill', words.full),
  );
};

const storeMarkup = ({ images }: PictureStore): string =>
  images === ''
    ? ''
    : `<svg class="store" aria-hidden="true" xmlns="http://www.w3.org/2000/svg"><defs>${images}</defs></svg>\n`;
