/** Matches a template's layouts to ours, by the types of their placeholders and where these stand. */
import { unreachable } from '../base/index.ts';
import type { LayoutName, Rect } from '../theme/index.ts';
import type { TemplateLayout, TemplatePlaceholder } from './template-model.ts';

export interface Sorted {
  readonly title: TemplatePlaceholder | undefined;
  readonly subtitle: TemplatePlaceholder | undefined;
  /** For text or anything; from left to right, from top to bottom. */
  readonly bodies: readonly TemplatePlaceholder[];
  readonly pictures: readonly TemplatePlaceholder[];
  readonly table: TemplatePlaceholder | undefined;
  readonly chart: TemplatePlaceholder | undefined;
  readonly footer: TemplatePlaceholder | undefined;
  readonly date: TemplatePlaceholder | undefined;
  readonly number: TemplatePlaceholder | undefined;
}

const byPlace = (a: TemplatePlaceholder, b: TemplatePlaceholder): number => a.rect.x - b.rect.x || a.rect.y - b.rect.y;

export function sorted({ placeholders }: TemplateLayout): Sorted {
  const of = (...types: readonly (string | null)[]): readonly TemplatePlaceholder[] =>
    placeholders.filter(({ type }) => types.includes(type)).sort(byPlace);
  return {
    title: of('title', 'ctrTitle')[0],
    subtitle: of('subTitle')[0],
    bodies: of(null, 'obj', 'body'),
    pictures: of('pic', 'clipArt', 'media'),
    table: of('tbl')[0],
    chart: of('chart')[0],
    footer: of('ftr')[0],
    date: of('dt')[0],
    number: of('sldNum')[0],
  };
}

/** What layouts are called for what they are for, in English, German, French, Spanish, Italian, Portuguese, Dutch, Swedish and Polish. */
const NAMED: Readonly<Partial<Record<LayoutName, RegExp>>> = {
  cover:
    /cover|title slide|front|titelfolie|titelblatt|deckblatt|couverture|page de titre|portada|copertina|\bcapa\b|titelpagina|omslag|voorblad|okładka|tytułow/i,
  section:
    /section|divider|chapter|abschnitt|kapitel|trenn|chapitre|intercalaire|sección|capítulo|sezione|capitolo|secção|seção|hoofdstuk|sectie|avsnitt|rozdział|sekcj/i,
  agenda: /agenda|contents|inhaltsverz|gliederung|sommaire|índice|indice|sommario|inhoud|innehåll|spis treści/i,
  quotation: /quot|zitat|citation|\bcitas?\b|citazione|citação|citaat|citat|cytat/i,
  comparison: /compar|vergleich|versus|confronto|vergelijk|jämför|porówna/i,
  closing:
    /\bclos|thank|\bend\b|schluss|danke|\bende\b|\bfin\b|merci|gracias|contact|kontakt|grazie|obrigad|bedankt|\btack\b|dziękuj/i,
  'big-number': /number|zahl|chiffre|\bfacts?\b|numero|número|getal|liczb/i,
  sources: /source|refer|quelle|fuente|fonti|fontes|bronnen|källor|źródł/i,
};
const SAID: Readonly<Partial<Record<LayoutName, readonly string[]>>> = {
  cover: ['title'],
  section: ['secHead'],
  points: ['obj', 'tx'],
  columns: ['twoObj', 'twoColTx'],
  comparison: ['twoTxTwoObj'],
  'picture-right': ['picTx', 'objTx', 'txAndClipArt'],
  'picture-left': ['picTx', 'objTx', 'clipArtAndTx'],
  table: ['tbl'],
  chart: ['chart'],
  'title-only': ['titleOnly'],
};

/**
 * How well a layout of a template can be one of ours; 0 where it cannot.
 * @param usual Where titles stand above content in this template.
 */
