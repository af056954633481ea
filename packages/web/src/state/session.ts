/** One open deck, from its opening to its closing: fetches it, and joins its log, its worker and what is shown. A late answer falls on a closed session. */
import { ApiError, documentUrl, fetchDeck, hasBatch, templatesUrl } from '../api/client.ts';
import type { Edit, LogEntry } from '@alvex/core';
import type { Told } from '../worker/protocol.ts';
import { CoreLink, setLink } from './core-link.ts';
import {
  awaitView,
  clearDeck,
  failDeck,
  renamed,
  showAhead,
  takeDocument,
  takeStructure,
  takeView,
  useDeck,
} from './deck-store.ts';
import { DeckLog, setLog, useLog } from './log-store.ts';
import { clearPages, takeDressed, takeOrder, takePages } from './pages-store.ts';
import { clearSelection } from './selection.ts';
import { Backoff } from './backoff.ts';
import { Unsent, type Batch } from './unsent.ts';

const AWAY: ReadonlySet<string> = new Set(['unreachable', 'internal', 'database-full', 'database-away']);

class DeckSession {
  readonly id: string;
  readonly #link: CoreLink;
  readonly #store: Unsent;
  #log: DeckLog | undefined;
  #closed = false;
  #again: ReturnType<typeof setTimeout> | undefined;
  readonly #backoff = new Backoff();
  #seq = 0;
  /** Edits before the log: nobody's, and so never taken back. */
  #beginning: readonly Edit[] = [];
  /** Address of the document that the worker holds or is fetching. */
  #document = '';
  /** The worker has that document. */
  #ready = false;

  constructor(id: string) {
    this.id = id;
    this.#store = new Unsent(id);
    clearDeck('opening');
    this.#link = new CoreLink((message) => this.#receive(message), failDeck);
    setLink(this.#link);
  }

  async open(): Promise<void> {
    try {
      const { deck, beginning, log, by } = await fetchDeck(this.id);
      const left = await this.#takeOver();
      if (this.#closed) return;
      renamed(deck);
      this.#beginning = beginning;
      const changed = (entries: readonly LogEntry[]): void => {
        showAhead(entries);
        this.#convert();
      };
      this.#log = new DeckLog(this.id, { version: deck.version, log, by }, left, changed, this.#store);
      setLog(this.#log);
      this.#convert();
    } catch (error) {
      if (this.#closed) return;
      failDeck(error instanceof ApiError ? error.message : String(error));
      // A server that is away, or has trouble, may be back.
      if (error instanceof ApiError && AWAY.has(error.code))
        this.#again = setTimeout(() => void this.open(), this.#backoff.wait());
    }
  }

  close(): void {
    this.#closed = true;
    clearTimeout(this.#again);
    if (this.#log === undefined) this.#store.end();
    else this.#log.close();
    this.#link.close();
    setLog(undefined);
    setLink(undefined);
    clearPages();
    clearSelection();
    clearDeck('none');
  }

  /** What a window left that was closed before the server had it; until the server has it, it stays in the browser. */
  async #takeOver(): Promise<readonly Batch[]> {
    const left = await this.#store.takeOver();
    const known = await Promise.all(left.map((batch) => hasBatch(this.id, batch.id)));
    return left.filter((_, i) => !known[i]);
  }

  #receive(message: Told): void {
    switch (message.kind) {
      case 'document':
        takeDocument(message);
        this.#ready = true;
        this.#convert();
        return;
      case 'view':
        takeOrder(message.view.pages, message.view.seen);
        takeView(message.view, message.seq === this.#seq);
        return;
      case 'pages':
        takePages(message);
        return;
      case 'dressed':
        takeDressed(message.look, message.drawings);
        return;
      case 'structure':
        takeStructure(message);
        return;
    }
  }

  #convert(): void {
    const { history, edition } = useLog.getState();
    const url = documentUrl(this.id, edition?.original);
    if (url !== this.#document) {
      this.#document = url;
      this.#ready = false;
      this.#link.tell({ kind: 'open', url });
    } else if (this.#ready) {
      awaitView();
      this.#link.tell({
        kind: 'edits',
        edits: [...this.#beginning, ...history.done],
        seq: ++this.#seq,
        templates: templatesUrl(this.id),
      });
    }
  }
}

let current: DeckSession | undefined;

/** Opens a deck; an open one is left as it is. */
export async function openDeck(id: string): Promise<void> {
  if (current?.id === id && useDeck.getState().phase !== 'failed') return;
  closeDeck();
  current = new DeckSession(id);
  await current.open();
}

export function closeDeck(): void {
  current?.close();
  current = undefined;
}
