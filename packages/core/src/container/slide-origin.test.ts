/** Slides that were made here are known again, and whether their words were changed since. */
import { describe, expect, test } from '@jest/globals';
import { originMark, originOf } from './slide-origin.ts';
import { parseXmlTree } from './xml-tree.ts';

const P = 'http://schemas.openxmlformats.org/presentationml/2006/main';
const A = 'http://schemas.openxmlformats.org/drawingml/2006/main';

describe('the mark of a slide that was made here', () => {
  const body = (text: string, number = '1') =>
    `<p:cSld><a:t>Tide &amp; mill</a:t><a:fld><a:t>${number}</a:t></a:fld><a:t>${text}</a:t></p:cSld>`;
  const slide = (made: string, now: string): string =>
    `<p:sld xmlns:p="${P}" xmlns:a="${A}">${now}${originMark('plan & "notes".docx', made)}</p:sld>`;
  const origin = (made: string, now: string) => originOf(parseXmlTree(slide(made, now)));

  test('names its document, and tells whether words were changed since, not space or the number of the slide', () => {
    const document = 'plan & "notes".docx';
    expect(origin(body('x y'), body('x y'))).toEqual({ document, changed: false });
    expect(origin(body('x y'), body('xy', '7'))).toEqual({ document, changed: false });
    expect(origin(body('x y'), body('x z'))).toEqual({ document, changed: true });
  });

  test('is not that of another program', () => {
    const plain = `<p:sld xmlns:p="${P}" xmlns:a="${A}">${body('x')}</p:sld>`;
    expect(originOf(parseXmlTree(plain))).toBeUndefined();
    expect(originOf(parseXmlTree(slide(body('x'), body('x')).replace('urn:alvex:slide', 'urn:other')))).toBeUndefined();
    expect(originOf(parseXmlTree(slide(body('x'), body('x')).replace(/uri="[^"]+"/, 'uri="{0}"')))).toBeUndefined();
  });
});
