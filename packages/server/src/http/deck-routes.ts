/** Routes of decks: each parses, calls one service, replies. */
import Router from '@koa/router';
import type { CandidateLine, CreationLine, KeptFile, Stale } from '@alvex/contract';
import { validateAppendEntries, validateNewParts, validateRenameDeck } from '@alvex/contract/validate';
import type { Context as KoaContext } from 'koa';
import { AppError } from '../services/app-error.ts';
import type { Watching } from '../jobs/pool.ts';
import { createDeck } from '../services/create-deck.ts';
import { bringDeckIn, isDeckFile } from '../services/deck-file.ts';
import { coverName, deckCover } from '../services/deck-cover.ts';
import {
  deleteDeck,
  duplicateDeck,
  openDeck,
  recentDecks,
  renameDeck,
  restorableDecks,
  restoreDeck,
} from '../services/decks.ts';
import { keepFile, partsOf, type NewFile } from '../services/files.ts';
import { append, hasBatch, newerThan } from '../services/log.ts';
import { addCandidate, originalOf, packedDocument } from '../services/originals.ts';
import { addPicture, pictureOf } from '../services/pictures.ts';
import { addTemplate, packedTemplate } from '../services/templates.ts';
import { readJson } from './body.ts';
import { spool, type Spooled } from './spool.ts';
import { gone, watched } from './watched.ts';

const UUID = /^[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i;
const LINES = 'application/x-ndjson';

/** Takes a file that is to become part of a document with others. */
export function fileRoutes(): Router {
  const router = new Router({ prefix: '/api/files' });
  router.post('/', async (ctx) => {
    ctx.body = await withSent(
      ctx,
      async (file) => ({ hash: await keepFile(ctx.state.context, file) }) satisfies KeptFile,
    );
    ctx.status = 201;
  });
  return router;
}

const queried = (value: unknown): string | undefined => (typeof value === 'string' ? value : undefined);
const nameOf = ({ name }: { name?: unknown }): string => queried(name)?.trim() || 'Untitled';

const id = (ctx: { params: Record<string, string> }): string => ctx.params.id ?? '';

export function deckRoutes(): Router {
  const router = new Router({ prefix: '/api/decks' });
  withDecks(router);
  withLog(router);
  withFiles(router);
  return router;
}

function withDecks(router: Router): void {
  router.get('/', async (ctx) => {
    const { context } = ctx.state;
    ctx.body = { decks: await recentDecks(context), deleted: await restorableDecks(context) };
  });

  router.post('/', async (ctx) => {
    await takingIn(ctx, async (files, watching) => {
      const [only] = files;
      const whole = files.length === 1 && only !== undefined && (await isDeckFile(only));
      const make = whole
        ? bringDeckIn(ctx.state.context, only, watching)
        : createDeck(ctx.state.context, files, watching);
      return { deck: await make };
    });
  });

  router.post('/:id/editions', async (ctx) => {
    await takingIn(ctx, async (files, watching) => ({
      candidate: await addCandidate(ctx.state.context, id(ctx), files, watching),
    }));
  });

  router.get('/:id', async (ctx) => {
    ctx.body = await openDeck(ctx.state.context, id(ctx));
  });

  router.patch('/:id', async (ctx) => {
    const { name } = await readJson(ctx.req, validateRenameDeck);
    ctx.body = { deck: await renameDeck(ctx.state.context, id(ctx), name) };
  });

  router.delete('/:id', async (ctx) => {
    await deleteDeck(ctx.state.context, id(ctx));
    ctx.status = 204;
  });

  router.post('/:id/duplicate', async (ctx) => {
    ctx.body = { deck: await duplicateDeck(ctx.state.context, id(ctx)) };
    ctx.status = 201;
  });

  router.get('/:id/cover', async (ctx) => {
    ctx.set('Cache-Control', 'private, no-cache');
    ctx.etag = await coverName(ctx.state.context, id(ctx));
    if (ctx.get('If-None-Match') === ctx.response.get('ETag')) ctx.status = 304;
    else await sendPacked(ctx, await deckCover(ctx.state.context, id(ctx), { cancel: gone(ctx) }));
  });

  router.post('/:id/restore', async (ctx) => {
    ctx.body = { deck: await restoreDeck(ctx.state.context, id(ctx)) };
  });
}

/** The edits of a deck, in batches. */
function withLog(router: Router): void {
  router.get('/:id/entries', async (ctx) => {
    const after = Number(queried(ctx.query.after) ?? 0);
    if (!Number.isSafeInteger(after) || after < 0) throw new AppError('bad-request', 'after is not a version.');
    ctx.body = await newerThan(ctx.state.context, id(ctx), after);
  });

  router.get('/:id/batches/:batch', async (ctx) => {
    const batch = ctx.params.batch ?? '';
    if (!UUID.test(batch)) throw new AppError('bad-request', 'This is no name of a batch.');
    ctx.body = { kept: await hasBatch(ctx.state.context, id(ctx), batch) };
  });

  router.post('/:id/entries', async (ctx) => {
    const outcome = await append(ctx.state.context, id(ctx), await readJson(ctx.req, validateAppendEntries));
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
        by: outcome.by,
      } satisfies Stale;
    }
  });
}

