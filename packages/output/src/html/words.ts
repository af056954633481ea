/** What the page itself says, in the deck's language where it is one of these. */
import { primaryOf, type LanguageTag } from '@alvex/core';

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
};

export function pageWords(language: LanguageTag | null): PageWords {
  const wanted = language === null ? 'en' : primaryOf(language);
  const tag = wanted in WORDS ? wanted : 'en';
  const texts = WORDS[tag]!.split('|');
  return { language: tag, ...Object.fromEntries(KEYS.map((key, i) => [key, texts[i]!])) } as PageWords;
}
