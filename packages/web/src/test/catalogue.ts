/** All texts of the interface, read from its source: what the catalogue must have. */
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';

export interface Text {
  /** As the source has it. */
  readonly text: string;
  readonly plural: boolean;
  /** Parameters that are given where it is said; absent where it is said elsewhere. */
  readonly given?: readonly string[];
  readonly where: string;
}

const WEB = join(import.meta.dirname, '..');
const PACKAGES = join(WEB, '../..');

/** Tables of sentences that are looked up when they are said: file and name of the constant. */
const TABLES = [
  ['web/src/ui/edit-text.ts', 'SENTENCES'],
  ['core/src/base/diagnostic-text.ts', 'DIAGNOSTIC_TEXTS'],
  ['server/src/services/app-error.ts', 'FAILURES'],
  ['server/src/services/app-error.ts', 'KEPT'],
] as const;

function parsed(path: string): ts.SourceFile {
  const kind = path.endsWith('x') ? ts.ScriptKind.TSX : ts.ScriptKind.TS;
  return ts.createSourceFile(path, readFileSync(path, 'utf8'), ts.ScriptTarget.Latest, true, kind);
}

export const sources = (): readonly ts.SourceFile[] =>
  readdirSync(WEB, { recursive: true, encoding: 'utf8' })
    .filter((path) => /\.tsx?$/.test(path) && !/\.test\.|^test\//.test(path))
    .map((path) => parsed(join(WEB, path)));

const isText = (node: ts.Node | undefined): node is ts.StringLiteralLike =>
  node !== undefined && ts.isStringLiteralLike(node);

const whereOf = (node: ts.Node): string => {
  const file = node.getSourceFile();
  return `${file.fileName.slice(PACKAGES.length + 1)}:${file.getLineAndCharacterOfPosition(node.getStart()).line + 1}`;
};

/** Words that stand for a noun that is counted: `count(n, 'slide')`, `{n slide}`. */
const counted = (noun: string, where: string): Text => ({ text: `{n} ${noun}`, plural: true, where });

function textsOf(file: ts.SourceFile): readonly Text[] {
  const found: Text[] = [];
  const visit = (node: ts.Node): void => {
    if (ts.isCallExpression(node) && ts.isIdentifier(node.expression)) {
      const [first, second] = node.arguments;
      if (/^(?:t|rich)$/.test(node.expression.text) && isText(first)) {
        const given =
          second !== undefined && ts.isObjectLiteralExpression(second)
            ? second.properties.map(({ name }) => name?.getText() ?? '')
            : [];
        found.push({ text: first.text, plural: given.includes('count'), given, where: whereOf(node) });
      }
      if (node.expression.text === 'count') {
        const nouns = (one: ts.Node): void => {
          if (isText(one)) found.push(counted(one.text, whereOf(node)));
          else if (ts.isConditionalExpression(one)) [one.whenTrue, one.whenFalse].forEach(nouns);
        };
        if (second !== undefined) nouns(second);
      }
    }
    ts.forEachChild(node, visit);
  };
  visit(file);
  return found;
}

function tableTexts(): readonly Text[] {
  return TABLES.flatMap(([path, name]) => {
    const found: Text[] = [];
    const values = (node: ts.Node): void => {
      if (ts.isPropertyAssignment(node) && isText(node.initializer)) {
        const { text } = node.initializer;
        found.push({ text, plural: false, where: whereOf(node) });
        for (const [, noun] of text.matchAll(/\{n (\w+)\}/g)) found.push(counted(noun!, whereOf(node)));
      }
      ts.forEachChild(node, values);
    };
    ts.forEachChild(parsed(join(PACKAGES, path)), (node) => {
      if (ts.isVariableStatement(node) && node.declarationList.declarations[0]?.name.getText() === name) values(node);
    });
    return found;
  });
}

/** What each theme says of itself. */
function themeTexts(): readonly Text[] {
  const folder = join(PACKAGES, 'core/src/theme/designs');
  return readdirSync(folder).flatMap((name) => {
    const found: Text[] = [];
    const visit = (node: ts.Node): void => {
      if (ts.isPropertyAssignment(node) && node.name.getText() === 'character' && isText(node.initializer))
        found.push({ text: node.initializer.text, plural: false, where: whereOf(node) });
      ts.forEachChild(node, visit);
    };
    visit(parsed(join(folder, name)));
    return found;
  });
}

export const texts = (): readonly Text[] => [...sources().flatMap(textsOf), ...tableTexts(), ...themeTexts()];

/** Parameters of texts that nothing is given for, where the texts are said. */
export const unfilledMarks = (all: readonly Text[]): readonly string[] =>
  all.flatMap(({ text, given, where }) =>
    given === undefined
      ? []
      : [...text.matchAll(/\{(\w+)\}/g)].flatMap(([, mark]) =>
          given.includes(mark === 'n' && given.includes('count') ? 'count' : mark!) ? [] : [`${where} {${mark!}}`],
        ),
  );

/** Attributes that people read or hear. */
const READ = /^(?:label|title|hint|head|heading|purpose|placeholder|alt|aria-(?:label|description|valuetext))$/;
/** Names, signs and formats that are the same in every language. */
const SAME = /^(?:\p{L}|Alt \p{S}|\P{L}*Alvex|https:\/\/|[A-Z]{2,5}|\P{L}*|pt|Esc)$/u;

/** Words that people would see and that are not asked of the catalogue. */
export function bareWords(): readonly string[] {
  return sources().flatMap((file) => {
    const found: string[] = [];
    const bare = (node: ts.Node, text: string): void => {
      const words = text.replace(/\s+/g, ' ').trim();
      if (!SAME.test(words)) found.push(`${whereOf(node)} ${words}`);
    };
    const visit = (node: ts.Node): void => {
      if (ts.isJsxText(node)) bare(node, node.text);
      if (ts.isJsxAttribute(node) && isText(node.initializer) && READ.test(node.name.getText()))
        bare(node, node.initializer.text);
      if (ts.isJsxExpression(node) && !ts.isJsxAttribute(node.parent)) shown(node.expression);
      ts.forEachChild(node, visit);
    };
    const shown = (node: ts.Expression | undefined): void => {
      if (node === undefined) return;
      if (isText(node)) bare(node, node.text);
      else if (ts.isConditionalExpression(node)) [node.whenTrue, node.whenFalse].forEach(shown);
      else if (ts.isBinaryExpression(node)) shown(node.right);
      else if (ts.isParenthesizedExpression(node)) shown(node.expression);
      else if (ts.isTemplateExpression(node))
        bare(node, [node.head.text, ...node.templateSpans.map(({ literal }) => literal.text)].join(' '));
    };
    visit(file);
    return found;
  });
}
