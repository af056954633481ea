/** What is kept of texts at each density, and what is found in them, in every language that is known: the golden file says it. */
import { test } from '@jest/globals';
import { join } from 'node:path';
import { plain, runsText } from '../content/index.ts';
import { DENSITIES, type Density } from '../deck/index.ts';
import { GOLDEN, holdTo, under } from '../test/golden.ts';
import {
  beginningOf,
  cosine,
  firstSentence,
  inForm,
  isWhole,
  keptRuns,
  languageOf,
  marginal,
  shorten,
  shorterBeginning,
  splitSentences,
  suggestTitle,
  telling,
  titleFrom,
  trimSentence,
  vectorsOf,
  worths,
  type Kept,
  type Language,
} from './index.ts';
import { centrality } from './rank.ts';

const TEXTS: Readonly<Record<string, readonly string[]>> = {
  en: [
    'The mill grinds twice a day, whenever the tide has left the pond full. Nobody chooses the hour; the moon does. However, the gates must be shut before the ebb begins, which is why a watch is kept at the quay each night.',
    'In spring the pond holds 11 acres of water (about 40,000 m³), and the wheel turns for five hours. At neaps it is 3.5 hours at most. The boats, e.g. the two barges of the trust, cannot be loaded then.',
    'We recommend that the gates be renewed in oak. For example, the north gate has not closed since 1962, and it is not safe. Dr. A. Tanner, who looked at it in May, said: "It will not last." In addition, the costs are known.',
    'This was said before. It was said again. Nobody minds.',
  ],
  de: [
    'Die Mühle mahlt zweimal am Tag, sobald die Flut den Teich gefüllt hat. Niemand wählt die Stunde; das tut der Mond. Allerdings müssen die Tore z. B. vor der Ebbe geschlossen sein, weshalb jede Nacht jemand am Kai wacht.',
    'Im Frühjahr fasst der Teich 11 ha Wasser (etwa 40.000 m³), und das Rad läuft fünf Stunden. Bei Nipptide sind es höchstens 3,5 Stunden. Wir empfehlen, die Tore in Eiche zu erneuern.',
  ],
  fr: [
    'Le moulin tourne deux fois par jour, dès que la marée a rempli l’étang. Personne ne choisit l’heure ; c’est la lune. Cependant, les vannes doivent être fermées avant le jusant, c’est pourquoi on veille chaque nuit.',
    'Nous recommandons de refaire les vannes en chêne. Par exemple, celle du nord ne ferme plus depuis 1962.',
  ],
  es: [
    'El molino muele dos veces al día, cuando la marea ha llenado el estanque. Nadie elige la hora; la elige la luna. Sin embargo, las compuertas deben cerrarse antes de la bajamar. Recomendamos renovarlas en roble.',
  ],
  it: [
    'Il mulino macina due volte al giorno, quando la marea ha riempito lo stagno. Nessuno sceglie l’ora; la sceglie la luna. Tuttavia le chiuse vanno serrate prima del riflusso. Si raccomanda di rifarle in quercia.',
  ],
  pt: [
    'O moinho mói duas vezes por dia, quando a maré enche a caldeira. Ninguém escolhe a hora; escolhe-a a lua. No entanto, as comportas têm de fechar antes da vazante. Recomendamos refazê-las em carvalho.',
  ],
  nl: [
    'De molen maalt twee keer per dag, zodra het tij de vijver heeft gevuld. Niemand kiest het uur; dat doet de maan. De deuren moeten echter dicht zijn voor de eb. Wij raden aan ze in eik te vernieuwen.',
  ],
  und: [
    '水車は一日に二度まわる。月が時を決める。だから夜ごとに番が立つ。',
    'Мельница мелет дважды в день. Час выбирает луна. Поэтому каждую ночь стоит дозор.',
  ],
};

const said = (text: string, kept: Kept, density: Density = 'half'): string =>
  `${runsText(keptRuns(plain(text), kept, density))}${isWhole(kept, text) ? ' (whole)' : ''}`;

