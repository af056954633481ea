/** Routes of decks: each parses, calls one service, replies. */
import Router from '@koa/router';
import type { CandidateLine, CreationLine, KeptFile, Stale } from '@alvex/contract';
import { validateAppendEntries, validateNewParts, validateRenameDeck } from '@alvex/contract/validate';
import { PassThrough } from 'node:stream';
import { gunzipSync } from 'node:zlib';
import type { Context as KoaContext } from 'koa';
import { AppError, failureOf } from '../services/app-error.ts';
import type { Context } from '../services/context.ts';
import { createDeck, keepFile, partsOf, type NewFile } from '../services/create-deck.ts';
import {
  addCandidate,
  addPicture,
  append,
  deleteDeck,
  exportDeck,
  hasBatch,
  newerThan,
  openDeck,
  originalOf,
  packedDocument,
  pictureOf,
  recentDecks,
  renameDeck,
  restoreDeck,
} from '../services/decks.ts';
import { addTemplate, packedTemplate } from '../services/templates.ts';
import { readBody, readJson } from './body.ts';

const WATCHED = 'application/x-ndjson';
const PPTX = 'application/vnd.openxmlformats-officedocument.presentationml.presentation';

/** Takes a file that is to become part of a document with others. */
export function fileRoutes(context: Context): Router {
  const router = new Router({ prefix: '/api/files' });
  router.post('/', async (ctx) => {
    ctx.status = 201;
    ctx.body = { hash: await keepFile(context, await readBody(ctx.req)) } satisfies KeptFile;
  });
  return router;
}

const queried = (value: unknown): string | undefined => (typeof value === 'string' ? value : undefined);
const nameOf = ({ name }: { name?: unknown }): string => queried(name)?.trim() || 'Untitled';

export function deckRoutes(context: Context): Router {
  const router = new Router({ prefix: '/api/decks' });
  const id = (ctx: { params: Record<string, string> }): string => ctx.params.id ?? '';

  router.get('/', async (ctx) => {
    ctx.body = { decks: await recentDecks(context) };
  });

  router.post('/', async (ctx) => {
    const files = await filesIn(ctx, context);
    const work: Work = async (progress, cancel) => ({ deck: await createDeck(context, files, progress, cancel) });
    await takingIn(ctx, work);
  });

  router.post('/:id/editions', async (ctx) => {
    const files = await filesIn(ctx, context);
    await takingIn(ctx, async (progress, cancel) => ({
      candidate: await addCandidate(context, id(ctx), files, progress, cancel),
    }));
  });

  router.get('/:id', async (ctx) => {
    ctx.body = await openDeck(context, id(ctx));
  });

  router.patch('/:id', async (ctx) => {
    const { name } = await readJson(ctx.req, validateRenameDeck);
    ctx.body = { deck: await renameDeck(context, id(ctx), name) };
  });

  router.delete('/:id', async (ctx) => {
    await deleteDeck(context, id(ctx));
    ctx.status = 204;
  });

  router.post('/:id/restore', async (ctx) => {
    ctx.body = { deck: await restoreDeck(context, id(ctx)) };
  });

  router.get('/:id/entries', async (ctx) => {
    const after = Number(queried(ctx.query.after) ?? 0);
    if (!Number.isSafeInteger(after) || after < 0) throw new AppError('bad-request', 'after is not a version.');
    ctx.body = await newerThan(context, id(ctx), after);
  });

  router.get('/:id/batches/:batch', async (ctx) => {
    ctx.body = { kept: await hasBatch(context, id(ctx), ctx.params.batch ?? '') };
  });

  router.post('/:id/entries', async (ctx) => {
    const outcome = await append(context, id(ctx), await readJson(ctx.req, validateAppendEntries));
    if (outcome.ok) ctx.body = { version: outcome.version };
    else {
      ctx.status = 409;
      ctx.body = {
        error: {
          code: 'stale',
          message: 'Another window changed this deck in the meantime.',
          kept: 'Both changes are kept: theirs here, yours in the window that sent it.',
        },
        version: outcome.version,
        newer: outcome.newer,
      } satisfies Stale;
    }
  });

  router.get('/:id/document', async (ctx) => {
    const packed = await packedDocument(context, id(ctx), queried(ctx.query.edition));
    sendPacked(ctx, packed);
  });

  router.get('/:id/original', async (ctx) => {
    const { blob, fileName } = await originalOf(context, id(ctx), queried(ctx.query.edition));
    ctx.attachment(fileName);
    ctx.type = blob.mime;
    ctx.body = Buffer.from(blob.bytes);
  });

  router.post('/:id/pictures', async (ctx) => {
    ctx.status = 201;
    ctx.body = await addPicture(context, id(ctx), await readBody(ctx.req), nameOf(ctx.query));
  });

  router.get('/:id/pictures/:hash', async (ctx) => {
    const blob = await pictureOf(context, id(ctx), ctx.params.hash ?? '');
    ctx.set('Cache-Control', 'private, max-age=31536000, immutable');
    ctx.type = blob.mime;
    ctx.body = Buffer.from(blob.bytes);
  });

  router.post('/:id/templates', async (ctx) => {
    ctx.status = 201;
    ctx.body = await addTemplate(context, id(ctx), await readBody(ctx.req), nameOf(ctx.query));
  });

  router.get('/:id/templates/:hash', async (ctx) => {
    sendPacked(ctx, await packedTemplate(context, id(ctx), ctx.params.hash ?? ''));
  });

  router.get('/:id/deck.pptx', async (ctx) => {
    const { bytes, name } = await exportDeck(context, id(ctx));
    ctx.attachment(`${name.replace(/[\\/:*?"<>|]+/g, ' ').trim() || 'deck'}.pptx`);
    ctx.type = PPTX;
    ctx.body = Buffer.from(bytes);
  });

  return router;
}

