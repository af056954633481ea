/** Many documents at once: which are meant, where each is written, what a project file says of them, and what is told. */
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join, resolve } from 'node:path';
import { encode } from 'fast-png';
import { strFromU8, unzipSync } from 'fflate';
import { tryJob } from './convert-file.ts';
import { findInputs } from './inputs.ts';
import { plannedOutputs, type OutputName } from './outputs.ts';
import { readProject } from './project.ts';
import { checkRecipe, makeDeck, type Recipe } from './recipe.ts';
import { openDocument, presetMap, secondsOfDeck, takePicture, USUAL_FOOT, type PictureData } from '@alvex/core';
import { doc, h, p } from '../../core/src/test/build.ts';

const folder = mkdtempSync(join(tmpdir(), 'alvex-batch-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const file = (name: string, content: string): string => {
  const path = join(folder, name);
  mkdirSync(dirname(path), { recursive: true });
  writeFileSync(path, content);
  return path;
};
const command = resolve('bin/alvex');
const alvex = (args: readonly string[]) => spawnSync(command, args, { encoding: 'utf8', cwd: folder });
const names = (list: readonly { readonly within: string }[]): readonly string[] => list.map(({ within }) => within);

beforeAll(() => {
  file('docs/gates.md', '# Gates\n\n- north\n- south\n');
  file('docs/deep/wheel.html', '<h1>Wheel</h1><p>It turns.</p>');
  file('docs/deep/gates.txt', 'Gates\n=====\n\nThey are shut.\n');
  file('docs/.hidden/no.md', '# No');
  file('docs/node_modules/no.md', '# No');
  file('docs/~$gates.docx', 'locked');
  file('docs/table.csv', 'a,b');
});

describe('inputs', () => {
  test('of a folder are the documents in it and below, but what is hidden, locked, or no document', async () => {
    expect(names(await findInputs(['docs'], folder, join(folder, 'out')))).toEqual([
      ...['deep/gates.txt', 'deep/wheel.html', 'gates.md'],
    ]);
  });

  test('of a pattern stand below the folder where it begins; a file is itself, once', async () => {
    const found = await findInputs(['docs/**/g*', 'docs/gates.md'], folder, join(folder, 'out'));
    expect(names(found)).toEqual(['deep/gates.txt', 'gates.md']);
  });

  test('are not read from where is written, and there are some', async () => {
    expect(names(await findInputs(['docs'], folder, join(folder, 'docs/deep')))).toEqual(['gates.md']);
    await expect(findInputs(['docs/none.md'], folder, '.')).rejects.toThrow('There is no file docs/none.md.');
    await expect(findInputs(['docs/*.csv2'], folder, '.')).rejects.toThrow('There is no document in docs/*.csv2.');
  });
});

describe('outputs', () => {
  const planned = (
    within: readonly string[],
    formats: readonly OutputName[],
    out = '/out',
    only?: number,
  ): readonly string[] =>
    plannedOutputs(
      within.map((one) => ({ found: { path: `/in/${one}`, within: one }, names: formats, only })),
      out,
    ).flatMap(({ outputs }) => outputs.map(({ path }) => path));

  test('have the names of their inputs, below the same folders', () => {
    expect(planned(['a.md', 'sub/b.docx'], ['pptx', 'handout.docx', 'png'])).toEqual([
      ...['/out/a.pptx', '/out/a.handout.docx', '/out/a.zip'],
      ...['/out/sub/b.pptx', '/out/sub/b.handout.docx', '/out/sub/b.zip'],
    ]);
  });

  test('never meet: where two would be called the same, they keep their endings', () => {
    expect(planned(['a.md', 'a.docx', 'b.md'], ['pdf'])).toEqual(['/out/a.md.pdf', '/out/a.docx.pdf', '/out/b.pdf']);
  });

  test('of one slide or table alone have its ending, and are of no other kind', () => {
    expect(planned(['a.md'], ['png', 'svg', 'csv'], '/out', 2)).toEqual(['/out/a.png', '/out/a.svg', '/out/a.csv']);
    expect(planned(['a.md'], ['png', 'svg', 'csv'])).toEqual(['/out/a.zip', '/out/a.svg.zip', '/out/a.csv.zip']);
    expect(() => planned(['a.md'], ['png', 'pdf'], '/out', 2)).toThrow('pdf is of the whole deck.');
  });

  test('never stand where a document does', () => {
    expect(() => planned(['a.md'], ['md'], '/in')).toThrow('/in/a.md is a document itself.');
    expect(() => planned(['a.md', 'a.pdf', 'a.pdf.pptx'], ['pptx'], '/in')).toThrow('a.pdf.pptx is a document itself.');
    expect(planned(['a.md'], ['pdf'], '/in')).toEqual(['/in/a.pdf']);
  });
});

describe('what a deck is made like', () => {
  const text = `# Mill\n\n${Array.from({ length: 8 }, (_, i) => `## Part ${i}\n\n- One\n- Two\n- Three\n\n${'It is said at length what the weir has to do with the pond and the quay. '.repeat(12)}\n\n`).join('')}`;
  const made = async (recipe: Recipe) =>
    makeDeck((await openDocument(new TextEncoder().encode(text), 'markdown')).document, checkRecipe(recipe));

  test('minutes come to what is asked, and it is told how', async () => {
    const whole = secondsOfDeck((await made({})).converted);
    expect(whole).toBeGreaterThan(4 * 60);
    const { converted, fitted } = await made({ minutes: 4 });
    expect(Math.abs(secondsOfDeck(converted) - 240)).toBeLessThanOrEqual(60);
    expect(fitted).toMatch(/^\d minutes, \d+ slides; \d+ % of the notes are said/);
    expect(secondsOfDeck((await made({ length: 'short' })).converted)).toBeLessThan(whole);
  });

  test('look, foot, language and slides besides are as they are said', async () => {
    const { converted } = await made({
      theme: 'slipway',
      dark: true,
      footer: 'The Trust',
      language: 'fr',
      with: ['agenda'],
    });
    expect(converted.theme).toMatchObject({ name: 'slipway', dark: true });
    expect(converted.theme.look?.foot.footer.text).toBe('The Trust');
    expect(converted.document.language).toBe('fr');
    expect(converted.deck.slides.some(({ matter }) => matter === 'agenda')).toBe(true);
    expect((await made({ without: ['cover'] })).converted.deck.slides.every(({ kind }) => kind !== 'cover')).toBe(true);
  });

  test.each<[Recipe, string]>([
    [{ map: 'none' }, 'There is no map none; there are fitted,'],
    [{ length: 'none' }, 'There is no length none; there are short, written, read.'],
    [{ theme: 'slipway', palette: 'none' }, 'There is no palette none; there are'],
    [{ with: ['none'] }, 'There is no slide to make none; there are cover,'],
    [{ minutes: 3, map: 'talk' }, 'A map, a length or minutes: one of them.'],
    [{ minutes: 0 }, 'Minutes are 1 to 600.'],
    [{ minutes: NaN }, 'Minutes are 1 to 600.'],
    [{ language: 'x y' }, 'x y names no language'],
    [{ template: 'a', into: 'b' }, 'Either --template or --into.'],
    [{ behind: 2 }, '--behind is the number of a slide'],
  ])('%j is not understood', (recipe, message) => {
    expect(() => checkRecipe(recipe)).toThrow(message);
  });
});

describe('a project file', () => {
  const project = (content: unknown): string =>
    file('project/alvex.json', typeof content === 'string' ? content : JSON.stringify(content));
  beforeAll(() => {
    file('project/talks/a.md', '# A\n\n- one\n');
    file('project/talks/b.md', '# B\n\n- two\n');
    file('project/c.md', '# C\n');
  });

  test('says what is made of which documents, and of one otherwise than of all', async () => {
    const at = project({
      documents: ['talks', { file: 'talks/b.md', map: 'reading', to: ['odp'] }],
      out: 'decks',
      to: ['pptx', 'pdf'],
      minutes: 5,
      theme: 'slipway',
      template: 'brand.pptx',
    });
    const { jobs } = await readProject(at);
    const short = (path: string): string => path.replace(`${join(folder, 'project')}/`, '');
    expect(jobs.map(({ input, outputs }) => [short(input), ...outputs.map(({ path }) => short(path))])).toEqual([
      ['talks/a.md', 'decks/a.pptx', 'decks/a.pdf'],
      ['talks/b.md', 'decks/b.odp'],
    ]);
    expect(jobs[0]!.recipe).toEqual({ minutes: 5, theme: 'slipway', template: join(folder, 'project/brand.pptx') });
    expect(jobs[1]!.recipe).toMatchObject({ map: 'reading', theme: 'slipway' });
    expect(jobs[1]!.recipe).not.toHaveProperty('minutes');
  });

  test('has the rules that a deck saved; what is named by itself goes before them', async () => {
    const map = { ...presetMap('talk', doc(h(1, 'A'))), body: 'slide' };
    const rules = [
      { kind: 'map', name: null, map },
      { kind: 'theme', theme: 'pebble' },
      { kind: 'prose', prose: { as: 'whole' } },
    ];
    const { jobs } = await readProject(project({ documents: ['c.md'], rules }));
    expect(jobs[0]!.recipe.rules).toEqual(rules);
    const document = doc(h(1, 'A'), p('Said and shown.'), h(1, 'B'), p('As well.'));
    const made = async (recipe: Recipe) => (await makeDeck(document, recipe)).converted;
    const by = await made({ rules: rules as never });
    expect([by.theme.name, by.map.body]).toEqual(['pebble', 'slide']);
    expect((await made({ rules: rules as never, theme: 'slipway' })).theme.name).toBe('slipway');
    expect((await made({ rules: rules as never, map: 'reading' })).mapName).toBe('reading');
  });

  test('has the logo that rules name, within it; what is said of the foot besides leaves it', async () => {
    const bytes = encode({ width: 40, height: 20, data: new Uint8Array(40 * 20 * 3).fill(120), channels: 3 });
    const { bytes: _, ...picture } = takePicture(bytes, 'logo.png') as PictureData;
    const foot = { ...USUAL_FOOT, logo: { picture, alt: 'Mark of the trust', on: ['content'] as const } };
    const rules = [{ kind: 'foot', foot }];
    const pictures = { [picture.id]: Buffer.from(bytes).toString('base64') };
    const at = project({ documents: ['mill.md'], rules, pictures, footer: 'Sallow Quay' });
    writeFileSync(join(dirname(at), 'mill.md'), '# Mill\n\n- a wheel\n\n# Gates\n\n- north\n- south\n');
    const { jobs } = await readProject(at);
    expect(await tryJob(jobs[0]!)).toMatchObject({ ok: true });
    const files = unzipSync(readFileSync(jobs[0]!.outputs[0]!.path));
    const media = Object.keys(files).filter((name) => name.includes('/media/'));
    expect(media.map((name) => Buffer.from(files[name]!))).toEqual([Buffer.from(bytes)]);
    expect(strFromU8(files['ppt/slideMasters/slideMaster1.xml']!)).toContain('descr="Mark of the trust"');
    expect(strFromU8(files['ppt/slides/slide2.xml']!)).toContain('Sallow Quay');
    rmSync(join(dirname(at), 'mill.md'));

    for (const wrong of [{}, { [picture.id]: 'AAAA' }])
      await expect(readProject(project({ documents: ['c.md'], rules, pictures: wrong }))).rejects.toThrow(
        'which a rule names, is not there',
      );
  });

  test('may say nothing: then all documents beside it become presentations', async () => {
    const { jobs } = await readProject(dirname(project({})));
    expect(jobs.map(({ outputs }) => outputs[0]!.path.split('/project/')[1])).toEqual([
      'decks/c.pptx',
      'decks/talks/a.pptx',
      'decks/talks/b.pptx',
    ]);
  });

  test.each<[unknown, string]>([
    ['{ "to": ', 'is no JSON'],
    [{ tow: [] }, 'the file has no setting tow'],
    [{ to: ['ppt'] }, 'to/0 must be equal to one of the allowed values'],
    [{ theme: 'none' }, 'alvex.json: There is no theme none'],
    [{ rules: [{ kind: 'theme' }] }, 'rules: /0'],
    [{ rules: [{ kind: 'none' }] }, 'rules: /0'],
    [{ rules: [{ kind: 'cut', block: 'x' }] }, '“cut” is of places in one document'],
    [{ documents: ['none.md'] }, 'There is no file none.md.'],
  ])('%j is told', async (content, message) => {
    await expect(readProject(project(content))).rejects.toThrow(message);
  });
});

test('a folder is made at once: what cannot be read is told and stops nothing, and the report is the same each time', () => {
  file('many/a.md', '# A\n\n- one\n');
  file('many/b.html', '<h1>B</h1><p>two</p>');
  file('many/broken.docx', 'no package');
  const run = (...more: readonly string[]) =>
    alvex(['convert', 'many', '-o', 'made', '--to', 'pptx,md', '--report', 'report.json', ...more]);
  const { status, stdout, stderr } = run();
  expect([status, stdout]).toEqual([3, '']);
  expect(stderr).toContain('many/broken.docx: not-a-zip: ');
  expect(stderr).toContain('\n2 documents made, 1 not.\n');
  expect(readdirSync(join(folder, 'made')).toSorted()).toEqual(['a.md', 'a.pptx', 'b.md', 'b.pptx']);
  const report = readFileSync(join(folder, 'report.json'), 'utf8');
  expect(JSON.parse(report)).toMatchObject({
    made: 2,
    failed: 1,
    files: [
      { input: 'many/a.md', slides: 1, outputs: [{ path: 'made/a.pptx' }, { path: 'made/a.md' }] },
      { input: 'many/b.html' },
      { input: 'many/broken.docx', error: { code: 'not-a-zip' } },
    ],
  });
  const first = readFileSync(join(folder, 'made/a.pptx'));
  run('--jobs', '1');
  expect(readFileSync(join(folder, 'report.json'), 'utf8')).toBe(report);
  expect(readFileSync(join(folder, 'made/a.pptx')).equals(first)).toBe(true);
});

test('a document is never written over, whatever is asked', () => {
  const path = file('own.md', '# Mine\n');
  for (const args of [
    ['own.md', '-o', 'own.md'],
    ['own.md', '-o', '.', '--to', 'md'],
  ])
    expect(alvex(['convert', ...args])).toMatchObject({ status: 2 });
  expect(readFileSync(path, 'utf8')).toBe('# Mine\n');
});

/** Waits for what a command should do. It fails where the command ends before, or does not do it. */
async function until(running: ChildProcess, what: () => boolean): Promise<void> {
  const last = Date.now() + 120_000;
  while (!what()) {
    if (running.exitCode !== null || Date.now() > last) throw new Error('It ended, or did not do it');
    await new Promise((done) => setTimeout(done, 20));
  }
}

test('a pattern is watched at the folder where it begins', async () => {
  file('patterns/deep/a.md', '# A\n');
  const running = spawn(command, ['convert', 'patterns/**/*.md', '-o', 'of-patterns', '--to', 'txt', '--watch'], {
    cwd: folder,
  });
  let told = '';
  running.stderr.on('data', (text: Buffer) => (told += text.toString()));
  try {
    await until(running, () => told.includes('Waiting for changes.'));
    file('patterns/deep/b.md', '# B\n');
    await until(running, () => existsSync(join(folder, 'of-patterns/deep/b.txt')));
    file('patterns/new/c.md', '# C\n');
    await until(running, () => existsSync(join(folder, 'of-patterns/new/c.txt')));
    expect(running.exitCode).toBeNull();
  } finally {
    running.kill('SIGINT');
    await once(running, 'exit');
  }
});

test('a build goes on while it is watched: what changes is made anew, and nothing else', async () => {
  file('watched/a.md', '# A\n\n- one\n');
  file('watched/b.md', '# B\n\n- one\n');
  file('watched/alvex.json', JSON.stringify({ out: 'decks', to: ['md'] }));
  const made = join(folder, 'watched/decks/a.md');
  const running = spawn(command, ['build', 'watched', '--watch', '--jobs', '1'], { cwd: folder });
  let told = '';
  running.stderr.on('data', (text: Buffer) => (told += text.toString()));
  try {
    await until(running, () => told.includes('Waiting for changes.'));
    expect(readFileSync(made, 'utf8')).toContain('- one');
    told = '';
    file('watched/a.md', '# A\n\n- two\n');
    await until(running, () => told.includes('1 document made.'));
    expect(readFileSync(made, 'utf8')).toContain('- two');
    expect(told).not.toContain('b.md');
    file('watched/alvex.json', JSON.stringify({ out: 'decks', to: ['md', 'opml'] }));
    await until(running, () => existsSync(join(folder, 'watched/decks/b.opml')));
  } finally {
    running.kill('SIGINT');
    await once(running, 'exit');
  }
});

test('a handout and a presentation of one document come of one run', () => {
  const path = file('one.md', '# Mill\n\n## Gates\n\nThey are old.\n\n- north\n');
  expect(
    alvex(['convert', path, '-o', 'one', '--to', 'handout.docx,handout.pdf,odp,document.html,odt,txt']),
  ).toMatchObject({
    status: 0,
  });
  expect(Object.keys(unzipSync(readFileSync(join(folder, 'one/one.handout.docx'))))).toContain(
    'word/media/picture1.png',
  );
  const odp = unzipSync(readFileSync(join(folder, 'one/one.odp')));
  expect(new TextDecoder().decode(odp['content.xml'])).toContain('north');
  expect(readFileSync(join(folder, 'one/one.handout.pdf'), 'latin1')).toMatch(/^%PDF-1.7/);
  const read = (name: string): string => readFileSync(join(folder, 'one', name), 'utf8');
  expect(read('one.document.html')).toContain('<h2>Gates</h2>');
  expect(read('one.txt')).toMatch(/\d\. Gates\n.*- north/s);
  expect(alvex(['convert', path, '-o', 'page.html', '--document'])).toMatchObject({ status: 0 });
  expect(readFileSync(join(folder, 'page.html'), 'utf8')).toBe(read('one.document.html'));
});
