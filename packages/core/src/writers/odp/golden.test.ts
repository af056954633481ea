/** Every part of a small presentation, and a slide of each layout: the golden files hold them. */
import { test } from '@jest/globals';
import { join } from 'node:path';
import { CHART_KINDS, readChart, usualSettings } from '../../charts/index.ts';
import type { Edit } from '../../edits/index.ts';
import { convert, sceneOf } from '../../pipeline/index.ts';
import { doc, h, table } from '../../test/build.ts';
import { GOLDEN, holdTo } from '../../test/golden.ts';
import { packageLines } from '../../test/package-lines.ts';
import { layoutsScene, millScene, MIRRORED, pictureBytes } from '../../test/scenes.ts';
import { WRITTEN } from '../../test/written.ts';
import { writeOdp } from './index.ts';

const file = (name: string): string => join(GOLDEN, 'odp', `${name}.txt`);

test('a document with one of everything', () => {
  holdTo(
    file('mill'),
    packageLines(writeOdp(millScene(), pictureBytes), (name) => name !== 'styles.xml'),
  );
});

test('a slide of each layout, set from the right', () => {
  const bytes = writeOdp(layoutsScene(MIRRORED, 'two sides'), pictureBytes);
  holdTo(
    file('layouts'),
    packageLines(bytes, (name) => /^content\.xml$|^Object/.test(name)),
  );
});

test('text with every trait, in a theme and in a motion', () => {
  const scene = sceneOf(convert(WRITTEN, [{ kind: 'motion', motion: { transition: 'fade', points: true } }]));
  holdTo(
    file('written'),
    packageLines(writeOdp(scene, pictureBytes), (name) => name === 'content.xml'),
  );
});

test('a chart of each kind, with all that can be set', () => {
  const numbers = [
    ['Year', 'Spring', 'Neap'],
    ['2021', '310', '120'],
    ['2022', '402', ''],
    ['2023', '−15', '150'],
  ];
  const document = doc(...CHART_KINDS.flatMap((kind) => [h(1, kind), table(numbers)]));
  const parts = convert(document, []).deck.slides.flatMap(({ content }) =>
    content.filter((part) => part.kind === 'table'),
  );
  const edits = CHART_KINDS.map((kind, i): Edit => {
    const usual = usualSettings(readChart(parts[i]!.table, 'en')!, kind);
    const more = {
      title: 'Tides',
      acrossTitle: 'Across',
      upTitle: 'Up',
      legend: 'bottom',
      labels: true,
      grid: false,
      colors: [3, 1],
    } as const;
    return { kind: 'chart', part: parts[i]!.id, chart: i % 2 === 0 ? usual : { ...usual, ...more } };
  });
  holdTo(
    file('charts'),
    packageLines(writeOdp(sceneOf(convert(document, edits)), pictureBytes), (name) =>
      /^chart\d+\/content\.xml$/.test(name),
    ),
  );
});
