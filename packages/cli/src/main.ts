/** The command line: a thin shell around the core. */
import { readFileSync, writeFileSync } from 'node:fs';
import { basename } from 'node:path';
import { parseArgs } from 'node:util';
import {
  beginning,
  convert,
  detectType,
  DOCUMENT_TYPES,
  outputFormat,
  FORMATS,
  isPaper,
  isPictureWidth,
  isPrint,
  openDocument,
  PAPER_SIZES,
  PICTURE_WIDTHS,
  placeText,
  PRESET_NAMES,
  PRINTS,
  presetRecipe,
  ReadError,
  readTemplate,
  THEME_DESIGNS,
  type DocumentType,
  type Edit,
  type MadeSlides,
  type PresetName,
  type SheetOptions,
  type SingleEdit,
  type TemplateModel,
  type TemplateUse,
  type ReadResult,
} from '@alvex/core';
import { writeOutput } from '@alvex/output';
import { withPictureColors } from '@alvex/raster';
import { deckJson } from './deck-json.ts';
import { outlineJson } from './outline-json.ts';

const USAGE = `Usage:
  alvex outline FILE                                         the document's blocks, as JSON
  alvex deck FILE [--map NAME] [--theme NAME]                its slides and where every word went, as JSON
  alvex convert FILE -o OUT.pptx [--map NAME] [--theme NAME] a presentation
  alvex convert FILE -o OUT.pdf  [--map NAME] [--theme NAME] its slides as PDF
        [--pages ${PRINTS.join('|')}]
                                                             one slide a page; with notes; several on a sheet; notes alone; an outline
        [--paper ${Object.keys(PAPER_SIZES).join('|')}]                                   what it is printed on
  alvex convert FILE -o OUT.odp                              the presentation in the open format (OpenDocument)
  alvex convert FILE -o OUT.html [--without-notes]           one page that needs nothing else, with a window for the speaker
  alvex convert FILE -o OUT.zip  [--width PIXELS]            each slide as a picture (PNG), in one archive
  alvex convert FILE -o OUT.docx [--handout]                 the document with its structure; as a handout its slides before their passages
  alvex convert FILE -o OUT.md                               titles, points and notes as text, which makes the same slides again
  alvex convert FILE -o OUT.opml                             the same as an outline
        [--template FILE.pptx]                               on the layouts of an organisation's presentation
        [--into FILE.pptx [--behind N]]                      into a presentation, behind all of its slides or behind the first N;
                                                             what an earlier run made of the same document is replaced
        [--as NAME]                                          what the document was called then, where it is called otherwise now
        [--fonts]                                            with its fonts, for computers that lack them
  alvex check FILE.pptx ...                                  what is wrong with a presentation by its standard (ECMA-376)
  alvex audit FILE.pptx ...                                  what an expert would still remark of it, counted by rule
  alvex maps                                                 names of level maps
  alvex themes                                               names of themes
FILE may be - for standard input; then --type ${DOCUMENT_TYPES.join('|')} says what it is.`;

const EXIT = { faults: 1, usage: 2, unreadable: 3 } as const;

class UsageError extends Error {}

