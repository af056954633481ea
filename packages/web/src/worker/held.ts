/** What questions about the deck are answered from. */
import type { DocumentModel, MadeDeck } from '@alvex/core';

/** What the worker holds. */
export interface Held extends MadeDeck {
  /** A document by its address. */
  readonly load: (url: string) => Promise<DocumentModel>;
}
