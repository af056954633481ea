/** The server's routes. */
import type { Appended, CreationLine, DeckSummary, ErrorBody, KeptFile, OpenDeck, Stale } from '@alvex/contract';
import type { LogEntry, Picture } from '@alvex/core';

/** A failure that the server told, or that it could not be reached. */
export class ApiError extends Error {
  readonly code: string;
  readonly kept: string | undefined;
  readonly place: string | undefined;

  constructor({ code, message, kept, place }: ErrorBody['error']) {
    super(message);
    this.name = 'ApiError';
    this.code = code;
    this.kept = kept;
    this.place = place;
  }
}

const UNREACHABLE = {
  code: 'unreachable',
  message: 'The server cannot be reached.',
  kept: 'What you did stays in this window and is sent when the server is back.',
};

async function request(path: string, init?: RequestInit): Promise<Response> {
  let response: Response;
  try {
    response = await fetch(path, init);
  } catch (error) {
    if (error instanceof DOMException && error.name === 'AbortError') throw error;
    throw new ApiError(UNREACHABLE);
  }
  if (response.ok || response.status === 409) return response;
  const body = (await response.json().catch(() => undefined)) as ErrorBody | undefined;
  throw new ApiError(body?.error ?? { code: 'internal', message: `The server answered ${response.status}.` });
}

const json = (method: string, body: unknown): RequestInit => ({
  method,
  headers: { 'Content-Type': 'application/json' },
  body: JSON.stringify(body),
});

export async function listDecks(): Promise<readonly DeckSummary[]> {
  const { decks } = (await (await request('/api/decks')).json()) as { decks: DeckSummary[] };
  return decks;
}

export const fetchDeck = async (id: string): Promise<OpenDeck> =>
  (await request(`/api/decks/${id}`)).json() as Promise<OpenDeck>;

export const renameDeck = async (id: string, name: string): Promise<DeckSummary> =>
  ((await (await request(`/api/decks/${id}`, json('PATCH', { name }))).json()) as { deck: DeckSummary }).deck;

export async function deleteDeck(id: string): Promise<void> {
  await request(`/api/decks/${id}`, { method: 'DELETE' });
}

export async function restoreDeck(id: string): Promise<void> {
  await request(`/api/decks/${id}/restore`, { method: 'POST' });
}

export type AppendResult =
  | { readonly ok: true; readonly version: number }
  | { readonly ok: false; readonly version: number; readonly newer: readonly LogEntry[] };

export async function appendEntries(id: string, base: number, entries: readonly LogEntry[]): Promise<AppendResult> {
  const response = await request(`/api/decks/${id}/entries`, json('POST', { base, entries }));
  if (response.status === 409) {
    const { version, newer } = (await response.json()) as Stale;
    return { ok: false, version, newer };
  }
  return { ok: true, version: ((await response.json()) as Appended).version };
}

export interface NewDocument {
  readonly body: Blob;
  readonly name: string;
  readonly type?: string;
}

const BYTES = { 'Content-Type': 'application/octet-stream' };
const WATCHED = { Accept: 'application/x-ndjson' };

/** Makes a deck of several files, as parts of one document in this order. Sending counts as half of the way. */
export async function createDeckOfParts(
  documents: readonly NewDocument[],
  progress: (done: number) => void,
  signal: AbortSignal,
): Promise<DeckSummary> {
  const parts: { hash: string; name: string }[] = [];
  for (const { body, name } of documents) {
    const response = await request('/api/files', { method: 'POST', body, signal, headers: BYTES });
    parts.push({ hash: ((await response.json()) as KeptFile).hash, name });
    progress(parts.length / documents.length / 2);
  }
  const response = await request('/api/decks', {
    ...json('POST', { parts }),
    signal,
    headers: { ...WATCHED, 'Content-Type': 'application/json' },
  });
  return creation(response, (done) => progress(0.5 + done / 2));
}

/**
 * Sends a document and follows its reading.
 * @throws ApiError with the reader's reason; DOMException `AbortError` when cancelled.
 */
export async function createDeck(
  { body, name, type }: NewDocument,
  progress: (done: number) => void,
  signal: AbortSignal,
): Promise<DeckSummary> {
  const query = new URLSearchParams({ name, ...(type === undefined ? {} : { type }) });
  const response = await request(`/api/decks?${query}`, {
    method: 'POST',
    body,
    signal,
    headers: { ...WATCHED, ...BYTES },
  });
  return creation(response, progress);
}

async function creation(response: Response, progress: (done: number) => void): Promise<DeckSummary> {
  for await (const line of lines(response)) {
    const said = JSON.parse(line) as CreationLine;
    if ('progress' in said) progress(said.progress);
    else if ('deck' in said) return said.deck;
    else throw new ApiError(said.error);
  }
  throw new ApiError(UNREACHABLE);
}

async function* lines(response: Response): AsyncGenerator<string> {
  const reader = response.body!.pipeThrough(new TextDecoderStream()).getReader();
  let rest = '';
  for (;;) {
    const { done, value } = await reader.read();
    if (done) break;
    const parts = (rest + value).split('\n');
    rest = parts.pop()!;
    yield* parts.filter((part) => part !== '');
  }
  if (rest !== '') yield rest;
}

/** Keeps a picture that is to be put into the document. @throws ApiError with the reason why it cannot be. */
export const sendPicture = async (id: string, body: Blob, name: string): Promise<Picture> =>
  (
    await request(`/api/decks/${id}/pictures?${new URLSearchParams({ name })}`, {
      method: 'POST',
      body,
      headers: BYTES,
    })
  ).json() as Promise<Picture>;

export const documentUrl = (id: string): string => `/api/decks/${id}/document`;
export const originalUrl = (id: string): string => `/api/decks/${id}/original`;
export const pptxUrl = (id: string): string => `/api/decks/${id}/deck.pptx`;
export const pictureUrl = (id: string, picture: string): string => `/api/decks/${id}/pictures/${picture}`;
