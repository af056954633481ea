import { expect, test } from '@jest/globals';
import { strToU8, zipSync } from 'fflate';
import { docx, para } from '../test/docx.ts';
import { odt } from '../test/odt.ts';
import { pptx } from '../test/pptx.ts';
import { detectType } from './detect-type.ts';

const bytes = (text: string): Uint8Array => Uint8Array.from(text, (char) => char.charCodeAt(0));

test.each([
  ['docx', docx({ body: para('a') }), 'x.md'],
  ['odt', odt({ body: '' }), 'x.docx'],
  ['pptx', pptx({ slides: [] }), 'x.docx'],
  ['odp', odt({ body: '' }, 'presentation'), 'x.odt'],
  ['docx', bytes('\u00d0\u00cf\u0011\u00e0'), 'x.doc'],
  ['rtf', bytes('{\\rtf1 a}'), 'x.doc'],
  ['pdf', bytes('junk %PDF-1.4'), 'x'],
  ['opml', bytes('<?xml version="1.0"?>\n<opml version="1.0"/>'), 'x.xml'],
  ['opml', bytes('<?xml version="1.0"?>\n<!DOCTYPE opml SYSTEM "x.dtd">\n<opml version="1.0"/>'), 'x.xml'],
  [
    'html',
    bytes('<?xml version="1.0"?>\n<!DOCTYPE html PUBLIC "-//W3C//DTD XHTML 1.0 Strict//EN" "x">\n<html/>'),
    'x.xml',
  ],
  ['html', bytes('  <!DOCTYPE html><p>a'), 'x.txt'],
  ['html', bytes('Version:0.9\nStartHTML:00\n<html>'), 'x'],
  ['html', bytes('<p>a</p>'), 'x.html'],
  ['text', bytes('no element here'), 'x.html'],
  ['markdown', bytes('# A'), 'x.txt'],
  ['markdown', bytes('words'), 'x.md'],
  ['text', bytes('words'), 'x'],
  ['text', bytes('\u00ff\u00fea\u0000'), 'x'],
] as const)('%s is told by its content', (type, content, name) => expect(detectType(content, name)).toBe(type));

test.each([
  ['empty', bytes(''), 'x.md'],
  ['unknown-type', bytes('\u0089PNG\r\n'), 'x.png'],
  ['unknown-type', bytes('a\u0000b'), 'x.txt'],
  ['not-a-zip', bytes('words'), 'x.docx'],
  ['other-xml', bytes('<?xml version="1.0"?><book><title>a</title></book>'), 'x.xml'],
  ['other-xml', bytes('<!DOCTYPE book [<!ENTITY a "b">]>\n<book/>'), 'x.txt'],
  ['spreadsheet', zipSync({ mimetype: strToU8('application/vnd.oasis.opendocument.spreadsheet') }), 'x.odt'],
  ['wrong-type', zipSync({ mimetype: strToU8('application/epub+zip') }), 'x.odt'],
])('%s is said of what cannot be read', (code, content, name) =>
  expect(() => detectType(content, name)).toThrow(expect.objectContaining({ code })),
);
