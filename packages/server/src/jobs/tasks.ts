/** What worker threads do: reading and writing, which would hold up every other request. */
import type { LogEntry } from '@alvex/core';
import type { MessagePort } from 'node:worker_threads';

export interface ReadTask {
  readonly kind: 'read';
  /** Several become parts of one document, in this order. */
  readonly files: readonly ReadFile[];
  /** Gets the fraction done. */
  readonly port?: MessagePort;
}
export interface ReadFile {
  readonly bytes: Uint8Array;
  /** Undefined: decided by content and name. */
  readonly type: string | undefined;
  readonly name: string;
}
export interface ReadDone {
  /** Of each file. */
  readonly types: readonly string[];
  readonly title: string | null;
  readonly words: number;
  /** The document as JSON, gzip. */
  readonly packed: Uint8Array;
  readonly pictures: readonly { readonly id: string; readonly mime: string; readonly bytes: Uint8Array }[];
}
export interface ExportTask {
  readonly kind: 'export';
  readonly packed: Uint8Array;
  readonly pictures: readonly { readonly id: string; readonly bytes: Uint8Array }[];
  readonly log: readonly LogEntry[];
  /** The organisation's file on which the deck is built. */
  readonly template: { readonly hash: string; readonly bytes: Uint8Array } | null;
}
export interface TemplateTask {
  readonly kind: 'template';
  readonly bytes: Uint8Array;
}
export interface TemplateDone {
  /** The template's model as JSON, gzip. */
  readonly packed: Uint8Array;
  readonly pictures: readonly { readonly id: string; readonly mime: string; readonly bytes: Uint8Array }[];
}
/** An expected failure crosses the thread as a value; an Error would lose its class. */
export type Outcome<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly failure: { readonly code: string; readonly place: object } };
