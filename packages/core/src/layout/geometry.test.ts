/** Where the pieces of figures and the parts of pictures stand. */
import { describe, expect, test } from '@jest/globals';
import { plain, runsText, type Picture } from '../content/index.ts';
import { PLAIN_DRESS, type PictureDress, type Slide } from '../deck/index.ts';
import { mapDocument, presetMap } from '../mapping/index.ts';
import { doc, h, li, THEMES } from '../test/build.ts';
import { frameIn, type LayoutName, type Rect } from '../theme/index.ts';
import { pictureBoxes } from './picture-boxes.ts';
import { layOutSlide } from './lay-out-slide.ts';
import type { Box, PictureBox } from './page.ts';
import { capitals } from './set-text.ts';

const theme = THEMES[0]!;
const NAMES = ['Oak', 'Iron', 'Elm', 'Stone', 'Lead', 'Lime'];
function boxesOf(layout: LayoutName, n: number, theme = THEMES[0]!): readonly Box[] {
  const document = doc(h(1, 'Parts'), ...NAMES.slice(0, n).map((name) => li(name)));
  const slide: Slide = { ...mapDocument(document, presetMap('talk', document)).slides[0]!, layout };
  const [page] = layOutSlide(slide, { theme, full: 'continue', pictures: new Map(), language: 'en' });
  expect(page!.layout).toBe(layout);
  return page!.boxes;
}
const shapes = (boxes: readonly Box[], geometry: string): readonly Rect[] =>
  boxes.flatMap((box) => (box.kind === 'shape' && box.geometry === geometry ? [box.rect] : []));
/** Texts of a figure, by their points; what belongs to none is a label. */
const labels = (boxes: readonly Box[]): readonly string[] =>
  boxes.flatMap((box) =>
    box.kind === 'text' && box.free === true
      ? box.paras.flatMap((para) => (para.part === null ? [runsText(para.runs)] : []))
      : [],
  );
const near = (a: number, b: number): boolean => Math.abs(a - b) <= 2;

describe('steps', () => {
  test.each([3, 4])('%d across: of one width, in a row, parted alike, numbered from one', (n) => {
    const boxes = boxesOf(
      'steps',
      n,
      THEMES.find(({ hand }) => hand.steps === 'chevrons'),
    );
    const bands = [...shapes(boxes, 'tag'), ...shapes(boxes, 'chevron')];
    expect(bands).toHaveLength(n);
    expect(shapes(boxes, 'tag')).toHaveLength(1);
    for (const [i, band] of bands.entries()) {
      expect(near(band.width, bands[0]!.width)).toBe(true);
      expect(band.y).toBe(bands[0]!.y);
      if (i > 0) expect(near(band.x - bands[i - 1]!.x, bands[1]!.x - bands[0]!.x)).toBe(true);
      if (i > 0) expect(band.x).toBeGreaterThanOrEqual(bands[i - 1]!.x + bands[i - 1]!.width);
    }
    expect(labels(boxes)).toEqual(Array.from({ length: n }, (_, i) => `${i + 1}`));
    const frame = boxes.find((box) => box.kind === 'shape')!.frame;
    expect(near(bands[0]!.x, frame.x)).toBe(true);
    expect(near(bands.at(-1)!.x + bands.at(-1)!.width, frame.x + frame.width)).toBe(true);
  });
});

const HANDS = THEMES.filter((one, i) => THEMES.findIndex(({ hand }) => hand.steps === one.hand.steps) === i);
test.each([
  ...(['cycle', 'icon-grid', 'pyramid', 'funnel', 'matrix'] as const).map((layout) => [layout, theme] as const),
  ...HANDS.flatMap((hand) => [3, 5].map((n) => ['steps', hand, n] as const)),
])('%s: every point is said, inside of the figure', (layout, drawn, n = layout === 'matrix' ? 4 : 5) => {
  const boxes = boxesOf(layout, n, drawn);
  const said = boxes.flatMap((box) =>
    box.kind === 'text' && box.free === true
      ? box.paras.flatMap((para) => (para.part === null ? [] : [runsText(para.runs)]))
      : [],
  );
  for (const name of NAMES.slice(0, n)) expect(said.filter((text) => text === name)).toHaveLength(1);
  for (const box of boxes)
    if (box.kind === 'shape') {
      const { frame, rect } = box;
      expect(rect.x).toBeGreaterThanOrEqual(frame.x - 2);
      expect(rect.y).toBeGreaterThanOrEqual(frame.y - 2);
      expect(rect.x + rect.width).toBeLessThanOrEqual(frame.x + frame.width + 2);
      expect(rect.y + rect.height).toBeLessThanOrEqual(frame.y + frame.height + 2);
      expect(rect.width).toBeGreaterThan(0);
      expect(rect.height).toBeGreaterThan(0);
    }
});

