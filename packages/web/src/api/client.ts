/** The server's routes. */
import {
  WATCHED_FILE,
  type AppendEntries,
  type Appended,
  type Candidate,
  type CandidateLine,
  type CreationLine,
  type DeckCover,
  type DeckSummary,
  type ErrorBody,
  type FileLine,
  type KeptFile,
  type KeptTemplate,
  type ListedDeck,
  type Newer,
  type NewOwnMap,
  type OpenDeck,
  type OwnMap,
  type Stale,
} from '@alvex/contract';
import { encodeBase64, fileKind, type FormatName, type LogEntry, type Picture } from '@alvex/core';
import { raw, sentences, t } from '../words/words.ts';

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

/** What the server told, in the language of the interface. */
const inWords = ({ message, kept, ...rest }: ErrorBody['error']): ErrorBody['error'] => ({
  ...rest,
  message: sentences(message),
  ...(kept === undefined ? {} : { kept: raw(kept) }),
});

const UNREACHABLE = {
  code: 'unreachable',
  message: t('The server cannot be reached.'),
  kept: t('What you did stays in this window and is sent when the server is back.'),
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
  throw new ApiError(
    body === undefined
      ? { code: 'internal', message: t('The server answered {status}.', { status: response.status }) }
      : inWords(body.error),
  );
}

const json = (method: string, body: unknown): RequestInit => ({
  method,
  headers: { 'Content-Type': 'application/json' },
  body: JSON.stringify(body),
});

export interface DeckLists {
  readonly decks: readonly ListedDeck[];
  /** Those that can be restored, the last deleted first. */
  readonly deleted: readonly DeckSummary[];
}

export async function listDecks(): Promise<DeckLists> {
  return (await request('/api/decks')).json() as Promise<DeckLists>;
}

export const fetchDeck = async (id: string): Promise<OpenDeck> =>
  (await request(`/api/decks/${id}`)).json() as Promise<OpenDeck>;

export const renameDeck = async (id: string, name: string): Promise<DeckSummary> =>
  ((await (await request(`/api/decks/${id}`, json('PATCH', { name }))).json()) as { deck: DeckSummary }).deck;

export async function deleteDeck(id: string): Promise<void> {
  await request(`/api/decks/${id}`, { method: 'DELETE' });
}

export const duplicateDeck = async (id: string): Promise<DeckSummary> =>
  ((await (await request(`/api/decks/${id}/duplicate`, { method: 'POST' })).json()) as { deck: DeckSummary }).deck;

/** Makes a deck of the demo report. */
export const createDemo = async (): Promise<DeckSummary> =>
  ((await (await request('/api/demo', { method: 'POST' })).json()) as { deck: DeckSummary }).deck;

export const fetchCover = async (id: string, signal: AbortSignal): Promise<DeckCover> =>
  (await request(`/api/decks/${id}/cover`, { signal })).json() as Promise<DeckCover>;

export async function restoreDeck(id: string): Promise<void> {
  await request(`/api/decks/${id}/restore`, { method: 'POST' });
}

export type AppendResult = { readonly ok: true; readonly version: number } | ({ readonly ok: false } & Newer);

/** @param batch Its id names the entries: sent a second time, they are kept once. */
export async function appendEntries(
  id: string,
  base: number,
  { id: batch, entries, ids }: { readonly id: string; readonly entries: readonly LogEntry[]; readonly ids?: number },
  by: string,
): Promise<AppendResult> {
  const body: AppendEntries = { base, entries, batch, by, ...(ids === undefined ? {} : { ids }) };
  const response = await request(`/api/decks/${id}/entries`, json('POST', body));
  if (response.status === 409) {
    const { version, newer, by: writers } = (await response.json()) as Stale;
    return { ok: false, version, newer, by: writers };
  }
  return { ok: true, version: ((await response.json()) as Appended).version };
}

/** What others wrote since a version. */
export const entriesSince = async (id: string, version: number): Promise<Newer> =>
  (await request(`/api/decks/${id}/entries?after=${version}`)).json() as Promise<Newer>;

/** Whether the server has a batch already. */
export const hasBatch = async (id: string, batch: string): Promise<boolean> =>
  ((await (await request(`/api/decks/${id}/batches/${batch}`)).json()) as { kept: boolean }).kept;

export interface NewDocument {
  readonly body: Blob;
  readonly name: string;
  readonly type?: string;
}

const BYTES = { 'Content-Type': 'application/octet-stream' };
const WATCHED = { Accept: 'application/x-ndjson' };

/** How far it is, and its place in the queue; 0 once it is its turn. */
export type Progress = (done: number, waiting: number) => void;

/** Makes a deck of one file, or of several as parts of one document in this order. @throws as `takeIn`. */
export async function createDeck(
  documents: readonly NewDocument[],
  progress: Progress,
  signal: AbortSignal,
): Promise<DeckSummary> {
  return (await takeIn<{ readonly deck: DeckSummary }>('/api/decks', documents, progress, signal)).deck;
}

/** Sends what may become the new edition of a deck's document. @throws as `takeIn`. */
export async function sendEdition(
  id: string,
  documents: readonly NewDocument[],
  progress: Progress,
  signal: AbortSignal,
): Promise<Candidate> {
  const path = `/api/decks/${id}/editions`;
  return (await takeIn<{ readonly candidate: Candidate }>(path, documents, progress, signal)).candidate;
}

/**
 * Sends documents and follows their reading. Of several files, sending counts as half of the way.
 * @throws ApiError with the reader's reason; DOMException `AbortError` when cancelled.
 */
