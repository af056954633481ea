/** The outline of a file, read by other means than ours, is that of its deck: titles, points and their levels in placeholders. */
import { expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { outlineOf, type SlideOutline } from '../../../../package-check/src/index.ts';
import { usualTemplate } from '../../../../demo/src/templates.ts';
import { runsText } from '../../content/index.ts';
import type { Page } from '../../layout/index.ts';
import { beginning, convert, openDocument, writeDeck, type Converted } from '../../pipeline/index.ts';
import { readTemplate } from '../../template/index.ts';
import { random, randomDocument } from '../../test/build.ts';
import { paintedTemplate } from '../../test/foreign-templates.ts';
import type { TemplateUse, Theme } from '../../theme/index.ts';
import { placeholder } from './placeholders.ts';

const plain = (text: string): string => text.replace(/\s+/g, ' ').trim();
const TEXTS = /^(?:body\d?|subtitle|head\d?|quote|caption|big)$/;

function expected({ slide, boxes, layout }: Page): SlideOutline {
  const texts = boxes.filter(
    (box) =>
      box.kind === 'text' && box.free !== true && TEXTS.test(box.frame.role) && placeholder(box.frame, layout) !== '',
  );
  return {
    title: plain(runsText(slide.title.runs)),
    points: texts.flatMap((box) =>
      box.kind !== 'text'
        ? []
        : box.paras.flatMap(({ runs, level, style }) => {
            const text = plain(runsText(runs));
            return text === '' ? [] : [{ text, level: style === 'point' ? level : 1 }];
          }),
    ),
  };
}

async function same(made: Converted, template?: Uint8Array): Promise<number> {
  const bytes = writeDeck('pptx', made, [], template === undefined ? {} : { template });
  const outline = await outlineOf(bytes);
  expect(outline).toHaveLength(made.pages.length);
  let points = 0;
  made.pages.forEach((page, i) => {
    const { title, points: all } = expected(page);
    // A page on which a slide goes on says which of its pages it is.
    expect(outline[i]!.title.startsWith(title)).toBe(true);
    const numberless = outline[i]!.points.map(({ level, text }) => ({
      level,
      text: text.replace(/^\S+?[.)]\t?\s*/, ''),
    }));
    const wanted = all.map(({ level, text }) => ({ level, text: text.replace(/^\S+?[.)]\t?\s*/, '') }));
    expect([page.key, numberless]).toEqual([page.key, wanted]);
    points += all.length;
  });
  return points;
}

test.each([
  ['docx', 'sallow-quay-feasibility-report.docx'],
  ['markdown', 'volunteer-induction-course.md'],
  ['html', 'the-mill-that-keeps-the-moons-hours.html'],
] as const)('the demo document in %s', async (type, file) => {
  const { document } = await openDocument(new Uint8Array(readFileSync(`packages/demo/files/${file}`)), type);
  for (const theme of ['millrace', 'nightwatch'] as const satisfies readonly Theme['name'][]) {
    const edits = [...beginning(document, [{ kind: 'theme', theme }]), { kind: 'theme', theme } as const];
    expect(await same(convert(document, edits))).toBeGreaterThan(0);
  }
  for (const template of [usualTemplate(), paintedTemplate()]) {
    const use: TemplateUse = { hash: 't', fileName: 't.pptx', layouts: {}, keep: 'none' };
    const models = new Map([['t', readTemplate(template).model]]);
    const edits = [...beginning(document), { kind: 'template', template: use } as const];
    expect(await same(convert(document, edits, undefined, models), template)).toBeGreaterThan(0);
  }
});

test('random documents', async () => {
  for (let seed = 1; seed <= 6; seed++) await same(convert(randomDocument(random(seed), 30), []));
});
