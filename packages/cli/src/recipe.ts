/** What a deck is made like, as plain data: of the command line, of a project file, for a thread. */
import {
  beginning,
  convert,
  designNamed,
  editPictures,
  fitting,
  FONT_PAIRS,
  FULL_RULES,
  isPaper,
  isPictureWidth,
  isPrint,
  languageTag,
  LENGTH_NAMES,
  lengths,
  MATTER_KINDS,
  PAPER_SIZES,
  PICTURE_WIDTHS,
  PRESET_NAMES,
  presetRecipe,
  PRINTS,
  takePicture,
  THEME_DESIGNS,
  USUAL_FOOT,
  type Converted,
  type DocumentModel,
  type Edit,
  type LengthName,
  type MatterKind,
  type PictureData,
  type FullRule,
  type PresetName,
  type SingleEdit,
  type Templates,
} from '@alvex/core';
import { UsageError } from './usage-error.ts';

export interface Recipe {
  readonly map?: string;
  readonly length?: string;
  readonly minutes?: number;
  readonly theme?: string;
  readonly palette?: string;
  readonly dark?: boolean;
  readonly fontPair?: string;
  readonly with?: readonly string[];
  readonly without?: readonly string[];
  readonly full?: string;
  readonly footer?: string;
  readonly date?: string;
  readonly language?: string;
  readonly template?: string;
  readonly into?: string;
  readonly behind?: number;
  readonly as?: string;
  readonly fonts?: boolean;
  /** With a small picture of its first slide. */
  readonly thumbnail?: boolean;
  readonly pages?: string;
  readonly paper?: string;
  readonly notes?: boolean;
  readonly width?: number;
  readonly only?: number;
  /** Edits that say something of any document, as a deck saves them. */
  readonly rules?: readonly SingleEdit[];
  /** Those that rules name, by their ids, in Base64 (RFC 4648 §4). */
  readonly pictures?: Readonly<Record<string, string>>;
}

/** @throws UsageError for names that are none of ours, and for what excludes each other. */
export function checkRecipe(recipe: Recipe): Recipe {
  const { map, length, minutes, theme, palette, fontPair, full, pages, paper, width, only, template, into, behind } =
    recipe;
  const known = (what: string, name: string | undefined, names: readonly string[]): void => {
    if (name !== undefined && !names.includes(name))
      throw new UsageError(`There is no ${what} ${name}; there are ${names.join(', ')}.`);
  };
  known('map', map, PRESET_NAMES);
  known('length', length, LENGTH_NAMES);
  known(
    'theme',
    theme,
    THEME_DESIGNS.map(({ name }) => name),
  );
  known('palette', palette, paletteNames(theme));
  known(
    'pair of fonts',
    fontPair,
    FONT_PAIRS.map(({ name }) => name),
  );
  for (const name of [...(recipe.with ?? []), ...(recipe.without ?? [])]) known('slide to make', name, MATTER_KINDS);
  known('rule for full slides', full, FULL_RULES);
  if (pages !== undefined && !isPrint(pages))
    throw new UsageError(`There are no pages ${pages}; there are ${PRINTS.join(', ')}.`);
  if (paper !== undefined && !isPaper(paper))
    throw new UsageError(`There is no paper ${paper}; there are ${Object.keys(PAPER_SIZES).join(', ')}.`);
  if (width !== undefined && !isPictureWidth(width))
    throw new UsageError(`--width is ${PICTURE_WIDTHS.least} to ${PICTURE_WIDTHS.most} pixels.`);
  if (only !== undefined && !(Number.isInteger(only) && only >= 1))
    throw new UsageError('--only is the number of a slide or a table.');
  if ([map, length, minutes].filter((one) => one !== undefined).length > 1)
    throw new UsageError('A map, a length or minutes: one of them.');
  if (minutes !== undefined && !(minutes >= 1 && minutes <= MOST_MINUTES))
    throw new UsageError(`Minutes are 1 to ${MOST_MINUTES}.`);
  if (recipe.language !== undefined && languageTag(recipe.language) === undefined)
    throw new UsageError(`${recipe.language} names no language; a name is like en-GB or fr.`);
  if (template !== undefined && into !== undefined) throw new UsageError('Either --template or --into.');
  if (behind !== undefined && (into === undefined || !(Number.isInteger(behind) && behind >= 1 && behind <= 9999)))
    throw new UsageError('--behind is the number of a slide of the presentation that --into names.');
  ruledPictures(recipe);
  return recipe;
}