async function main(): Promise<void> {
  const { positionals, values } = parseArgs({
    allowPositionals: true,
    options: {
      map: { type: 'string' },
      theme: { type: 'string' },
      template: { type: 'string' },
      fonts: { type: 'boolean' },
      pages: { type: 'string' },
      paper: { type: 'string' },
      width: { type: 'string' },
      'without-notes': { type: 'boolean' },
      handout: { type: 'boolean' },
      into: { type: 'string' },
      behind: { type: 'string' },
      as: { type: 'string' },
      type: { type: 'string' },
      out: { type: 'string', short: 'o' },
      help: { type: 'boolean', short: 'h' },
    },
  });
  if (values.help) {
    process.stdout.write(`${USAGE}\n`);
    return;
  }
  const [command, file, ...rest] = positionals;
  if (command === 'check') return check(positionals.slice(1));
  if (command === 'audit') return audit(positionals.slice(1));
  if (rest.length > 0) throw new UsageError(`One file at a time; what is ${rest[0]}?`);
  if (command === undefined) throw new UsageError('Say what to do.');
  switch (command) {
    case 'maps':
      return print(PRESET_NAMES.join('\n'));
    case 'themes':
      return print(THEME_DESIGNS.map((theme) => theme.name).join('\n'));
    case 'outline':
      return print(JSON.stringify(outlineJson((await read(file, values.type)).document), null, 2));
    case 'deck': {
      const { document } = await read(file, values.type);
      return print(JSON.stringify(deckJson(convert(document, choices(document, values.map, values.theme))), null, 2));
    }
    case 'convert': {
      const endings = Object.values(FORMATS).map(({ ending }) => ending);
      if (values.out === undefined) throw new UsageError(`Say where to write: -o OUT.${endings.join('|')}`);
      const format = outputFormat(values.out);
      if (format === undefined) throw new UsageError(`What to write is told by its ending: ${endings.join(', ')}.`);
      const { document, pictures } = await read(file, values.type);
      const origin = values.as ?? (file === '-' ? undefined : basename(file!));
      const path = templatePath(values);
      const template = path === undefined ? undefined : bytesOf(path);
      const drawn = template === undefined ? undefined : await withPictureColors(readTemplate(template));
      const model = drawn?.model;
      const use = path === undefined ? undefined : templateUse(path, values, model!, origin);
      const edits = choices(document, values.map, values.theme);
      const converted =
        use === undefined
          ? convert(document, edits)
          : convert(
              document,
              [...edits, { kind: 'template', template: use }],
              undefined,
              new Map([[use.hash, model!]]),
            );
      const options = {
        origin,
        template,
        fonts: values.fonts ?? false,
        sheets: sheetOptions(values),
        width: widthOption(values),
        notes: values['without-notes'] !== true,
        handout: values.handout === true,
      };
      writeFileSync(
        values.out,
        await writeOutput(format, converted, [...pictures, ...(drawn?.pictures ?? [])], options),
      );
      return;
    }
    default:
      throw new UsageError(`There is no command ${command}.`);
  }
}

/** What a PDF shows, and on which paper. */
function sheetOptions({ pages, paper }: { readonly pages?: string; readonly paper?: string }): Partial<SheetOptions> {
  if (pages !== undefined && !isPrint(pages))
    throw new UsageError(`There are no pages ${pages}; there are ${PRINTS.join(', ')}.`);
  if (paper !== undefined && !isPaper(paper))
    throw new UsageError(`There is no paper ${paper}; there are ${Object.keys(PAPER_SIZES).join(', ')}.`);
  return { ...(pages === undefined ? {} : { print: pages }), ...(paper === undefined ? {} : { paper }) };
}

function widthOption({ width }: { readonly width?: string }): number | undefined {
  if (width === undefined) return undefined;
  if (!isPictureWidth(Number(width)))
    throw new UsageError(`--width is ${PICTURE_WIDTHS.least} to ${PICTURE_WIDTHS.most} pixels.`);
  return Number(width);
}

interface TemplateOptions {
  readonly template?: string;
  readonly into?: string;
  readonly behind?: string;
}

function templatePath({ template, into, behind }: TemplateOptions): string | undefined {
  if (template !== undefined && into !== undefined) throw new UsageError('Either --template or --into.');
  if (behind !== undefined && (into === undefined || !/^[1-9]\d{0,3}$/.test(behind)))
    throw new UsageError('--behind is the number of a slide of the presentation that --into names.');
  return into ?? template;
}

/** How a presentation is used: for its layouts, or with its own slides around the new ones. */
function templateUse(
  path: string,
  { into, behind }: TemplateOptions,
  { made = [] }: TemplateModel,
  origin: string | undefined,
): TemplateUse {
  const before = into === undefined ? undefined : made.find(({ document }) => document === origin);
  if (before !== undefined) process.stderr.write(`${replacedText(before)}\n`);
  return {
    hash: 'template',
    fileName: basename(path),
    layouts: {},
    keep: into === undefined ? 'none' : 'before',
    ...(behind === undefined ? {} : { behind: Number(behind) }),
    ...(before === undefined ? {} : { replaces: before.document }),
  };
}

function replacedText({ document, slides, changed }: MadeSlides): string {
  const which = changed.length === 1 ? `slide ${changed[0]! + 1} was` : `${changed.length} of them were`;
  return `${slides.length} ${slides.length === 1 ? 'slide' : 'slides'} made of ${document} before ${slides.length === 1 ? 'is' : 'are'} replaced${changed.length === 0 ? '' : `; ${which} changed since, which is lost`}.`;
}

