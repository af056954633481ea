/**
 * `npm run mutants -- FOLDER [--most N] [--seed N] [--write]`: makes small deliberate faults in the sources of a folder, one at a time, and runs its
 * tests on each. A fault that no test notices survives, and is printed. Works on copies: the sources are not touched. (DeMillo, Lipton and Sayward,
 * "Hints on Test Data Selection", 1978; the operators are those of Offutt et al., "An Experimental Determination of Sufficient Mutant Operators", 1996.)
 */
import { spawn, spawnSync } from 'node:child_process';
import { cpSync, existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { cpus, tmpdir } from 'node:os';
import { dirname, join, relative } from 'node:path';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';
import ts from 'typescript';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const REPORT = join(root, 'docs/tests.md');
const { positionals, values } = parseArgs({
  allowPositionals: true,
  options: {
    most: { type: 'string', default: '40' },
    seed: { type: 'string', default: '1' },
    write: { type: 'boolean', default: false },
  },
});
if (positionals.length === 0) {
  console.error('Say which folder: npm run mutants -- packages/core/src/mapping');
  process.exit(2);
}

/** Tests of a folder that stand in another. */
const ALSO = {
  'packages/core/src/ids': ['packages/core/src/edits', 'packages/core/src/pipeline/edition'],
  'packages/core/src/deck': ['packages/core/src/mapping'],
  'packages/core/src/document': ['packages/core/src/structure'],
  'packages/core/src/edits': ['packages/core/src/pipeline/edition'],
  'packages/core/src/content': ['packages/core/src/shorten'],
  'packages/core/src/readers/odf': ['packages/core/src/readers/odt', 'packages/core/src/readers/odp'],
  'packages/core/src/readers/markup': ['packages/core/src/readers/html'],
  'packages/core/src/readers/slides': ['packages/core/src/readers/pptx', 'packages/core/src/readers/odp'],
};
/** Tests that take so much longer than without a fault do not come to an end. */
const TIMES_LONGER = 4;
const LEAST_SECONDS = 60;

const SWAPS = new Map([
  [ts.SyntaxKind.EqualsEqualsEqualsToken, '!=='],
  [ts.SyntaxKind.ExclamationEqualsEqualsToken, '==='],
  [ts.SyntaxKind.LessThanToken, '<='],
  [ts.SyntaxKind.LessThanEqualsToken, '<'],
  [ts.SyntaxKind.GreaterThanToken, '>='],
  [ts.SyntaxKind.GreaterThanEqualsToken, '>'],
  [ts.SyntaxKind.PlusToken, '-'],
  [ts.SyntaxKind.MinusToken, '+'],
  [ts.SyntaxKind.AsteriskToken, '/'],
  [ts.SyntaxKind.SlashToken, '*'],
  [ts.SyntaxKind.AmpersandAmpersandToken, '||'],
  [ts.SyntaxKind.BarBarToken, '&&'],
]);

/** Faults that can be made in a file: where, and what is written there instead. */
function faultsIn(path, text) {
  const source = ts.createSourceFile(path, text, ts.ScriptTarget.ES2023, true);
  const faults = [];
  const add = (node, instead, what) => {
    const from = node.getStart(source);
    const line = source.getLineAndCharacterOfPosition(from).line + 1;
    faults.push({ path, from, to: node.getEnd(), instead, line, what });
  };
  const visit = (node) => {
    // Types are no behaviour.
    if (
      ts.isTypeNode(node) ||
      ts.isInterfaceDeclaration(node) ||
      ts.isTypeAliasDeclaration(node) ||
      ts.isImportDeclaration(node)
    )
      return;
    if (ts.isBinaryExpression(node)) {
      const swap = SWAPS.get(node.operatorToken.kind);
      const joins =
        node.operatorToken.kind === ts.SyntaxKind.PlusToken && [node.left, node.right].some(ts.isStringLiteralLike);
      if (swap !== undefined && !joins)
        add(node.operatorToken, swap, `${node.operatorToken.getText(source)} → ${swap}`);
    } else if (ts.isPrefixUnaryExpression(node) && node.operator === ts.SyntaxKind.ExclamationToken)
      add(node, `(${node.operand.getText(source)})`, '! gone');
    else if (node.kind === ts.SyntaxKind.TrueKeyword) add(node, 'false', 'true → false');
    else if (node.kind === ts.SyntaxKind.FalseKeyword) add(node, 'true', 'false → true');
    else if (ts.isNumericLiteral(node) && !ts.isPropertyAssignment(node.parent.parent ?? node.parent))
      add(node, `(${node.text} + 1)`, `${node.text} → ${Number(node.text) + 1}`);
    else if (ts.isIfStatement(node) && node.elseStatement === undefined) add(node, ';', 'if gone');
    else if (
      ts.isExpressionStatement(node) &&
      ts.isCallExpression(node.expression) &&
      node.expression.expression.kind !== ts.SyntaxKind.SuperKeyword
    )
      add(node, ';', 'call gone');
    else if (ts.isConditionalExpression(node))
      add(node.condition, `!(${node.condition.getText(source)})`, 'condition turned');
    ts.forEachChild(node, visit);
  };
  visit(source);
  return faults;
}

/** Numbers that are the same every time (Steele, Lea and Flood, "Fast Splittable Pseudorandom Number Generators", 2014, in 32 bits). */
function randomFrom(seed) {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x9e3779b9) >>> 0;
    let z = state;
    z = Math.imul(z ^ (z >>> 16), 0x21f0aaad);
    z = Math.imul(z ^ (z >>> 15), 0x735a2d97);
    return ((z ^ (z >>> 15)) >>> 0) / 2 ** 32;
  };
}

