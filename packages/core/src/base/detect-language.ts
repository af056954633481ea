/** The language of a text by its script, its letters and its commonest words. */
import { primaryOf, USUAL_LANGUAGE, type LanguageTag } from './language-tag.ts';
import { getOrMake } from './remember.ts';

const words = (text: string): readonly string[] => text.split(' ');

/** The commonest words of languages in Latin script; full lists of stop words differ too much in length to be compared. */
const COMMON: Readonly<Record<string, readonly string[]>> = {
  en: words('the of and to in is that it was for on are as with be by this from at which or an were not have has'),
  de: words(
    'der die und das den von zu mit sich des auf für ist im dem nicht ein eine als auch es an werden aus er hat dass',
  ),
  fr: words('le la les de des et en un une du est que dans qui pour pas sur au plus par sont il ne se ce avec'),
  es: words('el la los las de del que y en un una es por con para se su al lo como más pero son está fue'),
  it: words('il lo la gli le di del della che e in un una è per con si non da sono nel dei al alla più ma'),
  pt: words('o os as do da dos das que e em um uma é para com não por no na se mais ao são foi pelo sua'),
  nl: words('de het een en van in is dat op te zijn voor met die niet aan er om ook als bij maar naar uit wordt'),
  sv: words('och att det som en på är av för med den till inte har de ett om var från kan men vid sig ska eller så'),
  da: words('og at det som en på er af for med den til ikke har de et om var fra kan men ved sig skal eller blev'),
  nb: words('og at det som en på er av for med den til ikke har de et om var fra kan men ved seg skal eller ble'),
  fi: words('ja on ei se että oli ovat hän mutta kun tai myös joka niin kuin sekä vain ole mukaan voi jos tämä ollut'),
  pl: words('i w na z do nie się że jest to o jak po od za przez oraz dla są był ale być tym przy lub tego które'),
  cs: words('a v na se je že to s z do i o k za po pro jako by od jsou byl při který nebo ale podle však ve'),
  sk: words('a v na sa je že to s z do i o k za po pre ako by od sú bol pri ktorý alebo ale podľa však vo'),
  sl: words('in v na je se da za z so ki pa po kot od do tudi ali bi bil pri še kar ne iz ter lahko'),
  hr: words('i u na je se da za od su s o koji ne kao što to bi ili iz po te će nije biti sa koje'),
  hu: words('a az és hogy nem is egy ez volt meg csak de már van el vagy mint még kell ki lehet szerint azt'),
  ro: words('și în de a la cu pe din care este un o nu se pentru mai sau prin sunt al ale fi ca după dar fost'),
  tr: words('ve bir bu da de için ile olarak olan daha çok gibi kadar sonra en ya değil ise her göre tarafından'),
  ca: words('el la els les de del que i en un una és per amb no es al dels com més als però són va ser'),
  et: words('ja on ei et see oli ka kui mis ning või aga siis oma ta selle seda nii välja olid kes pole'),
  lv: words('un ir no ar par kas uz tas ka vai bet kā lai pēc gan arī tika pie tā līdz ja nav viņš'),
  lt: words('ir yra kad iš į su tai kaip buvo bet o už nuo apie ar taip per jo prie dėl tik pagal iki'),
  id: words(
    'yang dan di dari untuk dengan pada ini itu dalam tidak adalah akan ke oleh atau juga sebagai telah karena',
  ),
  vi: words('và của là các có trong cho được với không một những người này khi đã từ về để ở như tại'),
};

const LANGUAGES = Object.keys(COMMON);
/** Places of its languages in the list, by word. */
const BY_WORD = new Map<string, number[]>();
Object.values(COMMON).forEach((common, i) => {
  for (const word of common) getOrMake(BY_WORD, word, (): number[] => []).push(i);
});

/** Scripts that tell the language, or the languages that their letters tell; what writes most comes first (UAX 24). */
const SCRIPTS: readonly (readonly [RegExp, string, readonly string[]])[] = [
  [/\p{Script=Latin}/gu, '', []],
  [/\p{Script=Cyrillic}/gu, 'ru', ['uk', 'bg', 'sr', 'be', 'mk', 'kk', 'mn', 'ky', 'tg', 'tt', 'ba', 'cv']],
  [/\p{Script=Greek}/gu, 'el', []],
  [/\p{Script=Arabic}/gu, 'ar', ['fa', 'ur', 'ps', 'ku', 'sd', 'ug', 'ckb', 'pa']],
  [/\p{Script=Hebrew}/gu, 'he', ['yi']],
  [/[\p{Script=Hiragana}\p{Script=Katakana}]/gu, 'ja', []],
  [/\p{Script=Hangul}/gu, 'ko', []],
  [/\p{Script=Han}/gu, 'zh', ['ja', 'ko', 'yue', 'lzh', 'wuu']],
  [/\p{Script=Devanagari}/gu, 'hi', ['mr', 'ne', 'sa', 'kok', 'mai', 'bho']],
  [/\p{Script=Thai}/gu, 'th', []],
  [/\p{Script=Bengali}/gu, 'bn', ['as']],
  [/\p{Script=Tamil}/gu, 'ta', []],
  [/\p{Script=Telugu}/gu, 'te', []],
  [/\p{Script=Gujarati}/gu, 'gu', []],
  [/\p{Script=Gurmukhi}/gu, 'pa', []],
  [/\p{Script=Kannada}/gu, 'kn', []],
  [/\p{Script=Malayalam}/gu, 'ml', []],
  [/\p{Script=Sinhala}/gu, 'si', []],
  [/\p{Script=Georgian}/gu, 'ka', []],
  [/\p{Script=Armenian}/gu, 'hy', []],
  [/\p{Script=Ethiopic}/gu, 'am', ['ti']],
  [/\p{Script=Khmer}/gu, 'km', []],
  [/\p{Script=Lao}/gu, 'lo', []],
  [/\p{Script=Myanmar}/gu, 'my', []],
  [/\p{Script=Tibetan}/gu, 'bo', ['dz']],
];
const NOT_LATIN = new Set(SCRIPTS.flatMap(([, first, others]) => (first === '' ? [] : [first, ...others])));
/** Languages that are written in Latin letters too. */
const IN_LATIN_TOO = new Set(['sr', 'ku', 'tt', 'kk', 'pa']);

