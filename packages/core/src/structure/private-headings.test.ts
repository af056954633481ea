/** Parts that are not for the audience are known by their headings, in eight languages and two scripts more. */
import { expect, test } from '@jest/globals';
import { doc, h, li, p } from '../test/build.ts';
import { isPrivate, privateHeadings } from './private-headings.ts';

test.each([
  'Notes for the presenter',
  'Instructor notes',
  "Speaker's notes",
  'For the chair only',
  '3.2 Teacher notes',
  'Confidential',
  'Notizen für die Dozentin',
  'Referentennotizen',
  'Vertraulich',
  'Notes pour l’intervenant',
  'Notas para el ponente',
  'Note per il relatore',
  'Notas para o professor',
  'Notities voor de docent',
  'Заметки докладчика',
  '発表者ノート',
  '讲师备注',
])('%s', (title) => expect(isPrivate(title)).toBe(true));

test.each([
  'Private gardens of the quay',
  'The presenter',
  'Notes',
  'Interne Prüfung der Schleusen',
  'The speaker of the house spoke for long',
])('not %s', (title) => expect(isPrivate(title)).toBe(false));

test('one within another is part of it', () => {
  const document = doc(
    h(1, 'Gates'),
    li('a'),
    h(2, 'Speaker notes'),
    p('b'),
    h(3, 'Confidential'),
    p('c'),
    h(1, 'Confidential'),
    p('d'),
  );
  expect(privateHeadings(document).map(({ id }) => id)).toEqual([document.blocks[2]!.id, document.blocks[6]!.id]);
});