export function suits(layout: TemplateLayout, name: LayoutName, usual?: Rect): number {
  const { title, subtitle, bodies, pictures, table, chart } = sorted(layout);
  const said = layout.type !== null && SAID[name]?.includes(layout.type) === true ? 5 : 0;
  const named = NAMED[name]?.test(layout.name) === true ? 4 : 0;
  const titled = title === undefined ? 0 : 1;
  const wide = bodies[0];
  const opening = opens(layout);
  const only = bodies.length === 0 && pictures.length === 0 && titled === 1;
  // A title alone that stands far below all others opens something.
  const low = only && usual !== undefined && title!.rect.y > usual.y + usual.height;
  switch (name) {
    case 'cover':
      return (
        said +
        (subtitle === undefined ? 0 : 2) +
        (title?.type === 'ctrTitle' ? 2 : 0) +
        (titled === 1 && bodies.length === 0 ? (named > 0 ? 3 : low ? 1 : 0) : 0)
      );
    case 'cover-picture':
      return pictures.length > 0 && subtitle !== undefined ? 4 : 0;
    case 'section':
      return said + named;
    case 'closing':
      return named;
    case 'points':
    case 'agenda':
    case 'key-points':
    case 'sources':
      return wide === undefined || bodies.length !== 1 || pictures.length > 0 || opening
        ? named
        : 2 +
            titled +
            (said || (layout.type === 'obj' ? 3 : 0)) +
            named +
            (wide.rect.width > wide.rect.height ? 1 : 0) +
            (isRoom(wide) ? 2 : 0) +
            Math.min(2, layout.uses ?? 0) / 2;
    case 'columns':
      return bodies.length === 2 && pictures.length === 0 && sideBySide(bodies) ? 3 + titled + said : 0;
    case 'columns-3':
      return bodies.length === 3 && sideBySide(bodies) ? 4 + titled : 0;
    case 'comparison':
      return bodies.length === 4 ? 3 + titled + said + named : 0;
    case 'picture-right':
      return pairOf(layout, 'right') === undefined ? 0 : (pictures.length > 0 ? 3 : 1) + titled + said;
    case 'picture-left':
      return pairOf(layout, 'left') === undefined ? 0 : (pictures.length > 0 ? 3 : 1) + titled + said;
    case 'picture':
    case 'picture-caption':
      return pictures.length === 1
        ? 2 + titled + (bodies.length === (name === 'picture' ? 0 : 1) ? 2 : 0)
        : name === 'picture' && objectIn(layout) !== undefined
          ? titled
          : 0;
    case 'gallery-2':
    case 'gallery-3':
    case 'gallery-4':
      return pictures.length === Number(name.at(-1)) ? 4 + titled : 0;
    case 'table':
      return table === undefined ? (objectIn(layout) === undefined ? 0 : titled) : 3 + said + titled;
    case 'chart':
      return chart === undefined ? (objectIn(layout) === undefined ? 0 : titled) : 3 + said + titled;
    case 'quotation':
      return named > 0 && bodies.length > 0 ? named + titled : 0;
    case 'title-only':
      return only && !opening && (said > 0 || !low) ? 3 + said : 0;
    case 'statement':
    case 'big-number':
    case 'picture-bleed':
    case 'picture-top':
    case 'figure-text':
    case 'chart-points':
    case 'table-points':
    case 'steps':
    case 'cycle':
    case 'timeline':
    case 'icon-grid':
    case 'pyramid':
    case 'funnel':
    case 'matrix':
      return named;
    default:
      return unreachable(name);
  }
}

/** Layouts that begin or end something hold no content, whatever else stands on them. */
function opens(layout: TemplateLayout): boolean {
  const { title, subtitle, bodies } = sorted(layout);
  return (
    layout.type === 'title' ||
    layout.type === 'secHead' ||
    title?.type === 'ctrTitle' ||
    (bodies.length === 0 && (subtitle !== undefined || NAMED.cover!.test(layout.name))) ||
    NAMED.closing!.test(layout.name) ||
    NAMED.section!.test(layout.name)
  );
}

