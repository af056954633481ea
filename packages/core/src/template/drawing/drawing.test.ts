/** What a template draws is drawn as its standard says: places, outlines, shades, pictures, words. */
import { describe, expect, test } from '@jest/globals';
import { drawOwnSlide } from '../../pipeline/index.ts';
import { at, gradient, libraryTemplate, paintedTemplate, shape } from '../../test/foreign-templates.ts';
import { templateOf, usualTemplate } from '../../../../demo/src/templates.ts';
import {
  colorsBehind,
  layoutNamed,
  plainLook,
  type BackdropItem,
  type BackdropShape,
  type PictureColors,
  type Rect,
} from '../../theme/index.ts';
import { readTemplate } from '../read-template.ts';
import type { TemplateModel } from '../template-model.ts';
import { templateTheme } from '../template-theme.ts';
import { outlinePaths } from './guides.ts';
import { presetOutline } from './presets.ts';

const EMU = 12_700;
/** What is drawn of some shapes on a layout, in a file of 1000 by 500 points. */
function drawn(shapes: string, more: { readonly fills?: string } = {}): readonly BackdropItem[] {
  const size = [(1000 / 72) * 100, (500 / 72) * 100] as const;
  const layouts = [{ name: 'one', phs: [{ type: 'title', box: [10, 10, 100, 50] as const }], extra: shapes }];
  const colors = { dk1: '000000', lt1: 'FFFFFF', accent1: 'FF0000', accent2: '0000FF' };
  const { model } = readTemplate(
    templateOf({ size, masters: [{ name: 'm', colors, fonts: ['Arial', 'Arial'], phs: [], layouts, ...more }] }),
  );
  return model.layouts[0]!.backdrop;
}
const place = (x: number, y: number, width: number, height: number, more = ''): string =>
  at(x * EMU, y * EMU, width * EMU, height * EMU, more);
const preset = (name: string, adjust = ''): string =>
  `<a:prstGeom prst="${name}"><a:avLst>${adjust}</a:avLst></a:prstGeom>`;
const RED = '<a:solidFill><a:schemeClr val="accent1"/></a:solidFill>';
const only = (items: readonly BackdropItem[]): BackdropShape => {
  expect(items).toHaveLength(1);
  return items[0] as BackdropShape;
};

describe('places', () => {
  test('a shape stands where it says; turned by a right angle it stands on its side', () => {
    expect(only(drawn(shape(place(100, 50, 200, 100) + preset('rect') + RED))).box).toEqual([100, 50, 200, 100]);
    const turned = only(drawn(shape(place(100, 50, 200, 100, ' rot="5400000"') + preset('rect') + RED)));
    expect(turned.box).toEqual([150, 0, 100, 200]);
  });

  test('a flipped one points the other way', () => {
    const triangle = (more: string): string =>
      only(drawn(shape(place(0, 0, 100, 100, more) + preset('rtTriangle') + RED))).d;
    expect(triangle('')).toBe('M0 100L0 0 100 100Z');
    expect(triangle(' flipH="1"')).toBe('M100 100L100 0 0 100Z');
    expect(triangle(' flipV="1"')).toBe('M0 0L0 100 100 0Z');
  });

  test('within groups lengths are the group’s, and groups stand within groups', () => {
    const group = (inner: string, xfrm: string): string =>
      `<p:grpSp><p:nvGrpSpPr><p:cNvPr id="70" name=""/><p:cNvGrpSpPr/><p:nvPr/></p:nvGrpSpPr><p:grpSpPr><a:xfrm>${xfrm}</a:xfrm></p:grpSpPr>${inner}</p:grpSp>`;
    const xfrm = `<a:off x="${100 * EMU}" y="${100 * EMU}"/><a:ext cx="${200 * EMU}" cy="${100 * EMU}"/><a:chOff x="${10 * EMU}" y="0"/><a:chExt cx="${400 * EMU}" cy="${400 * EMU}"/>`;
    const inside = shape(place(10, 200, 400, 200) + preset('rect') + RED);
    expect(only(drawn(group(inside, xfrm))).box).toEqual([100, 150, 200, 50]);
    const plain = `<a:off x="0" y="0"/><a:ext cx="${1000 * EMU}" cy="${500 * EMU}"/><a:chOff x="0" y="0"/><a:chExt cx="${2000 * EMU}" cy="${1000 * EMU}"/>`;
    expect(only(drawn(group(group(inside, xfrm), plain))).box).toEqual([50, 75, 100, 25]);
  });

  test('what is hidden, and what is there to be filled, is not drawn', () => {
    const hidden = shape(place(0, 0, 10, 10) + preset('rect') + RED).replace('name="Form"', 'name="Form" hidden="1"');
    expect(drawn(hidden)).toEqual([]);
    expect(drawn('')).toEqual([]);
  });
});

