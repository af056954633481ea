/** What keys do, by where they do it; and whether single signs are keys at all (WCAG 2.2, 2.1.4). */
import { t } from '../words/words.ts';

/** Keys, and what they do. */
export type KeyLine = readonly [keys: string, does: string];
export interface KeyGroup {
  readonly place: string;
  /** Address of its station; null where they work everywhere. */
  readonly path: string | null;
  readonly keys: readonly KeyLine[];
}

export const KEY_GROUPS: readonly KeyGroup[] = [
  {
    place: t('Everywhere'),
    path: null,
    keys: [
      [t('Ctrl Z'), t('undo')],
      [t('Ctrl Shift Z'), t('do it again')],
      ['Tab', t('to the next thing; the first leads past the stations to the work')],
      ['g', t('to the stations, from wherever one is')],
      ['?', t('show and hide these keys')],
    ],
  },
  {
    place: t('Document'),
    path: 'document',
    keys: [
      ['↑ ↓', t('line before, behind; with Shift several')],
      ['1 to 6', t('make the chosen lines headings of that level')],
      ['0', t('make them text')],
      ['-', t('make them items of a list')],
      ['< >', t('raise, lower them with all that is below')],
      [t('Del'), t('leave them out')],
      [t('Enter'), t('write in the line')],
      ['Esc', t('choose nothing; while writing, keep it and go back')],
      [t('Ctrl . Ctrl ,'), t('while writing: a level down, a level up')],
      ['Alt ↑ ↓', t('in the outline: move the branch up, down')],
      ['Alt ← →', t('in the outline: raise, lower the branch')],
    ],
  },
  {
    place: t('Slides'),
    path: 'slides',
    keys: [
      ['↑ ↓', t('passage before, behind; with Shift several')],
      ['← →', t('turn the mark')],
      [t('Page ↑ ↓'), t('slide before, behind')],
      ['Alt ↑ ↓', t('move the point, or the slides chosen, up or down')],
      ['< >', t('a level out, a level in')],
      ['c', t('split: a slide starts at this passage')],
      ['j', t('join with the slide above')],
      ['s', t('speak it instead of showing it')],
      ['a', t('add a slide')],
      ['d', t('copy the slide')],
      ['h', t('hide the slide, show it again')],
      ['n', t('next slide that holds too much; with Shift the one before')],
      [t('Del'), t('leave the passage out; take chosen slides out')],
      [t('Enter'), t('write what has the focus')],
      ['Esc', t('choose nothing')],
    ],
  },
  {
    place: t('Look, Colours'),
    path: 'look',
    keys: [['v', t('next variation of the palette; with Shift the one before')]],
  },
  {
    place: t('Presenting'),
    path: 'present',
    keys: [
      [t('→ ↓ Page ↓ Space'), t('go on: the next point, the next slide')],
      [t('← ↑ Page ↑'), t('go back')],
      [t('Home End'), t('first, last slide')],
      [t('a number, Enter'), t('go to that slide')],
      ['b .', t('dark screen for the audience, and back')],
      ['w ,', t('light screen for the audience, and back')],
      ['p', t('shown on this screen: the pen for the pointer, and back')],
      ['s', t('rehearsing: mark where one stumbled')],
      ['Esc', t('take away what covers the slide')],
    ],
  },
];

/** Lines that have all words of a search, in what they do or in their place. */
export function foundKeys(search: string): readonly KeyGroup[] {
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  return KEY_GROUPS.flatMap((group) => {
    const keys = group.keys.filter(([key, does]) => {
      const text = `${group.place} ${key} ${does}`.toLowerCase();
      return words.every((word) => text.includes(word));
    });
    return keys.length === 0 ? [] : [{ ...group, keys }];
  });
}

const STORED = 'alvex.letters';
/** Whether letters, digits and signs by themselves are keys. Whoever speaks to the computer turns them off. */
export const lettersOn = (): boolean => localStorage.getItem(STORED) !== 'off';
export const turnLetters = (on: boolean): void => localStorage.setItem(STORED, on ? 'on' : 'off');

/** Whether a press may be a key of a station. */
export const mayBeKey = ({ key }: { readonly key: string }): boolean => [...key].length > 1 || lettersOn();
