/** What readers could not keep, in words: the one place for them. `{name}` is a parameter; `{text}` is quoted by the sentence. */

export const DIAGNOSTIC_TEXTS = {
  'picture-missing': 'A picture is not in the file.',
  'picture-not-in-file': 'A picture is not in the file: {name}.',
  'picture-not-contained': 'The picture {name} is named in the text but not contained in it.',
  'picture-format': 'The picture {name} is in a format that slides cannot show.',
  'picture-damaged': 'The picture {name} is damaged, or unpacks to more than can be right; it was left out.',
  'picture-type': 'The picture {name} is {type}; PNG, JPEG and GIF can be shown.',
  'picture-too-large':
    'The picture {name} says that it is {width} × {height} pixels; the limit is {most} million pixels.',
  'chart-as-table': 'A chart was brought in as the table of its numbers.',
  'chart-not-read': 'A chart could not be brought in; a mark stands in its place.',
  'diagram-not-read': 'A diagram could not be brought in; a mark stands in its place.',
  'shape-not-read': 'A drawn shape without text could not be brought in; a mark stands in its place.',
  'drawing-not-read': 'A drawing or an object could not be brought in; a mark stands in its place.',
  'object-not-read': 'An embedded object could not be brought in.',
  'equation-flattened': 'An equation was brought in as a line of text.',
  'equation-not-read': 'An equation could not be brought in; a mark stands in its place.',
  'row-deleted': 'A row of a table that was tracked as deleted was left out: “{text}”.',
  'table-flattened': 'A table within a table was brought in as lines of text.',
  'file-cut': 'The file ends too early; what stands after its last paragraph is missing.',
  'page-not-read': 'Page {page} could not be read: {reason}',
  'part-not-read': 'A part of the file could not be read, and what it holds is missing: {name}.',
  'slide-missing': 'Slide {page} is listed and not in the file.',
  'characters-dropped': 'Characters that no document may hold were left out.',
  'symbol-dropped': 'A character of a symbol font was left out.',
  'comment-not-read': 'A comment is not brought in.',
  'comments-left': 'A comment is not part of the text: “{text}”.',
  'header-left': 'The page header “{text}” is not part of the text and was left out.',
  'footer-left': 'The page footer “{text}” is not part of the text and was left out.',
  'header-footer-left': 'The page header or footer “{text}” is not part of the text and was left out.',
  'text-turned':
    'Text that runs upwards or downwards, such as a stamp or the label of an axis, was left out: “{text}”.',
  'front-matter-invalid': 'The block of properties at the top is not valid YAML; it was read as text.',
  'markup-dropped': '{what} of the page was left out: “{text}”.',
  'front-matter-left': 'Properties at the top that are not part of the text were left out: “{text}”.',
  'hidden-text-left': 'Hidden text was left out: “{text}”.',
  'reading-aid-left': 'The reading aid above a word was left out: “{text}”.',
  'words-missing':
    'Letters of the file that are in no part of the document: {letters}, as in “{text}”. Please compare it with the original there.',
  'level-raised': 'A heading of level {level} stands as one of level 6, the lowest that slides know.',
  'nesting-dropped': 'What is nested over {most} deep was left out.',
} as const;

export type DiagnosticCode = keyof typeof DIAGNOSTIC_TEXTS;
/** What a sentence is about: names, texts of the document's own, numbers. */
export type DiagnosticParams = Readonly<Record<string, string | number>>;

interface Told {
  readonly code: DiagnosticCode;
  readonly params: DiagnosticParams;
}

/** @param translate Gives each sentence in another language, its parameters left in it. */
export const diagnosticIn = ({ code, params }: Told, translate: (text: string) => string): string =>
  translate(DIAGNOSTIC_TEXTS[code]).replace(/\{(\w+)\}/g, (_, name: string) => String(params[name] ?? ''));

export const diagnosticText = (told: Told): string => diagnosticIn(told, (text) => text);