describe('outlines', () => {
  const bounds = (d: string): readonly number[] => {
    const numbers = d
      .replace(/A[\d.]+ [\d.]+ \d+ \d \d /g, 'L')
      .match(/-?\d+(?:\.\d+)?/g)!
      .map(Number);
    const [xs, ys] = [numbers.filter((_, i) => i % 2 === 0), numbers.filter((_, i) => i % 2 === 1)];
    return [Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)];
  };

  test.each([
    ...[
      'rect',
      'roundRect',
      'ellipse',
      'triangle',
      'diamond',
      'hexagon',
      'octagon',
      'homePlate',
      'chevron',
      'rightArrow',
    ],
    ...['leftArrow', 'upArrow', 'downArrow', 'leftRightArrow', 'plus', 'frame', 'donut', 'trapezoid', 'parallelogram'],
    ...['pentagon', 'star5', 'snip1Rect', 'round2SameRect', 'round2DiagRect', 'halfFrame', 'corner'],
  ])('%s fills its place and does not leave it', (name) => {
    const [{ d }] = outlinePaths(presetOutline(name)!, 200, 100) as unknown as [{ d: string }];
    expect(d).toMatch(/^M/);
    expect(d).not.toContain('NaN');
    expect(bounds(d).map(Math.round)).toEqual([0, 0, 200, 100]);
  });

  test('adjustments are the shape’s own', () => {
    const tip = (adjust?: string): string =>
      outlinePaths(presetOutline('triangle')!, 100, 100, adjust === undefined ? [] : [['adj', `val ${adjust}`]])[0]!.d;
    expect(tip()).toContain('L50 0');
    expect(tip('100000')).toContain('L100 0');
    expect(tip('900000')).toContain('L100 0');
  });

  test('an arc by angles ends where they say', () => {
    const [{ d }] = outlinePaths(
      {
        adjustments: [],
        guides: [],
        paths: [
          {
            filled: true,
            stroked: true,
            steps: [
              ['M', 'r', 'vc'],
              ['A', 'wd2', 'hd2', '0', 'cd4'],
            ],
          },
        ],
      },
      200,
      100,
    ) as unknown as [{ d: string }];
    expect(d).toBe('M200 50A100 50 0 0 1 100 100');
  });

  test('free outlines are drawn in their own lengths; odd formulas and numbers do no harm', () => {
    const own = (path: string, guides = ''): string =>
      `<a:custGeom><a:avLst/><a:gdLst>${guides}</a:gdLst><a:pathLst>${path}</a:pathLst></a:custGeom>`;
    const path =
      '<a:path w="10" h="10"><a:moveTo><a:pt x="0" y="0"/></a:moveTo><a:lnTo><a:pt x="10" y="5"/></a:lnTo><a:lnTo><a:pt x="0" y="10"/></a:lnTo><a:close/></a:path>';
    expect(only(drawn(shape(place(100, 0, 200, 100) + own(path) + RED))).d).toBe('M100 0L300 50 100 100Z');
    const odd =
      '<a:path><a:moveTo><a:pt x="g" y="nothing"/></a:moveTo><a:lnTo><a:pt x="w" y="h"/></a:lnTo><a:arcTo wR="0" hR="1" stAng="x" swAng="1"/></a:path>';
    const guide = '<a:gd name="g" fmla="*/ 1 1 0"/><a:gd name="h2" fmla="what 1"/>';
    expect(only(drawn(shape(place(0, 0, 200, 100) + own(odd, guide) + RED))).d).toBe('M0 0L200 100');
  });

  test('a shape that is not known is drawn as a box, and told', () => {
    const model = readTemplate(
      templateOf({
        size: [1000, 750],
        masters: [
          {
            name: 'm',
            colors: {},
            fonts: ['Arial', 'Arial'],
            phs: [],
            extra: shape(place(0, 0, 9, 9) + preset('gear9') + RED),
            layouts: [{ name: 'a', phs: [] }],
          },
        ],
      }),
    ).model;
    expect(model.undrawn).toBe(1);
    expect(model.layouts[0]!.backdrop).toMatchObject([{ kind: 'shape', box: [0, 0, 9, 9] }]);
  });
});

