import { afterAll, describe, expect, test } from '@jest/globals';
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';

const folder = mkdtempSync(join(tmpdir(), 'alvex-cli-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const file = (name: string, content: string): string => {
  const path = join(folder, name);
  writeFileSync(path, content);
  return path;
};
const alvex = (args: readonly string[], input?: string) =>
  spawnSync('bin/alvex', args, { encoding: 'utf8', ...(input === undefined ? {} : { input }) });
const isSlide = (name: string): boolean => /ppt\/slides\/[^/]+\.xml$/.test(name);
const source = file(
  'mill.md',
  '---\ntitle: The mill\n---\n\n# Gates\n\nSpoken.\n\n- north\n  - iron\n\n| a | b |\n|---|---|\n| 1 | 2 |\n\n![gone](x.png)\n',
);

test('what V8 made of the command when it was built is taken as it is', () => {
  const dist = 'packages/cli/dist';
  const scripts = readdirSync(dist).filter((name) => name.endsWith('.cjs'));
  expect(scripts).toContain('alvex.cjs');
  const asks = `const { readFileSync: read } = require('node:fs');
    for (const name of process.argv.slice(1)) {
      const { cachedDataRejected } = new (require('node:vm').Script)(
        require('node:module').wrap(read(name, 'utf8')), { cachedData: read(name + '.code') });
      console.log(cachedDataRejected);
    }`;
  const { stdout } = spawnSync('node', ['-e', asks, ...scripts.map((name) => join(dist, name))], { encoding: 'utf8' });
  expect(stdout.trim().split('\n')).toEqual(scripts.map(() => 'false'));
});

test('outline gives the blocks as JSON', () => {
  const { status, stdout } = alvex(['outline', source]);
  expect(status).toBe(0);
  const outline = JSON.parse(stdout) as {
    title: string;
    words: number;
    blocks: Record<string, unknown>[];
    diagnostics: unknown[];
  };
  expect(outline).toMatchObject({ title: 'The mill', words: 10 });
  expect(outline.blocks.map(({ id: _, ...rest }) => rest)).toEqual([
    { kind: 'paragraph', text: 'The mill' },
    { kind: 'heading', text: 'Gates', level: 1 },
    { kind: 'paragraph', text: 'Spoken.' },
    { kind: 'listItem', text: 'north', depth: 1, ordered: false },
    { kind: 'listItem', text: 'iron', depth: 2, ordered: false },
    {
      kind: 'table',
      text: 'a | b\n1 | 2',
      rows: [
        ['a', 'b'],
        ['1', '2'],
      ],
    },
    { kind: 'picture', text: '', alt: 'gone' },
  ]);
  expect(outline.diagnostics).toEqual([
    { code: 'picture-not-contained', message: expect.stringContaining('x.png'), place: 'line 16' },
  ]);
});

test('deck gives slides and ledger as JSON', () => {
  const { status, stdout } = alvex(['deck', source, '--map', 'talk', '--theme', 'slipway']);
  expect(status).toBe(0);
  const deck = JSON.parse(stdout) as { slides: Record<string, unknown>[]; ledger: Record<string, number> };
  expect(deck.slides).toMatchObject([
    { number: 1, kind: 'cover', layout: 'cover', title: 'The mill', continues: false },
    {
      number: 2,
      kind: 'content',
      layout: 'table-points',
      section: null,
      title: 'Gates',
      points: [
        { level: 1, text: 'north' },
        { level: 2, text: 'iron' },
      ],
      notes: ['Spoken.'],
      tables: 1,
      fit: { state: 'fits', points: 24 },
    },
  ]);
  expect(deck.ledger).toEqual({ document: 10, slides: 9, notes: 1, leftOut: 0, lost: 0 });
});

test.each([
  ['rtf', '{\\rtf1{\\stylesheet{\\s1 heading 1;}}\\pard\\s1 Gates\\par\\pard shut\\par}'],
  ['opml', '<opml><body><outline text="Gates"><outline text="shut"/></outline></body></opml>'],
  ['html', '<h1>Gates</h1><p>shut</p>'],
  ['text', 'Gates\n=====\n\nshut\n'],
])('%s is read by its content, and from standard input by its type', (type, content) => {
  const outline = (run: ReturnType<typeof alvex>): string[] =>
    (JSON.parse(run.stdout) as { blocks: { text: string }[] }).blocks.map(({ text }) => text);
  expect(outline(alvex(['outline', '-', '--type', type], content))).toEqual(['Gates', 'shut']);
  expect(outline(alvex(['outline', file(`noname-${type}.${type === 'html' ? 'html' : 'x'}`, content)]))).toEqual([
    'Gates',
    'shut',
  ]);
});

test('what stands around the text of a page is said to be left', () => {
  const page = file('page.html', '<html><body><nav>News</nav><main><h1>Gates</h1><p>shut</p></main></body></html>');
  const { blocks } = JSON.parse(alvex(['outline', page]).stdout) as { blocks: { text: string; left?: string }[] };
  expect(blocks.map(({ text, left }) => [text, left])).toEqual([
    ['News', 'navigation'],
    ['Gates', undefined],
    ['shut', undefined],
  ]);
  const { ledger } = JSON.parse(alvex(['deck', page]).stdout) as { ledger: object };
  expect(ledger).toMatchObject({ document: 3, leftOut: 1, lost: 0 });
});

test('convert writes the same bytes every time', () => {
  const [one, two] = [join(folder, '1.pptx'), join(folder, '2.pptx')];
  for (const out of [one, two]) expect(alvex(['convert', source, '-o', out]).status).toBe(0);
  expect(Buffer.compare(readFileSync(one), readFileSync(two))).toBe(0);
});

test('standard input is read with its type', () => {
  const { status, stdout } = alvex(['outline', '-', '--type', 'markdown'], '# From a pipe\n');
  expect(status).toBe(0);
  expect(stdout).toContain('From a pipe');
});

test('a map brings what becomes of running text; a point that is said again on the next slide is listed once', () => {
  const text = `# T\n\nFirst said. Then this.\n\n- parent\n${Array.from({ length: 40 }, (_, i) => `  - child number ${i}, which takes its line\n`).join('')}`;
  const { status, stdout } = alvex(['deck', '-', '--type', 'markdown', '--map', 'lesson'], text);
  expect(status).toBe(0);
  const { slides } = JSON.parse(stdout) as { slides: { points: { text: string }[]; notes: string[] }[] };
  expect(slides.length).toBeGreaterThan(1);
  expect(slides[0]!.notes).toEqual(['Then this.']);
  expect(slides[0]!.points.slice(0, 2).map((point) => point.text)).toEqual(['First said.', 'parent']);
  expect(slides.flatMap(({ points }) => points)).toHaveLength(42);
});

test('maps and themes are listed', () => {
  expect(alvex(['maps']).stdout).toBe('fitted\ntalk\nreading\nbriefing\nlesson\ndecision\nprompter\n');
  expect(alvex(['themes']).stdout).toMatch(/^millrace\nslipway\nlamplight\n/);
  expect(alvex(['themes']).stdout.trim().split('\n').length).toBeGreaterThanOrEqual(12);
});

test('the manual page has every choice that the help has', () => {
  const choices = (text: string): readonly string[] =>
    [...new Set(text.replaceAll('\\-', '-').match(/--[a-z][a-z-]+/g) ?? [])].toSorted();
  const manual = readFileSync('docs/man/alvex.1', 'utf8');
  const known = choices(alvex(['--help']).stdout);
  expect(known.length).toBeGreaterThan(25);
  expect(known.filter((choice) => !choices(manual).includes(choice))).toEqual([]);
  expect(choices(manual).filter((choice) => !known.includes(choice))).toEqual([]);
});

describe('wrong usage exits with 2 and says how', () => {
  test.each([
    ['nothing to do', []],
    ['an unknown command', ['fly', source]],
    ['no file', ['outline']],
    ['a file that is not there', ['outline', join(folder, 'none.md')]],
    ['an unknown map', ['deck', source, '--map', 'none']],
    ['an unknown theme', ['deck', source, '--theme', 'none']],
    ['an unknown option', ['deck', source, '--fast']],
    ['nowhere to write', ['convert', source]],
    ['standard input without a type', ['outline', '-']],
  ])('%s', (_, args) => {
    const { status, stdout, stderr } = alvex(args);
    expect(status).toBe(2);
    expect(stdout).toBe('');
    expect(stderr).toMatch(/\nalvex --help says what there is.\n$/);
  });
});

test('a document that cannot be read exits with 3 and one line that says why', () => {
  const { status, stderr } = alvex(['outline', file('bad.docx', 'PK\u0003\u0004 but no more')]);
  expect(status).toBe(3);
  expect(stderr.trim().split('\n')).toHaveLength(1);
  expect(stderr).toContain('truncated: The file ends too early');
});

describe('what an expert would remark', () => {
  test('is nothing of a deck of ours, on a template too', () => {
    const out = join(folder, 'audited.pptx');
    const template = join('packages/demo/files', 'sallow-quay-trust-template.pptx');
    for (const more of [[], ['--template', template]]) {
      expect(alvex(['convert', source, '-o', out, ...more]).stderr).toBe('');
      expect(alvex(['check', out]).stdout).toBe(`${out}: 0 faults\n`);
      const { status, stdout } = alvex(['audit', out]);
      // The source says no language.
      expect(stdout).toMatch(/: 1 remark\n {2}no-properties: 1\n {4}docProps\/(deck1-)?core.xml: language\n$/);
      expect(status).toBe(1);
    }
  });

  test('slides go into a presentation, behind one of its own', () => {
    const [first, both] = [join(folder, 'first.pptx'), join(folder, 'both.pptx')];
    expect(alvex(['convert', source, '-o', first]).status).toBe(0);
    const told = alvex(['convert', source, '-o', both, '--into', first, '--behind', '1', '--as', 'other.md']);
    expect([told.status, told.stderr]).toEqual([0, '']);
    expect(alvex(['check', both]).stdout).toBe(`${both}: 0 faults\n`);
    for (const wrong of [
      ['--behind', '1'],
      ['--into', first, '--behind', 'x'],
      ['--into', first, '--template', first],
    ])
      expect(alvex(['convert', source, '-o', both, ...wrong]).status).toBe(2);
  });

  test('what an earlier run made of the document is replaced, and it is said', () => {
    const [first, again] = [join(folder, 'first.pptx'), join(folder, 'again.pptx')];
    alvex(['convert', source, '-o', first]);
    const count = (path: string): number => Object.keys(unzipSync(readFileSync(path))).filter(isSlide).length;
    const { status, stderr } = alvex(['convert', source, '-o', again, '--into', first]);
    expect([status, stderr]).toEqual([0, `${count(first)} slides made of mill.md before are replaced.\n`]);
    expect(count(again)).toBe(count(first));
    expect(alvex(['check', again]).stdout).toBe(`${again}: 0 faults\n`);
  });

  test('of a template that cannot be used is said why', () => {
    const { status, stderr } = alvex(['convert', source, '-o', join(folder, 'no.pptx'), '--template', source]);
    expect(status).toBe(3);
    expect(stderr).toMatch(/^[a-z-]+: \S/);
  });
});

test('pages are written as PDF, of which kind and on which paper is said', () => {
  const pages = (...more: readonly string[]): string => {
    const out = join(folder, 'mill.pdf');
    expect(alvex(['convert', source, '-o', out, ...more])).toMatchObject({ status: 0, stderr: '' });
    return readFileSync(out, 'latin1');
  };
  expect(pages()).toContain('/MediaBox [0 0 960 540]');
  expect(pages('--pages', 'outline')).toContain('/MediaBox [0 0 595.28 841.89]');
  expect(pages('--pages', 'three', '--paper', 'letter')).toContain('/MediaBox [0 0 612 792]');
  for (const wrong of [
    ['--pages', 'seven'],
    ['--paper', 'a5'],
  ]) {
    const { status, stderr } = alvex(['convert', source, '-o', join(folder, 'x.pdf'), ...wrong]);
    expect([status, stderr.split('\n')[0]]).toEqual([
      2,
      expect.stringMatching(/^There (are no pages seven|is no paper a5); there are /),
    ]);
  }
});

test('slides are written as pictures, and as text that makes the same slides again', () => {
  const written = (ending: string, ...more: readonly string[]): Buffer => {
    const out = join(folder, `slides.${ending}`);
    expect(alvex(['convert', source, '-o', out, ...more])).toMatchObject({ status: 0, stderr: '' });
    return readFileSync(out);
  };
  expect(written('zip', '--width', '320').subarray(0, 4).toString('latin1')).toBe('PK\u0003\u0004');
  expect(alvex(['convert', source, '-o', join(folder, 'x.zip'), '--width', '12'])).toMatchObject({
    status: 2,
    stderr: expect.stringContaining('--width is 160 to 7680 pixels.') as unknown,
  });
  expect(written('svg.zip').subarray(0, 4).toString('latin1')).toBe('PK\u0003\u0004');
  // One of them alone: the first, or the one that is asked for.
  expect(written('png', '--width', '320').subarray(1, 4).toString('latin1')).toBe('PNG');
  expect(written('svg', '--only', '2').toString('utf8')).toContain('<title>Gates</title>');
  expect(written('csv').toString('utf8')).toBe('\uFEFFa,b\r\n1,2\r\n');
  for (const [name, more, said] of [
    ['x.svg', ['--only', '9'], 'There is no slide 9; the last is 2.'],
    ['x.pdf', ['--only', '1'], '--only is for a name that ends in png, svg or csv.'],
    ['x.png', ['--only', '0'], '--only is the number of a slide or a table.'],
  ] as const)
    expect(alvex(['convert', source, '-o', join(folder, name), ...more])).toMatchObject({
      status: 2,
      stderr: expect.stringContaining(said) as unknown,
    });
  written('md');
  const titles = (file: string): readonly unknown[] =>
    (JSON.parse(alvex(['deck', file]).stdout) as { slides: { title: unknown }[] }).slides.map(({ title }) => title);
  expect(titles(join(folder, 'slides.md'))).toEqual(titles(source));
  expect(written('opml').toString('utf8')).toContain('<opml version="2.0">');
});

test('a page and a document are written, and a presentation is read', () => {
  const out = (name: string, ...more: readonly string[]): string => {
    const path = join(folder, name);
    expect(alvex(['convert', source, '-o', path, ...more])).toMatchObject({ status: 0, stderr: '' });
    return path;
  };
  const page = readFileSync(out('page.html'), 'utf8');
  expect(page).toMatch(/^<!doctype html>/);
  expect(page).toContain('class="notes"');
  expect(readFileSync(out('page.html', '--without-notes'), 'utf8')).not.toContain('class="notes"');
  for (const kind of [[], ['--handout']])
    expect(alvex(['check', out('mill.docx', ...kind)])).toMatchObject({ status: 0 });
  expect(alvex(['check', out('mill.odp'), out('mill.odt')])).toMatchObject({ status: 0 });
  const broken = unzipSync(readFileSync(join(folder, 'mill.odp')));
  broken['content.xml'] = strToU8(
    strFromU8(broken['content.xml']!).replace('<draw:page ', '<draw:page draw:sort="1" '),
  );
  writeFileSync(join(folder, 'broken.odp'), zipSync(broken));
  const { status, stdout } = alvex(['check', join(folder, 'broken.odp')]);
  expect([status, stdout]).toEqual([1, expect.stringMatching(/content\.xml: line \d+: .*sort/)]);
  const titles = (file: string): readonly unknown[] =>
    (JSON.parse(alvex(['deck', file, '--map', 'fitted']).stdout) as { slides: { title: unknown }[] }).slides.map(
      ({ title }) => title,
    );
  for (const ending of ['pptx', 'odp'])
    expect(titles(out(`mill.${ending}`, '--map', 'fitted'))).toEqual(titles(source));
});
