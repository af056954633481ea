/** Fills a new workspace with the demo documents, once. */
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { createDeck } from './create-deck.ts';
import type { Context } from './context.ts';

/** Oldest first: the last stands at the top of the list. */
const DEMO = [
  'the-mill-that-keeps-the-moons-hours.html',
  'minutes-october.docx',
  'volunteer-induction-course.md',
  'sallow-quay-feasibility-report.docx',
];

export async function loadDemo(context: Context, folder: string): Promise<void> {
  if (folder === '') return;
  const { db, workspace } = context;
  // Whoever sets the flag loads; a second server that starts at the same time does not.
  const first = await db('workspaces').where({ id: workspace, demo_loaded: false }).update({ demo_loaded: true });
  if (first === 0) return;
  for (const fileName of DEMO) {
    const bytes = await readFile(join(folder, fileName));
    await createDeck(context, [{ load: () => Promise.resolve(bytes), size: bytes.length, fileName, type: undefined }]);
  }
}
