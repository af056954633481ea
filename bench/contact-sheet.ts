/** Draws the first deck of a document as one sheet of slides: see scripts/contact-sheet.mjs. */
import { chromium } from '@playwright/test';
import { readFile } from 'node:fs/promises';
import { basename, join } from 'node:path';
import { parseArgs } from 'node:util';
import { createElement } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import {
  beginning,
  convert,
  detectType,
  openDocument,
  readiness,
  drawOwnSlide,
  readTemplate,
  type PageKey,
  type PictureData,
  type SingleEdit,
  type TemplateModel,
} from '../packages/core/src/index.ts';
import { withPictureColors } from '../packages/raster/src/index.ts';
import { CHROMIUM } from '../e2e/browser.ts';
import { SlideDrawing } from '../packages/web/src/canvas/slide-drawing.tsx';
import { drawPage } from '../packages/web/src/worker/draw.ts';

const root = process.env.ALVEX_ROOT!;
const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: {
    theme: { type: 'string' },
    template: { type: 'string' },
    out: { type: 'string', default: 'sheet.png' },
    from: { type: 'string', default: '1' },
    most: { type: 'string', default: '30' },
    columns: { type: 'string', default: '4' },
    slides: { type: 'boolean', default: false },
  },
});
const [file] = positionals;
if (file === undefined) throw new Error('Which document?');
const bytes = new Uint8Array(await readFile(file));
const { document, pictures } = await openDocument(bytes, detectType(bytes, basename(file)));
const look: readonly SingleEdit[] = values.theme === undefined ? [] : [{ kind: 'theme', theme: values.theme }];
const templates = new Map<string, TemplateModel>();
const worn: SingleEdit[] = [];
const own: PictureData[] = [];
if (values.template !== undefined) {
  const read = await withPictureColors(readTemplate(new Uint8Array(await readFile(values.template)), { slides: true }));
  const { model } = read;
  own.push(...read.pictures);
  templates.set('sheet', model);
  const use = { hash: 'sheet', fileName: basename(values.template), layouts: {}, keep: 'none' } as const;
  worn.push({ kind: 'template', template: use });
}
const edits = [...beginning(document, look), ...look, ...worn];
const made = convert(document, edits, undefined, templates);
const { pages, theme } = made;
const ready = readiness(made);
console.log(`${ready.ready} of ${ready.of} ready`);

const from = Number(values.from) - 1;
const shown = pages.slice(from, from + Number(values.most));
const figures = shown.map((page, i) => {
  const drawing = drawPage(page, 0, theme);
  const label = `Slide ${from + i + 1}`;
  const slide = renderToStaticMarkup(
    createElement(SlideDrawing, { drawing, deck: 'sheet', number: from + i + 1, label }),
    { identifierPrefix: `s${i}` },
  );
  const faults = ready.faults[from + i]!;
  return `<figure>${slide}<figcaption>${from + i + 1} ${page.layout}${faults.length > 0 ? ` — <b>${faults.join(', ')}</b>` : ''}</figcaption></figure>`;
});
// The template's own slides instead.
if (values.slides) {
  const model = templates.get('sheet')!;
  figures.length = 0;
  for (let i = 0; i < model.slides; i++) {
    const drawn = drawOwnSlide(model, i);
    const drawing = drawn === null ? undefined : { key: `${i}` as PageKey, rev: 0, ...drawn };
    const label = `Slide ${i + 1}`;
    const svg = renderToStaticMarkup(createElement(SlideDrawing, { drawing, deck: 'sheet', number: i + 1, label }), {
      identifierPrefix: `s${i}`,
    });
    figures.push(`<figure>${svg}<figcaption>${i + 1} ${model.titles?.[i] ?? ''}</figcaption></figure>`);
  }
}
/** The application's own style sheets of fonts, with what they bring in. */
async function fontsIn(file: string, folder: string): Promise<string> {
  const sheet = await readFile(file, 'utf8');
  const imports = [...sheet.matchAll(/@import '(.*?)';/g)].map(([, path]) => path!);
  const others = await Promise.all(
    imports.map((path) => fontsIn(join(root, 'node_modules', path), path.slice(0, path.lastIndexOf('/')))),
  );
  const own = sheet
    .replace(/@import .*?;/g, '')
    .replaceAll("url('@", "url('/fonts/@")
    .replaceAll('url(./', `url(/fonts/${folder}/`);
  return [...others, own].join('\n');
}
const css = (
  await Promise.all(
    ['fonts', 'other-scripts'].map((name) => fontsIn(join(root, `packages/web/src/ui/${name}.css`), '')),
  )
).join('\n');
const html = `<!doctype html><html lang="${document.language ?? 'en'}"><meta charset="utf-8"><style>${css}
body { margin: 12px; background: #777; display: grid; grid-template-columns: repeat(${values.columns}, 1fr); gap: 12px; font: 11px sans-serif; color: #fff }
figure { margin: 0 } svg { display: block; width: 100%; height: auto } b { color: #fd7 }</style>${figures.join('')}`;

const browser = await chromium.launch(CHROMIUM);
try {
  const page = await browser.newPage({ viewport: { width: 1600, height: 900 } });
  await page.route('**/*', async (route) => {
    const { pathname } = new URL(route.request().url());
    if (pathname === '/') return route.fulfill({ contentType: 'text/html', body: html });
    if (pathname.startsWith('/fonts/'))
      return route.fulfill({
        body: await readFile(join(root, 'node_modules', decodeURIComponent(pathname.slice('/fonts/'.length)))),
        headers: { 'Access-Control-Allow-Origin': '*' },
      });
    const picture = [...pictures, ...own].find(({ id }) => pathname.includes(id));
    return picture === undefined
      ? route.abort()
      : route.fulfill({ contentType: picture.mime, body: Buffer.from(picture.bytes) });
  });
  await page.goto('http://sheet.test/');
  await page.waitForFunction('document.fonts.status === "loaded"');
  await page.screenshot({ path: values.out, fullPage: true });
} finally {
  await browser.close();
}