/** In EMU: less than four inches by two is the place of a line or of a caption. */
const isTall = ({ rect }: TemplatePlaceholder): boolean => rect.height >= 1_828_800;
const isRoom = (place: TemplatePlaceholder): boolean => isTall(place) && place.rect.width >= 3_657_600;
const holdsAnything = ({ type }: TemplatePlaceholder): boolean => type === null || type === 'obj';

/** The one place of a layout that holds anything: text, a table, a chart, a picture. */
export function objectIn(layout: TemplateLayout): TemplatePlaceholder | undefined {
  const { bodies, pictures, table, chart } = sorted(layout);
  const [only, ...others] = bodies;
  const alone =
    only !== undefined && others.length + pictures.length === 0 && table === undefined && chart === undefined;
  return alone && holdsAnything(only) && isRoom(only) && !opens(layout) ? only : undefined;
}

const sideBySide = (bodies: readonly TemplatePlaceholder[]): boolean =>
  bodies.every((body, i) => i === 0 || body.rect.x >= bodies[i - 1]!.rect.x + bodies[i - 1]!.rect.width * 0.8);

/** A picture's place, and the text's beside it. */
export function pairOf(
  layout: TemplateLayout,
  side: 'left' | 'right',
): { readonly picture: TemplatePlaceholder; readonly body: TemplatePlaceholder } | undefined {
  const { pictures, bodies } = sorted(layout);
  // Of two places that hold anything, one is the picture's.
  if (
    pictures.length === 0 &&
    bodies.length === 2 &&
    bodies.every(holdsAnything) &&
    bodies.every(isTall) &&
    sideBySide(bodies)
  ) {
    const [left, right] = bodies as [TemplatePlaceholder, TemplatePlaceholder];
    return side === 'right' ? { picture: right, body: left } : { picture: left, body: right };
  }
  const [picture] = pictures;
  const body = [...bodies].sort((a, b) => b.rect.width * b.rect.height - a.rect.width * a.rect.height)[0];
  if (picture === undefined || body === undefined || pictures.length > 1) return undefined;
  const right = picture.rect.x > body.rect.x;
  return (side === 'right') === right ? { picture, body } : undefined;
}

/** Layouts that do when none suits: text beside free places, then anything with a title. */
const OTHERWISE: Readonly<Partial<Record<LayoutName, readonly LayoutName[]>>> = {
  'cover-picture': ['cover'],
  closing: ['section', 'cover'],
  section: ['cover', 'title-only'],
  cover: ['section', 'title-only', 'points'],
  points: ['title-only', 'columns', 'cover'],
  agenda: ['points'],
  'key-points': ['points'],
  sources: ['points'],
};

/** The template's layout for one of ours: the author's choice, else the best, else one of which only the title is used. */
export function matchLayout(
  layouts: readonly TemplateLayout[],
  name: LayoutName,
  chosen: Readonly<Partial<Record<LayoutName, string>>>,
): TemplateLayout {
  const own = layouts.find(({ part }) => part === chosen[name]);
  if (own !== undefined) return own;
  const usual = name === 'points' ? undefined : sorted(matchLayout(layouts, 'points', chosen)).title?.rect;
  for (const wanted of [name, ...(OTHERWISE[name] ?? ['title-only', 'points', 'cover'])]) {
    const byAuthor = layouts.find(({ part }) => part === chosen[wanted]);
    if (byAuthor !== undefined) return byAuthor;
    const best = layouts.reduce<{ layout: TemplateLayout; worth: number } | undefined>((found, layout) => {
      const worth = suits(layout, wanted, usual);
      return worth > 0 && worth > (found?.worth ?? 0) ? { layout, worth } : found;
    }, undefined);
    if (best !== undefined) return best.layout;
  }
  return layouts.find((layout) => sorted(layout).title !== undefined) ?? layouts[0]!;
}
