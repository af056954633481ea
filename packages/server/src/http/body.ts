/** Takes a request's body in, up to a limit, and refuses the rest without keeping it. */
import type { IncomingMessage } from 'node:http';
import { LIMITS, ReadError } from '@alvex/core';
import type { Validated } from '@alvex/contract/validate';
import { AppError } from '../services/app-error.ts';

/** @throws ReadError `too-large`. */
async function readBody(request: IncomingMessage, limit: number = LIMITS.fileBytes): Promise<Uint8Array> {
  if (Number(request.headers['content-length'] ?? 0) > limit) {
    request.resume();
    throw new ReadError('too-large');
  }
  const pieces: Buffer[] = [];
  let size = 0;
  for await (const piece of request as AsyncIterable<Buffer>) {
    size += piece.length;
    if (size > limit) throw new ReadError('too-large');
    pieces.push(piece);
  }
  return Buffer.concat(pieces);
}

const JSON_LIMIT = 4 * 1024 * 1024;

/** @throws AppError `bad-request` with what is wrong. */
export async function readJson<T>(request: IncomingMessage, validate: (value: unknown) => Validated<T>): Promise<T> {
  let value: unknown;
  try {
    value = JSON.parse(Buffer.from(await readBody(request, JSON_LIMIT)).toString('utf8'));
  } catch (error) {
    if (error instanceof ReadError) throw error;
    throw new AppError('bad-request', 'The body is not JSON.', { cause: error });
  }
  const result = validate(value);
  if (!result.ok) throw new AppError('bad-request', result.fault);
  return result.value;
}
