export { deckTables, writeCsv, type DeckTable } from './write-csv.ts';
export { deckText } from './deck-text.ts';
export { writeMarkdown } from './write-markdown.ts';
export { writeOpml } from './write-opml.ts';
export { writeDocument } from './write-document.ts';
export { writePlain } from './write-plain.ts';
