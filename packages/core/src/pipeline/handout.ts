/** The document for those who listened: its slides before their passages, without what is for the speaker alone. */
import { runsText, type PictureData } from '../content/index.ts';
import { primaryOf } from '../base/index.ts';
import type { Slide } from '../deck/index.ts';
import type { SlideId } from '../ids/index.ts';
import { findings } from '../structure/index.ts';
import type { DocxOptions } from '../writers/docx/index.ts';
import type { Converted } from './convert.ts';

/** Headings of a table of contents, by language. */
const CONTENTS: Readonly<Record<string, string>> = {
  en: 'Contents',
  de: 'Inhalt',
  fr: 'Sommaire',
  es: 'Contenido',
  it: 'Indice',
  pt: 'Sumário',
  nl: 'Inhoud',
};

/** @param pictures Of the slides that are shown. */
export function handoutOf(
  { deck, document }: Pick<Converted, 'deck' | 'document'>,
  pictures: ReadonlyMap<SlideId, PictureData>,
): Pick<DocxOptions, 'before' | 'without' | 'contents'> {
  const without = new Set(
    findings(document, { titleFits: () => true })
      .filter(({ kind }) => kind === 'private-part')
      .flatMap(({ repairs }) =>
        repairs[0]!.changes.flatMap((change) => (change.kind === 'turn' ? [change.block] : [])),
      ),
  );
  const there = new Set(
    document.blocks.filter(({ id, left }) => left === undefined && !without.has(id)).map(({ id }) => id),
  );
  const before = new Map<Slide['passages'][number], { readonly picture: PictureData['id']; readonly alt: string }[]>();
  for (const { id, passages, title, hidden } of deck.slides) {
    const picture = pictures.get(id);
    const first = passages.find((passage) => there.has(passage));
    if (picture === undefined || first === undefined || hidden === true) continue;
    before.set(first, [...(before.get(first) ?? []), { picture: picture.id, alt: runsText(title.runs) }]);
  }
  const language = document.language === null ? 'en' : primaryOf(document.language);
  return { before, without, contents: CONTENTS[language] ?? CONTENTS['en']! };
}