/** What a deck is made of: its document, the file it came in, pictures and templates. */
function withFiles(router: Router): void {
  router.get('/:id/document', async (ctx) => {
    const packed = await packedDocument(ctx.state.context, id(ctx), queried(ctx.query.edition));
    await sendPacked(ctx, packed);
  });

  router.get('/:id/original', async (ctx) => {
    const { blob, fileName } = await originalOf(ctx.state.context, id(ctx), queried(ctx.query.edition));
    ctx.attachment(fileName);
    ctx.type = blob.mime;
    ctx.body = Buffer.from(blob.bytes);
  });

  router.post('/:id/pictures', async (ctx) => {
    ctx.body = await withSent(ctx, (file) => addPicture(ctx.state.context, id(ctx), file));
    ctx.status = 201;
  });

  router.get('/:id/pictures/:hash', async (ctx) => {
    const blob = await pictureOf(ctx.state.context, id(ctx), ctx.params.hash ?? '');
    ctx.set('Cache-Control', 'private, max-age=31536000, immutable');
    ctx.type = blob.mime;
    ctx.body = Buffer.from(blob.bytes);
  });

  router.post('/:id/templates', async (ctx) => {
    ctx.body = await withSent(ctx, (file) => addTemplate(ctx.state.context, id(ctx), file));
    ctx.status = 201;
  });

  router.get('/:id/templates/:hash', async (ctx) => {
    await sendPacked(ctx, await packedTemplate(ctx.state.context, id(ctx), ctx.params.hash ?? ''));
  });
}

/** JSON that is kept packed. */
async function sendPacked(ctx: KoaContext, packed: Uint8Array): Promise<void> {
  ctx.type = 'application/json';
  ctx.vary('Accept-Encoding');
  if (ctx.acceptsEncodings('gzip')) ctx.set('Content-Encoding', 'gzip');
  ctx.body = Buffer.from(
    ctx.acceptsEncodings('gzip') ? packed : await ctx.state.context.jobs.run('unpack', { packed }),
  );
}

/** Does something with the file that was sent, which is on the disk meanwhile. */
async function withSent<T>(ctx: KoaContext, use: (file: NewFile) => Promise<T>): Promise<T> {
  const sent = await spool(ctx.req);
  return use(named(ctx, sent)).finally(sent.drop);
}

const named = (ctx: KoaContext, { path, size }: Spooled): NewFile => ({
  load: () => Promise.resolve(path),
  size,
  fileName: nameOf(ctx.query),
  type: queried(ctx.query.type),
});

type Line = CreationLine | CandidateLine;
type Work = (files: readonly NewFile[], watching: Watching) => Promise<Line>;

/** Takes in the file that was sent, or files that were sent before. Long work ends when nobody waits for it. */
async function takingIn(ctx: KoaContext, work: Work): Promise<void> {
  const cancel = gone(ctx);
  if (ctx.is('application/json')) {
    const parts = await partsOf(ctx.state.context, (await readJson(ctx.req, validateNewParts)).parts);
    return answering(ctx, (watching) => work(parts, watching), cancel);
  }
  const sent = await spool(ctx.req);
  return answering(ctx, (watching) => work([named(ctx, sent)], watching).finally(sent.drop), cancel);
}

/** Watched, work is answered at once, line by line. */
async function answering(
  ctx: KoaContext,
  work: (watching: Watching) => Promise<Line>,
  cancel: AbortSignal,
): Promise<void> {
  if (ctx.get('Accept') === LINES)
    return watched(ctx, LINES, async (watching) => ({ last: await work(watching) }), cancel);
  ctx.body = await work({ cancel });
  ctx.status = 201;
}
