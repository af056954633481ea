/** Files that are made of a deck: each format has an address of its own, whose query says what it has besides. */
import Router from '@koa/router';
import { WATCHED_FILE, type FileChoices, type FileLine } from '@alvex/contract';
import { validateFileChoices } from '@alvex/contract/validate';
import { fileKind, fileNameOf, FORMAT_NAMES, FORMATS, type OutputFormat } from '@alvex/core';
import type { Context as KoaContext } from 'koa';
import type { Watching } from '../jobs/pool.ts';
import { AppError } from '../services/app-error.ts';
import { DECK_ENDING, deckFile } from '../services/deck-file.ts';
import { exportDeck, type ExportOptions } from '../services/export-deck.ts';
import { gone, watched } from './watched.ts';

interface Made {
  readonly bytes: Uint8Array;
  /** Of the deck. */
  readonly name: string;
}

export function deckFileRoutes(): Router {
  const router = new Router({ prefix: '/api/decks' });
  const id = (ctx: { params: Record<string, string> }): string => ctx.params.id ?? '';
  for (const format of FORMAT_NAMES) {
    const all: OutputFormat = FORMATS[format];
    const route = (kind: OutputFormat, one: boolean) =>
      router.get(`/:id/deck.${kind.ending}`, (ctx) => {
        const choices = choicesOf(ctx.query, one);
        return sending(ctx, kind, (watching) =>
          exportDeck(ctx.state.context, id(ctx), { format, ...choices }, watching),
        );
      });
    route(all, false);
    if (all.one !== undefined) route(fileKind(format, 1), true);
  }
  router.get(`/:id/deck.${DECK_ENDING}`, (ctx) =>
    sending(ctx, { ending: DECK_ENDING, mime: 'application/zip' }, (watching) =>
      deckFile(ctx.state.context, id(ctx), watching),
    ),
  );
  return router;
}

/** @param one Whether the file is of one slide or table: the first, where it is not said. @throws AppError `bad-request`. */
function choicesOf(query: KoaContext['query'], one: boolean): Omit<ExportOptions, 'format'> {
  const checked = validateFileChoices({ ...query });
  if (!checked.ok) throw new AppError('bad-request', checked.fault);
  const { fonts, thumbnail, pages, paper, width, notes, handout, source, only }: FileChoices = checked.value;
  return {
    fonts: fonts === '1',
    thumbnail: thumbnail === '1',
    sheets: { ...(pages === undefined ? {} : { print: pages }), ...(paper === undefined ? {} : { paper }) },
    width,
    notes: notes !== '0',
    handout: handout === '1',
    source: source === '1',
    only: one ? (only ?? 1) : undefined,
  };
}

/** Sends a file: alone, or where it is watched behind what was told of its making. */
async function sending(
  ctx: KoaContext,
  { ending, mime }: OutputFormat,
  make: (watching: Watching) => Promise<Made>,
): Promise<void> {
  const cancel = gone(ctx);
  if (ctx.get('Accept') === WATCHED_FILE)
    return watched(
      ctx,
      WATCHED_FILE,
      async (watching) => {
        const { bytes } = await make(watching);
        return { last: { file: { bytes: bytes.length } } satisfies FileLine, bytes };
      },
      cancel,
    );
  const { bytes, name } = await make({ cancel });
  ctx.attachment(`${fileNameOf(name, 'deck')}.${ending}`);
  ctx.type = mime;
  ctx.body = Buffer.from(bytes);
}
