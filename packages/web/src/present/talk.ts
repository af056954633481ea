/** Where a talk stands, and what moves it: pure, so that both windows and a remote control mean the same. */

/** What the audience sees in the place of the slide. */
export type Screen = 'slide' | 'dark' | 'light';

export interface Talk {
  /** Among the slides that are shown, 0 for the first. */
  readonly at: number;
  /** What stands on each: hidden slides have numbers too. */
  readonly numbers: readonly number[];
  /** How many points of each come one after the other. */
  readonly steps: readonly number[];
  /** How many of this one's are seen. */
  readonly step: number;
  readonly screen: Screen;
  /** Digits of a slide's number that is being typed. */
  readonly typed: string;
  /** When the clock began to run, and when this slide came; in milliseconds of the clock, null before the first move. */
  readonly since: number | null;
  readonly slideSince: number | null;
  /** Milliseconds spent on slides that were left, by what stands on each. */
  readonly spent: Readonly<Record<number, number>>;
  /** Slides at which the speaker stumbled, by what stands on each. */
  readonly stumbled: readonly number[];
}

export type Move =
  | {
      readonly move:
        'next' | 'back' | 'first' | 'last' | 'dark' | 'light' | 'leave' | 'enter' | 'start-clock' | 'stumble';
    }
  | { readonly move: 'digit'; readonly digit: string }
  | { readonly move: 'go'; readonly to: number /* 0.. */ };

/** @param steps Without, all points of a slide are there at once. @param from Number of the slide that it begins with. */
export const beginTalk = (numbers: readonly number[], steps: readonly number[] = [], from = 0): Talk => ({
  at: Math.max(0, numbered({ numbers }, from)),
  numbers,
  steps,
  step: 0,
  screen: 'slide',
  typed: '',
  since: null,
  slideSince: null,
  spent: {},
  stumbled: [],
});

/** @param now In milliseconds. */
export function moved(talk: Talk, move: Move, now: number): Talk {
  switch (move.move) {
    case 'next':
      // What covers the slide goes first: nobody skips a slide that they did not see.
      if (talk.screen !== 'slide') return shown(talk, now);
      return talk.step < stepsAt(talk, talk.at)
        ? { ...shown(talk, now), step: talk.step + 1 }
        : to(talk, talk.at + 1, now);
    case 'back':
      if (talk.screen !== 'slide') return shown(talk, now);
      // Who goes back sees what was seen.
      return talk.step > 0
        ? { ...shown(talk, now), step: talk.step - 1 }
        : to(talk, talk.at - 1, now, stepsAt(talk, talk.at - 1));
    case 'first':
      return to(talk, 0, now);
    case 'last':
      return to(talk, talk.numbers.length - 1, now);
    case 'go':
      return to(talk, move.to, now);
    case 'digit':
      return { ...talk, typed: `${talk.typed}${move.digit}`.slice(-4) };
    case 'enter':
      return talk.typed === '' ? moved(talk, { move: 'next' }, now) : to(talk, numbered(talk, Number(talk.typed)), now);
    case 'dark':
    case 'light':
      return { ...running(talk, now), typed: '', screen: talk.screen === move.move ? 'slide' : move.move };
    case 'start-clock':
      return { ...talk, since: now, slideSince: now, spent: {} };
    case 'stumble':
      return stumble(talk);
    case 'leave':
      return { ...talk, screen: 'slide', typed: '' };
  }
}

/** The clock runs from the first move on. */
const running = (talk: Talk, now: number): Talk =>
  talk.since === null ? { ...talk, since: now, slideSince: now } : talk;

const shown = (talk: Talk, now: number): Talk => ({ ...running(talk, now), screen: 'slide', typed: '' });

/** The slide of a number, the next one where that is hidden, or the last. */
function numbered({ numbers }: Pick<Talk, 'numbers'>, wanted: number): number {
  const found = numbers.findIndex((number) => number >= wanted);
  return found < 0 ? numbers.length - 1 : found;
}

