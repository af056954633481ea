/** Words of ours that a file holds besides the document's: names of objects, prompts of layouts. In the deck's language, where it is one of these. */
import type { LanguageTag } from '../../base/index.ts';
import type { LayoutName, Role } from '../../theme/index.ts';

type Placed = Exclude<Role, 'picture2' | 'picture3' | 'picture4'>;
export interface FileWords {
  /** Of the words themselves. */
  readonly language: LanguageTag;
  readonly roles: Readonly<Record<Placed, string>>;
  /** Of a point of each level. */
  readonly levels: readonly [string, string, string, string, string];
  /** What items of figures are called. */
  readonly step: string;
  readonly layer: string;
  readonly card: string;
  readonly field: string;
  readonly item: string;
  readonly notes: string;
}

/** Words in the order of their keys, so that languages stand beside each other. */
const ROLES_IN_ORDER: readonly Placed[] = [
  ...(['title', 'subtitle', 'body', 'body2', 'body3', 'head', 'head2', 'quote', 'big'] as const),
  ...(['caption', 'picture', 'table', 'chart', 'figure', 'footer', 'date', 'number'] as const),
];
const words = (language: string, roles: string, levels: string, others: string): FileWords => {
  const parts = (list: string): readonly string[] => list.split(', ');
  const named = parts(roles);
  const [step, layer, card, field, item, notes] = parts(others) as [string, string, string, string, string, string];
  return {
    language: language as LanguageTag,
    roles: Object.fromEntries(ROLES_IN_ORDER.map((role, i) => [role, named[i]])) as Record<Placed, string>,
    levels: parts(levels) as unknown as FileWords['levels'],
    ...{ step, layer, card, field, item, notes },
  };
};

const WORDS: Readonly<Record<string, FileWords>> = {
  en: words(
    'en-GB',
    'Title, Subtitle, Content, Content right, Content third, Heading left, Heading right, Quotation, Number, Caption, Picture, Table, Chart, Figure, Footer, Date, Slide number',
    'Point, Second level, Third level, Fourth level, Fifth level',
    'Step, Layer, Card, Field, Item, Notes',
  ),
  de: words(
    'de-DE',
    'Titel, Untertitel, Inhalt, Inhalt rechts, Inhalt dritte Spalte, Überschrift links, Überschrift rechts, Zitat, Zahl, Bildtext, Bild, Tabelle, Diagramm, Schaubild, Fußzeile, Datum, Foliennummer',
    'Punkt, Zweite Ebene, Dritte Ebene, Vierte Ebene, Fünfte Ebene',
    'Schritt, Schicht, Karte, Feld, Teil, Notizen',
  ),
  fr: words(
    'fr-FR',
    'Titre, Sous-titre, Contenu, Contenu à droite, Troisième contenu, Intertitre à gauche, Intertitre à droite, Citation, Chiffre, Légende, Image, Tableau, Graphique, Schéma, Pied de page, Date, Numéro de page',
    'Point, Deuxième niveau, Troisième niveau, Quatrième niveau, Cinquième niveau',
    'Étape, Couche, Carte, Case, Élément, Notes',
  ),
  es: words(
    'es-ES',
    'Título, Subtítulo, Contenido, Contenido derecho, Tercer contenido, Encabezado izquierdo, Encabezado derecho, Cita, Cifra, Leyenda, Imagen, Tabla, Gráfico, Figura, Pie de página, Fecha, Número de página',
    'Punto, Segundo nivel, Tercer nivel, Cuarto nivel, Quinto nivel',
    'Paso, Capa, Tarjeta, Campo, Elemento, Notas',
  ),
  it: words(
    'it-IT',
    'Titolo, Sottotitolo, Contenuto, Contenuto a destra, Terzo contenuto, Intestazione sinistra, Intestazione destra, Citazione, Cifra, Didascalia, Immagine, Tabella, Grafico, Figura, Piè di pagina, Data, Numero di pagina',
    'Punto, Secondo livello, Terzo livello, Quarto livello, Quinto livello',
    'Passo, Strato, Scheda, Campo, Elemento, Note',
  ),
  pt: words(
    'pt-PT',
    'Título, Subtítulo, Conteúdo, Conteúdo à direita, Terceiro conteúdo, Cabeçalho esquerdo, Cabeçalho direito, Citação, Número, Legenda, Imagem, Tabela, Gráfico, Figura, Rodapé, Data, Número da página',
    'Ponto, Segundo nível, Terceiro nível, Quarto nível, Quinto nível',
    'Passo, Camada, Cartão, Campo, Elemento, Notas',
  ),
  nl: words(
    'nl-NL',
    'Titel, Ondertitel, Inhoud, Inhoud rechts, Derde inhoud, Kop links, Kop rechts, Citaat, Getal, Bijschrift, Afbeelding, Tabel, Diagram, Figuur, Voettekst, Datum, Paginanummer',
    'Punt, Tweede niveau, Derde niveau, Vierde niveau, Vijfde niveau',
    'Stap, Laag, Kaart, Veld, Deel, Notities',
  ),
};

export const fileWords = (language: LanguageTag | null): FileWords =>
  WORDS[language?.split('-')[0]?.toLowerCase() ?? 'en'] ?? WORDS.en!;

/** What a frame of a role is called: several pictures are numbered. */
export const roleName = ({ roles }: FileWords, role: Role): string =>
  role === 'picture2' || role === 'picture3' || role === 'picture4' ? `${roles.picture} ${role.at(-1)}` : roles[role];

const ITEMS: Readonly<Partial<Record<LayoutName, (words: FileWords) => string>>> = {
  steps: ({ step }) => step,
  cycle: ({ step }) => step,
  timeline: ({ roles }) => roles.date,
  'icon-grid': ({ card }) => card,
  pyramid: ({ layer }) => layer,
  funnel: ({ layer }) => layer,
  matrix: ({ field }) => field,
};
/** What an item is called in a figure. */
export const itemName = (words: FileWords, layout: LayoutName): string => ITEMS[layout]?.(words) ?? words.item;
