/** How many slides of first decks can be shown as they are, over real documents, in one theme or all. */
import {
  beginning,
  convert,
  detectType,
  openDocument,
  readiness,
  RULES,
  THEME_DESIGNS,
  type SingleEdit,
} from '../../packages/core/src/index.ts';
import { presentableDocuments } from '../presentable-documents.ts';
import { tell } from '../measure.ts';

const LONG = 10; // slides
const [, , theme] = process.argv;
const start = performance.now();
const counts = new Map<string, number>();
const count = (name: string, by = 1): void => void counts.set(name, (counts.get(name) ?? 0) + by);
for (const { name, bytes } of await presentableDocuments(process.cwd())) {
  const { document } = await openDocument(bytes, detectType(bytes, name));
  const themes = theme === 'all' ? THEME_DESIGNS.map((design) => design.name) : [theme!];
  count('documents');
  if (document.language !== null && !document.language.startsWith('en')) count('not English');
  for (const one of themes) {
    const look: readonly SingleEdit[] = [{ kind: 'theme', theme: one }];
    const { ready, of, faults } = readiness(convert(document, [...look, ...beginning(document, look)]));
    count('ready', ready);
    count('of', of);
    count(`ready in ${one}`, ready);
    count(`of in ${one}`, of);
    if (of > LONG && ready < of * 0.9) count('long documents under 90 of 100');
    for (const rule of RULES) count(rule, faults.filter((broken) => broken.includes(rule)).length);
  }
}
tell(performance.now() - start, Object.fromEntries(counts));
