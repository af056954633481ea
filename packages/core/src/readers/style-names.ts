/** What a style is for, from its name in the languages that word processors write. */
import type { Level } from '../document/index.ts';

// "Heading" as built-in style names say it; the number stands behind.
const HEADING = new RegExp(
  `^(?:${[
    'heading',
    'überschrift',
    'titre',
    'título',
    'titulo',
    'titolo',
    'kop',
    'rubrik',
    'overskrift',
    'otsikko',
    'nagłówek',
    'nadpis',
    'заголовок',
    'címsor',
    'titlu',
    'επικεφαλίδα',
    'başlık',
    '标题',
    '標題',
    '見出し',
    '제목',
    'judul',
    'tiêu đề',
    'naslov',
    'encabezado',
    'cabeçalho',
    'antraštė',
    'virsraksts',
    'pealkiri',
    'fyrirsögn',
    'כותרת',
    'عنوان',
  ].join('|')})\\s*([1-9])(?:\\s+char)?$`,
  'iu',
);
const TITLE =
  /^(title|titel|titre|título|titulo|titolo|tittel|otsikko|tytuł|název|nadpis|название|заголовок|cím|titlu|τίτλος|konu başlığı|标题|標題|表題|제목|naslov)$/iu;
const SUBTITLE =
  /^(subtitle|untertitel|sous-titre|subtítulo|subtitulo|sottotitolo|ondertitel|undertitel|undertittel|alaotsikko|podtytuł|podnadpis|podtitul|подзаголовок|alcím|subtitlu|υπότιτλος|alt yazı|副标题|副標題|副題|부제)$/iu;
const QUOTE =
  /^(intense )?(quote|quotation|quotations|block ?text|zitat|intensives zitat|citation|citation intense|cita|cita destacada|citazione|citaat|citat|sitat|lainaus|cytat|citát|цитата)$/iu;
const CODE =
  /^(html preformatted|html vorformatiert|preformatted text|code|code block|source code|listing|verbatim)$/iu;
const CAPTION =
  /^(caption|beschriftung|légende|epígrafe|leyenda|legenda|didascalia|bijschrift|beskrivning|billedtekst|kuvaotsikko|titulek|название объекта)$/iu;
const CONTENTS =
  /^(toc|verzeichnis|tdc?|tm|índice|indice|sommario|inhopg|innehåll|indholdsfortegnelse|spis treści|obsah|оглавление|inhaltsverzeichnis|contents)\s*([1-9]|heading|überschrift)?$/iu;

export type StyleUse = 'title' | 'subtitle' | 'quote' | 'code' | 'caption' | 'contents' | Level;

export function styleUse(name: string): StyleUse | undefined {
  const heading = HEADING.exec(name);
  if (heading !== null) return Math.min(Number(heading[1]), 6) as Level;
  if (/^(toc heading|inhaltsverzeichnisüberschrift|en-tête de table des matières)$/iu.test(name)) return 'contents';
  if (TITLE.test(name)) return 'title';
  if (SUBTITLE.test(name)) return 'subtitle';
  if (QUOTE.test(name)) return 'quote';
  if (CODE.test(name)) return 'code';
  if (CAPTION.test(name)) return 'caption';
  if (CONTENTS.test(name)) return 'contents';
  return undefined;
}

/** `List Bullet 3` and its like say their depth by name; each is a list of one level of its own. */
export function listDepthByName(name: string): number | undefined {
  const match = /^list (?:bullet|number) ([2-5])$/i.exec(name);
  return match === null ? undefined : Number(match[1]);
}
