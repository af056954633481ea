/** The list of decks, and the document that is being brought in. */
import type { DeckSummary, ListedDeck } from '@alvex/contract';
import { create } from 'zustand';
import {
  ApiError,
  createDeck,
  createDemo,
  deleteDeck,
  duplicateDeck,
  listDecks,
  renameDeck,
  restoreDeck,
  type NewDocument,
} from '../api/client.ts';
import { t } from '../words/words.ts';

export interface Failure {
  readonly message: string;
  readonly kept?: string;
  readonly file?: string;
}
/** Documents that are being brought in. */
export interface Reading {
  readonly name: string;
  readonly done: number;
  /** Its place in the server's queue; 0 once it is its turn. */
  readonly waiting: number;
  readonly cancel: () => void;
}
interface DecksState {
  readonly decks: readonly ListedDeck[] | null;
  /** Those that were deleted and can be restored. */
  readonly restorable: readonly DeckSummary[];
  readonly failure: Failure | null;
  readonly reading: Reading | null;
  /** Those that were deleted last, and can be brought back at once. */
  readonly deleted: readonly DeckSummary[];
}

export const useDecks = create<DecksState>(() => ({
  decks: null,
  restorable: [],
  failure: null,
  reading: null,
  deleted: [],
}));
const { setState: set } = useDecks;

/** A place as the server names it, `word/document.xml, paragraph 12`, in the language of the interface. */
const placed = (place: string): string =>
  place
    .replace(/\bpage (\d+)/, (_, n: string) => t('page {n}', { n }))
    .replace(/\bparagraph (\d+)/, (_, n: string) => t('paragraph {n}', { n }))
    .replace(/\bline (\d+)/, (_, n: string) => t('line {n}', { n }));

export function failureOf(error: unknown, file?: string): Failure {
  const named = file === undefined ? {} : { file };
  if (!(error instanceof ApiError)) return { message: String(error), ...named };
  return {
    message: error.place === undefined ? error.message : `${error.message} (${placed(error.place)})`,
    ...named,
    ...(error.kept === undefined ? {} : { kept: error.kept }),
  };
}

export async function refreshDecks(): Promise<void> {
  try {
    const { decks, deleted } = await listDecks();
    set({ decks, restorable: deleted });
  } catch (error) {
    set({ failure: failureOf(error) });
  }
}

/** Makes a deck of a document. @returns undefined when it failed or was cancelled; the reason is shown. */
export async function bringIn(...documents: readonly NewDocument[]): Promise<DeckSummary | undefined> {
  const abort = new AbortController();
  const [first] = documents;
  if (first === undefined) return undefined;
  const name = documents.length === 1 ? first.name : t('{n} file', { count: documents.length });
  const progress = (done: number, waiting: number) =>
    set((state) => ({ reading: state.reading && { ...state.reading, done, waiting } }));
  set({ failure: null, reading: { name, done: 0, waiting: 0, cancel: () => abort.abort() } });
  try {
    return await createDeck(documents, progress, abort.signal);
  } catch (error) {
    if (!(error instanceof DOMException && error.name === 'AbortError')) set({ failure: failureOf(error, name) });
    return undefined;
  } finally {
    set({ reading: null });
  }
}

async function changing(work: () => Promise<unknown>): Promise<void> {
  try {
    await work();
  } catch (error) {
    set({ failure: failureOf(error) });
  }
  await refreshDecks();
}

export const rename = (id: string, name: string): Promise<void> => changing(() => renameDeck(id, name));

export const remove = (...decks: readonly DeckSummary[]): Promise<void> =>
  changing(async () => {
    const deleted: DeckSummary[] = [];
    for (const deck of decks) {
      await deleteDeck(deck.id);
      deleted.push(deck);
      set({ deleted });
    }
  });

export const bringBack = (...decks: readonly DeckSummary[]): Promise<void> =>
  changing(async () => {
    for (const { id } of decks) await restoreDeck(id);
    set({ deleted: [] });
  });

export const duplicate = (deck: DeckSummary): Promise<void> => changing(() => duplicateDeck(deck.id));

/** @returns undefined when it failed; the reason is shown. */
export async function openDemo(): Promise<DeckSummary | undefined> {
  try {
    return await createDemo();
  } catch (error) {
    set({ failure: failureOf(error) });
    return undefined;
  }
}

export const dismiss = (): void => set({ failure: null, deleted: [] });
