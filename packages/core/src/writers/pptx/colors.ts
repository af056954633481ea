/** Theme colours by reference (ECMA-376-1 §20.1.2.3.29). */
import type { ColorName } from '../../theme/index.ts';

export const SCHEME: Readonly<Record<ColorName, string>> = {
  ground: 'bg1',
  text: 'tx1',
  panel: 'bg2',
  muted: 'tx2',
  accent1: 'accent1',
  accent2: 'accent2',
  accent3: 'accent3',
  accent4: 'accent4',
  accent5: 'accent5',
  accent6: 'accent6',
  link: 'hlink',
};

export const schemeColor = (name: ColorName): string => `<a:schemeClr val="${SCHEME[name]}"/>`;
export const solidFill = (name: ColorName): string => `<a:solidFill>${schemeColor(name)}</a:solidFill>`;
