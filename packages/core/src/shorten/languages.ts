/** What shortening knows of single languages: words that carry no topic, abbreviations, lead-ins, negations, cues, verbs. */
import { detectLanguage, primaryOf } from '../base/index.ts';
import { deu, eng, fra, ita, nld, por, porBr, spa } from 'stopword';

export const LANGUAGES = ['en', 'de', 'fr', 'es', 'it', 'pt', 'nl'] as const;
/** `und`: none of those that are known. Then length and place decide alone, and nothing is trimmed but parentheses. */
export type Language = (typeof LANGUAGES)[number] | 'und';

interface Knowledge {
  readonly stop: ReadonlySet<string>;
  /** Abbreviations whose full stop ends no sentence; lower case, without it. */
  readonly abbreviations: ReadonlySet<string>;
  /** Beginnings of a sentence that can go without changing its sense; each stands before a comma or the like. */
  readonly leadIns: RegExp;
  readonly negations: ReadonlySet<string>;
  /** Words that announce a result or a conclusion (Edmundson, "New Methods in Automatic Extracting", 1969). */
  readonly cues: ReadonlySet<string>;
  /** That follow what a sentence is about. */
  readonly verbs: ReadonlySet<string>;
}

const words = (text: string): ReadonlySet<string> => new Set(text.split(' '));
const leadIns = (alternatives: string): RegExp => new RegExp(`^(?:${alternatives})(?:,|:)?\\s+`, 'iu');
/** A lead-in that needs its comma, since without one it may be the subject. */
const withComma = (alternatives: string): string => `(?:${alternatives}),`;

const COMMON = 'dr prof nr no vol fig bzw ca etc vs al st mr mrs ms sr jr op cf approx dept est';
const ENGLISH_MORE =
  'a an the and or but if then than that this these those there here it its is are was were be been being have has had do does did will would shall should may might can could must of in on at to for from by with about into over after before between under again further so such only own same too very just also while during through above below up down out off which who whom whose what when where why how all any both each few more most other some no nor not he she they them their his her our your we you i me my us as because until against itself himself herself themselves one two';

