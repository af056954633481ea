/** What is used of `markdown-it-deflist`, which has no types of its own. */
declare module 'markdown-it-deflist' {
  import type { MarkdownIt } from 'markdown-it';
  export default function deflist(parser: MarkdownIt): void;
}
