/** What Check remarks of whole decks and of slides at the edge of each rule, and what it proposes: the golden files say it. */
import { test } from '@jest/globals';
import { join } from 'node:path';
import { plain, runsText } from '../content/index.ts';
import { DENSITIES } from '../deck/index.ts';
import type { DocumentModel } from '../document/index.ts';
import type { Edit } from '../edits/index.ts';
import { PRESET_NAMES, presetRecipe } from '../mapping/index.ts';
import { convert, lookedAt } from '../pipeline/index.ts';
import { code, doc, h, li, p, picture, quote, table, type Draft } from '../test/build.ts';
import { DOCUMENTS } from '../test/documents.ts';
import { GOLDEN, holdTo, under } from '../test/golden.ts';
import type { Looked, Remark } from './remark.ts';
import { isOfDeck, remarksOf, remarksOn } from './remarks.ts';
import {
  branches,
  notesAdvice,
  parallelAdvice,
  partsToSpeak,
  shorterParts,
  thinnerNotes,
  titleSuggestions,
} from './slide-advice.ts';

const file = (name: string): string => join(GOLDEN, 'checks', `${name}.txt`);

function shortRemark(
  { pages }: Looked,
  { number, kind, about, notes = [], text, other, count, accepted, everywhere }: Remark,
): string {
  const { slide } = pages[number - 1]!;
  const places = about.map((id) => (id === 'title' ? id : slide.content.findIndex((part) => part.id === id) + 1));
  const spoken = notes.map((id) => `note ${slide.notes.findIndex((note) => note.id === id) + 1}`);
  return [
    `${number} ${kind}${isOfDeck(kind) ? ' (deck)' : ''}${count === undefined ? '' : ` × ${count}`} at ${[...places, ...spoken].join(' ') || '-'}`,
    ...(text === undefined ? [] : [`"${text.slice(0, 40)}"`]),
    ...(other === undefined ? [] : [`against "${other}"`]),
    ...(accepted ? ['accepted'] : []),
    ...(everywhere === true ? ['everywhere'] : []),
  ].join(', ');
}
const lookedIn = (document: DocumentModel, edits: readonly Edit[] = []): Looked => lookedAt(convert(document, edits));
const remarks = (looked: Looked): readonly string[] => remarksOf(looked).map((one) => shortRemark(looked, one));

test('of whole decks, by every map', () => {
  holdTo(
    file('decks'),
    Object.entries(DOCUMENTS).flatMap(([name, document]) =>
      PRESET_NAMES.flatMap((preset) => {
        const { map, prose, branches: rules = [] } = presetRecipe(preset, document);
        return under(
          `${name}, ${preset}`,
          remarks(lookedIn(document, [{ kind: 'map', name: preset, map, prose, branches: rules }])),
        );
      }),
    ),
  );
});

const WORDS =
  'gate wheel stone pond sluice quay boat grain flour meal rope board beam oak elm iron brick lime slate lead'.split(
    ' ',
  );
const words = (count: number, from = 0): string =>
  Array.from({ length: count }, (_, i) => WORDS[(i * 7 + from) % WORDS.length]!).join(' ');
const sentence = (count: number, from = 0): string => `The ${words(count - 1, from)}.`;
const items = (count: number, length = 5): readonly Draft[] =>
  Array.from({ length: count }, (_, i) => li(`The ${words(length - 1, i * 3)}`));
const said = p(sentence(24, 5));
const counts = (from: number, to: number, step = 1): readonly number[] =>
  Array.from({ length: Math.floor((to - from) / step) + 1 }, (_, i) => from + i * step);

