/** Numbers of lists, and boxes of tasks, on their way to slides. */
import type { ItemMark } from '../deck/index.ts';
import type { Block } from '../document/index.ts';

const BOXES = { true: '☑', false: '☐' } as const;

/** What an item's list sets before it: a number as the original writes it, or the box of a task. */
export function marked(block: Block): { readonly mark?: ItemMark } {
  if (block.kind !== 'listItem') return {};
  if (block.checked !== undefined) return { mark: { text: BOXES[`${block.checked}`] } };
  if (!block.ordered) return {};
  const { number: value = 1, label: text = `${value}.` } = block;
  return { mark: { text, value } };
}
