/** Files that are sent are kept on the disk until it is their turn: memory does not grow with what comes at once. */
import { createWriteStream } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import type { IncomingMessage } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { LIMITS, ReadError } from '@alvex/core';

export interface Spooled {
  readonly path: string;
  readonly size: number;
  /** Takes it off the disk. */
  drop(): Promise<void>;
}

/** @throws ReadError `too-large`. */
export async function spool(request: IncomingMessage): Promise<Spooled> {
  if (Number(request.headers['content-length'] ?? 0) > LIMITS.fileBytes) {
    request.resume();
    throw new ReadError('too-large');
  }
  const folder = await mkdtemp(join(process.env['ALVEX_SPOOL'] ?? tmpdir(), 'alvex-spool-'));
  const path = join(folder, 'file');
  let size = 0;
  const counted = new Transform({
    transform(piece: Buffer, _, done) {
      size += piece.length;
      done(size > LIMITS.fileBytes ? new ReadError('too-large') : null, piece);
    },
  });
  const drop = (): Promise<void> => rm(folder, { recursive: true, force: true });
  try {
    await pipeline(request, counted, createWriteStream(path));
  } catch (error) {
    await drop();
    throw error;
  }
  return { path, size, drop };
}