/** Slides that hold more and more of one thing. */
const RISING: Readonly<Record<string, readonly [readonly number[], (count: number) => readonly Draft[]]>> = {
  points: [counts(0, 12), (count) => [h(1, 'Gates of oak'), ...items(count), said]],
  'words in each point': [counts(3, 33, 3), (count) => [h(1, 'Gates of oak'), ...items(5, count), said]],
  'words of the title': [counts(1, 25, 2), (count) => [h(1, `The ${words(count)}`), ...items(4), said]],
  'lines of code': [
    counts(1, 40, 3),
    (count) => [h(1, 'Gates of oak'), code(Array.from({ length: count }, (_, i) => `open(${i});`).join('\n')), said],
  ],
  'rows of a table': [
    counts(1, 25, 3),
    (count) => [
      h(1, 'Gates of oak'),
      table(Array.from({ length: count }, (_, r) => [words(1, r), words(3, r), String(r)])),
      said,
    ],
  ],
  'columns of a table': [
    counts(1, 16, 3),
    (count) => [
      h(1, 'Gates of oak'),
      table([0, 1, 2].map((r) => Array.from({ length: count }, (_, c) => words(2, r + c)))),
      said,
    ],
  ],
  'words of the notes': [
    counts(0, 700, 50),
    (count) => [
      h(1, 'Gates of oak'),
      ...items(4),
      ...(count === 0 ? [] : [p(Array.from({ length: count / 10 }, (_, i) => sentence(10, i)).join(' '))]),
    ],
  ],
  'words of running text': [
    counts(20, 260, 40),
    (count) => [
      h(1, 'Gates of oak'),
      quote(Array.from({ length: count / 10 }, (_, i) => sentence(10, i)).join(' ')),
      said,
    ],
  ],
  'slides on end': [
    counts(3, 9),
    (count) =>
      Array.from({ length: count }, (_, i) => [h(1, `Gates ${WORDS[i]}`), ...items(9), p(sentence(20, i))]).flat(),
  ],
  'silent slides of ten': [
    counts(1, 6),
    (count) =>
      Array.from({ length: 10 }, (_, i) => [
        h(1, `Gates ${WORDS[i]}`),
        ...items(4),
        ...(i < count ? [] : [p(sentence(20, i))]),
      ]).flat(),
  ],
};

test('at the edge of each rule', () => {
  holdTo(
    file('edges'),
    Object.entries(RISING).flatMap(([name, [steps, drafts]]) =>
      under(
        name,
        steps.map((count) => `${count}: ${remarks(lookedIn(doc(...drafts(count)))).join('; ') || '-'}`),
      ),
    ),
  );
});

/** Decks with a fault that only shows beside other slides, or in words. */
const FAULTY: Readonly<Record<string, readonly Draft[]>> = {
  'titles twice': [
    h(1, 'Gates'),
    ...items(4),
    said,
    h(1, 'Wheel'),
    ...items(4),
    said,
    h(1, 'Gates'),
    ...items(4),
    said,
    h(1, 'Gates'),
    ...items(3),
    said,
  ],
  vague: [
    h(1, 'Introduction'),
    ...items(4),
    said,
    h(1, '3. Details:'),
    ...items(4),
    said,
    h(1, '2024'),
    ...items(4),
    said,
  ],
  private: [h(1, 'Gates'), ...items(4), h(1, 'Speaker notes'), ...items(4), said, h(1, 'Wheel'), ...items(3)],
  numbers: [
    h(1, 'Flour'),
    li('The mill ground 31 tonnes of flour in spring'),
    li('The mill sold 12 tonnes of flour in spring'),
    li('In 1911 nothing was ground'),
    p('The mill ground 28 tonnes of flour in spring, and sold 12 tonnes of flour in spring. It was 1911.'),
  ],
  names: [
    h(1, 'The keepers'),
    ...[1, 2, 3, 4].map((n) => li(`Marlowe Hythe kept watch ${n}`)),
    li('Marlow-Hythe came late'),
    li('Later Marlove Hythe left'),
    p('Marlowe Hythe and Sallow Quay are names. So is Sallow-Quay.'),
    p('The Sluicegates are old, and sluicegates leak.'),
    h(1, 'At Sallow Quay'),
    ...items(4),
    p('Sallow Quay again, and Sallow Quay.'),
  ],
  parallel: [
    h(1, 'What to do'),
    li('Open the gate'),
    li('Waiting for the ebb'),
    li('Close the gate.'),
    li('write it down'),
    li('Walk the bank'),
    said,
    h(1, 'Below'),
    li('Parts'),
    li('Opening', 2),
    li('Closing', 2),
    li('To wait', 2),
    li('Others'),
    li('One.', 2),
    li('Two.', 2),
    li('Three', 2),
    said,
  ],
  repeating: [
    h(1, 'The oak gates of the mill'),
    ...items(4),
    p(runsText(plain(`The ${words(4, 0)}`))),
    p('The oak gates of the mill.'),
    p('Something else is said here of the pond.'),
  ],
  pictures: [
    h(1, 'Gates'),
    picture('a'),
    picture('b', 'A gate'),
    said,
    h(1, 'Wheel'),
    picture('a', 'The wheel'),
    ...items(3),
    said,
  ],
  numbersInTable: [
    h(1, 'Tides'),
    table([
      ['Year', 'Spring', 'Neap'],
      ['2021', '310', '120'],
      ['2022', '402', '130'],
      ['2023', '515', '150'],
      ['2024', '498', '170'],
      ['2025', '520', '180'],
    ]),
    said,
  ],
  links: [
    h(1, 'Gates'),
    li([{ text: 'See the wheel', link: '#wheel' }]),
    li([{ text: 'See nothing', link: '#nowhere' }]),
    li([{ text: 'And the stones', link: '#stones' }]),
    said,
    { ...h(1, 'Wheel'), names: ['wheel'] } as Draft,
    ...items(4),
    said,
    { ...h(1, 'Stones'), names: ['stones'] } as Draft,
    ...items(4),
    said,
  ],
  levels: [h(1, 'Parts'), li('Alone'), h(1, 'Two of them'), li('Gate'), li('Wheel'), said, h(1, 'Nothing')],
  signs: [h(1, 'Gates'), li('A sign \u{13000} that no font has'), ...items(3), said],
};

