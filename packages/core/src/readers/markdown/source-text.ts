/** The text of Markdown: of the parser's own tokens, whatever a reader makes of them. */
import type { Token } from 'markdown-it';
import { htmlText } from '../markup/index.ts';

export function* markdownText(tokens: readonly Token[]): Generator<string> {
  for (const token of tokens) {
    if (token.type === 'fence' || token.type === 'code_block') yield token.content;
    else if (token.type === 'html_block') yield* htmlText(token.content);
    else if (token.type === 'inline') {
      let piece = '';
      for (const child of token.children ?? []) {
        if (child.type === 'text' || child.type === 'text_special' || child.type === 'code_inline')
          piece += child.content;
        else if (child.type === 'softbreak' || child.type === 'hardbreak') piece += ' ';
      }
      if (piece !== '') yield piece;
    }
  }
}
