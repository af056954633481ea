/** Failures that the people in front of the screen are told of; every code and sentence in one place. */
import { placeText, ReadError } from '@alvex/core';
import type { ErrorBody } from '@alvex/contract';

const FAILURES = {
  'deck-not-found': { status: 404, message: 'There is no deck at this address. It may have been deleted.' },
  'map-not-found': { status: 404, message: 'This map is not kept any more.' },
  'edition-not-found': { status: 404, message: 'This edition of the document is not kept here.' },
  'deck-unusable': { status: 422, message: 'This file of a deck cannot be used.' },
  'deck-newer': {
    status: 422,
    message: 'This file of a deck was made by a newer Alvex. Bring this Alvex up to date, then bring it in again.',
  },
  'template-unusable': { status: 422, message: 'This file is not a presentation (PPTX) with masters and layouts.' },
  'template-not-found': { status: 404, message: 'This template is not kept here. Choose its file again.' },
  'file-not-found': { status: 404, message: 'One of the files is not kept here. Choose it again.' },
  'not-found': { status: 404, message: 'There is nothing at this address.' },
  'part-not-found': { status: 404, message: 'The deck has no such part.' },
  'picture-unusable': { status: 422, message: 'This picture cannot be put in.' },
  'picture-not-found': { status: 404, message: 'This picture is not part of the deck.' },
  'bad-request': { status: 400, message: 'The request was not understood.' },
  'impossible-edit': { status: 422, message: 'This change cannot be made to this deck.' },
  'version-unknown': {
    status: 412,
    message: 'The server has an older state of this deck than this window, as after a backup was put back.',
  },
  'key-in-use': { status: 409, message: 'What was asked for with this Idempotency-Key is still being done.' },
  'key-of-another': { status: 422, message: 'This Idempotency-Key was used for something else.' },
  'too-much': { status: 429, message: 'Too much was asked for in one minute.' },
  stale: { status: 409, message: 'Another window changed this deck in the meantime.' },
  'reading-stopped': { status: 422, message: 'Reading the document took more time or memory than it may.' },
  cancelled: { status: 499, message: 'Reading was cancelled.' },
  'too-large': { status: 413, message: 'This is larger than the server can keep.' },
  'database-away': {
    status: 503,
    message: 'The database is away for the moment and is being started again.',
  },
  'database-full': {
    status: 507,
    message: 'There is no room left on the disk of the server. Reading goes on; writing does when there is room again.',
  },
  'database-read-only': { status: 503, message: 'The database may only be read at the moment.' },
  busy: {
    status: 503,
    message: 'Many documents are being read at the moment. Please try again in a minute.',
  },
  internal: { status: 500, message: 'Something went wrong on our side.' },
} as const;

export type FailureCode = keyof typeof FAILURES;

/** What was not harmed. */
const KEPT = {
  file: 'Your file was not touched, and no deck was made.',
  nothing: 'Nothing was changed.',
  stored: 'What was stored before is still there.',
} as const;

export class AppError extends Error {
  readonly code: FailureCode;
  readonly detail: string | undefined;

  constructor(code: FailureCode, detail?: string, options?: ErrorOptions) {
    super(FAILURES[code].message, options);
    this.name = 'AppError';
    this.code = code;
    this.detail = detail;
  }
}

/** A failure as it is answered. */
export function failureOf(error: unknown): { readonly status: number; readonly body: ErrorBody } {
  if (error instanceof ReadError) {
    const place = placeText(error.place);
    const status = error.code === 'too-large' ? 413 : 422;
    return {
      status,
      body: {
        error: {
          code: error.code,
          message: error.message,
          kept: KEPT.file,
          ...(place === '' ? {} : { place }),
        },
      },
    };
  }
  if (error instanceof AppError) {
    const message = error.detail === undefined ? error.message : `${error.message} ${error.detail}`;
    return {
      status: FAILURES[error.code].status,
      body: { error: { code: error.code, message, kept: KEPT.nothing } },
    };
  }
  const fault = databaseFault(error);
  if (fault !== undefined)
    return {
      status: FAILURES[fault].status,
      body: {
        error: { code: fault, message: FAILURES[fault].message, kept: KEPT.stored },
      },
    };
  return {
    status: 500,
    body: {
      error: { code: 'internal', message: FAILURES.internal.message, kept: KEPT.stored },
    },
  };
}

/** What stopped the database, by the codes of MariaDB and of the system. */
const DATABASE_FAULTS: readonly (readonly [FailureCode, RegExp])[] = [
  ['database-full', /^(?:ER_DISK_FULL|ER_RECORD_FILE_FULL|ER_ERROR_ON_WRITE|ER_TEMP_FILE_WRITE_FAILURE|ENOSPC)$/],
  [
    'database-read-only',
    /^(?:ER_OPTION_PREVENTS_STATEMENT|ER_READ_ONLY_MODE|ER_CANT_EXECUTE_IN_READ_ONLY_TRANSACTION|ER_OPEN_AS_READONLY)$/,
  ],
  ['too-large', /^ER_NET_PACKET_TOO_LARGE$/],
  [
    'database-away',
    /^(?:ECONNREFUSED|ECONNRESET|EPIPE|ETIMEDOUT|PROTOCOL_CONNECTION_LOST|PROTOCOL_ENQUEUE_AFTER_FATAL_ERROR|ER_SERVER_SHUTDOWN|ER_CON_COUNT_ERROR|ER_CONNECTION_KILLED)$/,
  ],
];

function databaseFault(error: unknown): FailureCode | undefined {
  if (!(error instanceof Error)) return undefined;
  // mysql2 has no code for a connection that ended between two statements.
  if (error.name === 'KnexTimeoutError' || /connection is in closed state/.test(error.message)) return 'database-away';
  const code = 'code' in error && typeof error.code === 'string' ? error.code : '';
  return DATABASE_FAULTS.find(([, codes]) => codes.test(code))?.[0];
}
