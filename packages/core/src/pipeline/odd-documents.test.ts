/** Documents of a few odd blocks, in every pair: each makes a deck from which nothing is lost, and sound files. */
import { expect, test } from '@jest/globals';
import { checkPackage } from '../../../package-check/src/index.ts';
import { PRESET_NAMES, presetRecipe } from '../mapping/index.ts';
import { code, doc, h, li, note, p, picture, quote, rule, table, type Draft } from '../test/build.ts';
import { beginning } from './beginning.ts';
import { convert } from './convert.ts';
import { writeDeck } from './write-deck.ts';

const ODD: Readonly<Record<string, Draft>> = {
  'empty heading': h(1, ''),
  'blank heading': h(3, ' '),
  'deep heading': h(6, 'Deep'),
  'empty paragraph': p(''),
  'lines of nothing': p('\n\n'),
  title: p('Title', 'title'),
  'empty title': p('', 'title'),
  subtitle: p('Subtitle', 'subtitle'),
  'line of contents': p('Gates ... 2', 'contents'),
  'empty item': li(''),
  'deep item': li('Deep', 9),
  'item with a great number': li('Item', 1, 999_999),
  'empty quotation': quote(''),
  'empty code': code(''),
  'table of nothing': { kind: 'table', table: { columns: 0, rows: [] } },
  'empty table': table([['']]),
  'table of a head': table([['a', 'b']]),
  'picture that is gone': picture(undefined),
  'picture that says what is gone': picture(undefined, 'A pond'),
  'picture of which no byte is there': picture('a'.repeat(64), 'A pond'),
  'note alone': note('Note'),
  'empty note': note(''),
  separator: rule(),
  'page break': { kind: 'break', type: 'page' },
  'text that is left out': { ...p('Gone'), left: 'deleted' },
  'heading that is left out': { ...h(1, 'Gone'), left: 'deleted' },
};
const FORMATS = ['pptx', 'odp', 'docx', 'odt', 'md', 'html', 'txt', 'opml', 'csv'] as const;
const CHECKED: readonly string[] = ['pptx', 'odp', 'docx', 'odt'];

test.each(Object.keys(ODD))('%s, alone and beside every other', async (name) => {
  const beside: readonly (readonly Draft[])[] = [
    [],
    ...Object.values(ODD).map((other, i) => [other, i % 2 === 0 ? h(1, 'Gates') : p('Said.')]),
  ];
  for (const [i, others] of beside.entries()) {
    const document = doc(ODD[name]!, ...others);
    const told = [name, ...others.map(({ kind }) => kind)];
    const made = convert(document, beginning(document));
    expect([told, made.ledger.lost]).toEqual([told, 0]);
    // Each of the maps with some of them.
    const preset = PRESET_NAMES[i % PRESET_NAMES.length]!;
    expect(convert(document, [{ kind: 'map', name: preset, ...presetRecipe(preset, document) }]).ledger.lost).toBe(0);
    // Files take longer: of one of them for each block.
    if (i !== name.length % beside.length) continue;
    for (const format of FORMATS) {
      const bytes = writeDeck(format, made, [], { source: format !== 'txt' });
      if (CHECKED.includes(format)) expect([told, format, await checkPackage(bytes)]).toEqual([told, format, []]);
    }
  }
});