/** Letters that only one of the languages of a script has. */
const OWN_LETTERS: readonly (readonly [RegExp, string])[] = [
  [/[іїєґ](?!.*ў)/iu, 'uk'],
  [/ў/iu, 'be'],
  [/[ѓќѕ]/iu, 'mk'],
  [/[ђћ]/iu, 'sr'],
  [/[љњџј]/iu, 'sr'],
  [/[ٹڈڑے]/u, 'ur'],
  [/[پچژگیک]/u, 'fa'],
];

const SAMPLE = 400; // characters of a text that are looked at
const SURE = 0.2; // share of the words that must be the language's commonest
const CLEARLY = 1.25; // times as many as of the next language

/** The commonest language of the script that most of a text's letters are of; empty for Latin, undefined without letters. */
function scriptOf(text: string): (typeof SCRIPTS)[number] | undefined {
  // Kana among ideographs is Japanese, however few it is.
  if (/[\p{Script=Hiragana}\p{Script=Katakana}]/u.test(text) && /\p{Script=Han}/u.test(text)) return SCRIPTS[5];
  if (!/[^\0-\u024f\u1e00-\u1eff\u2000-\u2bff]/u.test(text)) return /\p{L}/u.test(text) ? SCRIPTS[0] : undefined;
  let best: (typeof SCRIPTS)[number] | undefined;
  let most = 0;
  for (const script of SCRIPTS) {
    const count = text.match(script[0])?.length ?? 0;
    if (count > most) [best, most] = [script, count];
  }
  return best;
}

/** Whether the language can be what a text is in, by the script of the text. */
export function isWrittenAs(tag: LanguageTag, text: string): boolean {
  const script = scriptOf(text.slice(0, SAMPLE));
  if (script === undefined) return true;
  const primary = primaryOf(tag);
  const [, first, others] = script;
  if (/-Latn\b/.test(tag)) return first === '';
  if (first === '') return !NOT_LATIN.has(primary) || IN_LATIN_TOO.has(primary);
  // A language that is in no list may be written in any of them.
  return first === primary || others.includes(primary) || !(primary in COMMON || NOT_LATIN.has(primary));
}

/**
 * @param expected The language of what stands around: it decides where a script alone leaves it open.
 * @returns undefined where the text does not tell.
 */
export function detectLanguage(text: string, expected?: LanguageTag): LanguageTag | undefined {
  const sample = text.slice(0, SAMPLE);
  const script = scriptOf(sample);
  if (script === undefined) return undefined;
  const [, first, others] = script;
  if (first === '') return byWords(sample);
  const own = OWN_LETTERS.find(([letters, language]) => others.includes(language) && letters.test(sample))?.[1];
  const around = expected === undefined ? '' : primaryOf(expected);
  const open = own === undefined && (first === around || others.includes(around));
  return open ? expected : ((own ?? first) as LanguageTag);
}

/** The language of a text among others: its own where that is told by letters or words, else that of what stands around. */
export function languageAmong(text: string, around: LanguageTag): LanguageTag {
  const found = detectLanguage(text, around);
  return found === undefined || primaryOf(found) === primaryOf(around) ? around : found;
}

function byWords(text: string): LanguageTag | undefined {
  const tokens = text.toLowerCase().match(/\p{L}+/gu) ?? [];
  const hits = new Uint16Array(LANGUAGES.length);
  for (const token of tokens) {
    const spoken = BY_WORD.get(token);
    if (spoken !== undefined) for (const i of spoken) hits[i]!++;
  }
  let [best, most, next] = ['', 0, 0];
  hits.forEach((count, i) => {
    if (count > most) [best, most, next] = [LANGUAGES[i]!, count, most];
    else if (count > next) next = count;
  });
  if (most < (tokens.length <= SHORT ? 2 : 3) || most < tokens.length * SURE || most < next * CLEARLY) return undefined;
  return best === primaryOf(USUAL_LANGUAGE) ? USUAL_LANGUAGE : (best as LanguageTag);
}
const SHORT = 6; // words
