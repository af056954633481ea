/** Text in the frames of a layout that was chosen for it. */
import type { Content } from '../deck/index.ts';
import { frameIn, type Frame, type LayoutName, type Role } from '../theme/index.ts';
import { stepFit, textBox, type Draft, type LayoutOptions, type TextContent } from './draft.ts';
import { evenFrame, largestSize } from './fit-text.ts';
import type { Para } from './page.ts';
import { spreadText } from './usual-pages.ts';

export interface Taken {
  readonly pages: readonly Draft[];
  /** Parts of the content that stand on these pages. */
  readonly parts: readonly Content[];
}

export const one = (page: Draft | undefined, parts: readonly Content[]): Taken | undefined =>
  page === undefined || parts.length === 0 ? undefined : { pages: [page], parts };

export const plainPara = (part: TextContent): Para => ({ part: part.id, style: 'plain', level: 1, runs: part.runs });

export type Filled = readonly [role: Role, paras: readonly Para[]];

/** Text in several frames of a layout, those of one style at one size. @returns undefined where some does not fit. */
export function inFrames(layout: LayoutName, filled: readonly Filled[], options: LayoutOptions): Draft | undefined {
  const { theme } = options;
  const places = filled
    .filter(([, paras]) => paras.length > 0)
    .map(([role, paras]) => ({ paras, frame: frameIn(theme, layout, role) }));
  const sizes = new Map<string, number>();
  for (const { paras, frame } of places) {
    const size = largestSize(paras, frame, theme, frame.style.sizes);
    if (size === undefined) return undefined;
    const alike = likeness(frame);
    sizes.set(alike, Math.min(size, sizes.get(alike) ?? Infinity));
  }
  const boxes = places.map(({ paras, frame }) => {
    const size = sizes.get(likeness(frame))!;
    const [only] = paras;
    return frame.role === 'quote' && paras.length === 1
      ? textBox(paras, evenFrame(only!, frame, theme, size), theme, size)
      : spreadText(paras, frame, options, size);
  });
  const main = places.at(-1)?.frame ?? frameIn(theme, layout, 'title');
  return { layout, boxes, fit: stepFit(Math.min(main.style.sizes[0]!, ...sizes.values()), main) };
}

/** The same for frames whose text is set at one size. */
const likeness = ({ role, style }: Frame): string => `${style.sizes[0]} ${style.font} ${role.startsWith('head')}`;