const within = (at: number, numbers: readonly number[]): number => Math.max(0, Math.min(at, numbers.length - 1));

const stepsAt = ({ steps }: Talk, at: number): number => steps[at] ?? 0;

function to(talk: Talk, wanted: number, now: number, step = 0): Talk {
  const at = within(wanted, talk.numbers);
  const clear = shown(talk, now);
  return at === talk.at ? clear : { ...clear, at, step, slideSince: now, spent: spentBy(clear, now) };
}

/** Milliseconds spent on each slide, the one that is seen among them. */
export function spentBy({ at, numbers, slideSince, spent }: Talk, now: number): Talk['spent'] {
  const number = numbers[at];
  if (slideSince === null || number === undefined) return spent;
  return { ...spent, [number]: (spent[number] ?? 0) + now - slideSince };
}

/** Marks the slide that is seen, or takes the mark back. */
function stumble(talk: Talk): Talk {
  const number = talk.numbers[talk.at];
  if (number === undefined) return talk;
  const others = talk.stumbled.filter((one) => one !== number);
  return { ...talk, stumbled: others.length < talk.stumbled.length ? others : [...others, number] };
}

/** Slides may be added and taken out while one speaks: the one that is seen stays. @param at Where it is now. */
export const withSlides = (talk: Talk, { numbers, steps }: Pick<Talk, 'numbers' | 'steps'>, at: number): Talk => {
  const there = within(at, numbers);
  return { ...talk, numbers, steps, at: there, step: Math.min(talk.step, steps[there] ?? 0) };
};

const KEYS = new Map<string, Move['move']>(
  Object.entries({
    ArrowRight: 'next',
    ArrowDown: 'next',
    PageDown: 'next',
    ' ': 'next',
    ArrowLeft: 'back',
    ArrowUp: 'back',
    PageUp: 'back',
    Backspace: 'back',
    Home: 'first',
    End: 'last',
    Enter: 'enter',
    b: 'dark',
    '.': 'dark',
    w: 'light',
    ',': 'light',
    Escape: 'leave',
  }),
);

interface Pressed {
  readonly key: string;
  readonly ctrlKey: boolean;
  readonly metaKey: boolean;
  readonly altKey: boolean;
}

/**
 * What a key of the keyboard, or of a presenter's remote, does; undefined for one that does nothing here.
 * @param rehearsing A stumble can be marked.
 */
export function moveOf({ key, ctrlKey, metaKey, altKey }: Pressed, rehearsing = false): Move | undefined {
  if (ctrlKey || metaKey || altKey) return undefined;
  if (/^\d$/.test(key)) return { move: 'digit', digit: key };
  if (rehearsing && key.toLowerCase() === 's') return { move: 'stumble' };
  const move = KEYS.get(key) ?? KEYS.get(key.toLowerCase());
  return move === undefined ? undefined : ({ move } as Move);
}

/** How far the talk is before (above 0) or behind its plan, in seconds. @param planned Seconds of each slide. */
export function ahead(talk: Talk, planned: readonly number[], now: number): number {
  if (talk.since === null) return 0;
  const gone = (now - talk.since) / 1000;
  const before = planned.slice(0, talk.at).reduce((sum, one) => sum + one, 0);
  const here = Math.min(planned[talk.at] ?? 0, (now - (talk.slideSince ?? now)) / 1000);
  return before + here - gone;
}

/** `4:07`, `1:02:30`. */
export function clockTime(seconds: number): string {
  const whole = Math.max(0, Math.floor(seconds));
  const [h, m, s] = [Math.floor(whole / 3600), Math.floor(whole / 60) % 60, whole % 60];
  const two = (n: number): string => String(n).padStart(2, '0');
  return h > 0 ? `${h}:${two(m)}:${two(s)}` : `${m}:${two(s)}`;
}
