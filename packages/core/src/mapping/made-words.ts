/** Words of ours that stand on slides and in handouts, in the deck's language. */
import { saidIn } from '../base/index.ts';
import type { DocumentModel } from '../document/index.ts';
import { documentLanguage } from './document-language.ts';

type MadeWords = Readonly<Record<'agenda' | 'key-points' | 'sources' | 'untitled' | 'contents', string>>;

const WORDS: Readonly<Record<string, MadeWords>> = {
  en: {
    agenda: 'Agenda',
    'key-points': 'Key points',
    sources: 'Sources and links',
    untitled: 'Untitled',
    contents: 'Contents',
  },
  de: {
    agenda: 'Ablauf',
    'key-points': 'Das Wichtigste',
    sources: 'Quellen und Verweise',
    untitled: 'Ohne Titel',
    contents: 'Inhalt',
  },
  fr: {
    agenda: 'Au programme',
    'key-points': 'Points clés',
    sources: 'Sources et liens',
    untitled: 'Sans titre',
    contents: 'Sommaire',
  },
  es: {
    agenda: 'Contenido',
    'key-points': 'Puntos clave',
    sources: 'Fuentes y enlaces',
    untitled: 'Sin título',
    contents: 'Contenido',
  },
  it: {
    agenda: 'Programma',
    'key-points': 'Punti chiave',
    sources: 'Fonti e collegamenti',
    untitled: 'Senza titolo',
    contents: 'Indice',
  },
  pt: {
    agenda: 'Programa',
    'key-points': 'Pontos principais',
    sources: 'Fontes e ligações',
    untitled: 'Sem título',
    contents: 'Sumário',
  },
  nl: {
    agenda: 'Programma',
    'key-points': 'Kernpunten',
    sources: 'Bronnen en links',
    untitled: 'Zonder titel',
    contents: 'Inhoud',
  },
  pl: {
    agenda: 'Plan',
    'key-points': 'Najważniejsze',
    sources: 'Źródła i odnośniki',
    untitled: 'Bez tytułu',
    contents: 'Spis treści',
  },
  sv: {
    agenda: 'Innehåll',
    'key-points': 'Det viktigaste',
    sources: 'Källor och länkar',
    untitled: 'Utan titel',
    contents: 'Innehåll',
  },
  da: {
    agenda: 'Dagsorden',
    'key-points': 'Det vigtigste',
    sources: 'Kilder og links',
    untitled: 'Uden titel',
    contents: 'Indhold',
  },
  nb: {
    agenda: 'Innhold',
    'key-points': 'Det viktigste',
    sources: 'Kilder og lenker',
    untitled: 'Uten tittel',
    contents: 'Innhold',
  },
  fi: {
    agenda: 'Ohjelma',
    'key-points': 'Pääkohdat',
    sources: 'Lähteet ja linkit',
    untitled: 'Nimetön',
    contents: 'Sisällys',
  },
  cs: {
    agenda: 'Program',
    'key-points': 'To hlavní',
    sources: 'Zdroje a odkazy',
    untitled: 'Bez názvu',
    contents: 'Obsah',
  },
  ru: {
    agenda: 'План',
    'key-points': 'Главное',
    sources: 'Источники и ссылки',
    untitled: 'Без названия',
    contents: 'Содержание',
  },
  uk: {
    agenda: 'План',
    'key-points': 'Головне',
    sources: 'Джерела та посилання',
    untitled: 'Без назви',
    contents: 'Зміст',
  },
  el: {
    agenda: 'Πρόγραμμα',
    'key-points': 'Τα κυριότερα',
    sources: 'Πηγές και σύνδεσμοι',
    untitled: 'Χωρίς τίτλο',
    contents: 'Περιεχόμενα',
  },
  tr: {
    agenda: 'Gündem',
    'key-points': 'Önemli noktalar',
    sources: 'Kaynaklar ve bağlantılar',
    untitled: 'Başlıksız',
    contents: 'İçindekiler',
  },
  ar: {
    agenda: 'المحاور',
    'key-points': 'أهم النقاط',
    sources: 'المصادر والروابط',
    untitled: 'بلا عنوان',
    contents: 'المحتويات',
  },
  he: {
    agenda: 'סדר היום',
    'key-points': 'עיקרי הדברים',
    sources: 'מקורות וקישורים',
    untitled: 'ללא כותרת',
    contents: 'תוכן העניינים',
  },
  hi: {
    agenda: 'कार्यसूची',
    'key-points': 'मुख्य बिंदु',
    sources: 'स्रोत और कड़ियाँ',
    untitled: 'शीर्षकहीन',
    contents: 'विषय-सूची',
  },
  th: { agenda: 'วาระ', 'key-points': 'ประเด็นสำคัญ', sources: 'แหล่งข้อมูลและลิงก์', untitled: 'ไม่มีชื่อ', contents: 'สารบัญ' },
  ja: { agenda: '目次', 'key-points': '要点', sources: '出典とリンク', untitled: '無題', contents: '目次' },
  ko: { agenda: '목차', 'key-points': '핵심 내용', sources: '출처와 링크', untitled: '제목 없음', contents: '차례' },
  zh: { agenda: '议程', 'key-points': '要点', sources: '来源与链接', untitled: '无标题', contents: '目录' },
  'zh-hant': { agenda: '議程', 'key-points': '重點', sources: '來源與連結', untitled: '無標題', contents: '目錄' },
};

/** In English where the language is told by nothing, or is none of these. */
export const madeWords = (document: DocumentModel): MadeWords =>
  saidIn(WORDS, document.language) ?? saidIn(WORDS, documentLanguage(document)) ?? WORDS.en!;