const print = (text: string): void => void process.stdout.write(`${text}\n`);

function choices(
  document: ReadResult['document'],
  map: string | undefined,
  theme: string | undefined,
): readonly Edit[] {
  const name = map ?? PRESET_NAMES[0];
  if (!PRESET_NAMES.includes(name as PresetName))
    throw new UsageError(`There is no map ${name}; there are ${PRESET_NAMES.join(', ')}.`);
  if (theme !== undefined && !THEME_DESIGNS.some(({ name }) => name === theme))
    throw new UsageError(`There is no theme ${theme}; there are ${THEME_DESIGNS.map((t) => t.name).join(', ')}.`);
  const look: readonly SingleEdit[] = theme === undefined ? [] : [{ kind: 'theme', theme }];
  return name === 'fitted'
    ? [...beginning(document, look), ...look]
    : [{ kind: 'map', name, ...presetRecipe(name as PresetName, document) }, ...look];
}

async function read(file: string | undefined, type: string | undefined): Promise<ReadResult> {
  if (file === undefined) throw new UsageError('Say which file.');
  if (type !== undefined && !DOCUMENT_TYPES.includes(type as DocumentType))
    throw new UsageError(`There is no type ${type}; there are ${DOCUMENT_TYPES.join(', ')}.`);
  if (file === '-' && type === undefined) throw new UsageError('Say what standard input is: --type NAME');
  const bytes = bytesOf(file);
  return openDocument(bytes, (type as DocumentType | undefined) ?? detectType(bytes, basename(file)));
}

function bytesOf(file: string): Uint8Array {
  try {
    return readFileSync(file === '-' ? 0 : file);
  } catch (error) {
    throw new UsageError(`The file ${file} cannot be opened: ${(error as Error).message}`);
  }
}

/** Exits with 1 when any of the files has a fault. */
async function check(files: readonly string[]): Promise<void> {
  if (files.length === 0) throw new UsageError('Say which file.');
  // Its schemas are compiled when it is needed.
  const { checkPackage } = await import('@alvex/ooxml-check');
  for (const file of files) {
    const faults = await checkPackage(bytesOf(file));
    print(`${file}: ${faults.length} ${faults.length === 1 ? 'fault' : 'faults'}`);
    for (const { part, message } of faults) print(`  ${part === '' ? '' : `${part}: `}${message}`);
    if (faults.length > 0) process.exitCode = EXIT.faults;
  }
}

/** Exits with 1 when there is anything to remark. */
async function audit(files: readonly string[]): Promise<void> {
  if (files.length === 0) throw new UsageError('Say which file.');
  const { auditPackage, AUDIT_RULES } = await import('@alvex/ooxml-check');
  for (const file of files) {
    const remarks = await auditPackage(bytesOf(file));
    print(`${file}: ${remarks.length} ${remarks.length === 1 ? 'remark' : 'remarks'}`);
    for (const rule of AUDIT_RULES) {
      const found = remarks.filter((one) => one.rule === rule);
      if (found.length === 0) continue;
      print(`  ${rule}: ${found.length}`);
      for (const { part, what } of found.slice(0, MOST_EXAMPLES)) print(`    ${part}: ${what}`);
    }
    if (remarks.length > 0) process.exitCode = EXIT.faults;
  }
}
const MOST_EXAMPLES = 3;

// Whoever reads what is printed may have read enough.
process.stdout.on('error', (error: NodeJS.ErrnoException) => {
  if (error.code === 'EPIPE') process.exit();
  throw error;
});
try {
  await main();
} catch (error) {
  if (error instanceof ReadError) {
    const place = placeText(error.place);
    process.stderr.write(`${error.code}: ${error.message}${place === '' ? '' : ` (${place})`}\n`);
    process.exitCode = EXIT.unreadable;
  } else if (
    error instanceof UsageError ||
    (error instanceof TypeError && 'code' in error && String(error.code).startsWith('ERR_PARSE_ARGS'))
  ) {
    process.stderr.write(`${error.message}\n\n${USAGE}\n`);
    process.exitCode = EXIT.usage;
  } else throw error;
}
