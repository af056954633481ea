/** Parts of a document that are not for the audience: headings that say so, in the languages that are known best. */
import { blockText, type Block, type DocumentModel } from '../document/index.ts';

const SPEAKER = {
  en: '(?:speaker|presenter|instructor|teacher|trainer|facilitator|lecturer|moderator|chair)',
  de: '(?:sprecher|vortragende|referent|dozent|lehrer|trainer|moderator|kursleiter|übungsleiter)',
  fr: '(?:présentateur|présentatrice|orateur|oratrice|intervenant|formateur|formatrice|animateur|enseignant)',
  es: '(?:presentador|ponente|orador|instructor|docente|profesor|formador)',
  it: '(?:relatore|presentatore|docente|formatore|istruttore|insegnante)',
  pt: '(?:apresentador|orador|instrutor|professor|formador|palestrante)',
  nl: '(?:spreker|presentator|docent|trainer|begeleider|leraar)',
} as const;

const NAMES: readonly RegExp[] = [
  `(?:${SPEAKER.en}(?:[’']?s)?[’']? (?:notes?|guide|only)|(?:notes?|guidance|hints?|tips?) (?:for|to) (?:the )?${SPEAKER.en}s?|for (?:the )?${SPEAKER.en}s?(?: only)?|not for (?:the )?(?:audience|slides?|public)|(?:strictly )?confidential|internal (?:notes?|only)|private(?: notes?)?)`,
  `(?:${SPEAKER.de}(?:in|innen|en|s)?-?(?:notizen|hinweise)|(?:notizen|hinweise) für (?:die |den |das )?${SPEAKER.de}(?:in|innen|en|s)?|nur für .{1,30}|(?:streng )?vertraulich|interne notizen|nur intern)`,
  `(?:notes? (?:pour|de|du|des|à) ?(?:le |la |les |l[’'])?${SPEAKER.fr}e?s?|(?:strictement )?confidentiel|usage interne|réservé .{1,30})`,
  `(?:notas? (?:para|del|de) (?:el |la |los |las )?${SPEAKER.es}(?:a|es|as)?|(?:estrictamente )?confidencial|uso interno|solo para .{1,30})`,
  `(?:note (?:per|del|di) (?:il |lo |la |i )?${SPEAKER.it}|(?:strettamente )?riservato|uso interno|solo per .{1,30})`,
  `(?:notas? (?:para|do|da) (?:o |a |os )?${SPEAKER.pt}a?|uso interno|só para .{1,30})`,
  `(?:(?:notities|aanwijzingen) voor (?:de |het )?${SPEAKER.nl}s?|${SPEAKER.nl}s?notities|(?:strikt )?vertrouwelijk|alleen voor .{1,30})`,
  `(?:заметки (?:для )?(?:докладчика|преподавателя|ведущего|инструктора)|конфиденциально|для служебного пользования)`,
  `(?:(?:発表者|講師|登壇者|司会者)(?:用|向け)?(?:の)?(?:ノート|メモ|注意)?|社外秘|(?:讲者|演讲者|讲师|主讲人)(?:备注|笔记|注意事项)?|(?:發表者|講者|講師)(?:備註|筆記)?)`,
  // Of small letters: to compile them for both takes tens of milliseconds.
].map((name) => new RegExp(`^\\W*(?:${name})\\W*$`, 'u'));

/** Whether a heading says that what stands below it is for who speaks. */
export function isPrivate(title: string): boolean {
  const name = title
    .replace(/^\s*[\d.]+\s+/, '')
    .trim()
    .toLowerCase();
  return name.length <= MOST_LETTERS && NAMES.some((one) => one.test(name));
}
const MOST_LETTERS = 60;

/** Headings of parts that are not for the audience; one within another is not among them. */
export function privateHeadings({ blocks }: DocumentModel): readonly Block[] {
  const found: Block[] = [];
  let below = 0;
  for (const block of blocks) {
    if (block.kind !== 'heading' || block.left !== undefined) continue;
    if (below > 0 && block.level > below) continue;
    below = isPrivate(blockText(block)) ? block.level : 0;
    if (below > 0) found.push(block);
  }
  return found;
}