describe('paint', () => {
  test('colours of the theme, with what changes them, and how much is seen', () => {
    const fill = (inner: string): string | undefined => {
      const item = only(drawn(shape(place(0, 0, 9, 9) + preset('rect') + `<a:solidFill>${inner}</a:solidFill>`)));
      return `${item.fill as string} ${item.opacity}`;
    };
    expect(fill('<a:schemeClr val="accent1"/>')).toBe('FF0000 1');
    expect(fill('<a:schemeClr val="accent1"><a:alpha val="40000"/></a:schemeClr>')).toBe('FF0000 0.4');
    expect(fill('<a:schemeClr val="accent1"><a:lumMod val="50000"/></a:schemeClr>')).toBe('800000 1');
    expect(fill('<a:schemeClr val="accent1"><a:satMod val="0"/></a:schemeClr>')).toBe('808080 1');
    expect(fill('<a:prstClr val="dkBlue"/>')).toBe('00008B 1');
    expect(fill('<a:scrgbClr r="100%" g="0" b="0"/>')).toBe('FF0000 1');
    expect(fill('<a:hslClr hue="14400000" sat="100000" lum="50000"/>')).toBe('0000FF 1');
  });

  test('a shade runs along its angle, from edge to edge', () => {
    const shaded = (angle: number) =>
      only(drawn(shape(place(100, 0, 200, 100) + preset('rect') + gradient('accent1', 'accent2', angle)))).fill;
    expect(shaded(0)).toMatchObject({
      from: [100, 50],
      to: [300, 50],
      stops: [{ color: 'FF0000' }, { color: '0000FF' }],
    });
    const down = shaded(5_400_000) as unknown as { from: number[]; to: number[] };
    expect([...down.from, ...down.to].map((one) => Math.round(one) + 0)).toEqual([200, 0, 200, 100]);
  });

  test('styles of the theme paint what a shape says by reference', () => {
    const fills = `<a:solidFill><a:schemeClr val="phClr"/></a:solidFill><a:solidFill><a:schemeClr val="phClr"><a:lumMod val="50000"/></a:schemeClr></a:solidFill>${gradient('phClr', 'bg1')}`;
    const styled = shape(place(0, 0, 9, 9) + preset('rect')).replace(
      '<p:txBody>',
      '<p:style><a:lnRef idx="0"><a:schemeClr val="accent1"/></a:lnRef><a:fillRef idx="2"><a:schemeClr val="accent1"/></a:fillRef><a:effectRef idx="0"><a:schemeClr val="accent1"/></a:effectRef><a:fontRef idx="minor"/></p:style><p:txBody>',
    );
    expect(only(drawn(styled, { fills })).fill).toBe('800000');
    expect(only(drawn(styled.replace('fillRef idx="2"', 'fillRef idx="3"'), { fills })).fill).toMatchObject({
      stops: [{ color: 'FF0000' }, { color: 'FFFFFF' }],
    });
  });

  test('lines have their width, colour and dashes', () => {
    const line = `<a:noFill/><a:ln w="${2 * EMU}"><a:solidFill><a:srgbClr val="123456"/></a:solidFill><a:prstDash val="dash"/></a:ln>`;
    expect(only(drawn(shape(place(0, 0, 90, 90) + preset('rect') + line)))).toMatchObject({
      fill: null,
      stroke: '123456',
      strokeWidth: 2,
      dashes: '8 6',
    });
  });
});

test('words of a shape stand within it, broken into lines', () => {
  const items = drawn(shape(place(100, 100, 60, 200) + preset('rect'), 'many words that want several lines'));
  const texts = items.flatMap((item) => (item.kind === 'text' ? [item] : []));
  expect(texts.length).toBeGreaterThan(2);
  expect(texts.map(({ text }) => text).join(' ')).toBe('many words that want several lines');
  for (const { x, y, size } of texts) {
    expect([x >= 100, x < 160, y > 100, y < 300, size]).toEqual([true, true, true, true, 10]);
  }
});

