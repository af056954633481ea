/** What the groups of an RTF file scope, and what a paragraph keeps until the next reset. */

import type { Direction } from '../../document/index.ts';
import { languageOfNumber } from './languages.ts';

export type Destination =
  | 'text'
  | 'skip'
  | 'told'
  | 'fonts'
  | 'styles'
  | 'picture'
  | 'instruction'
  | 'note'
  | 'info'
  | 'name'
  | 'list-text'
  | 'list-table';

/** What a group scopes. */
export interface State {
  readonly destination: Destination;
  readonly bold: boolean;
  readonly italic: boolean;
  readonly strike: boolean;
  readonly hidden: boolean;
  /** Tracked as deleted: no text any more. */
  readonly deleted: boolean;
  readonly caps: boolean;
  readonly position: 'super' | 'sub' | undefined;
  readonly size: number /* points */;
  readonly font: number;
  /** Characters that stand in for a Unicode character and are skipped. */
  readonly standIns: number;
  readonly infoKey: string;
  /** Of Latin and of East Asian text; undefined where only the file says. */
  readonly language: string | undefined;
  readonly asian: string | undefined;
}
/** What `\pard` resets. */
export interface ParagraphState {
  outline: number | undefined;
  style: number;
  align: string | undefined;
  inTable: boolean;
  list: number | undefined;
  depth: number;
  listText: string;
  direction: Direction | undefined;
}

export const START: State = {
  destination: 'text',
  bold: false,
  italic: false,
  strike: false,
  hidden: false,
  deleted: false,
  caps: false,
  position: undefined,
  size: 12,
  font: 0,
  standIns: 1,
  infoKey: '',
  language: undefined,
  asian: undefined,
};
export const freshParagraph = (): ParagraphState => ({
  outline: undefined,
  style: 0,
  align: undefined,
  inTable: false,
  list: undefined,
  depth: 1,
  listText: '',
  direction: undefined,
});

/** The state after a control word that changes what text looks like; undefined for any other. */
export function withLook(state: State, name: string, value: number | undefined): State | undefined {
  const on = value !== 0;
  switch (name) {
    case 'plain': {
      const { destination, standIns } = state;
      return { ...START, destination, standIns };
    }
    case 'b':
      return { ...state, bold: on };
    case 'i':
      return { ...state, italic: on };
    case 'strike':
    case 'striked':
      return { ...state, strike: on };
    case 'v':
      return { ...state, hidden: on };
    case 'deleted':
      return { ...state, deleted: on };
    case 'caps':
      return { ...state, caps: on };
    case 'super':
      return { ...state, position: on ? 'super' : undefined };
    case 'sub':
      return { ...state, position: on ? 'sub' : undefined };
    case 'nosupersub':
      return { ...state, position: undefined };
    case 'fs':
      return { ...state, size: (value ?? 24) / 2 };
    case 'f':
      return { ...state, font: value ?? 0 };
    case 'lang':
      return { ...state, language: languageOfNumber(value) };
    case 'langfe':
      return { ...state, asian: languageOfNumber(value) };
    case 'uc':
      return { ...state, standIns: value ?? 1 };
    default:
      return undefined;
  }
}

/** A control word of a paragraph. @returns Whether it was one. */
export function paragraphWord(paragraph: ParagraphState, name: string, value: number | undefined): boolean {
  switch (name) {
    case 's':
      paragraph.style = value ?? 0;
      return true;
    case 'outlinelevel':
      paragraph.outline = value;
      return true;
    case 'qc':
      paragraph.align = 'center';
      return true;
    case 'qr':
      paragraph.align = 'right';
      return true;
    case 'rtlpar':
      paragraph.direction = 'rtl';
      return true;
    case 'ltrpar':
      paragraph.direction = 'ltr';
      return true;
    case 'ls':
      paragraph.list = value;
      return true;
    case 'ilvl':
      paragraph.depth = Math.min((value ?? 0) + 1, 9);
      return true;
    case 'intbl':
      paragraph.inTable = true;
      return true;
    default:
      return false;
  }
}
