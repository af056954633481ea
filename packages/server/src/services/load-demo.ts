/** Fills a new workspace with the demo documents, once. */
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { DeckSummary } from '@alvex/contract';
import { AppError } from './app-error.ts';
import { createDeck } from './create-deck.ts';
import type { Context } from './context.ts';
import type { NewFile } from './files.ts';

/** Oldest first: the last stands at the top of the list. */
const DEMO = [
  'the-mill-that-keeps-the-moons-hours.html',
  'minutes-october.docx',
  'volunteer-induction-course.md',
  'sallow-quay-feasibility-report.docx',
];

/** The report, as a deck: for whoever wants to look around. @throws AppError `not-found` where no demo ships. */
export async function openDemo(context: Context, folder: string): Promise<DeckSummary> {
  if (folder === '') throw new AppError('not-found');
  return createDeck(context, [await demoFile(folder, DEMO.at(-1)!)]);
}

async function demoFile(folder: string, fileName: string): Promise<NewFile> {
  const bytes = await readFile(join(folder, fileName));
  return { load: () => Promise.resolve(bytes), size: bytes.length, fileName, type: undefined };
}

export async function loadDemo(context: Context, folder: string): Promise<void> {
  if (folder === '') return;
  const { db, workspace } = context;
  // Whoever sets the flag loads; a second server that starts at the same time does not.
  const first = await db('workspaces').where({ id: workspace, demo_loaded: false }).update({ demo_loaded: true });
  if (first === 0) return;
  for (const fileName of DEMO) await createDeck(context, [await demoFile(folder, fileName)]);
}
