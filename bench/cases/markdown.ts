/** Reading 1 MB of Markdown: ours, and markdown-it's own parse. */
import MarkdownIt from 'markdown-it';
import { readDocument } from '../../packages/core/src/index.ts';
import { best, sentence, tell } from '../measure.ts';

const pieces: string[] = [];
for (let i = 0, size = 0; size < 1_000_000; i++) {
  const text = `## ${sentence(i, 5)}\n\n${sentence(i, 60)} **${sentence(i + 1, 4)}** and [a link](https://sallow-quay.example/${i}).\n\n- ${sentence(i, 9)}\n- ${sentence(i + 2, 7)}\n  - ${sentence(i + 3, 6)}\n\n`;
  pieces.push(text);
  size += text.length;
}
const source = pieces.join('');
const bytes = new TextEncoder().encode(source);
const [, , subject] = process.argv;
if (subject === 'ours') tell(await best(5, () => readDocument(bytes, 'markdown')));
else {
  const parser = new MarkdownIt({ html: true });
  tell(await best(5, () => parser.parse(source, {})));
}