/** JSON that is kept packed. */
function sendPacked(ctx: KoaContext, packed: Uint8Array): void {
  ctx.type = 'application/json';
  ctx.vary('Accept-Encoding');
  if (ctx.acceptsEncodings('gzip')) ctx.set('Content-Encoding', 'gzip');
  ctx.body = ctx.acceptsEncodings('gzip') ? Buffer.from(packed) : gunzipSync(packed);
}

/** The file that was sent, or files that were sent before. */
const filesIn = async (ctx: KoaContext, context: Context): Promise<readonly NewFile[]> =>
  ctx.is('application/json')
    ? partsOf(context, (await readJson(ctx.req, validateNewParts)).parts)
    : [{ bytes: await readBody(ctx.req), fileName: nameOf(ctx.query), type: queried(ctx.query.type) }];

type Line = CreationLine | CandidateLine;
type Work = (progress: ((done: number) => void) | undefined, cancel: AbortSignal) => Promise<Line>;

/** Does long work, which ends when nobody waits for it any more. Watched, it is answered at once, line by line. */
async function takingIn(ctx: KoaContext, work: Work): Promise<void> {
  const cancel = new AbortController();
  ctx.res.on('close', () => {
    if (!ctx.res.writableFinished) cancel.abort();
  });
  if (ctx.get('Accept') === WATCHED) return watched(ctx, work, cancel.signal);
  ctx.body = await work(undefined, cancel.signal);
  ctx.status = 201;
}

/** Tells of the progress line by line; the last line is what was made, or the failure. */
function watched(ctx: KoaContext, work: Work, cancel: AbortSignal): void {
  const stream = new PassThrough();
  const say = (line: Line): void => {
    if (!stream.destroyed) stream.write(`${JSON.stringify(line)}\n`);
  };
  ctx.status = 200;
  ctx.type = WATCHED;
  ctx.body = stream;
  work((progress) => say({ progress }), cancel)
    .then(say, (error: unknown) => {
      const { status, body } = failureOf(error);
      if (status >= 500) ctx.app.emit('error', error, ctx);
      say(body);
    })
    .finally(() => stream.end());
}
