/** What keys do, by where they do it; and whether single signs are keys at all (WCAG 2.2, 2.1.4). */

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
    place: 'Everywhere',
    path: null,
    keys: [
      ['Ctrl Z', 'undo'],
      ['Ctrl Shift Z', 'do it again'],
      ['Tab', 'to the next thing; the first leads past the stations to the work'],
      ['?', 'show and hide these keys'],
    ],
  },
  {
    place: 'Document',
    path: 'document',
    keys: [
      ['↑ ↓', 'line before, behind; with Shift several'],
      ['1 to 6', 'make the chosen lines headings of that level'],
      ['0', 'make them text'],
      ['-', 'make them items of a list'],
      ['< >', 'raise, lower them with all that is below'],
      ['Delete', 'leave them out'],
      ['Enter', 'write in the line'],
      ['Esc', 'choose nothing; while writing, keep it and go back'],
      ['Ctrl . Ctrl ,', 'while writing: a level down, a level up'],
      ['Alt ↑ ↓', 'in the outline: move the branch up, down'],
      ['Alt ← →', 'in the outline: raise, lower the branch'],
    ],
  },
  {
    place: 'Slides',
    path: 'slides',
    keys: [
      ['↑ ↓', 'passage before, behind; with Shift several'],
      ['← →', 'turn the mark'],
      ['Page ↑ ↓', 'slide before, behind'],
      ['Alt ↑ ↓', 'move the point, or the slides chosen, up or down'],
      ['< >', 'a level out, a level in'],
      ['c', 'split: a slide starts at this passage'],
      ['j', 'join with the slide above'],
      ['s', 'speak it instead of showing it'],
      ['a', 'add a slide'],
      ['d', 'copy the slide'],
      ['h', 'hide the slide, show it again'],
      ['n', 'next slide that holds too much; with Shift the one before'],
      ['Delete', 'leave the passage out; take chosen slides out'],
      ['Enter', 'write what has the focus'],
      ['Esc', 'choose nothing'],
    ],
  },
  {
    place: 'Look, Colours',
    path: 'look',
    keys: [['v', 'next variation of the palette; with Shift the one before']],
  },
  {
    place: 'Presenting',
    path: 'present',
    keys: [
      ['→ ↓ Page ↓ Space', 'go on: the next point, the next slide'],
      ['← ↑ Page ↑', 'go back'],
      ['Home End', 'first, last slide'],
      ['a number, Enter', 'go to that slide'],
      ['b .', 'dark screen for the audience, and back'],
      ['w ,', 'light screen for the audience, and back'],
      ['s', 'rehearsing: mark where one stumbled'],
      ['Esc', 'take away what covers the slide'],
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
