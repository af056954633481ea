/** What the page itself says, in the deck's language where it is one of these. */
import { saidIn, type LanguageTag } from '@alvex/core';

const KEYS = [
  ...(['back', 'next', 'all', 'speaker', 'full', 'notes', 'noNotes', 'upNext', 'last', 'clock', 'slide'] as const),
] as const;
export type PageWords = Readonly<Record<(typeof KEYS)[number] | 'language', string>>;

/** In the order of the keys; `#` is a slide's number. */
const WORDS: Readonly<Record<string, string>> = {
  en: 'Back|Next|All slides|Speaker’s window|Fill the screen|Notes|This slide has no notes.|Next|This is the last slide|Start the clock again|Slide #',
  de: 'Zurück|Weiter|Alle Folien|Fenster zum Sprechen|Bildschirm füllen|Notizen|Diese Folie hat keine Notizen.|Danach|Das ist die letzte Folie|Uhr neu beginnen|Folie #',
  fr: 'Retour|Suivant|Toutes les diapositives|Fenêtre de l’orateur|Remplir l’écran|Notes|Cette diapositive n’a pas de notes.|Ensuite|C’est la dernière diapositive|Relancer le chronomètre|Diapositive #',
  es: 'Atrás|Siguiente|Todas las diapositivas|Ventana del orador|Llenar la pantalla|Notas|Esta diapositiva no tiene notas.|Después|Es la última diapositiva|Reiniciar el reloj|Diapositiva #',
  it: 'Indietro|Avanti|Tutte le diapositive|Finestra del relatore|Riempi lo schermo|Note|Questa diapositiva non ha note.|Poi|È l’ultima diapositiva|Riavvia l’orologio|Diapositiva #',
  pt: 'Voltar|Avançar|Todos os slides|Janela do orador|Preencher a tela|Notas|Este slide não tem notas.|Depois|Este é o último slide|Reiniciar o relógio|Slide #',
  nl: 'Terug|Verder|Alle dia’s|Venster van de spreker|Scherm vullen|Notities|Deze dia heeft geen notities.|Daarna|Dit is de laatste dia|Klok opnieuw beginnen|Dia #',
  pl: 'Wstecz|Dalej|Wszystkie slajdy|Okno prelegenta|Na cały ekran|Notatki|Ten slajd nie ma notatek.|Następnie|To ostatni slajd|Uruchom zegar od nowa|Slajd #',
  sv: 'Tillbaka|Nästa|Alla bilder|Talarens fönster|Fyll skärmen|Anteckningar|Den här bilden har inga anteckningar.|Sedan|Det här är sista bilden|Starta om klockan|Bild #',
  da: 'Tilbage|Videre|Alle slides|Talerens vindue|Fyld skærmen|Noter|Denne slide har ingen noter.|Derefter|Dette er den sidste slide|Start uret forfra|Slide #',
  nb: 'Tilbake|Videre|Alle lysbilder|Talerens vindu|Fyll skjermen|Notater|Dette lysbildet har ingen notater.|Deretter|Dette er siste lysbilde|Start klokken på nytt|Lysbilde #',
  fi: 'Takaisin|Seuraava|Kaikki diat|Puhujan ikkuna|Täytä näyttö|Muistiinpanot|Tällä dialla ei ole muistiinpanoja.|Seuraavaksi|Tämä on viimeinen dia|Käynnistä kello uudelleen|Dia #',
  cs: 'Zpět|Další|Všechny snímky|Okno řečníka|Na celou obrazovku|Poznámky|Tento snímek nemá poznámky.|Dále|Toto je poslední snímek|Spustit hodiny znovu|Snímek #',
  ru: 'Назад|Далее|Все слайды|Окно докладчика|Во весь экран|Заметки|У этого слайда нет заметок.|Затем|Это последний слайд|Запустить часы заново|Слайд #',
  uk: 'Назад|Далі|Усі слайди|Вікно доповідача|На весь екран|Нотатки|До цього слайда немає нотаток.|Потім|Це останній слайд|Запустити годинник знову|Слайд #',
  el: 'Πίσω|Επόμενο|Όλες οι διαφάνειες|Παράθυρο ομιλητή|Πλήρης οθόνη|Σημειώσεις|Αυτή η διαφάνεια δεν έχει σημειώσεις.|Μετά|Αυτή είναι η τελευταία διαφάνεια|Επανεκκίνηση ρολογιού|Διαφάνεια #',
  tr: 'Geri|İleri|Tüm slaytlar|Konuşmacı penceresi|Ekranı doldur|Notlar|Bu slaytta not yok.|Sıradaki|Bu son slayt|Saati yeniden başlat|Slayt #',
  ar: 'السابق|التالي|كل الشرائح|نافذة المتحدث|ملء الشاشة|ملاحظات|لا توجد ملاحظات لهذه الشريحة.|بعد ذلك|هذه آخر شريحة|إعادة تشغيل الساعة|الشريحة #',
  he: 'הקודם|הבא|כל השקופיות|חלון הדובר|מסך מלא|הערות|אין הערות לשקופית זו.|אחר כך|זו השקופית האחרונה|אתחול השעון|שקופית #',
  hi: 'पीछे|आगे|सभी स्लाइड|वक्ता की विंडो|पूरी स्क्रीन|टिप्पणियाँ|इस स्लाइड पर कोई टिप्पणी नहीं है।|इसके बाद|यह अंतिम स्लाइड है|घड़ी फिर से शुरू करें|स्लाइड #',
  th: 'ย้อนกลับ|ถัดไป|สไลด์ทั้งหมด|หน้าต่างผู้พูด|เต็มหน้าจอ|บันทึก|สไลด์นี้ไม่มีบันทึก|ต่อไป|นี่คือสไลด์สุดท้าย|เริ่มจับเวลาใหม่|สไลด์ #',
  ja: '戻る|次へ|すべてのスライド|発表者の画面|全画面|ノート|このスライドにはノートがありません。|この次|最後のスライドです|時計を最初から|スライド #',
  ko: '뒤로|다음|모든 슬라이드|발표자 창|화면 채우기|노트|이 슬라이드에는 노트가 없습니다.|이어서|마지막 슬라이드입니다|시계 다시 시작|슬라이드 #',
  zh: '上一页|下一页|所有幻灯片|演讲者窗口|全屏|备注|此幻灯片没有备注。|接下来|这是最后一张幻灯片|重新计时|幻灯片 #',
  'zh-hant':
    '上一頁|下一頁|所有投影片|講者視窗|全螢幕|備忘稿|此投影片沒有備忘稿。|接下來|這是最後一張投影片|重新計時|投影片 #',
};

export function pageWords(language: LanguageTag | null): PageWords {
  const said = saidIn(WORDS, language);
  const texts = (said ?? WORDS.en!).split('|');
  const words = Object.fromEntries(KEYS.map((key, i) => [key, texts[i]!]));
  return { language: said === undefined ? 'en' : language, ...words } as PageWords;
}