describe('what is behind', () => {
  const rect = (x: number, y: number, width: number, height: number): Rect =>
    ({ x: x * EMU, y: y * EMU, width: width * EMU, height: height * EMU }) as Rect;
  const none = (): undefined => undefined;

  test('is the topmost colour; what is seen through is mixed; outside of an outline the ground is seen', () => {
    const items = drawn(shape(place(0, 0, 500, 500) + preset('rect') + RED));
    expect(new Set(colorsBehind(rect(0, 0, 400, 400), items, 'FFFFFF', none))).toEqual(new Set(['FF0000']));
    expect(new Set(colorsBehind(rect(0, 0, 1000, 400), items, 'FFFFFF', none))).toEqual(new Set(['FF0000', 'FFFFFF']));
    const through = RED.replace('/></a:solidFill>', '><a:alpha val="50000"/></a:schemeClr></a:solidFill>');
    const mixed = drawn(shape(place(0, 0, 500, 500) + preset('rect') + through));
    expect(colorsBehind(rect(10, 10, 9, 9), mixed, 'FFFFFF', none)[0]).toBe('FF8080');
    const round = drawn(shape(place(0, 0, 500, 500) + preset('ellipse') + RED));
    expect(colorsBehind(rect(1, 1, 20, 20), round, 'FFFFFF', none)).not.toContain('FF0000');
    expect(new Set(colorsBehind(rect(150, 150, 200, 200), round, 'FFFFFF', none))).toEqual(new Set(['FF0000']));
  });

  test('of a picture is what its host saw in it', () => {
    const { model } = readTemplate(paintedTemplate());
    const [cover] = model.layouts;
    const picture = cover!.backdrop.find((item) => item.kind === 'picture')!;
    const colors: PictureColors = { columns: 2, colors: ['0C1E28', 'FFFFFF'] };
    const seen = (x: number) => new Set(colorsBehind(rect(x, 100, 100, 100), [picture], '999999', () => colors));
    expect([seen(20), seen(400)]).toEqual([new Set(['0C1E28']), new Set(['FFFFFF'])]);
  });

  test('decides the colour of text: on a dark picture it is light, in a colour of the theme', () => {
    const { model } = readTemplate(paintedTemplate());
    const picture = model.pictures[0]!.id;
    const themeOf = (color: string) =>
      templateTheme(
        { ...model, colors: { [picture]: { columns: 1, colors: [color] } } } as TemplateModel,
        { hash: color, fileName: 't.pptx', layouts: {}, keep: 'none' },
        plainLook('millrace'),
      );
    const title = (color: string): readonly [says: boolean, color: string] => {
      const { frames, colors } = layoutNamed(themeOf(color), 'cover');
      const frame = frames.find(({ role }) => role === 'title')!;
      return [frame.says === true, frame.style.paint ?? colors!.inks[frame.style.color]];
    };
    // The template's own is a dark blue.
    expect(title('0C1E28')).toEqual([true, 'FFFFFF']);
    expect(title('F8F8F0')).toEqual([false, '1C4E63']);
  });
});

describe('a file’s own slides', () => {
  const slides = (bytes: Uint8Array) => readTemplate(bytes, { slides: true }).model;
  const words = (model: TemplateModel, i: number): readonly string[] =>
    drawOwnSlide(model, i)!.backdrop.flatMap((item) => (item.kind === 'text' ? [item.text] : []));

  test('are drawn over their layouts, words in the places and the look of their placeholders', () => {
    const model = slides(paintedTemplate());
    expect(words(model, 0)).toEqual([
      'Mühlenverein Sallow Quay',
      'Was die Flut leistet',
      '•',
      'Zwei Tiden am Tag',
      '•',
      'je sechs Stunden',
    ]);
    const title = drawOwnSlide(model, 0)!.backdrop.find((item) => item.kind === 'text' && item.size === 36);
    expect(title).toMatchObject({ bold: true, color: '1C4E63', family: 'Gelasio' });
  });

  test('with a ground of their own they have none of the layout’s', () => {
    const [first] = drawOwnSlide(slides(paintedTemplate()), 1)!.backdrop as readonly BackdropShape[];
    expect(first!.fill).toMatchObject({ stops: [{ color: '1C4E63' }, { color: 'F4D35E' }] });
  });

  test('of another library, with tables, charts and turned shapes, are drawn too', async () => {
    const model = slides(await libraryTemplate());
    expect(model.slides).toBe(3);
    expect(words(model, 1)).toEqual(expect.arrayContaining(['What came in', 'Boat', 'Load', 'Sprat', '12']));
    expect(words(model, 2)).toContain('How much');
  });

  test('are not drawn where nobody asks', () => {
    const { model } = readTemplate(usualTemplate());
    expect(model.drawings).toBeUndefined();
    expect(drawOwnSlide(model, 0)).toBeNull();
  });
});
