/** Ways to mend pictures, charts, links and grounds. */
import { usualSettings, type Chart, type ChartSettings } from '../charts/index.ts';
import { mergeRuns, nameOfLink, runsText, type Runs } from '../content/index.ts';
import { PLAIN_DRESS, type PicturePart } from '../deck/index.ts';
import type { SingleEdit } from '../edits/index.ts';
import type { PaletteChoice } from '../theme/index.ts';
import { goalsOf } from './write-deck.ts';
import type { Case, Finder, Way } from './repair-way.ts';

const pictures = ({ slide, remark }: Case) =>
  slide.content.filter((part) => part.kind === 'picture' && remark.about.includes(part.id)) as readonly PicturePart[];

export const wholePicture: Finder = (one) => [
  {
    name: 'whole-picture',
    edits: pictures(one).map(({ id, dress }) => ({
      kind: 'frame',
      part: id,
      dress: { ...(dress ?? PLAIN_DRESS), as: 'fit' },
    })),
  },
];

export const describeByCaption: Finder = (one) => {
  const lacking = pictures(one).filter(({ alt }) => alt === null);
  const captions = lacking.map(({ caption }) => (caption === undefined ? '' : runsText(caption).trim()));
  return captions.includes('')
    ? []
    : [
        {
          name: 'describe-by-caption',
          edits: lacking.map(({ id }, i) => ({ kind: 'alt', part: id, alt: captions[i]! })),
          text: captions[0]!,
        },
      ];
};

/** Those of the table, or the author's own, which then are known to differ from what it has now. */
export const numbersOfTable: Finder = ({ remark, converted }) => {
  const charts = converted.pages.flatMap(({ boxes }) =>
    boxes.flatMap((box) => (box.kind === 'chart' && remark.about.includes(box.part) ? [box] : [])),
  );
  const set = (of: (chart: Chart) => ChartSettings['data']): readonly SingleEdit[] =>
    charts.map(({ part, chart }) => ({ kind: 'chart', part, chart: { ...chart.settings, data: of(chart) } }));
  return [
    { name: 'table-numbers', edits: set(() => null) },
    {
      name: 'own-numbers',
      edits: set(({ settings: { data }, stale }) =>
        data === null || stale === undefined ? data : { ...data, of: stale },
      ),
    },
  ];
};

export const asColumns: Finder = ({ remark, converted }) => [
  {
    name: 'columns',
    edits: converted.pages.flatMap(({ boxes }) =>
      boxes.flatMap((box): readonly SingleEdit[] =>
        box.kind === 'chart' && remark.about.includes(box.part)
          ? [
              {
                kind: 'chart',
                part: box.part,
                chart: {
                  ...usualSettings(box.chart, 'column'),
                  title: box.chart.settings.title,
                  data: box.chart.settings.data,
                },
              },
            ]
          : [],
      ),
    ),
  },
];

/** Takes off what leads nowhere, or where nobody can see. */
export const dropLink: Finder = ({ slide, remark, converted }) => {
  const goals = goalsOf(converted);
  const hidden = new Set(converted.deck.slides.flatMap(({ id, hidden }) => (hidden === true ? [id] : [])));
  const withoutJump = (run: Runs[number]): Runs[number] => {
    const { link, ...rest } = run;
    if (link?.startsWith('#') !== true) return run;
    const goal = goals.get(nameOfLink(link) ?? '');
    return goal === undefined || hidden.has(goal) ? rest : run;
  };
  return [
    {
      name: 'drop-link',
      edits: slide.content.flatMap((part): readonly SingleEdit[] =>
        'runs' in part && remark.about.includes(part.id)
          ? [{ kind: 'reword', part: part.id, runs: mergeRuns(part.runs.map(withoutJump)) }]
          : [],
      ),
    },
  ];
};

/** What is linked to is shown. */
export const showLinked: Finder = ({ remark, converted }) => {
  const slide = converted.pages[Number(remark.other) - 1]?.slide.id;
  return slide === undefined
    ? []
    : [{ name: 'show-slide', edits: [{ kind: 'hide', slides: [slide], hidden: false }], text: remark.other ?? '' }];
};

/** Those of the deck where it has its own, and dark for light. */
export const otherGround: Finder = ({ slide: { id, colors }, converted }) => {
  const ground = (palette: PaletteChoice | null, dark: boolean | null): Way => ({
    name: 'other-ground',
    edits: [{ kind: 'colors', slides: [id], palette, dark }],
  });
  return [
    ...(colors === undefined ? [] : [ground(null, null)]),
    ground(colors?.palette ?? null, converted.theme.look?.dark !== true),
  ];
};
