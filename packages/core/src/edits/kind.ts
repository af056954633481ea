/** What is to be known of one kind of edit: what it does, whom it names, and what is said of it. */
import type { Picture } from '../content/index.ts';
import type { IdMap, PartId, SlideId } from '../ids/index.ts';
import type { DecisionsDraft } from './decisions.ts';
import type { Desk } from './desk.ts';
import type { Sentence } from './sentence.ts';
import type { UnplacedReason } from './reason.ts';

export interface EditKind<E> {
  /** The same edit where its blocks have other ids, as in a new edition of the document. Text that the author wrote is no id. */
  readonly carry: (edit: E, ids: IdMap) => E;
  /** What it decides before slides are made. */
  readonly decide?: (draft: DecisionsDraft, edit: E) => void;
  /** What it does to slides that were made; undefined where it found its place. */
  readonly apply?: (desk: Desk, edit: E) => UnplacedReason | undefined;
  /** The id that it gives to what it makes: one that is in use would make two things one. */
  readonly makes?: (edit: E) => SlideId | PartId;
  /** Pictures that it brings in. */
  readonly pictures?: (edit: E) => readonly Picture[];
  /** Where it says something of any document: of two of the same the last counts, and nothing of it is of this document alone. */
  readonly rule?: (edit: E) => { readonly of: string; readonly edit: E };
  /** For the history, and where it lost its place. */
  readonly says: (edit: E) => Sentence;
}
