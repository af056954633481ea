/** The command line: a thin shell around the core. */
import { resolve } from 'node:path';
import { parseArgs } from 'node:util';
import {
  FONT_PAIRS,
  FORMATS,
  NoSuchPart,
  PRESET_NAMES,
  type OutputFormat,
  ReadError,
  THEME_DESIGNS,
} from '@alvex/core';
import { lineOf, runBatch, summaryOf, writeReport, type Reported } from './batch.ts';
import { bytesOf, convertFile, deckOf, readErrorText, readInput, type Job } from './convert-file.ts';
import { deckJson } from './deck-json.ts';
import { findInputs, isFolder, isPattern, placeOf } from './inputs.ts';
import { outlineJson } from './outline-json.ts';
import { isOutputName, namedOutput, OUTPUT_NAMES, plannedOutputs, type OutputName } from './outputs.ts';
import { checkRecipe, paletteNames, type Recipe } from './recipe.ts';
import { BUILD_USAGE, EXIT, USAGE } from './usage.ts';
import { UsageError } from './usage-error.ts';

const TEXTS = [
  // What a deck is made like.
  ...(['map', 'length', 'minutes', 'theme', 'palette', 'font-pair', 'with', 'without', 'full', 'footer'] as const),
  ...(['date', 'language', 'template', 'into', 'behind', 'as'] as const),
  // What is written, and of what.
  ...(['pages', 'paper', 'width', 'only', 'type', 'to', 'report', 'jobs'] as const),
] as const;
const FLAGS = ['dark', 'light', 'fonts', 'thumbnail', 'without-notes', 'handout', 'document', 'watch'] as const;

type Values = { readonly [K in (typeof TEXTS)[number] | 'out']?: string } & {
  readonly [K in (typeof FLAGS)[number] | 'help']?: boolean;
};

const options = (names: readonly string[], type: 'string' | 'boolean') =>
  Object.fromEntries(names.map((name) => [name, { type }]));

async function main(): Promise<void> {
  const { positionals, values: parsed } = parseArgs({
    allowPositionals: true,
    options: {
      ...options(TEXTS, 'string'),
      ...options(FLAGS, 'boolean'),
      out: { type: 'string', short: 'o' },
      help: { type: 'boolean', short: 'h' },
    },
  });
  const values = parsed as Values;
  const [command, ...names] = positionals;
  if (values.help || command === 'help')
    return print(names[0] === 'build' || command === 'build' ? BUILD_USAGE : USAGE);
  if (command === undefined) throw new UsageError('Say what to do.');
  const only = (): string => {
    if (names.length === 0) throw new UsageError('Say which file.');
    if (names.length > 1) throw new UsageError(`One file at a time; what is ${names[1]}?`);
    return names[0]!;
  };
  switch (command) {
    case 'check':
      return check(names);
    case 'audit':
      return audit(names);
    case 'maps':
      return print(PRESET_NAMES.join('\n'));
    case 'themes':
      return print(THEME_DESIGNS.map(({ name }) => name).join('\n'));
    case 'fonts':
      return print(FONT_PAIRS.map(({ name }) => name).join('\n'));
    case 'palettes':
      checkRecipe({ theme: only() });
      return print(paletteNames(only()).join('\n'));
    case 'outline':
      return print(JSON.stringify(outlineJson((await readInput(only(), values.type)).document), null, 2));
    case 'deck': {
      const recipe = recipeOf(values);
      const { document } = await readInput(only(), values.type);
      const { converted, said } = await deckOf(document, recipe, only());
      tell(said);
      return print(JSON.stringify(deckJson(converted), null, 2));
    }
    case 'convert':
      return convert(names, values);
    case 'build':
      return build(names.length === 0 ? '.' : only(), values);
    default:
      throw new UsageError(`There is no command ${command}.`);
  }
}

const list = (text: string | undefined): readonly string[] | undefined =>
  text
    ?.split(',')
    .map((name) => name.trim())
    .filter((name) => name !== '');

function recipeOf(values: Values): Recipe {
  if (values.dark && values.light) throw new UsageError('Either --dark or --light.');
  const given: { readonly [K in keyof Recipe]: Recipe[K] | undefined } = {
    map: values.map,
    length: values.length,
    minutes: numberOf(values.minutes),
    theme: values.theme,
    palette: values.palette,
    dark: values.dark ? true : values.light ? false : undefined,
    fontPair: values['font-pair'],
    with: list(values.with),
    without: list(values.without),
    full: values.full,
    footer: values.footer,
    date: values.date,
    language: values.language,
    template: values.template,
    into: values.into,
    behind: numberOf(values.behind),
    as: values.as,
    fonts: values.fonts,
    thumbnail: values.thumbnail,
    pages: values.pages,
    paper: values.paper,
    notes: values['without-notes'] ? false : undefined,
    width: numberOf(values.width),
    only: numberOf(values.only),
  };
  return checkRecipe(Object.fromEntries(Object.entries(given).filter(([, value]) => value !== undefined)));
}

/** What is no number is none that could be meant. */
const numberOf = (text: string | undefined): number | undefined =>
  text === undefined ? undefined : /^\d+(?:\.\d+)?$/.test(text) ? Number(text) : NaN;

