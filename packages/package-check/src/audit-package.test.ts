import { expect, test } from '@jest/globals';
import { convert, openDocument, writeDeck } from '@alvex/core';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { auditPackage, AUDIT_RULES, type AuditRule } from './index.ts';

const SOURCE = `---
title: The mill
lang: en-GB
---

# Gates

1. Oak [of the trust](https://example.org/)
2. Iron
3. Elm

# Guests

| Year | Grown |
| --- | --- |
| 2024 | 1,200 |
`;
const { document } = await openDocument(strToU8(SOURCE), 'markdown', {});
const plain = convert(document, []);
const gates = plain.deck.slides.find(({ content }) => content.length === 3)!;
const WRITTEN = writeDeck('pptx', convert(document, [{ kind: 'layout', slides: [gates.id], layout: 'cycle' }]), []);
const LISTED = writeDeck('pptx', convert(document, [{ kind: 'layout', slides: [gates.id], layout: 'points' }]), []);

/** The written deck with something done to every part whose name has a text. */
function changed(bytes: Uint8Array, part: string, from: string | RegExp, to: string): Uint8Array {
  let count = 0;
  const files = Object.entries(unzipSync(bytes)).map(([name, content]) => {
    if (!name.includes(part)) return [name, content] as const;
    const before = strFromU8(content);
    const after = before.replace(from, to);
    if (after !== before) count++;
    return [name, strToU8(after)] as const;
  });
  expect(count).toBeGreaterThan(0);
  return zipSync(Object.fromEntries(files));
}
const rulesIn = async (bytes: Uint8Array): Promise<readonly AuditRule[]> => [
  ...new Set((await auditPackage(bytes)).map(({ rule }) => rule)),
];

test('nothing is remarked of what we write', async () => {
  expect(await auditPackage(WRITTEN)).toEqual([]);
  expect(await auditPackage(LISTED)).toEqual([]);
});

const SLIDES = 'ppt/slides/slide';
const FAULTS: readonly (readonly [rule: AuditRule, bytes: () => Uint8Array])[] = [
  ['no-title', () => changed(WRITTEN, SLIDES, 'type="title"', 'type="body"')],
  ['repeated-title', () => changed(WRITTEN, SLIDES, '<a:t>Guests</a:t>', '<a:t>Gates</a:t>')],
  ['no-description', () => changed(WRITTEN, SLIDES, / descr="Guests[^"]*"/, '')],
  ['no-language', () => changed(WRITTEN, SLIDES, / lang="en-GB"/g, '')],
  ['color-by-value', () => changed(WRITTEN, SLIDES, '<a:schemeClr val="bg1"/>', '<a:srgbClr val="FFFFFF"/>')],
  ['small-type', () => changed(WRITTEN, SLIDES, / sz="\d{4}"/, ' sz="900"')],
  ['typed-number', () => changed(LISTED, SLIDES, /<a:buAutoNum[^>]*\/>(.*?)<a:t>/s, '$1<a:t>1. ')],
  ['plain-table', () => changed(WRITTEN, SLIDES, /<a:tableStyleId>.*?<\/a:tableStyleId>/, '')],
  ['loose-connector', () => changed(WRITTEN, SLIDES, /<a:stCxn [^>]*\/>/, '')],
  ['unused-relationship', () => changed(WRITTEN, SLIDES, /<a:hlinkClick r:id="[^"]*"\/>/, '')],
  ['unnamed-link', () => changed(WRITTEN, SLIDES, '<a:t>of the trust</a:t>', '<a:t>→</a:t>')],
  ['no-properties', () => changed(WRITTEN, 'docProps/core.xml', /<dc:title>.*<\/dc:title>/, '')],
  [
    'text-on-shape',
    () => {
      const shape = (id: number, box: string, body: string): string =>
        `<p:sp><p:nvSpPr><p:cNvPr id="${id}" name="S ${id}"/><p:cNvSpPr${box}/><p:nvPr/></p:nvSpPr><p:spPr><a:xfrm><a:off x="0" y="0"/><a:ext cx="900" cy="900"/></a:xfrm><a:prstGeom prst="rect"><a:avLst/></a:prstGeom></p:spPr>${body}</p:sp>`;
      const text = '<p:txBody><a:bodyPr/><a:p><a:r><a:rPr lang="en-GB"/><a:t>Oak</a:t></a:r></a:p></p:txBody>';
      return changed(WRITTEN, SLIDES, '</p:grpSp>', `${shape(901, '', '')}${shape(902, ' txBox="1"', text)}</p:grpSp>`);
    },
  ],
];

test('there is a fault for each rule', () => {
  expect(FAULTS.map(([rule]) => rule).sort()).toEqual([...AUDIT_RULES].sort());
});

test.each(FAULTS)('%s is remarked, and alone', async (rule, bytes) => {
  expect(await rulesIn(bytes())).toEqual([rule]);
});

test('what is no presentation is no matter for it', async () => {
  await expect(auditPackage(strToU8('no archive'))).rejects.toThrow();
});
