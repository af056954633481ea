/** What worker threads do: reading, writing, packing and hashing, which would hold up every other request. */
import type { DeckContents, Removed } from '@alvex/contract';
import type { Edit, FormatName, LogEntry, MadeSlides, Picture, SheetOptions, SourcePlace } from '@alvex/core';

export interface FileToRead {
  /** The file, or where it is on the disk. */
  readonly bytes: Uint8Array | string;
  /** Undefined: decided by content and name. */
  readonly type: string | undefined;
  readonly name: string;
}
export interface PictureFile {
  readonly id: string;
  readonly mime: string;
  readonly bytes: Uint8Array;
}
/** A document or a template, as it was read. */
export interface Packed {
  /** As JSON, gzip. */
  readonly packed: Uint8Array;
  readonly pictures: readonly PictureFile[];
  /** SHA-256 of each file, hexadecimal. */
  readonly hashes: readonly string[];
}

/** A file as it is kept. */
export interface PackedFile {
  readonly hash: string;
  readonly mime: string;
  readonly bytes: Uint8Array;
}
/** What a reader made of a file, as JSON, gzip. */
export interface Reading {
  readonly original: string;
  readonly type: string;
  readonly reader: number;
  readonly packed: Uint8Array;
}

/** Input and output of each task. */
export interface Tasks {
  /** Reads files, of which several become parts of one document in this order. */
  readonly read: {
    readonly input: {
      readonly files: readonly FileToRead[];
      /** A deck is made of them: what is decided for it is wanted too. */
      readonly begin: boolean;
    };
    readonly output: Packed & {
      /** Of each file. */
      readonly types: readonly string[];
      readonly title: string | null;
      readonly words: number;
      readonly beginning: readonly Edit[];
    };
  };
  /** Reads a template, without what acts or leads outside. */
  readonly template: {
    readonly input: { readonly bytes: Uint8Array };
    readonly output: Packed & {
      readonly bytes: Uint8Array;
      readonly removed: Removed;
      readonly made: readonly MadeSlides[];
    };
  };
  /** The pictures that a document or a template lists. */
  readonly pictures: { readonly input: { readonly packed: Uint8Array }; readonly output: readonly Picture[] };
  readonly unpack: { readonly input: { readonly packed: Uint8Array }; readonly output: Uint8Array };
  readonly hash: { readonly input: { readonly bytes: Uint8Array }; readonly output: string };
  /** Checks a picture that stands alone. */
  readonly picture: {
    readonly input: { readonly bytes: Uint8Array; readonly name: string };
    readonly output: Picture | { readonly fault: string };
  };
  /** Packs files as a ZIP archive. */
  readonly zip: {
    readonly input: {
      readonly files: readonly { readonly name: string; readonly bytes: Uint8Array }[];
      readonly level: 0 | 6;
    };
    readonly output: Uint8Array;
  };
  /** Packs a whole deck as one file. */
  readonly packDeck: {
    readonly input: {
      readonly contents: Omit<DeckContents, 'files' | 'readings'>;
      readonly files: readonly PackedFile[];
      readonly readings: readonly Reading[];
    };
    readonly output: Uint8Array;
  };
  /** Checks what is in the file of a deck. */
  readonly unpackDeck: {
    readonly input: { readonly bytes: Uint8Array | string };
    readonly output: {
      /** What is wrong with it, as a sentence. */
      readonly contents: DeckContents | string;
      readonly files: readonly PackedFile[];
      readonly readings: readonly Reading[];
    };
  };
  /** Gives entries of an older Alvex the ids that blocks have today. */
  readonly carryIds: {
    readonly input: {
      readonly entries: readonly LogEntry[];
      /** Packed documents; the former one where it is still kept. */
      readonly readings: readonly { readonly former: Uint8Array | undefined; readonly today: Uint8Array }[];
      /** What the ids in the entries are of. */
      readonly format: number;
    };
    readonly output: readonly LogEntry[];
  };
  /** Draws the first slide of a deck. */
  readonly cover: {
    readonly input: {
      readonly packed: Uint8Array;
      /** In force. */
      readonly edits: readonly Edit[];
      /** As it was read. */
      readonly template: { readonly hash: string; readonly packed: Uint8Array } | null;
    };
    /** A `DeckCover` as JSON, gzip. */
    readonly output: Uint8Array;
  };
  readonly write: {
    readonly input: {
      readonly format: FormatName;
      readonly packed: Uint8Array;
      readonly pictures: readonly { readonly id: string; readonly bytes: Uint8Array }[];
      /** In force. */
      readonly edits: readonly Edit[];
      /** The organisation's file on which the deck is built. */
      readonly template: { readonly hash: string; readonly bytes: Uint8Array } | null;
      /** Its fonts go along. */
      readonly fonts: boolean;
      /** See `OutputOptions`. */
      readonly thumbnail: boolean;
      /** What a PDF shows. */
      readonly sheets: Partial<SheetOptions>;
      readonly width: number | undefined;
      readonly notes: boolean;
      readonly handout: boolean;
      readonly source: boolean;
      /** File name of the document. */
      readonly origin: string;
      /** See `OutputOptions`. */
      readonly only: number | undefined;
    };
    /** A sentence where it has no such slide or table. */
    readonly output: Uint8Array | string;
  };
}
export type TaskName = keyof Tasks;

/** An expected failure crosses the thread as a value; an Error would lose its class. */
export type Outcome<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly failure: { readonly code: string; readonly place: SourcePlace } };
