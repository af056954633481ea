import { expect, test } from '@jest/globals';
import { DIAGNOSTIC_TEXTS, diagnosticText, type DiagnosticCode } from './diagnostic-text.ts';

test('a code and its parameters are a sentence', () => {
  const params = { name: 'a.svg', type: 'SVG' };
  expect(diagnosticText({ code: 'picture-type', params })).toBe(
    'The picture a.svg is SVG; PNG, JPEG and GIF can be shown.',
  );
  expect(diagnosticText({ code: 'running-head-left', params: { text: '$1 {text}', pages: 6 } })).toBe(
    '“$1 {text}”, at the edge of 6 pages, was left out.',
  );
});

test.each(Object.keys(DIAGNOSTIC_TEXTS) as DiagnosticCode[])('%s is a sentence that ends', (code) => {
  expect(DIAGNOSTIC_TEXTS[code]).toMatch(/^[“{A-Z].*(?:\.|\})$/);
});