/** One document into one file, or many into a folder. */
async function convert(names: readonly string[], values: Values): Promise<void> {
  const recipe = recipeOf(values);
  const { out, to, type } = values;
  const endings = Object.values<OutputFormat>(FORMATS).flatMap(({ ending, one }) =>
    one === undefined ? [ending] : [ending, one.ending],
  );
  if (names.length === 0) throw new UsageError('Say which file.');
  if (out === undefined) throw new UsageError(`Say where to write: -o OUT.${endings.join('|')}`);
  const [input] = names;
  // A file that is not there is told as such, not taken for a folder.
  const single = names.length === 1 && (input === '-' || (!isPattern(input!) && !isFolder(input!)));
  if (to === undefined) {
    const output = namedOutput(
      out,
      { handout: values.handout === true, source: values.document === true },
      recipe.only,
    );
    if (!single && output !== undefined)
      throw new UsageError('Several documents are written into a folder: -o FOLDER --to NAMES.');
    if (output === undefined)
      throw new UsageError(`What to write is told by its ending, or by --to: ${endings.join(', ')}.`);
    // The original is never touched.
    if (resolve(out) === resolve(input!)) throw new UsageError(`${out} is the document itself. Write to another file.`);
    const job = { input: input!, type, recipe, outputs: [output] };
    if (values.watch === true || values.report !== undefined)
      return runAll(() => Promise.resolve([job]), [input!], values);
    return tell((await convertFile(job)).said);
  }
  const formats = toNames(to);
  const jobs = async (): Promise<readonly Job[]> => {
    const found = input === '-' ? [{ path: '-', within: 'deck' }] : await findInputs(names, process.cwd(), out);
    const wanted = found.map((one) => ({ found: one, names: formats, only: recipe.only }));
    return plannedOutputs(wanted, resolve(out)).map(({ found: { path }, outputs }) => ({
      input: path,
      type,
      recipe,
      outputs,
    }));
  };
  return runAll(jobs, names, values);
}

function toNames(to: string): readonly OutputName[] {
  const names = list(to) ?? [];
  const wrong = names.find((name) => !isOutputName(name));
  if (wrong !== undefined || names.length === 0)
    throw new UsageError(`--to names ${OUTPUT_NAMES.join(', ')}; what is ${wrong ?? 'meant'}?`);
  return names.filter(isOutputName);
}

/** The decks that a project file asks for. */
async function build(at: string, values: Values): Promise<void> {
  const { readProject } = await import('./project.ts');
  const { folder } = await readProject(at);
  return runAll(async () => (await readProject(at)).jobs, [folder], values);
}

/** @param find All jobs; asked again when something changes. @param watched What is looked at for changes. */
async function runAll(find: () => Promise<readonly Job[]>, watched: readonly string[], values: Values): Promise<void> {
  const most = numberOf(values.jobs);
  if (most !== undefined && !(Number.isInteger(most) && most >= 1 && most <= 256))
    throw new UsageError('--jobs is how many are made at once.');
  const run = async (jobs: readonly Job[]): Promise<readonly Reported[]> => {
    const reported = await runBatch(jobs, {
      jobs: most,
      tell: (one, done, of) => process.stderr.write(`${of > 1 ? `${done}/${of} ` : ''}${lineOf(one)}\n`),
    });
    process.stderr.write(`${summaryOf(reported)}\n`);
    if (values.report !== undefined) writeReport(reported, values.report);
    return reported;
  };
  let jobs = await find();
  const reported = await run(jobs);
  if (values.watch !== true) {
    if (reported.some(({ result }) => !result.ok)) process.exitCode = EXIT.unreadable;
    return;
  }
  const { watchPaths } = await import('./watch.ts');
  const files = jobs.flatMap(({ input, recipe }) => [input, recipe.template ?? [], recipe.into ?? []].flat());
  const looked = new Set([
    ...watched.map((name) => placeOf(name, process.cwd())),
    ...files.map((path) => resolve(path)),
  ]);
  await watchPaths([...looked], async (changed) => {
    try {
      const before = new Map(jobs.map((job) => [job.input, JSON.stringify(job)]));
      jobs = await find();
      const anew = jobs.filter((job) => {
        const of = [job.input, job.recipe.template, job.recipe.into].filter((path) => path !== undefined);
        return of.some((path) => changed.has(resolve(path))) || before.get(job.input) !== JSON.stringify(job);
      });
      if (anew.length > 0) await run(anew);
    } catch (error) {
      if (!(error instanceof UsageError)) throw error;
      process.stderr.write(`${error.message}\n`);
    }
  });
  process.stderr.write('Waiting for changes. Ctrl-C ends.\n');
}

const print = (text: string): void => void process.stdout.write(`${text}\n`);
const tell = (lines: readonly string[]): void => lines.forEach((line) => process.stderr.write(`${line}\n`));

/** Exits with 1 when any of the files has a fault. */
async function check(files: readonly string[]): Promise<void> {
  if (files.length === 0) throw new UsageError('Say which file.');
  // Its schemas are compiled when it is needed.
  const { checkPackage } = await import('@alvex/package-check');
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
  const { auditPackage, AUDIT_RULES } = await import('@alvex/package-check');
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
main().catch((error: unknown) => {
  if (error instanceof ReadError) {
    process.stderr.write(`${error.code}: ${readErrorText(error)}\n`);
    process.exitCode = EXIT.unreadable;
  } else if (
    error instanceof UsageError ||
    error instanceof NoSuchPart ||
    (error instanceof TypeError && 'code' in error && String(error.code).startsWith('ERR_PARSE_ARGS'))
  ) {
    process.stderr.write(`${error.message}\nalvex --help says what there is.\n`);
    process.exitCode = EXIT.usage;
  } else throw error;
});