test('of decks with a fault in them, and of one slide alone', () => {
  holdTo(
    file('faulty'),
    Object.entries(FAULTY).flatMap(([name, drafts]) => {
      const document = doc(...drafts);
      const looked = lookedIn(document);
      const [first, , third] = looked.pages.map(({ slide }) => slide.id);
      const hidden = lookedIn(document, [{ kind: 'hide', slides: [third ?? first!], hidden: true }]);
      const stumbled: Looked = { ...looked, stumbled: new Set([first!]) };
      const alone = remarksOn(looked, new Set([0]), false).map((one) => shortRemark(looked, one));
      const withDeck = remarksOn(looked, new Set([0]), true).map((one) => shortRemark(looked, one));
      return [
        ...under(name, remarks(looked)),
        ...under(`${name}, one hidden`, remarks(hidden)),
        ...under(`${name}, stumbled`, remarks(stumbled)),
        ...under(`${name}, in German`, remarks({ ...looked, language: 'de' })),
        ...under(`${name}, to be read`, remarks({ ...looked, read: true })),
        ...under(`${name}, the first alone`, [...alone, `with the deck: ${withDeck.join('; ')}`]),
      ];
    }),
  );
});

test('what is proposed for a slide', () => {
  const slides = [
    ...Object.values(FAULTY),
    ...[9, 14].map((count) => [
      h(1, 'Gates'),
      ...items(count, 12),
      p(Array.from({ length: 30 }, (_, i) => sentence(12, i)).join(' ')),
    ]),
  ];
  holdTo(
    file('advice'),
    slides.flatMap((drafts) =>
      convert(doc(...drafts), []).deck.slides.flatMap((slide) => {
        const at = (id: string): number => slide.content.findIndex((part) => part.id === id) + 1;
        return under(runsText(slide.title.runs), [
          `branches: ${branches(slide.content)
            .map(({ head, parts }) => `${at(head.id)}: ${parts.map(at).join(' ')}`)
            .join('; ')}`,
          ...[2, 4, 7].map((most) => `to speak, ${most} stay: ${partsToSpeak(slide, most, 'en').map(at).join(' ')}`),
          ...DENSITIES.flatMap((density) => [
            ...shorterParts(slide, density, 'en').map(({ part, to }) => `${density} ${at(part)}: ${runsText(to)}`),
            ...thinnerNotes(slide.notes, density, 'en').map(
              ({ kind, runs }) => `${density} ${kind}: ${runsText(runs).slice(0, 90)}`,
            ),
          ]),
          ...parallelAdvice(slide, 'en').map(
            ({ rule, odd, of }) =>
              `${rule}, ${of}: ${odd.map(({ part, proposal }) => `${at(part)} ${proposal === null ? '-' : runsText(proposal.to)}`).join('; ')}`,
          ),
          `titles: ${titleSuggestions(slide, 'en').join(' | ')}`,
          `notes: ${JSON.stringify(notesAdvice(slide.notes, slide, 100, 'en').repeating.map((id) => slide.notes.findIndex((note) => note.id === id) + 1))} ${String(notesAdvice(slide.notes, slide, 100, 'en').tooLong)}`,
        ]);
      }),
    ),
  );
});
