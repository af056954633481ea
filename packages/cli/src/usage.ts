/** What the command line says of itself, and how it says that it was not understood. */
import { DOCUMENT_TYPES, FULL_RULES, LENGTH_NAMES, MATTER_KINDS, PAPER_SIZES, PRINTS } from '@alvex/core';
import { OUTPUT_NAMES } from './outputs.ts';

export const EXIT = { faults: 1, usage: 2, unreadable: 3 } as const;

export const USAGE = `Usage:
  alvex convert FILE -o OUT.pptx                  one document, as what the ending says:
      pptx          a presentation                    odp    the same in the open format (OpenDocument)
      pdf           its slides, or what --pages says  html   one page that needs nothing else, with a window for the speaker
      zip, svg.zip  each slide as a picture (PNG), as a drawing (SVG); png, svg one slide alone
      md            titles, points and notes as text, which makes the same slides again
      txt, opml     the same as plain text, as an outline
      csv.zip       each table as values between commas; csv one table alone
      docx, odt     the document with its structure, or a handout (docx)
  alvex convert FILE|FOLDER|'GLOB' ... -o FOLDER --to ${OUTPUT_NAMES.join(',')}
                                                  many documents, each in every format that is named, several at once
  alvex build [FOLDER|alvex.json]                 the decks of a folder, as its file alvex.json says; see "alvex help build"
  alvex outline FILE                              the document's blocks, as JSON
  alvex deck FILE                                 its slides and where every word went, as JSON
  alvex check FILE ...                            what is wrong with a PPTX, DOCX, ODP or ODT by its standard
  alvex audit FILE.pptx ...                       what an expert would still remark of it, counted by rule
  alvex maps | themes | palettes THEME | fonts    names of level maps, themes, a theme's palettes, pairs of fonts

What a deck is made like (convert, deck, build):
  --map NAME | --length ${LENGTH_NAMES.join('|')} | --minutes N
                                                  what of the document stands where; a length; a talk of so many minutes
  --theme NAME [--palette NAME] [--dark|--light]  its look
  --font-pair NAME                                its fonts
  --with ${MATTER_KINDS.join(',')}        slides that are made besides; --without NAMES takes them away
  --full ${FULL_RULES.join('|')}  what happens where a slide is too full
  --footer TEXT  --date TEXT                      what stands at the foot of each slide
  --language TAG                                  what the document is written in, as en-GB
  --template FILE.pptx                            on the layouts of an organisation's presentation
  --into FILE.pptx [--behind N]                   into a presentation, behind all of its slides or behind the first N;
                                                  what an earlier run made of the same document is replaced
  --as NAME                                       what the document was called then, where it is called otherwise now

What is written:
  --fonts                                         a presentation (PPTX, ODP) with its fonts, for computers that lack them
  --thumbnail                                     a presentation with a small picture of its first slide
  --pages ${PRINTS.join('|')}
  --paper ${Object.keys(PAPER_SIZES).join('|')}                               what a PDF is printed on
  --without-notes                                 a page (HTML) without what is said
  --width PIXELS                                  of pictures of slides
  --only N                                        the slide or the table of this number alone (png, svg, csv)
  --handout                                       a document (DOCX, PDF) with its slides before their passages
  --document                                      a page (HTML) or a text (Markdown) of the document, in the place of its deck

Many documents:
  --report FILE|-                                 what was made of each, as JSON
  --jobs N                                        how many at once; as many as there are cores, where it is not said
  --watch                                         go on, and make anew what changes

FILE may be - for standard input; then --type ${DOCUMENT_TYPES.join('|')} says what it is.
Exit codes: 0 all was made; 1 a check found faults; 2 the command was not understood; 3 a document could not be read.`;

export const BUILD_USAGE = `alvex build [FOLDER|alvex.json] [--report FILE|-] [--jobs N] [--watch]

makes the decks of a folder, the same each time, as the file alvex.json in it says:

  {
    "documents": ["docs/*.md", { "file": "talk.docx", "minutes": 12 }],
    "out": "decks",
    "to": ["pptx", "pdf"],
    "theme": "slipway",
    "footer": "Sallow Quay Trust"
  }

documents   files, folders and patterns, or objects with a file and settings of its own; all documents of the folder, where it is not said
out         where the decks are written; the folder decks beside alvex.json, where it is not said
to          ${OUTPUT_NAMES.join(', ')}; a presentation, where it is not said
and, for all or for one: map, length, minutes, theme, palette, dark, fontPair, with, without, full, footer, date, language,
template, as, fonts, thumbnail, pages, paper, notes, width, only; and rules, with their pictures, as
Hand over saves them of a deck. Paths are those of the folder of alvex.json.`;
