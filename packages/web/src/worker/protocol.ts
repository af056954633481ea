/** What the page and its worker say to each other. Only what changed crosses. */
import type { Block, DeckLook, Diagnostic, Edit, PageKey, Picture } from '@alvex/core';
import type { Answers, Asking, What } from './questions.ts';
import type { Drawing, Presets, SeenPages, Structure, View } from './shown.ts';

export type ToWorker =
  | { readonly kind: 'open'; readonly url: string }
  /** @param templates Address of the folder in which the deck's templates are. */
  | { readonly kind: 'edits'; readonly edits: readonly Edit[]; readonly seq: number; readonly templates: string }
  /** Rows and drawings of the slides that are seen. */
  | { readonly kind: 'pages'; readonly keys: readonly PageKey[] }
  /** Drawings of some slides in another look. */
  | { readonly kind: 'dress'; readonly look: DeckLook; readonly keys: readonly PageKey[] }
  /** Questions, answered by an `answer` of the same number. */
  | { readonly kind: 'ask'; readonly ask: number; readonly question: Asking<What> };

export type FromWorker =
  | {
      readonly kind: 'document';
      readonly title: string | null;
      readonly language: string | null;
      readonly blocks: readonly Block[];
      readonly pictures: readonly Picture[];
      readonly diagnostics: readonly Diagnostic[];
      readonly presets: Presets;
    }
  | { readonly kind: 'view'; readonly seq: number; readonly view: View; readonly ms: number }
  | ({ readonly kind: 'pages' } & SeenPages)
  | { readonly kind: 'dressed'; readonly look: DeckLook; readonly drawings: readonly Drawing[] }
  | ({ readonly kind: 'structure' } & Structure)
  | Answered<What>
  | { readonly kind: 'unanswered'; readonly ask: number; readonly failure: string }
  | { readonly kind: 'failed'; readonly message: string };

/** An answer, with the question that it is to. */
export interface Answered<W extends What> {
  readonly kind: 'answer';
  readonly ask: number;
  readonly what: W;
  readonly answer: Answers[W];
}

type Unasked = Exclude<FromWorker['kind'], 'answer' | 'unanswered' | 'failed'>;
/** What the worker says unasked. */
export type Told<K extends Unasked = Unasked> = Extract<FromWorker, { readonly kind: K }>;
