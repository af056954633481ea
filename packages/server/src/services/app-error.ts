/** Failures that the people in front of the screen are told of; every code and sentence in one place. */
import { placeText, ReadError } from '@alvex/core';
import type { ErrorBody } from '@alvex/contract';

const FAILURES = {
  'deck-not-found': { status: 404, message: 'There is no deck at this address. It may have been deleted.' },
  'map-not-found': { status: 404, message: 'This map is not kept any more.' },
  'edition-not-found': { status: 404, message: 'This edition of the document is not kept here.' },
  'template-unusable': { status: 422, message: 'This file is not a presentation (PPTX) with masters and layouts.' },
  'template-not-found': { status: 404, message: 'This template is not kept here. Choose its file again.' },
  'file-not-found': { status: 404, message: 'One of the files is not kept here. Choose it again.' },
  'not-found': { status: 404, message: 'There is nothing at this address.' },
  'picture-unusable': { status: 422, message: 'This picture cannot be put in.' },
  'picture-not-found': { status: 404, message: 'This picture is not part of the deck.' },
  'bad-request': { status: 400, message: 'The request was not understood.' },
  'version-unknown': {
    status: 412,
    message: 'The server has an older state of this deck than this window, as after a backup was put back.',
  },
  stale: { status: 409, message: 'Another window changed this deck in the meantime.' },
  'reading-stopped': { status: 422, message: 'Reading the document took more time or memory than it may.' },
  cancelled: { status: 499, message: 'Reading was cancelled.' },
  'too-large': { status: 413, message: '' },
  internal: { status: 500, message: 'Something went wrong on our side.' },
} as const;

export type FailureCode = keyof typeof FAILURES;

const NOTHING_CHANGED = 'Nothing was changed.';

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
          kept: 'Your file was not touched, and no deck was made.',
          ...(place === '' ? {} : { place }),
        },
      },
    };
  }
  if (error instanceof AppError) {
    const message = error.detail === undefined ? error.message : `${error.message} ${error.detail}`;
    return {
      status: FAILURES[error.code].status,
      body: { error: { code: error.code, message, kept: NOTHING_CHANGED } },
    };
  }
  return {
    status: 500,
    body: {
      error: { code: 'internal', message: FAILURES.internal.message, kept: 'What was stored before is still there.' },
    },
  };
}