export const KNOWLEDGE: Readonly<Record<Language, Knowledge>> = {
  en: {
    stop: new Set([...eng, ...ENGLISH_MORE.split(' ')]),
    abbreviations: words(`${COMMON} e.g i.e inc ltd co jan feb mar apr jun jul aug sep sept oct nov dec p pp ch sec`),
    leadIns: leadIns(
      `${withComma('however|moreover|furthermore|in addition|additionally|of course|in fact|indeed|for example|for instance|in general|generally|in other words|as mentioned(?: above| before)?|as a result|consequently|finally|in summary|to sum up|overall|in practice|needless to say|at present|today|similarly|likewise|first of all|second(?:ly)?|third(?:ly)?|then')}|it (?:should|must|may) be (?:noted|said|added|mentioned|stressed|remembered) that|it is (?:worth noting|important to note|clear|well known) that|please note that|note that|as you (?:can see|know),`,
    ),
    negations: words('not no never none neither nor without cannot hardly unless except nothing nobody'),
    cues: words(
      'important significant conclusion result results therefore decided must recommend recommends total most best worst key main first finally because need needs',
    ),
    verbs: words('is are was were has have had can could will would may might must should does did'),
  },
  de: {
    stop: new Set(deu),
    abbreviations: words(
      `${COMMON} z d u i z.b d.h u.a o.ä usw evtl ggf inkl exkl bspw vgl abs art str hr fr s jan feb mär apr jun jul aug sep okt nov dez mio mrd`,
    ),
    leadIns: leadIns(
      `${withComma('allerdings|jedoch|außerdem|darüber hinaus|zum beispiel|beispielsweise|kurz gesagt|im allgemeinen|wie gesagt|wie erwähnt|mit anderen worten')}|es ist (?:zu beachten|darauf hinzuweisen|bekannt), dass|bekanntlich`,
    ),
    negations: words(
      'nicht kein keine keinen keiner keinem keines nie niemals nichts ohne weder noch kaum außer nirgends',
    ),
    cues: words(
      'wichtig ergebnis deshalb daher folglich muss müssen beschlossen insgesamt hauptsächlich schließlich entscheidend notwendig',
    ),
    verbs: words(
      'ist sind war waren hat haben hatte hatten kann können wird werden wurde wurden muss müssen soll sollen',
    ),
  },
  fr: {
    stop: new Set([
      ...fra,
      ...'le la les un une des du de et à en dans pour que qui est sont par sur plus ne se ce cette ces son sa ses il elle ils elles on nous vous avec'.split(
        ' ',
      ),
    ]),
    abbreviations: words(`${COMMON} m mm mme mlle p.ex cf env av apr j.-c art chap`),
    leadIns: leadIns(
      `${withComma('cependant|toutefois|néanmoins|en outre|de plus|par ailleurs|par exemple|en effet|en général|en fait|bien sûr|autrement dit|en résumé')}|il (?:faut|convient de) noter que|il est à noter que`,
    ),
    negations: words('ne n pas jamais aucun aucune rien sans ni nul nulle personne sauf'),
    cues: words('important résultat donc conclusion doit doivent principal décidé total nécessaire finalement'),
    verbs: words('est sont était étaient a ont avait peut peuvent doit doivent sera seront'),
  },
  es: {
    stop: new Set([
      ...spa,
      ...'el la los las un una unos unas de del y a en que es son por para con se su sus al lo como más o pero si no este esta estos estas'.split(
        ' ',
      ),
    ]),
    abbreviations: words(`${COMMON} sra srta dra d da p.ej ud uds aprox núm pág`),
    leadIns: leadIns(
      `${withComma('sin embargo|no obstante|además|por ejemplo|en general|de hecho|en resumen|por supuesto|es decir|asimismo')}|cabe (?:señalar|destacar|mencionar) que|hay que señalar que`,
    ),
    negations: words('no nunca jamás ningún ninguna ninguno nada nadie sin ni tampoco salvo'),
    cues: words('importante resultado conclusión debe deben principal decidido total necesario finalmente'),
    verbs: words('es son era eran está están fue fueron ha han puede pueden debe deben'),
  },
  it: {
    stop: new Set([
      ...ita,
      ...'il lo la i gli le un una di del della dei e a in che è sono per con si su al come più o ma se non questo questa'.split(
        ' ',
      ),
    ]),
    abbreviations: words(`${COMMON} sig sig.ra dott dott.ssa ing avv pag es p.es`),
    leadIns: leadIns(
      `${withComma('tuttavia|inoltre|per esempio|ad esempio|in generale|infatti|in sintesi|naturalmente|cioè|peraltro')}|(?:va|è da) (?:notato|ricordato|precisato) che|si noti che`,
    ),
    negations: words('non mai nessun nessuna nessuno niente nulla senza né neppure neanche salvo'),
    cues: words('importante risultato conclusione deve devono principale deciso totale necessario infine quindi'),
    verbs: words('è sono era erano ha hanno può possono deve devono'),
  },
  pt: {
    stop: new Set([
      ...por,
      ...porBr,
      ...'o a os as um uma de do da dos das e em no na que é são por para com se ao como mais ou mas não este esta'.split(
        ' ',
      ),
    ]),
    abbreviations: words(`${COMMON} sra dra exmo p.ex pág aprox`),
    leadIns: leadIns(
      `${withComma('no entanto|contudo|todavia|além disso|por exemplo|em geral|de facto|de fato|em resumo|aliás|ou seja|porém')}|(?:deve|cabe) (?:notar|salientar|referir|observar)(?:-se)? que|é de notar que`,
    ),
    negations: words('não nunca jamais nenhum nenhuma nada ninguém sem nem tampouco salvo'),
    cues: words('importante resultado conclusão deve devem principal decidido total necessário finalmente portanto'),
    verbs: words('é são era eram está estão foi foram tem têm pode podem deve devem'),
  },
  nl: {
    stop: new Set([
      ...nld,
      ...'de het een en van in op te dat die is zijn voor met aan er om als bij ook naar uit door over maar of niet dit deze wordt worden'.split(
        ' ',
      ),
    ]),
    abbreviations: words(`${COMMON} bijv enz d.w.z o.a m.b.t t.o.v blz dhr mevr jl`),
    leadIns: leadIns(
      `${withComma('echter|bovendien|daarnaast|bijvoorbeeld|over het algemeen|kortom|met andere woorden|natuurlijk|overigens')}|er (?:moet|dient) (?:worden opgemerkt|te worden opgemerkt) dat|opgemerkt moet worden dat`,
    ),
    negations: words('niet geen nooit niets niemand zonder noch nergens nauwelijks behalve'),
    cues: words(
      'belangrijk resultaat conclusie daarom moet moeten besloten totaal noodzakelijk uiteindelijk voornaamste',
    ),
    verbs: words('is zijn was waren heeft hebben kan kunnen wordt worden moet moeten'),
  },
  und: {
    stop: new Set(),
    abbreviations: words(COMMON),
    leadIns: /(?!)/,
    negations: new Set(),
    cues: new Set(),
    verbs: new Set(),
  },
};

const SAMPLE = 4000; // characters of the text that are looked at

/**
 * The language of a text: the one that is declared, where it is known; else the one that most of it is in.
 * @param declared BCP 47, or null.
 */
export function languageOf(declared: string | null, texts: Iterable<string>): Language {
  const known = (tag: string): Language => LANGUAGES.find((language) => language === primaryOf(tag)) ?? 'und';
  if (declared !== null && primaryOf(declared) !== 'und') return known(declared);
  const weights = new Map<Language, number>();
  let seen = 0;
  for (const text of texts) {
    const language = known(detectLanguage(text) ?? 'und');
    weights.set(language, (weights.get(language) ?? 0) + text.length);
    if ((seen += text.length) > SAMPLE) break;
  }
  weights.delete('und');
  return [...weights].sort((a, b) => b[1] - a[1])[0]?.[0] ?? 'und';
}

/** Words of a text in lower case. */
export const wordsOf = (text: string): readonly string[] => text.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? [];
