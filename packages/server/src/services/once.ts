/** Does what is asked for with a key once: whoever lost the answer asks again, and gets the same. */
import { createHash } from 'node:crypto';
import { dropKey, dropOldAnswers, keepAnswer, keptAnswer, takeKey, type Asked } from '../db/answers.ts';
import { AppError } from './app-error.ts';
import type { Context } from './context.ts';

const KEPT = 24 * 3600_000; // ms
/** Longer than any work may take, its time in the queue included. */
const AT_WORK = 3600_000; // ms

export interface DoneAnswer {
  readonly status: number;
  readonly body: unknown;
}
/** What becomes of a key. */
export interface Once {
  /** What was answered before. */
  readonly before: DoneAnswer | undefined;
  /** Called with the answer, or with nothing where it was not done. */
  readonly end: (answer: DoneAnswer | undefined) => Promise<void>;
}

const sha256 = (text: string): string => createHash('sha256').update(text).digest('hex');

/** @throws AppError `key-in-use`, `key-of-another`. */
export async function once({ db, workspace, now }: Context, key: string, request: string): Promise<Once> {
  const asked: Asked = { workspace, key: sha256(key), request: sha256(request) };
  const at = now();
  await dropOldAnswers(db, new Date(at.getTime() - KEPT), new Date(at.getTime() - AT_WORK));
  const end: Once['end'] = (answer) =>
    answer === undefined ? dropKey(db, asked) : keepAnswer(db, asked, JSON.stringify(answer));
  if (await takeKey(db, asked, at)) return { before: undefined, end };
  const kept = await keptAnswer(db, asked);
  if (kept !== undefined && kept.request !== asked.request) throw new AppError('key-of-another');
  if (kept === undefined || kept.body === null) throw new AppError('key-in-use');
  return { before: JSON.parse(kept.body) as DoneAnswer, end };
}
