import { expect, test } from '@jest/globals';
import { DIAGNOSTIC_TEXTS, diagnosticText, type DiagnosticCode } from './diagnostic-text.ts';

test('a code and its parameters are a sentence', () => {
  const params = { name: 'a.svg', type: 'SVG' };
  expect(diagnosticText({ code: 'picture-type', params })).toBe(
    'The picture a.svg is SVG; PNG, JPEG and GIF can be shown.',
  );
  expect(diagnosticText({ code: 'row-deleted', params: { text: '$1 {text}' } })).toBe(
    'A row of a table that was tracked as deleted was left out: “$1 {text}”.',
  );
});

test.each(Object.keys(DIAGNOSTIC_TEXTS) as DiagnosticCode[])('%s is a sentence that ends', (code) => {
  expect(DIAGNOSTIC_TEXTS[code]).toMatch(/^[“{A-Z].*(?:\.|\})$/);
});
