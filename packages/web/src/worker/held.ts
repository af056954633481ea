/** What questions about the deck are answered from. */
import type { Converted, DocumentModel, Edit, Templates } from '@alvex/core';

/** What the worker holds. */
export interface Held {
  /** The edition in force, as it was read. */
  readonly document: DocumentModel;
  readonly edits: readonly Edit[];
  readonly converted: Converted;
  readonly templates: Templates;
  /** A document by its address. */
  readonly load: (url: string) => Promise<DocumentModel>;
  /** Lets edits be answered in between. @returns false when the question is out of date. */
  readonly pause: () => Promise<boolean>;
}