test('texts in every language', () => {
  holdTo(
    join(GOLDEN, 'shorten.txt'),
    Object.entries(TEXTS).flatMap(([tag, texts]) => {
      const language = tag as Language;
      const all = texts.flatMap((text) => splitSentences(text, language).map(([from, to]) => text.slice(from, to)));
      const vectors = vectorsOf(all, language);
      const worth = worths(
        all,
        all.map((_, i) => i === 0),
        vectors,
        language,
      );
      return under(tag, [
        `taken for ${languageOf(null, texts)}, said ${languageOf('nl', texts)}`,
        ...all.map((one, i) => `${worth[i]!.toFixed(3)} ${(centrality(vectors)[i] ?? 0).toFixed(3)} ${one}`),
        ...[1, 2, 3, 5].map(
          (most) =>
            `most ${most}: ${[
              ...marginal(
                worth,
                vectors,
                worth.map(() => 1),
                most,
                0.4,
              ),
            ].join(' ')}`,
        ),
        ...[20, 60].map(
          (most) =>
            `most ${most} words: ${[
              ...marginal(
                worth,
                vectors,
                all.map((one) => one.split(' ').length),
                most,
                0.7,
              ),
            ].join(' ')}`,
        ),
        `like the first: ${vectors.map((vector) => cosine(vectors[0]!, vector).toFixed(3)).join(' ')}`,
        ...DENSITIES.flatMap((density) =>
          shorten(texts, density, language).map(
            (kept, i) => `${density} ${i + 1}: ${kept.map((one) => said(texts[i]!, one, density)).join(' | ')}`,
          ),
        ),
        ...texts.flatMap((text, i) => {
          const { first, rest } = firstSentence(text, language);
          const whole = [0, text.length] as const;
          const told = telling([text], language)[0]!;
          const few = telling([text], language, { sentences: 1, words: 6, longest: 10 })[0]!;
          return [
            `first ${i + 1}: ${text.slice(...first)} … ${rest === null ? '-' : text.slice(...rest)}`,
            `trimmed ${i + 1}: ${trimSentence(text, whole, language)
              .map((range) => text.slice(...range))
              .join('|')}`,
            `told ${i + 1}: ${told.map(({ kept, cut }) => `${said(text, kept)}${cut ? ' …' : ''}`).join(' | ')}`,
            `told in few ${i + 1}: ${few.map(({ kept, cut }) => `${said(text, kept)}${cut ? ' …' : ''}`).join(' | ')}`,
            ...[4, 8, 16].map((most) => {
              const shorter = shorterBeginning(text, language, most);
              return `in ${most}: ${shorter === null ? '-' : `${said(text, shorter.kept)}${shorter.cut ? ' …' : ''}`}`;
            }),
            `title ${i + 1}: ${suggestTitle(text, language)}`,
          ];
        }),
        `titles: ${titleFrom(texts, language).join(' | ')}`,
        `titles of one: ${titleFrom(texts.slice(0, 1), language).join(' | ')}`,
      ]);
    }),
  );
});

test('how points begin', () => {
  const points =
    'Open the gate|Opening the gate|To open the gate|Opened the gate|Opens it|Shut it|Shutting it|Make flour|Making flour|Be early|Being early|Lie down|Lying down|Dye the rope|The gate|Running water|Run|Plan the work|Planning is work|Mixing|Mix|Carry|Carrying|Agree|Agreeing|to see|Tie|Tying|Stop|See|1. Open it|“Open it”|'.split(
      '|',
    );
  holdTo(
    join(GOLDEN, 'verbs.txt'),
    points.map((text) => {
      const found = beginningOf(text);
      return `${text || '(nothing)'}: ${found === undefined ? '-' : `${found.form} ${found.verb} ${found.length} → ${(['base', 'ing', 'to'] as const).map((form) => inForm(found.verb, form)).join(', ')}`}`;
    }),
  );
});
