import { expect, test } from '@jest/globals';
import type { Edit, LevelMap, SlideId } from '@alvex/core';
import { editText } from './edit-text.ts';

const runs = [{ text: 'Two  tides\na day' }];
const slides = ['s1', 's2'] as SlideId[];
const [slide] = slides as [SlideId];
const id = 'p1' as never;
const map = {} as LevelMap;
const CASES: readonly (readonly [Edit, string])[] = [
  [{ kind: 'map', name: 'talk', map }, 'Map: Spoken talk'],
  [{ kind: 'map', name: null, map }, 'Map changed by hand'],
  [{ kind: 'prose', prose: { as: 'whole' } }, 'Body text: whole'],
  [{ kind: 'prose', prose: { as: 'first' } }, 'Body text: first sentences as points'],
  [{ kind: 'prose', prose: { as: 'short', density: 'half' } }, 'Body text: half of the words'],
  [
    { kind: 'branch', block: 'h' as never, text: 'body', to: 'slide' },
    'Below “The gates”: body text to text on the slide',
  ],
  [{ kind: 'branch', block: 'h' as never, text: 'table', to: null }, 'Below “The gates”: tables as the map says'],
  [{ kind: 'theme', theme: 'slipway' }, 'Theme: Slipway'],
  [{ kind: 'palette', palette: null }, 'Palette: the theme’s own'],
  [{ kind: 'palette', palette: { from: 'theme', name: 'clay' } }, 'Palette: Clay'],
  [
    { kind: 'palette', palette: { from: 'colors', colors: ['AA3300'], scheme: 'near', paper: 'warm' } },
    'Palette: made of #AA3300',
  ],
  [{ kind: 'mode', dark: true }, 'Dark'],
  [{ kind: 'fonts', pair: 'common-plain' }, 'Fonts: Arial'],
  [{ kind: 'type', role: 'title', rule: { caps: true } }, 'One rule for all titles'],
  [{ kind: 'type', role: 'points', rule: null }, 'All points as the theme'],
  [{ kind: 'template', template: null }, 'No template'],
  [{ kind: 'arrange', layouts: [] }, 'Layouts as usual'],
  [{ kind: 'layout', slides, layout: 'icon-grid' }, '2 slides: Grid with icons'],
  [{ kind: 'layout', slides, layout: null }, '2 slides: layout as usual'],
  [{ kind: 'colors', slides, palette: null, dark: true }, '2 slides: colours of their own'],
  [{ kind: 'icon', part: id, icon: { name: 'wheel', paths: ['M0 0'] } }, 'Icon “wheel”'],
  [{ kind: 'chart', part: id, chart: null }, 'A chart made a table again'],
  [{ kind: 'frame', part: id, dress: null }, 'A picture in its frame'],
  [{ kind: 'alt', part: id, alt: 'A pond' }, 'Description “A pond”'],
  [{ kind: 'drop', part: id }, 'A picture taken off'],
  [{ kind: 'full', rule: 'notes' }, 'A slide that holds too much: its running text spoken'],
  [{ kind: 'fullAt', slides, rule: 'shorten' }, '2 slides, too full: shortened'],
  [{ kind: 'fullAt', slides: [slide], rule: null }, '1 slide: too full, as the deck’s rule says'],
  [{ kind: 'matter', part: 'key-points', on: true }, 'Key points added'],
  [{ kind: 'matter', part: 'agenda', on: false }, 'Agenda left off'],
  [{ kind: 'target', target: { unit: 'minutes', amount: 15 } }, 'Target: 15 minutes'],
  [{ kind: 'target', target: null }, 'No target'],
  [{ kind: 'pace', rate: 120 }, '120 words a minute'],
  [{ kind: 'take', take: 't', settings: null }, 'A take deleted'],
  [{ kind: 'breaks', start: true }, 'Separators start slides'],
  [{ kind: 'turn', block: 'h' as never, to: 'out' }, 'Mark turned to left out “The gates”'],
  [{ kind: 'turn', block: 'gone' as never, to: null }, 'Mark given back to the map'],
  [{ kind: 'cut', block: 'gone' as never }, 'Split before a passage'],
  [{ kind: 'join', block: 'h' as never }, 'Joined with the slide above “The gates”'],
  [{ kind: 'retitle', slide, runs }, 'Title “Two tides a day”'],
  [{ kind: 'reword', part: 'p' as never, runs: [] }, 'A point taken off'],
  [{ kind: 'renote', slide, replaces: [], anchor: null, notes: [] }, 'Notes taken out'],
  [{ kind: 'order', slides, before: null }, '2 slides moved'],
  [{ kind: 'remove', slides: [slide] }, '1 slide taken out'],
  [{ kind: 'restore', slides }, '2 slides brought back'],
  [{ kind: 'hide', slides: [slide], hidden: false }, '1 slide shown again'],
  [{ kind: 'accept', slide, remark: 'bare', accepted: true }, 'A remark left as it is'],
  [{ kind: 'accept', slide, remark: 'bare', accepted: false }, 'A remark made again'],
  [
    { kind: 'accept', slide: null, remark: 'bare', accepted: true },
    'Remarks of one kind left as they are, on all slides',
  ],
  [{ kind: 'accept', slide: null, remark: 'bare', accepted: false }, 'Remarks of one kind made again'],
  [{ kind: 'rehearse', id: 'r', rehearsal: { began: '', seconds: [], stumbled: [] } }, 'A rehearsal kept'],
  [{ kind: 'rehearse', id: 'r', rehearsal: null }, 'A rehearsal put away'],
  [{ kind: 'duplicate', slide, as: slide }, 'A slide copied'],
  [{ kind: 'add', slide, after: null, title: runs }, 'Slide “Two tides a day” added'],
  [{ kind: 'insert', slide, part: 'p' as never, after: null, level: 1, runs }, 'Point “Two tides a day” added'],
  [{ kind: 'carry', parts: ['p' as never], to: slide, before: null }, '1 part moved'],
  [{ kind: 'level', parts: ['p' as never, 'q' as never], by: -1 }, '2 points moved out'],
  [{ kind: 'speak', parts: ['p' as never] }, '1 part spoken instead of shown'],
  [{ kind: 'split', slide, part: 'p' as never, as: slide }, 'A slide split'],
  [{ kind: 'merge', slide, into: slide }, 'A slide put on the one above'],
  [{ kind: 'shape', shapes: [{ block: id, as: { kind: 'paragraph' } }] }, '1 line made another kind of text'],
  [{ kind: 'move', blocks: [id], before: null }, 'A branch moved'],
  [{ kind: 'leave', blocks: [id], as: 'deleted' }, '1 passage left out'],
  [{ kind: 'keep', blocks: [id, id] }, '2 passages brought back'],
  [{ kind: 'describe', block: id, alt: 'The pond' }, 'Description “The pond”'],
  [
    { kind: 'edition', original: 'a', type: 'docx', fileName: 'b.docx', ids: [] },
    'New edition of the document: b.docx',
  ],
  [{ kind: 'all', edits: [] }, 'Nothing'],
  [
    {
      kind: 'all',
      edits: [
        { kind: 'cut', block: 'h' as never },
        { kind: 'breaks', start: true },
      ],
    },
    'Split before “The gates” and 1 more',
  ],
];

test.each(CASES)('%j', (edit, text) =>
  expect(editText(edit, (block) => (block === 'h' ? 'The gates' : undefined))).toBe(text),
);

test('a long text is cut', () => {
  const text = editText({ kind: 'retitle', slide, runs: [{ text: 'word '.repeat(60) }] });
  expect(text).toMatch(/^Title “word .* …”$/);
  expect(text.length).toBeLessThan(90);
});
