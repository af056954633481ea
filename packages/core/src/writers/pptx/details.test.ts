/** Small parts of a presentation's XML: colours of a template that could not be read, where shapes have their text, lists that lose what they list. */
import { describe, expect, test } from '@jest/globals';
import { parseXmlTree, writeXmlTree } from '../../container/index.ts';
import type { ShapeBox } from '../../scene/index.ts';
import type { LayoutColors } from '../../theme/index.ts';
import { withMended } from './mended-colors.ts';
import { textRect } from './shapes.ts';
import { withoutSlides } from './without-slides.ts';

describe('colours of a template that could not be read', () => {
  const color = (name: string, from: string, factor: number, plus: number) => ({ name, from, factor, plus });
  const mended = {
    fills: [color('accent1', 'text', 0.5, 0.25)],
    inks: [color('accent2', 'ground', 1, 0), color('accent3', 'text', 0.75, 0)],
  } as unknown as NonNullable<LayoutColors['mended']>;
  const fill = (scheme: string, inner = ''): string =>
    `<a:solidFill><a:schemeClr val="${scheme}"${inner === '' ? '/>' : `>${inner}</a:schemeClr>`}</a:solidFill>`;
  const run = (scheme: string): string => `<a:rPr lang="en-GB">${fill(scheme)}</a:rPr>`;

  test('none, and nothing is changed', () => {
    const xml = fill('accent1') + run('accent2');
    expect(withMended(xml, undefined)).toBe(xml);
    expect(withMended(xml, { fills: [], inks: [] })).toBe(xml);
  });

  test('grounds have theirs and letters have theirs, each said by a colour that can be read', () => {
    expect(withMended(fill('accent1'), mended)).toBe(fill('tx1', '<a:lumMod val="50000"/><a:lumOff val="25000"/>'));
    expect(withMended(fill('accent2'), mended)).toBe(fill('accent2'));
    expect(withMended(run('accent2'), mended)).toBe(run('bg1'));
    expect(withMended(run('accent3'), mended)).toContain(fill('tx1', '<a:lumMod val="75000"/>'));
  });

  test('what is changed already stays, and what is changed otherwise keeps its own changes', () => {
    const changed = fill('accent1', '<a:lumMod val="40000"/>');
    expect(withMended(changed, mended)).toBe(changed);
    expect(withMended(fill('accent1', '<a:alpha val="40000"/>'), mended)).toMatch(
      /<a:lumMod val="50000"\/><a:lumOff val="25000"\/><a:alpha val="40000"\/><\/a:schemeClr>/,
    );
  });
});

describe('where a shape has its text', () => {
  const rect = { x: 1000, y: 2000, width: 9000, height: 3000 };
  const at = (geometry: string, more: object = {}) =>
    textRect({ geometry, rect, inset: 0, mirrored: false, ...more } as unknown as ShapeBox);
  // presetShapeDefinitions: homePlate, adj of its shorter side; its text ends halfway in the point.
  const depth = (() => {
    const { x, width } = at('chevron')!;
    expect(width).toBe(9000 - 2 * (x - 1000));
    return x - 1000;
  })();

  test('a tag: to the middle of its point, which is left where it is mirrored', () => {
    expect(at('tag')).toEqual({ x: 1000, y: 2000, width: 9000 - depth / 2, height: 3000 });
    expect(at('tag', { mirrored: true })).toEqual({
      x: 1000 + depth / 2,
      y: 2000,
      width: 9000 - depth / 2,
      height: 3000,
    });
  });

  test('an ellipse: within the largest rectangle of its own proportions', () => {
    const { x, y, width, height } = at('ellipse')!;
    expect([width, height]).toEqual([9000, 3000].map((side) => Math.round(side * Math.SQRT1_2)));
    expect([x - 1000, y - 2000]).toEqual([9000, 3000].map((side) => Math.round((side / 2) * (1 - Math.SQRT1_2))));
  });

  test('a trapezoid: below a third of its slope; a triangle has none', () => {
    expect(at('trapezoid', { inset: 0.25 })).toEqual({ x: 2500, y: 2500, width: 6000, height: 2500 });
    expect(at('triangle')).toBeNull();
  });
});

describe('without slides', () => {
  const without = (inner: string, shows: readonly string[] = []): string => {
    const root = parseXmlTree(
      `<p:presentation xmlns:p="urn:p" xmlns:r="urn:r" xmlns:a="urn:a">${inner}</p:presentation>`,
    );
    const left = withoutSlides(root, new Set(['rId2', 'rId3']), new Set(shows));
    return writeXmlTree(left).replace(/^.*?<p:presentation[^>]*>|<\/p:presentation>\s*$/gs, '');
  };

  test('a list that loses all that it lists goes, one that was empty before stays', () => {
    expect(without('<p:custShowLst/>')).toBe('<p:custShowLst/>');
    const show = (...ids: readonly string[]): string =>
      `<p:custShow name="A" id="0"><p:sldLst>${ids.map((id) => `<p:sld r:id="${id}"/>`).join('')}</p:sldLst></p:custShow>`;
    expect(without(`<p:custShowLst>${show('rId2', 'rId3')}</p:custShowLst>`)).toBe('');
    expect(without(`<p:custShowLst>${show('rId1', 'rId3')}</p:custShowLst>`)).toBe(
      `<p:custShowLst>${show('rId1')}</p:custShowLst>`,
    );
  });

  test('what leads to a show that is gone goes too', () => {
    const link = (id: number): string => `<a:hlinkClick r:id="" action="ppaction://customshow?id=${id}"/>`;
    expect(without(link(4) + link(5), ['4'])).toBe(link(5));
  });
});