const git = (...args) =>
  spawnSync('git', args, { cwd: root, encoding: 'utf8' })
    .stdout.split('\n')
    .filter((name) => name !== '');
const tracked = () =>
  [...new Set([...git('ls-files'), ...git('ls-files', '--others', '--exclude-standard')])].filter((name) =>
    existsSync(join(root, name)),
  );

/** A copy of the sources in which faults are made. */
function copy() {
  const folder = mkdtempSync(join(tmpdir(), 'alvex-mutants-'));
  for (const name of tracked()) {
    mkdirSync(dirname(join(folder, name)), { recursive: true });
    cpSync(join(root, name), join(folder, name));
  }
  symlinkSync(join(root, 'node_modules'), join(folder, 'node_modules'));
  return folder;
}

/** @returns Whether the tests noticed: failed, or did not come to an end within so many seconds. */
function noticed(folder, tests, seconds = Infinity) {
  return new Promise((resolve) => {
    const jest = [
      '--experimental-vm-modules',
      '--no-warnings',
      'node_modules/jest/bin/jest.js',
      '--bail',
      '--silent',
      '--runInBand',
    ];
    const child = spawn('node', [...jest, ...tests], { cwd: folder, stdio: 'ignore', detached: true });
    const late = Number.isFinite(seconds)
      ? setTimeout(() => process.kill(-child.pid, 'SIGKILL'), seconds * 1000)
      : undefined;
    child.on('exit', (code) => {
      clearTimeout(late);
      resolve(code !== 0);
    });
  });
}

const copies = [];
process.on('exit', () => copies.forEach((folder) => rmSync(folder, { recursive: true, force: true })));
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => process.exit(1));

const rows = [];
for (const name of positionals) {
  const folder = relative(root, join(root, name));
  const files = tracked().filter(
    (file) => file.startsWith(`${folder}/`) && /\.tsx?$/.test(file) && !/\.test\.|\/test\/|\/shipped\//.test(file),
  );
  const next = randomFrom(Number(values.seed));
  const faults = files
    .flatMap((file) => faultsIn(file, readFileSync(join(root, file), 'utf8')))
    .map((fault) => ({ fault, place: next() }))
    .sort((a, b) => a.place - b.place)
    .slice(0, Number(values.most))
    .map(({ fault }) => fault);
  const tests = [`${folder}/`, ...(ALSO[folder] ?? [])];
  const golden = tracked().filter(
    (file) => tests.some((one) => file.startsWith(one)) && file.endsWith('golden.test.ts'),
  );
  const survivors = [];
  let done = 0;
  let most = LEAST_SECONDS;
  const work = async (at) => {
    for (let fault = faults[done++]; fault !== undefined; fault = faults[done++]) {
      const path = join(at, fault.path);
      const text = readFileSync(path, 'utf8');
      writeFileSync(path, text.slice(0, fault.from) + fault.instead + text.slice(fault.to));
      // Golden files notice most, and soon.
      const seen = (golden.length > 0 && (await noticed(at, golden, most))) || (await noticed(at, tests, most));
      if (!seen) survivors.push(fault);
      writeFileSync(path, text);
    }
  };
  while (copies.length < Math.max(1, Math.min(cpus().length, 4))) copies.push(copy());
  const start = Date.now();
  if (await noticed(copies[0], tests)) {
    console.error(`${folder}: its tests fail without any fault.`);
    process.exit(1);
  }
  most = Math.max(LEAST_SECONDS, ((Date.now() - start) / 1000) * TIMES_LONGER);
  await Promise.all(copies.map(work));
  const killed = faults.length - survivors.length;
  rows.push({ folder, faults: faults.length, killed });
  console.log(
    `${folder}: ${killed} of ${faults.length} killed, ${Math.round((killed / Math.max(1, faults.length)) * 100)} %`,
  );
  for (const { path, line, what } of survivors.sort((a, b) => a.path.localeCompare(b.path) || a.line - b.line))
    console.log(`  ${path}:${line}  ${what}`);
}
if (values.write) writeReport();

/** Puts the new rows in the place of the old ones of their folders. */
function writeReport() {
  const text = readFileSync(REPORT, 'utf8');
  const [, before, table, after] = /^([\s\S]*<!-- mutants -->\n)([\s\S]*?)(<!-- end -->[\s\S]*)$/.exec(text);
  const known = new Map(
    table
      .split('\n')
      .map((line) => /^\| `(.+?)` \| (\d+) \| (\d+) \|/.exec(line))
      .filter((found) => found !== null)
      .map(([, folder, faults, killed]) => [folder, { folder, faults: Number(faults), killed: Number(killed) }]),
  );
  for (const row of rows) known.set(row.folder, row);
  const lines = [...known.values()]
    .sort((a, b) => a.folder.localeCompare(b.folder))
    .map(
      ({ folder, faults, killed }) =>
        `| \`${folder}\` | ${faults} | ${killed} | ${Math.round((killed / faults) * 100)} % |`,
    );
  writeFileSync(REPORT, `${before}| folder | faults | killed | |\n|---|---|---|---|\n${lines.join('\n')}\n${after}`);
}