async function takeIn<T extends object>(
  path: string,
  documents: readonly NewDocument[],
  progress: Progress,
  signal: AbortSignal,
): Promise<T> {
  const [only] = documents;
  if (documents.length === 1) {
    const { body, name, type } = only!;
    const query = new URLSearchParams({ name, ...(type === undefined ? {} : { type }) });
    const init = { method: 'POST', body, signal, headers: { ...WATCHED, ...BYTES } };
    return followed(await request(`${path}?${query}`, init), progress);
  }
  const parts: { hash: string; name: string }[] = [];
  for (const { body, name } of documents) {
    const response = await request('/api/files', { method: 'POST', body, signal, headers: BYTES });
    parts.push({ hash: ((await response.json()) as KeptFile).hash, name });
    progress(parts.length / documents.length / 2, 0);
  }
  const headers = { ...WATCHED, 'Content-Type': 'application/json' };
  const response = await request(path, { ...json('POST', { parts }), signal, headers });
  return followed(response, (done, waiting) => progress(0.5 + done / 2, waiting));
}

async function followed<T extends object>(response: Response, progress: Progress): Promise<T> {
  for await (const line of lines(response)) {
    const said = JSON.parse(line) as CreationLine | CandidateLine;
    if ('progress' in said) progress(said.progress, 0);
    else if ('waiting' in said) progress(0, said.waiting + 1);
    else if ('error' in said) throw new ApiError(inWords(said.error));
    else return said as unknown as T;
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

/**
 * Has a file written, and follows how far it is.
 * @throws ApiError with the reason why it was not written; DOMException `AbortError` when cancelled.
 */
export async function fetchFile(url: string, progress: Progress, signal: AbortSignal): Promise<Blob> {
  const response = await request(url, { signal, headers: { Accept: WATCHED_FILE } });
  const reader = response.body!.getReader();
  let line: Uint8Array<ArrayBuffer>[] = [];
  for (;;) {
    const { done, value } = await reader.read();
    if (done) throw new ApiError(UNREACHABLE);
    let from = 0;
    for (let end = value.indexOf(LINE_END); end >= 0; end = value.indexOf(LINE_END, from)) {
      const said = JSON.parse(await new Blob([...line, value.slice(from, end)]).text()) as FileLine;
      line = [];
      from = end + 1;
      if ('error' in said) throw new ApiError(inWords(said.error));
      if ('file' in said) return remaining(reader, value.slice(from), said.file.bytes);
      if ('waiting' in said) progress(0, said.waiting + 1);
      else progress(said.progress, 0);
    }
    line.push(value.slice(from));
  }
}
const LINE_END = 10;

/** @throws ApiError where the connection ended before its end. */
async function remaining(
  reader: ReadableStreamDefaultReader<Uint8Array<ArrayBuffer>>,
  first: Uint8Array<ArrayBuffer>,
  bytes: number,
): Promise<Blob> {
  const pieces = [first];
  for (let next = await reader.read(); !next.done; next = await reader.read()) pieces.push(next.value);
  const file = new Blob(pieces);
  if (file.size !== bytes) throw new ApiError(UNREACHABLE);
  return file;
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

/** The bytes of a picture of a deck, in Base64 (RFC 4648 §4). */
export const fetchPicture = async (id: string, picture: string): Promise<string> =>
  encodeBase64(new Uint8Array(await (await request(pictureUrl(id, picture))).arrayBuffer()));

/** Keeps an organisation's presentation file. @throws ApiError with the reason why it cannot be used. */
export const sendTemplate = async (id: string, body: Blob, name: string): Promise<KeptTemplate> =>
  (
    await request(`/api/decks/${id}/templates?${new URLSearchParams({ name })}`, {
      method: 'POST',
      body,
      headers: BYTES,
    })
  ).json() as Promise<KeptTemplate>;

const ofEdition = (edition: string | undefined): string => (edition === undefined ? '' : `?edition=${edition}`);
export const documentUrl = (id: string, edition?: string): string => `/api/decks/${id}/document${ofEdition(edition)}`;
export const originalUrl = (id: string, edition?: string): string => `/api/decks/${id}/original${ofEdition(edition)}`;
/** The whole deck as one file, to be brought in again. */
export const wholeDeckUrl = (id: string): string => `/api/decks/${id}/deck.alvex`;

/** @param choices What the file has besides, as the server names it. */
export function deckFileUrl(id: string, format: FormatName, choices: Readonly<Record<string, string>> = {}): string {
  const query = new URLSearchParams(choices).toString();
  return `/api/decks/${id}/deck.${fileKind(format, onlyOf(choices)).ending}${query === '' ? '' : `?${query}`}`;
}
/** The number of the one slide or table that is wanted. */
export const onlyOf = ({ only }: Readonly<Record<string, string>>): number | undefined =>
  only === undefined ? undefined : Number(only);
export const templatesUrl = (id: string): string => `/api/decks/${id}/templates`;
export const fontUrl = (family: string): string => `/api/fonts/${encodeURIComponent(family)}.zip`;
export const pictureUrl = (id: string, picture: string): string => `/api/decks/${id}/pictures/${picture}`;

export const listMaps = async (): Promise<readonly OwnMap[]> =>
  ((await (await request('/api/maps')).json()) as { maps: OwnMap[] }).maps;
export const keepMap = async (own: NewOwnMap): Promise<OwnMap> =>
  ((await (await request('/api/maps', json('POST', own))).json()) as { map: OwnMap }).map;
export async function renameMap(id: string, name: string): Promise<void> {
  await request(`/api/maps/${id}`, json('PATCH', { name }));
}
export async function dropMap(id: string): Promise<void> {
  await request(`/api/maps/${id}`, { method: 'DELETE' });
}