/** Pictures that rules name. @throws UsageError for one that is not there. */
export const ruledPictures = ({ rules = [], pictures = {} }: Recipe): readonly PictureData[] =>
  editPictures(rules).map(({ id }) => {
    const taken = takePicture(Buffer.from(pictures[id] ?? '', 'base64'), id);
    if (typeof taken === 'string' || taken.id !== id)
      throw new UsageError(`pictures: ${id}, which a rule names, is not there, or is not what it was.`);
    return taken;
  });

const MOST_MINUTES = 600;

export const paletteNames = (theme: string | undefined): readonly string[] =>
  designNamed(theme ?? THEME_DESIGNS[0]!.name).palettes.map(({ name }) => name);

/** A document as a deck. */
export interface Made {
  readonly converted: Converted;
  /** What was done so that it comes to its minutes, in words; none where nothing was asked. */
  readonly fitted?: string;
}

/**
 * @param template Edits that lay it on a template, and its model. @throws UsageError as `checkRecipe` does.
 */
export async function makeDeck(
  read: DocumentModel,
  recipe: Recipe,
  template: readonly SingleEdit[] = [],
  templates: Templates = new Map(),
): Promise<Made> {
  const tag = languageTag(recipe.language);
  const document = tag === undefined ? read : { ...read, language: tag };
  const { minutes, length, rules = [] } = recipe;
  // What is named by itself goes before what a deck saved.
  const ruled = rules.filter((rule) => !isPlan(rule));
  const look = [...ruled, ...lookEdits(recipe, ruled)];
  const map = (recipe.map ?? PRESET_NAMES[0]) as PresetName;
  const first: readonly SingleEdit[] =
    map === 'fitted'
      ? beginning(document, look, rules.filter(isPlan))
      : [{ kind: 'map', name: map, ...presetRecipe(map, document) }];
  const edits: readonly Edit[] = [...first, ...look, ...template];
  const converted = convert(document, edits, undefined, templates);
  if (minutes === undefined && length === undefined) return { converted };
  const held = { document, edits, converted, templates, pause: () => Promise.resolve(true) };
  const fit = minutes === undefined ? null : await fitting(minutes, held);
  const chosen = fit ?? (await lengths(held))![length as LengthName];
  const made = convert(document, [...edits, ...chosen.edits], converted, templates);
  return {
    converted: made,
    ...(fit === null ? {} : { fitted: fittedText(fit, made) }),
  };
}

/** What lays out which text goes where. */
const isPlan = ({ kind }: SingleEdit): boolean => kind === 'map' || kind === 'prose' || kind === 'speech';

function fittedText(
  { seconds, speech, without, near }: NonNullable<Awaited<ReturnType<typeof fitting>>>,
  { pages }: Converted,
): string {
  const what = [
    `${Math.round(seconds / 60)} minutes, ${pages.length} slides`,
    ...(speech === null ? [] : [`${Math.round(speech * 100)} % of the notes are said`]),
    ...(without.length === 0 ? [] : [`left out: ${without.join('; ')}`]),
    ...(near ? [] : ['nothing comes nearer']),
  ];
  return what.join('; ');
}

/** @param rules What is said of the foot there, and not here, stays. */
function lookEdits(
  { theme, palette, dark, fontPair, full, footer, date, with: more, without }: Recipe,
  rules: readonly SingleEdit[],
): readonly SingleEdit[] {
  const matter = (names: readonly string[] | undefined, on: boolean): readonly SingleEdit[] =>
    (names ?? []).map((part) => ({ kind: 'matter', part: part as MatterKind, on }));
  const foot = rules.findLast((rule) => rule.kind === 'foot')?.foot ?? USUAL_FOOT;
  return [
    ...(theme === undefined ? [] : [{ kind: 'theme', theme } as const]),
    ...(palette === undefined ? [] : [{ kind: 'palette', palette: { from: 'theme', name: palette } } as const]),
    ...(dark === undefined ? [] : [{ kind: 'mode', dark } as const]),
    ...(fontPair === undefined ? [] : [{ kind: 'fonts', pair: fontPair } as const]),
    ...(full === undefined ? [] : [{ kind: 'full', rule: full as FullRule } as const]),
    ...(footer === undefined && date === undefined
      ? []
      : [
          {
            kind: 'foot',
            foot: {
              ...foot,
              footer: { ...foot.footer, text: footer ?? foot.footer.text },
              date: date === undefined ? foot.date : { ...foot.date, text: date, live: false },
            },
          } as const,
        ]),
    ...matter(more, true),
    ...matter(without, false),
  ];
}