describe('a picture in its frame', () => {
  const frame = frameIn(theme, 'picture', 'picture');
  const ratio = frame.width / frame.height;
  const size = { width: 300, height: 300 };
  const own = { id: 'a' as never, mime: 'image/png', ...size } as const;
  const placed = (dress: Partial<PictureDress>) =>
    pictureBoxes(
      {
        kind: 'picture',
        id: 'p' as never,
        blocks: [],
        picture: own.id,
        own,
        alt: null,
        dress: { ...PLAIN_DRESS, ...dress },
      },
      'picture',
      'picture',
      { theme, full: 'continue', pictures: new Map(), language: 'en' },
    )[0] as PictureBox;
  /** Width to height of what is seen. */
  const seen = ([left, top, right, bottom]: readonly number[]): number => (1 - left! - right!) / (1 - top! - bottom!);

  test('that shows all of it has its own proportions, in the middle', () => {
    const { rect, cut } = placed({});
    const side = Math.min(frame.width, frame.height);
    expect(cut).toEqual([0, 0, 0, 0]);
    expect([near(rect.width, side), near(rect.height, side)]).toEqual([true, true]);
    expect(near(rect.x - frame.x, frame.x + frame.width - rect.x - rect.width)).toBe(true);
    expect(near(rect.y - frame.y, frame.y + frame.height - rect.y - rect.height)).toBe(true);
    const cropped = placed({ crop: [0.2, 0, 0.3, 0] });
    expect(cropped.rect.width / cropped.rect.height).toBeCloseTo(0.5);
    expect(cropped.cut).toEqual([0.2, 0, 0.3, 0]);
  });
  test('that is filled shows as much as has the frame’s proportions', () => {
    const { rect, cut } = placed({ as: 'fill' });
    expect([rect.width, rect.height]).toEqual([frame.width, frame.height]);
    expect(ratio).toBeGreaterThan(1);
    expect(seen(cut)).toBeCloseTo(ratio);
    expect([cut[0], cut[2]]).toEqual([0, 0]);
    expect(cut[1]).toBeCloseTo(cut[3]);
  });
  test('around what must stay in sight, as far as the picture goes, and never what was cropped', () => {
    expect(placed({ as: 'fill', focus: [0.5, 0] }).cut[1]).toBe(0);
    expect(placed({ as: 'fill', focus: [0.5, 1] }).cut[3]).toBeCloseTo(0);
    const crop = [0.1, 0.2, 0.1, 0.1] as const;
    for (const at of [0, 0.5, 1]) {
      const { cut } = placed({ as: 'fill', crop, focus: [at, at] });
      expect(seen(cut)).toBeCloseTo(ratio);
      cut.forEach((edge, i) => expect(edge).toBeGreaterThanOrEqual(crop[i]! - 1e-9));
    }
  });
});

test('capitals keep their places: a letter that would become two stays', () => {
  expect(capitals('The straße – ﬁn é')).toBe('THE STRAßE – ﬁN É');
});

describe('a caption', () => {
  const picture = {
    kind: 'picture',
    id: 'p' as never,
    blocks: [],
    picture: 'own' as never,
    alt: null,
    caption: plain('The wheel, seen from the pit at low water, before the floats were taken off'),
  } as const;
  const own: Picture = { id: 'own' as never, mime: 'image/png', width: 800, height: 600 };
  const options = { full: 'continue', pictures: new Map([[own.id, own]]) } as const;

  const { caption: _, ...bareOne } = picture;

  test.each(THEMES.map((theme) => [theme.name, theme] as const))(
    'stands below its picture in %s, and both inside',
    (_, theme) => {
      for (const layout of ['picture', 'picture-right', 'picture-left', 'picture-top', 'picture-bleed'] as const) {
        const [shown, below] = pictureBoxes(picture, layout, 'picture', { ...options, theme });
        const [bare] = pictureBoxes(bareOne, layout, 'picture', {
          ...options,
          theme,
        });
        if (shown?.kind !== 'picture' || below?.kind !== 'text' || bare?.kind !== 'picture')
          throw new TypeError(layout);
        expect(below.frame.y).toBeGreaterThanOrEqual(shown.rect.y + shown.rect.height);
        expect(below.frame.y + below.frame.height).toBeLessThanOrEqual(
          Math.max(bare.frame.y + bare.frame.height, theme.size.height),
        );
        expect(below.paragraphs[0]!.lines.length).toBeGreaterThan(0);
        expect(below.paragraphs[0]!.size).toBeGreaterThanOrEqual(12);
        expect(shown.rect.height).toBeGreaterThan(bare.rect.height * 0.5);
      }
    },
  );
});
