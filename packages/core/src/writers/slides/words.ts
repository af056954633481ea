/** Words of ours that a file holds besides the document's: names of objects, prompts of layouts. In the deck's language, where it is one of these. */
import { saidIn, type LanguageTag } from '../../base/index.ts';
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
  pl: words(
    'pl-PL',
    'Tytuł, Podtytuł, Treść, Treść po prawej, Trzecia treść, Nagłówek lewy, Nagłówek prawy, Cytat, Liczba, Podpis, Obraz, Tabela, Wykres, Rysunek, Stopka, Data, Numer slajdu',
    'Punkt, Drugi poziom, Trzeci poziom, Czwarty poziom, Piąty poziom',
    'Krok, Warstwa, Karta, Pole, Element, Notatki',
  ),
  sv: words(
    'sv-SE',
    'Rubrik, Underrubrik, Innehåll, Innehåll till höger, Tredje innehåll, Vänster rubrik, Höger rubrik, Citat, Tal, Bildtext, Bild, Tabell, Diagram, Figur, Sidfot, Datum, Bildnummer',
    'Punkt, Andra nivån, Tredje nivån, Fjärde nivån, Femte nivån',
    'Steg, Lager, Kort, Fält, Del, Anteckningar',
  ),
  da: words(
    'da-DK',
    'Titel, Undertitel, Indhold, Indhold til højre, Tredje indhold, Venstre overskrift, Højre overskrift, Citat, Tal, Billedtekst, Billede, Tabel, Diagram, Figur, Sidefod, Dato, Slidenummer',
    'Punkt, Andet niveau, Tredje niveau, Fjerde niveau, Femte niveau',
    'Trin, Lag, Kort, Felt, Del, Noter',
  ),
  nb: words(
    'nb-NO',
    'Tittel, Undertittel, Innhold, Innhold til høyre, Tredje innhold, Venstre overskrift, Høyre overskrift, Sitat, Tall, Bildetekst, Bilde, Tabell, Diagram, Figur, Bunntekst, Dato, Lysbildenummer',
    'Punkt, Andre nivå, Tredje nivå, Fjerde nivå, Femte nivå',
    'Trinn, Lag, Kort, Felt, Del, Notater',
  ),
  fi: words(
    'fi-FI',
    'Otsikko, Alaotsikko, Sisältö, Sisältö oikealla, Kolmas sisältö, Vasen otsikko, Oikea otsikko, Lainaus, Luku, Kuvateksti, Kuva, Taulukko, Kaavio, Kuvio, Alatunniste, Päiväys, Dian numero',
    'Kohta, Toinen taso, Kolmas taso, Neljäs taso, Viides taso',
    'Vaihe, Kerros, Kortti, Ruutu, Osa, Muistiinpanot',
  ),
  cs: words(
    'cs-CZ',
    'Nadpis, Podnadpis, Obsah, Obsah vpravo, Třetí obsah, Levý nadpis, Pravý nadpis, Citát, Číslo, Popisek, Obrázek, Tabulka, Graf, Schéma, Zápatí, Datum, Číslo snímku',
    'Bod, Druhá úroveň, Třetí úroveň, Čtvrtá úroveň, Pátá úroveň',
    'Krok, Vrstva, Karta, Pole, Položka, Poznámky',
  ),
  ru: words(
    'ru-RU',
    'Заголовок, Подзаголовок, Содержание, Содержание справа, Третье содержание, Левый заголовок, Правый заголовок, Цитата, Число, Подпись, Рисунок, Таблица, Диаграмма, Схема, Нижний колонтитул, Дата, Номер слайда',
    'Пункт, Второй уровень, Третий уровень, Четвёртый уровень, Пятый уровень',
    'Шаг, Слой, Карточка, Поле, Элемент, Заметки',
  ),
  uk: words(
    'uk-UA',
    'Заголовок, Підзаголовок, Вміст, Вміст праворуч, Третій вміст, Лівий заголовок, Правий заголовок, Цитата, Число, Підпис, Зображення, Таблиця, Діаграма, Схема, Нижній колонтитул, Дата, Номер слайда',
    'Пункт, Другий рівень, Третій рівень, Четвертий рівень, П’ятий рівень',
    'Крок, Шар, Картка, Поле, Елемент, Нотатки',
  ),
  el: words(
    'el-GR',
    'Τίτλος, Υπότιτλος, Περιεχόμενο, Περιεχόμενο δεξιά, Τρίτο περιεχόμενο, Αριστερή επικεφαλίδα, Δεξιά επικεφαλίδα, Παράθεμα, Αριθμός, Λεζάντα, Εικόνα, Πίνακας, Γράφημα, Σχήμα, Υποσέλιδο, Ημερομηνία, Αριθμός διαφάνειας',
    'Σημείο, Δεύτερο επίπεδο, Τρίτο επίπεδο, Τέταρτο επίπεδο, Πέμπτο επίπεδο',
    'Βήμα, Στρώμα, Κάρτα, Πεδίο, Στοιχείο, Σημειώσεις',
  ),
  tr: words(
    'tr-TR',
    'Başlık, Alt başlık, İçerik, Sağdaki içerik, Üçüncü içerik, Sol başlık, Sağ başlık, Alıntı, Sayı, Resim yazısı, Resim, Tablo, Grafik, Şekil, Alt bilgi, Tarih, Slayt numarası',
    'Madde, İkinci düzey, Üçüncü düzey, Dördüncü düzey, Beşinci düzey',
    'Adım, Katman, Kart, Alan, Öğe, Notlar',
  ),
  ar: words(
    'ar',
    'العنوان, العنوان الفرعي, المحتوى, المحتوى الأيمن, المحتوى الثالث, عنوان أيسر, عنوان أيمن, اقتباس, رقم, تسمية, صورة, جدول, مخطط, شكل, تذييل, التاريخ, رقم الشريحة',
    'نقطة, المستوى الثاني, المستوى الثالث, المستوى الرابع, المستوى الخامس',
    'خطوة, طبقة, بطاقة, حقل, عنصر, ملاحظات',
  ),
  he: words(
    'he-IL',
    'כותרת, כותרת משנה, תוכן, תוכן מימין, תוכן שלישי, כותרת שמאלית, כותרת ימנית, ציטוט, מספר, כיתוב, תמונה, טבלה, תרשים, איור, כותרת תחתונה, תאריך, מספר שקופית',
    'נקודה, רמה שנייה, רמה שלישית, רמה רביעית, רמה חמישית',
    'שלב, שכבה, כרטיס, שדה, פריט, הערות',
  ),
  hi: words(
    'hi-IN',
    'शीर्षक, उपशीर्षक, सामग्री, दाईं सामग्री, तीसरी सामग्री, बायाँ शीर्षक, दायाँ शीर्षक, उद्धरण, संख्या, चित्र परिचय, चित्र, तालिका, चार्ट, आकृति, पादलेख, दिनांक, स्लाइड संख्या',
    'बिंदु, दूसरा स्तर, तीसरा स्तर, चौथा स्तर, पाँचवाँ स्तर',
    'चरण, परत, कार्ड, क्षेत्र, मद, टिप्पणियाँ',
  ),
  th: words(
    'th-TH',
    'ชื่อเรื่อง, ชื่อเรื่องรอง, เนื้อหา, เนื้อหาด้านขวา, เนื้อหาที่สาม, หัวข้อซ้าย, หัวข้อขวา, คำพูดอ้างอิง, ตัวเลข, คำบรรยายภาพ, รูปภาพ, ตาราง, แผนภูมิ, แผนภาพ, ท้ายสไลด์, วันที่, เลขสไลด์',
    'ประเด็น, ระดับที่สอง, ระดับที่สาม, ระดับที่สี่, ระดับที่ห้า',
    'ขั้นตอน, ชั้น, การ์ด, ช่อง, รายการ, บันทึก',
  ),
  ja: words(
    'ja-JP',
    'タイトル, サブタイトル, 内容, 右の内容, 三つ目の内容, 左の見出し, 右の見出し, 引用, 数字, 説明文, 図版, 表, グラフ, 図, フッター, 日付, スライド番号',
    '項目, 第二レベル, 第三レベル, 第四レベル, 第五レベル',
    'ステップ, 層, カード, 区画, 要素, ノート',
  ),
  ko: words(
    'ko-KR',
    '제목, 부제목, 내용, 오른쪽 내용, 세 번째 내용, 왼쪽 소제목, 오른쪽 소제목, 인용문, 숫자, 설명, 그림, 표, 차트, 도식, 바닥글, 날짜, 슬라이드 번호',
    '항목, 둘째 수준, 셋째 수준, 넷째 수준, 다섯째 수준',
    '단계, 층, 카드, 칸, 요소, 노트',
  ),
  zh: words(
    'zh-CN',
    '标题, 副标题, 内容, 右侧内容, 第三内容, 左侧标题, 右侧标题, 引文, 数字, 说明, 图片, 表格, 图表, 图示, 页脚, 日期, 页码',
    '要点, 第二级, 第三级, 第四级, 第五级',
    '步骤, 层, 卡片, 区域, 项目, 备注',
  ),
  'zh-hant': words(
    'zh-TW',
    '標題, 副標題, 內容, 右側內容, 第三內容, 左側標題, 右側標題, 引文, 數字, 說明, 圖片, 表格, 圖表, 圖示, 頁尾, 日期, 頁碼',
    '要點, 第二層, 第三層, 第四層, 第五層',
    '步驟, 層, 卡片, 區域, 項目, 備忘稿',
  ),
};

export const fileWords = (language: LanguageTag | null): FileWords => saidIn(WORDS, language) ?? WORDS.en!;

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
